'use client';

import { useCallback, useEffect, useState } from 'react';
import type { Result } from '@/core/result';
import { dropDraft, keepDraft, readDraft } from '@/data/drafts';

/**
 * A part of the dossier as typed: every change is kept, and stored in the roll as soon as it reads.
 * @param draftKey key under which what does not read yet is kept
 * @param stored the stored part as its form
 * @param parse checks a kept draft; null when it does not read as this form
 * @param read reads the form, or says what is wrong
 * @param store stores what was read
 */
export function useTypedPart<Form, Value>(
  draftKey: string,
  stored: Form,
  parse: (draft: unknown) => Form | null,
  read: (form: Form) => Result<Value>,
  store: (value: Value) => Promise<void>,
): { form: Form; change: (form: Form) => void; errors: Partial<Record<string, string>> } {
  const [form, setForm] = useState(stored);
  useEffect(() => {
    let gone = false;
    void readDraft(draftKey).then((draft) => {
      const kept = draft === undefined ? null : parse(draft);
      if (kept !== null && !gone) setForm(kept);
    });
    return () => {
      gone = true;
    };
    // The draft is looked at once, when the part opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draftKey]);
  const change = useCallback(
    (next: Form) => {
      setForm(next);
      const answer = read(next);
      const write = answer.ok ? store(answer.value).then(() => dropDraft(draftKey)) : keepDraft(draftKey, next);
      void write.catch(() => undefined);
    },
    [draftKey, read, store],
  );
  const answer = read(form);
  const errors = answer.ok ? {} : Object.fromEntries(answer.problems.map(({ path, message }) => [path, message]));
  return { form, change, errors };
}

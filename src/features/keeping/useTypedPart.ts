'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Result } from '@/core/schema/result';
import { dropDraft, keepDraft, readDraft } from '@/data/drafts';
import { writeAhead } from '@/data/typedAhead';

/**
 * A part of a record as typed: every change is kept, and stored in the record as soon as it reads.
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
  const latest = useRef(stored);
  const change = useCallback(
    (next: Form) => {
      latest.current = next;
      setForm(next);
      const answer = read(next);
      if (!answer.ok) {
        void keepDraft(draftKey, next).catch(() => undefined);
        return;
      }
      writeAhead(draftKey, next);
      void store(answer.value)
        // What was typed meanwhile may not read yet, and is a draft of its own.
        .then(() => (latest.current === next ? dropDraft(draftKey) : undefined))
        .catch(() => undefined);
    },
    [draftKey, read, store],
  );
  useEffect(() => {
    let gone = false;
    const opened = latest.current;
    void readDraft(draftKey).then((draft) => {
      const kept = draft === undefined ? null : parse(draft);
      // A kept one that reads is stored now: its page went before it could. One that was typed meanwhile is newer.
      if (kept !== null && !gone && latest.current === opened) change(kept);
    });
    return () => {
      gone = true;
    };
    // The draft is looked at once, when the part opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draftKey]);
  const answer = read(form);
  const errors = answer.ok ? {} : Object.fromEntries(answer.problems.map(({ path, message }) => [path, message]));
  return { form, change, errors };
}

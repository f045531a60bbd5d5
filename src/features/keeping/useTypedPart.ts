'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Result } from '@/core/schema/result';
import { keepDraft, readDraft, type TypedUpTo } from '@/data/drafts';
import { dropAhead, writeAhead } from '@/data/typedAhead';

/**
 * A part of a record as typed: every change is kept, and stored in the record as soon as it reads. Take it for fields that
 * belong to something that is there already, where no button says “done”; for a form that has one, take `useDraft`.
 * What another tab stores meanwhile shows here too, unless something is being typed here.
 * @param draftKey key under which what does not read yet is kept
 * @param stored the stored part as its form
 * @param parse checks a kept draft; null when it does not read as this form
 * @param read reads the form, or says what is wrong
 * @param store stores what was read, and marks the draft as stored in the same transaction
 */
export function useTypedPart<Form, Value>(
  draftKey: string,
  stored: Form,
  parse: (draft: unknown) => Form | null,
  read: (form: Form) => Result<Value>,
  store: (value: Value, typed: TypedUpTo) => Promise<void>,
): { form: Form; change: (form: Form) => void; errors: Partial<Record<string, string>> } {
  const [form, setForm] = useState(stored);
  const latestRef = useRef(stored);
  const underWayRef = useRef(0);
  const change = useCallback(
    (next: Form) => {
      latestRef.current = next;
      setForm(next);
      const answer = read(next);
      if (!answer.ok) {
        void keepDraft(draftKey, next).catch(() => undefined);
        return;
      }
      const { text, stamp } = writeAhead(draftKey, next);
      underWayRef.current += 1;
      void store(answer.value, { key: draftKey, stamp })
        .then(() => dropAhead(draftKey, text))
        .catch(() => undefined)
        .finally(() => (underWayRef.current -= 1));
    },
    [draftKey, read, store],
  );
  useEffect(() => {
    let gone = false;
    const opened = latestRef.current;
    void readDraft(draftKey).then((draft) => {
      const kept = draft === undefined ? null : parse(draft);
      // A kept one that reads is stored now: its page went before it could. One that was typed meanwhile is newer.
      if (kept !== null && !gone && latestRef.current === opened) change(kept);
    });
    return () => {
      gone = true;
    };
    // The draft is looked at once, when the part opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [draftKey]);
  const storedText = JSON.stringify(stored);
  useEffect(() => {
    const [mine, theirs] = [read(latestRef.current), read(JSON.parse(storedText) as Form)];
    if (underWayRef.current > 0 || !mine.ok || !theirs.ok) return;
    if (JSON.stringify(mine.value) === JSON.stringify(theirs.value)) return;
    latestRef.current = JSON.parse(storedText) as Form;
    setForm(latestRef.current);
    // Only what is stored is followed; what is typed here leads.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [storedText]);
  const answer = read(form);
  const errors = answer.ok ? {} : Object.fromEntries(answer.problems.map(({ path, message }) => [path, message]));
  return { form, change, errors };
}

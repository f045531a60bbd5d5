'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { keepDraft, readDraft } from '@/data/drafts';
import { dropAhead, writeAhead } from '@/data/typedAhead';
import { partKey, type TypedPart } from '@/data/typedParts';

/**
 * A part of a record as typed: every change is kept, and stored in the record as soon as it reads. Take it for fields that
 * belong to something that is there already, where no button says “done”; for a form that has one, take `useDraft`.
 * What another tab stores meanwhile shows here too, unless something is being typed here.
 * @param part which part
 * @param id the record it belongs to; empty where there is one only
 * @param stored the stored part as its form
 */
export function useTypedPart<Form, Value>(
  part: TypedPart<Form, Value>,
  id: string,
  stored: NoInfer<Form>,
): { form: Form; change: (form: Form) => void; errors: Partial<Record<string, string>> } {
  const draftKey = partKey(part, id);
  const { read } = part;
  const [form, setForm] = useState<Form>(stored);
  const latestRef = useRef<Form>(stored);
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
      void part
        .store(id, answer.value, { key: draftKey, stamp })
        .then(() => dropAhead(draftKey, text))
        .catch(() => undefined)
        .finally(() => (underWayRef.current -= 1));
    },
    [draftKey, id, part, read],
  );
  useEffect(() => {
    let gone = false;
    const opened = latestRef.current;
    void readDraft(draftKey).then((draft) => {
      const kept = part.form.safeParse(draft).data ?? null;
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

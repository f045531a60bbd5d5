'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import { keepDraft, readDraft } from '@/data/drafts';
import { lastStamp } from '@/data/draftJournal';
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
  const waitingRef = useRef<{ value: Value; kept: Promise<void>; stamp: number } | null>(null);
  const writingRef = useRef(false);
  const change = useCallback(
    (next: Form) => {
      latestRef.current = next;
      setForm(next);
      // A draft is written much sooner than a record with all that hangs on it: what a crash leaves of it is stored later.
      const kept = keepDraft(draftKey, next).catch(() => undefined);
      const answer = read(next);
      waitingRef.current = answer.ok ? { value: answer.value, kept, stamp: lastStamp(draftKey) } : null;
      // While one write is under way only the latest waits, so that fast typing never queues up behind itself.
      const write = async (): Promise<void> => {
        writingRef.current = true;
        for (let one = waitingRef.current; one !== null; one = waitingRef.current) {
          waitingRef.current = null;
          const { value, kept, stamp } = one;
          await kept;
          await part.store(id, value, { key: draftKey, stamp }).catch(() => undefined);
        }
        writingRef.current = false;
      };
      if (!writingRef.current) void write();
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
    if (writingRef.current || !mine.ok || !theirs.ok) return;
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

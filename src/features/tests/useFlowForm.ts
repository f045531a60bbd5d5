'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type * as z from 'zod';
import type { Finding } from '@/core/evidence/evidenceRecord';
import type { Result } from '@/core/result';
import { evidenceDraftKey } from '@/data/evidence';
import { keepDraft, readDraft } from '@/data/drafts';

/**
 * The form of a test, kept as typed on every change, so that a reload in the middle of a test loses nothing.
 * @param rollId the roll that is tested
 * @param kind which test
 * @param schema what a kept form must look like; one that does not is passed over
 * @param initial the form as it first opens
 * @returns the form, null while a kept one is looked for
 */
export function useFlowForm<Form extends object>(rollId: string, kind: Finding['kind'], schema: z.ZodType<Form>, initial: () => Form): { form: Form | null; change: (part: Partial<Form>) => void } {
  const [form, setForm] = useState<Form | null>(null);
  const latest = useRef<Form | null>(null);
  const key = evidenceDraftKey(rollId, kind);
  useEffect(() => {
    let gone = false;
    void readDraft(key).then((draft) => {
      if (gone) return;
      const kept = schema.safeParse(draft);
      latest.current = kept.success ? kept.data : initial();
      setForm(latest.current);
    });
    return () => {
      gone = true;
    };
    // The draft is looked at once, when the test opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const change = useCallback(
    (part: Partial<Form>) => {
      if (latest.current === null) return;
      latest.current = { ...latest.current, ...part };
      setForm(latest.current);
      void keepDraft(key, latest.current).catch(() => undefined);
    },
    [key],
  );
  return { form, change };
}

/** What is wrong, by field; a field that is still empty is not marked. */
export function markedErrors(read: Result<unknown>, form: object): Partial<Record<string, string>> {
  if (read.ok) return {};
  const fields = form as Record<string, unknown>;
  return Object.fromEntries(read.problems.filter(({ path }) => fields[path] !== '').map(({ path, message }) => [path, message]));
}

'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type * as z from 'zod';
import { keepDraft, readDraft } from '@/data/drafts';

/** A form that is kept as typed. */
export interface KeptForm<Form> {
  /** Null while a kept one is looked for. */
  form: Form | null;
  change: (part: Partial<Form> | ((form: Form) => Partial<Form>)) => void;
}

/**
 * A form, kept as typed on every change, so that a reload loses nothing.
 * @param key under which it is kept; null while that is not known yet
 * @param schema what a kept form must look like; one that does not is passed over
 * @param initial the form as it first opens; it may turn down the kept one by its own measure
 */
export function useKeptForm<Form extends object>(
  key: string | null,
  schema: z.ZodType<Form>,
  initial: (kept: Form | null) => Form,
): KeptForm<Form> {
  const [form, setForm] = useState<Form | null>(null);
  const latest = useRef<Form | null>(null);
  useEffect(() => {
    if (key === null) return;
    let gone = false;
    void readDraft(key).then((draft) => {
      if (gone) return;
      const kept = schema.safeParse(draft);
      latest.current = initial(kept.success ? kept.data : null);
      setForm(latest.current);
    });
    return () => {
      gone = true;
    };
    // The draft is looked at once, when the form opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const change = useCallback(
    (part: Partial<Form> | ((form: Form) => Partial<Form>)) => {
      if (latest.current === null || key === null) return;
      latest.current = { ...latest.current, ...(typeof part === 'function' ? part(latest.current) : part) };
      setForm(latest.current);
      void keepDraft(key, latest.current).catch(() => undefined);
    },
    [key],
  );
  return { form, change };
}

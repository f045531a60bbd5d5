'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import * as z from 'zod';
import { followDraft, keepDraft, keepEarly, readDraft, setDraftAside } from '@/data/drafts';

/** A form that is kept as typed. */
export interface DraftForm<Form> {
  /** Null while a kept one is looked for. */
  form: Form | null;
  change: (part: Partial<Form> | ((form: Form) => Partial<Form>)) => void;
}

/**
 * A form, kept as typed on every change, so that a reload loses nothing. Take it for what is finished by a button; for
 * fields that go into a record by themselves, take `useTypedPart`. A field that another tab changes follows here.
 * @param key under which it is kept; null while that is not known yet
 * @param schema what a kept form must look like; one that does not is set aside
 * @param initial the form as it first opens; it may turn down the kept one by its own measure
 * @param join puts what was typed before the kept form was found onto it
 */
export function useDraft<Form extends object>(
  key: string | null,
  schema: z.ZodType<Form>,
  initial: (kept: Form | null) => Form,
  join: (opened: Form, early: Partial<Form>) => Form = (opened, early) => ({ ...opened, ...early }),
): DraftForm<Form> {
  const [form, setForm] = useState<Form | null>(null);
  const latestRef = useRef<Form | null>(null);
  const earlyRef = useRef<Partial<Form> | null>(null);
  useEffect(() => {
    if (key === null) return;
    let gone = false;
    latestRef.current = null;
    const show = (next: Form): void => {
      latestRef.current = next;
      setForm(next);
    };
    void readDraft(key)
      .catch(() => undefined)
      .then((draft) => {
        if (gone) return;
        const kept = schema.safeParse(draft);
        if (!kept.success && draft !== undefined) void setDraftAside(key, draft).catch(() => undefined);
        const opened = initial(kept.success ? kept.data : null);
        const early = earlyRef.current;
        show(early === null ? opened : join(opened, early));
        if (early !== null) void keepDraft(key, latestRef.current).catch(() => undefined);
        earlyRef.current = null;
      });
    const stop = followDraft(key, (values) => {
      const before = latestRef.current;
      if (gone || before === null) return;
      const followed = schema.safeParse({ ...before, ...(values as Partial<Form>) });
      if (followed.success && JSON.stringify(followed.data) !== JSON.stringify(before)) show(followed.data);
    });
    return () => {
      gone = true;
      stop();
    };
    // The draft is looked at once, when the form opens.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [key]);
  const change = useCallback(
    (part: Partial<Form> | ((form: Form) => Partial<Form>)) => {
      if (key === null) return;
      if (latestRef.current === null) {
        // Typed before the kept form was found: it goes on top of it.
        if (typeof part === 'function') return;
        earlyRef.current = { ...earlyRef.current, ...part };
        keepEarly(key, earlyRef.current);
        return;
      }
      const changed = typeof part === 'function' ? part(latestRef.current) : part;
      latestRef.current = { ...latestRef.current, ...changed };
      setForm(latestRef.current);
      void keepDraft(key, latestRef.current, changed).catch(() => undefined);
    },
    [key],
  );
  return { form, change };
}

/** A text alone; older benches kept it without a name. */
const textSchema = z.preprocess(
  (kept) => (typeof kept === 'string' ? { text: kept } : kept),
  z.object({ text: z.string() }),
) as z.ZodType<{ text: string }>;

/**
 * A draft that is one text.
 * @param key under which it is kept
 * @returns the text, and how to change it
 */
export function useDraftText(key: string): [string, (text: string) => void] {
  const [early, setEarly] = useState('');
  const { form, change } = useDraft(
    key,
    textSchema,
    (kept) => kept ?? { text: '' },
    // The first letters come before the kept text is found: they go behind it, and none is dropped.
    (opened, typed) => ({ text: opened.text + (typed.text ?? '') }),
  );
  const type = useCallback(
    (text: string) => {
      setEarly(text);
      change({ text });
    },
    [change],
  );
  return [form?.text ?? early, type];
}

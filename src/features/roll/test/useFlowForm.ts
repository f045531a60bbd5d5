'use client';

import type * as z from 'zod';
import type { Finding } from '@/core/evidence/evidenceRecord';
import type { Result } from '@/core/schema/result';
import { evidenceDraftKey } from '@/data/evidence';
import { useDraft, type DraftForm } from '@/features/drafts/useDraft';

/**
 * The form of a test, kept as typed on every change, so that a reload in the middle of a test loses nothing.
 * @param rollId the roll that is tested
 * @param kind which test
 * @param schema what a kept form must look like; one that does not is passed over
 * @param initial the form as it first opens
 */
export function useFlowForm<Form extends object>(
  rollId: string,
  kind: Finding['kind'],
  schema: z.ZodType<Form>,
  initial: () => Form,
): DraftForm<Form> {
  return useDraft(evidenceDraftKey(rollId, kind), schema, (kept) => kept ?? initial());
}

/** What is wrong, by field; a field that is still empty is not marked. */
export function markedErrors(read: Result<unknown>, form: object): Partial<Record<string, string>> {
  if (read.ok) return {};
  const fields = form as Record<string, unknown>;
  return Object.fromEntries(
    read.problems.filter(({ path }) => fields[path] !== '').map(({ path, message }) => [path, message]),
  );
}

import * as z from 'zod';
import { readingMethods } from '../estimate/evidenceSchema';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { findingSchema, type Finding } from './evidenceRecord';
import { typed } from '../schema/typed';

/** Base + fog of a piece of leader that was developed. */
export const fogFormSchema = z.object({ timeMin: typed, method: z.enum(readingMethods), baseFogD: typed });

export type FogForm = z.infer<typeof fogFormSchema>;

/** Reads a base + fog as a finding, or says what is wrong. */
export function readFogForm(form: FogForm): Result<Finding> {
  const read = findingSchema.safeParse({ kind: 'fog', ...form });
  return read.success ? success(read.data) : failure(...problemsFromZod(read.error.issues));
}

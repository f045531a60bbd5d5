import * as z from 'zod';
import { SCENE_STOPS, patchGradient } from '../densitometry/patchGradient';
import { readingMethods } from '../estimate/evidenceSchema';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { findingSchema, type Finding } from './evidenceRecord';
import { roundToPourable } from '../units/duration';
import { typed } from '../schema/typed';

/** A clip that was developed: for how long, and what it reads. */
export const clipFormSchema = z.object({
  timeMin: typed,
  method: z.enum(readingMethods),
  baseFogD: typed,
  shadowD: typed,
  highlightD: typed,
  stopsBetween: typed,
});

export type ClipForm = z.infer<typeof clipFormSchema>;

/** A clip test as it first opens. */
export function initialClipForm(timeMin: number): ClipForm {
  return {
    timeMin: roundToPourable(timeMin),
    method: 'eye',
    baseFogD: '',
    shadowD: '',
    highlightD: '',
    stopsBetween: SCENE_STOPS,
  };
}

/** Reads a clip as a finding, or says what is wrong. */
export function readClipForm(form: ClipForm): Result<Finding> {
  const read = findingSchema.safeParse({ kind: 'clip', ...form });
  if (!read.success) return failure(...problemsFromZod(read.error.issues));
  const { data } = read;
  if (data.kind !== 'clip') return success(data);
  const gradient = patchGradient(data.shadowD, data.highlightD, data.stopsBetween);
  if (!gradient.ok) return gradient;
  if (data.shadowD < data.baseFogD)
    return failure({
      path: 'shadowD',
      message:
        'The thin tone is thinner than base and fog, which no part of a negative can be. Exchange the two, or read them again.',
    });
  return success(data);
}

import * as z from 'zod';
import { defects, evennessGrades, fogGrades, shadowGrades } from './grades';

const ids = <T extends Record<string, unknown>>(table: T) =>
  Object.keys(table) as [keyof T & string, ...(keyof T & string)[]];

/** The judgement of the dried negatives. */
export const verdictValuesSchema = z.strictObject({
  contrast: z.number('Contrast: choose one of the five.').int().min(-2).max(2),
  fog: z.enum(ids(fogGrades), 'Fog between the frames: choose one of the four.'),
  shadows: z.enum(ids(shadowGrades), 'Shadows: choose one of the three.'),
  evenness: z.enum(ids(evennessGrades), 'Evenness: choose one of the three.'),
  defects: z.array(z.enum(ids(defects))),
  note: z.string().max(5000, 'The note can hold 5000 characters.'),
});

export type VerdictValues = z.infer<typeof verdictValuesSchema>;

import * as z from 'zod';
import type { SceneGreys } from '../densitometry/scene';
import { lightsFactor, type PaperKnown } from './gradeExposure';
import { predictedPrint } from './paperCurve';
import { gradeRanges } from './twoTones';

/** What a print is compared with: how far it may be off in exposure, stops, and in contrast, steps of the table of grades. Source: our choice. */
export const offStops = [-1, -0.5, 0, 0.5, 1] as const;
export const offGrades = [-2, -1, 0, 1, 2] as const;

/** What the eye said of a print: how much too much exposure it had, and how many grades too hard it is. */
export const judgedPrintSchema = z.strictObject({
  stops: z.number().min(-1).max(1),
  grades: z.number().int().min(-2).max(2),
});
export type JudgedPrint = z.infer<typeof judgedPrintSchema>;

/** What makes a print the one that was judged. */
interface Made {
  paper: string;
  grade: string;
  sideMm: number | string;
  fNumber: number | string;
  baseS: number | string;
  hardS?: number | string | undefined;
  areas: readonly { where: string; stops: number | string }[];
}

/**
 * Whether what the eye said of a print still holds of what it is to be: on other paper, or exposed in another way, it is another print.
 * @param made as it was judged
 * @param now as it is to be kept
 */
export function isStillJudged(made: Made, now: Made): boolean {
  const of = ({ paper, grade, sideMm, fNumber, baseS, hardS, areas }: Made): string =>
    JSON.stringify([
      [paper, grade].map((text) => text.trim()),
      [sideMm, fNumber, baseS, hardS === '' ? null : (hardS ?? null)],
      areas.map(({ where, stops }) => [where.trim(), stops]),
    ]);
  return of(made) === of(now);
}

/** The range of a grade in the table; that of grade 2 for one that is in none. */
function rangeAt(grade: string): { at: number; range: number } {
  const found = gradeRanges.findIndex((one) => one.grade === grade.trim());
  const at = found < 0 ? gradeRanges.findIndex((one) => one.grade === '2') : found;
  return { at, range: (gradeRanges[at] as (typeof gradeRanges)[number]).range };
}

/** A grade some steps harder than another; the table ends where it ends. */
function gradeBeside(grade: string, by: number): string {
  const at = Math.min(gradeRanges.length - 1, Math.max(0, rangeAt(grade).at + by));
  return (gradeRanges[at] as (typeof gradeRanges)[number]).grade;
}

/**
 * The scene as a print that is off would show it, beside one that is right.
 * @param grade the grade that it was made on
 * @param off how far it is off
 * @param middle where the paper's grey card lies in its range
 * @returns a grey for each tone. A print too hard is one on a paper whose range is shorter than the negative wants
 */
export function printLike(grade: string, off: JudgedPrint, middle?: number): SceneGreys {
  const { range } = rangeAt(grade);
  const wanted = rangeAt(gradeBeside(grade, -off.grades)).range;
  return predictedPrint(wanted, range, off.stops, undefined, middle);
}

/** What to do next. */
export interface NextPrint {
  baseS: number;
  /** The exposure through the hard filter; null where one filter does. */
  hardS: number | null;
  grade: string;
  /** Whether it is right as it is. */
  right: boolean;
}

/**
 * The next print, by what the eye said of this one.
 * @param made its exposure, s, and its grade
 * @param off how far it is off
 * @param paper what is known of its paper
 * @returns the exposure with the stops taken off, and the grade so many steps softer, with what the light tones want on it; a grade that
 * is in no table stays
 * @example nextPrint({ baseS: 20, grade: '3' }, { stops: 0.5, grades: 1 }, paper) // 11.5 s on grade 2, with the table's ranges
 */
export function nextPrint(
  made: { baseS: number; hardS?: number | undefined; grade: string },
  off: JudgedPrint,
  paper: PaperKnown,
): NextPrint {
  const known = gradeRanges.some((one) => one.grade === made.grade.trim());
  const grade = known ? gradeBeside(made.grade, -off.grades) : made.grade.trim();
  const factor = 2 ** -off.stops * (lightsFactor(made.grade, grade, paper)?.factor ?? 1);
  return {
    baseS: made.baseS * factor,
    hardS: made.hardS === undefined ? null : made.hardS * factor,
    grade,
    right: off.stops === 0 && off.grades === 0,
  };
}

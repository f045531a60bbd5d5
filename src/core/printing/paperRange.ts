import { Matrix } from 'ml-matrix';
import * as z from 'zod';
import { choleskyOf } from '../inference/choleskyOf';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import { plainName } from '../units/plainName';
import { text } from '../schema/fields';
import { within } from '../schema/within';
import { PLAIN_MIDDLE } from './paperCurve';
import { gradeRanges } from './twoTones';

/** Developers of paper that are told apart: what is bought, and coffee. */
export const paperDevelopers = { bought: 'a bought one', coffee: 'coffee' } as const;
export type PaperDeveloper = keyof typeof paperDevelopers;
export const paperDeveloperIds = Object.keys(paperDevelopers) as [PaperDeveloper, ...PaperDeveloper[]];
/** What most prints are made in, where nobody said. */
const USUAL_DEVELOPER: PaperDeveloper = 'bought';

/** What a strip without a negative told of a paper on its grade: hundredths of log exposure. */
export const ownRangeSchema = z.strictObject({
  range: within('Range of the paper', 20, 300),
  sd: within('Its spread', 0.5, 100),
  /** The grade and the developer that the strip had, where the print was made on another; those of the print when missing. */
  grade: text('Grade of the strip', 40).optional(),
  developer: z.enum(paperDeveloperIds).optional(),
  /** Where within it the paper was as grey as a grey card, as a share, and its spread; missing where nobody looked. */
  middle: z.strictObject({ share: z.number().min(0.05).max(0.95), sd: z.number().min(0.005).max(1) }).optional(),
});
export type OwnRange = z.infer<typeof ownRangeSchema>;

/**
 * How far papers lie from the table as a whole, how far a developer moves all grades of one, and how far each grade lies from that, ln.
 * Source: our estimate: together half a step between grades.
 */
const PAPER_LN_SD = 0.055;
const DEVELOPER_LN_SD = 0.035;
const GRADE_LN_SD = 0.055;

/** How well an eye finds the first grey and the full black, steps of the strip aside, hundredths. Source: our estimate. */
const EYE_SD = 5;

/**
 * The ISO range of a paper from a strip of its own, exposed without a negative.
 * @param greyS total exposure of the first patch that is told from bare paper, s
 * @param blackS total exposure of the first patch that is as black as the blackest, s; above greyS
 * @param stepStops stops from patch to patch
 * @param cardS total exposure of the patch that is as grey as a card of 18 %, s; left out where nobody looked
 * @returns null where black does not come after grey. Each end lies between its patch and the one before: an even chance over a step.
 * Source: ends by ISO 6846, from memory (0.04 above the paper, 0.9 of its black); variance of an even chance (textbook)
 * @example rangeOfStrip(2, 23, 1 / 2) // about 106
 */
export function rangeOfStrip(greyS: number, blackS: number, stepStops: number, cardS?: number): OwnRange | null {
  if (!(blackS > greyS) || !(greyS > 0)) return null;
  const step = 100 * LOG_EXPOSURE_PER_STOP * stepStops;
  const read = ownRangeSchema.safeParse({
    range: 100 * Math.log10(blackS / greyS),
    sd: Math.hypot(Math.SQRT2 * EYE_SD, step / Math.sqrt(6)),
    ...(cardS === undefined ? {} : { middle: middleOf(greyS, blackS, cardS, step) }),
  });
  return read.success ? read.data : null;
}

/** Where the card lies between both ends. It is the nearest patch, while each end lies before its own. */
function middleOf(greyS: number, blackS: number, cardS: number, step: number): { share: number; sd: number } {
  const range = 100 * Math.log10(blackS / greyS);
  return {
    share: (100 * Math.log10(cardS / greyS) + step / 2) / range,
    sd: Math.hypot(EYE_SD, step / Math.sqrt(12)) / range,
  };
}

/** How far papers lie from a plain S, as a share of the range. Source: our estimate. */
const MIDDLE_SD = 0.06;

/**
 * Where a paper is as grey as a grey card, over its strips.
 * @param measured strips of this paper
 * @returns a share of its range with its spread, and how many strips told it. Source: normal with a known spread (textbook)
 */
export function middleOfPaper(measured: readonly OwnRange[]): { share: number; sd: number; strips: number } {
  const told = measured.flatMap(({ middle }) => (middle === undefined ? [] : [middle]));
  const weight = told.reduce((sum, { sd }) => sum + sd ** -2, MIDDLE_SD ** -2);
  const mean = told.reduce((sum, { share, sd }) => sum + share * sd ** -2, PLAIN_MIDDLE * MIDDLE_SD ** -2) / weight;
  return { share: mean, sd: weight ** -0.5, strips: told.length };
}

/** What a strip told of a paper, on which grade and in what. */
export type StripOfPaper = OwnRange & { grade: string };

/** A grade of the table by its place, in a developer. */
interface Placed {
  at: number;
  bath: PaperDeveloper;
}

/** A grade of a paper: its range with its spread, hundredths of log exposure. */
export interface GradeOfPaper {
  grade: string;
  range: number;
  sd: number;
  /** Strips of this very grade that it was learned from. */
  strips: number;
}

/**
 * All grades of one paper, by the table and by its own strips: a grade that was measured is known best, and the others move with it.
 * @param measured strips of this paper with their grades and developers; those of a grade that the table has not are left out
 * @param developer what it is developed in; strips in another tell less of it
 * @returns every grade of the table. Source: linear Gaussian updating (textbook); spreads our estimate
 */
export function gradesOfPaper(
  measured: readonly StripOfPaper[],
  developer: PaperDeveloper = USUAL_DEVELOPER,
): GradeOfPaper[] {
  const told = measured.flatMap(({ grade, range, sd, developer: bath = USUAL_DEVELOPER }) => {
    const at = gradeRanges.findIndex((one) => one.grade === grade.trim());
    const table = gradeRanges[at];
    return table === undefined ? [] : [{ at, bath, off: Math.log(range / table.range), lnSd: sd / range }];
  });
  const prior = (a: Placed, b: Placed): number =>
    PAPER_LN_SD ** 2 + (a.bath === b.bath ? DEVELOPER_LN_SD ** 2 : 0) + (a.at === b.at ? GRADE_LN_SD ** 2 : 0);
  const between = new Matrix(told.map((a, i) => told.map((b, j) => prior(a, b) + (i === j ? a.lnSd ** 2 : 0))));
  const factor = told.length === 0 ? null : choleskyOf(between);
  const weights = factor?.solve(Matrix.columnVector(told.map(({ off }) => off))).to1DArray() ?? [];
  return gradeRanges.map(({ grade, range }, at) => {
    const own = { at, bath: developer };
    const shared = told.map((one) => prior(own, one));
    const moved = shared.reduce((sum, value, index) => sum + value * (weights[index] as number), 0);
    const taken =
      factor === null
        ? 0
        : Matrix.rowVector(shared)
            .mmul(factor.solve(Matrix.columnVector(shared)))
            .get(0, 0);
    const here = range * Math.exp(moved);
    return {
      grade,
      range: here,
      sd: here * Math.sqrt(prior(own, own) - taken),
      strips: told.filter((one) => one.at === at && one.bath === developer).length,
    };
  });
}

/**
 * What strips said of a paper, over all of its prints.
 * @param prints prints, with the paper and grade that they were made on
 * @param paper its name as typed; case and spaces around it do not count
 */
export function stripsOfPaper(
  prints: readonly {
    paper: string;
    grade: string;
    developer?: PaperDeveloper | undefined;
    ownRange?: OwnRange | undefined;
  }[],
  paper: string,
): StripOfPaper[] {
  return prints.flatMap(({ paper: own, grade, developer, ownRange }) => {
    if (ownRange === undefined || plainName(own) !== plainName(paper)) return [];
    const bath = ownRange.developer ?? developer;
    return [
      { ...ownRange, grade: (ownRange.grade ?? grade).trim(), ...(bath === undefined ? {} : { developer: bath }) },
    ];
  });
}

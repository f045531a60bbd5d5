import * as z from 'zod';
import { Z80 } from '../estimate/band';
import { Cholesky } from '../inference/cholesky';
import { text } from '../schema/fields';
import { within } from '../schema/within';
import { plainName } from '../units/plainName';
import { gradeRanges } from './twoTones';

/** How much longer one grade or filter took than another, by one grey that both printed. */
export const gradeStepSchema = z.strictObject({
  from: text('Grade before', 40),
  to: text('Grade after', 40),
  factor: within('How much longer', 0.02, 50),
});
export type GradeStep = z.infer<typeof gradeStepSchema>;

/** Filters from 4 on take twice the light of the softer ones, and they are no fixed papers. Source: common practice, no source. */
const HARD_FROM = 4;
const HARD_FACTOR = 2;
/** How far makers, lamps and papers lie from that, ln. Source: our estimate. */
const USUAL_LN_SD = 0.3;
/** How well an eye matches one grey on two grades, ln: a fifth of a stop. Source: our estimate. */
const MATCH_LN_SD = 0.14;

/** What another grade costs in time. */
export interface GradeCost {
  factor: number;
  low: number;
  high: number;
  /** Comparisons of this paper that it rests on. */
  compared: number;
}

const known = (grade: string): boolean => gradeRanges.some((one) => one.grade === grade);

/**
 * The factor on the exposure from one grade or filter to another: what is usual, moved by one’s own comparisons, which chain.
 * @param steps comparisons of this paper
 * @param from grade of the exposure that is known
 * @param to the other grade
 * @returns the factor with its band; null where a grade is in no table and in no comparison. Source: usual factors are common practice;
 * linear Gaussian updating (textbook)
 * @example gradeCost([], '2', '4').factor // 2
 */
export function gradeCost(steps: readonly GradeStep[], from: string, to: string): GradeCost | null {
  const [before, after] = [from.trim(), to.trim()];
  const told = steps.filter((step) => step.from.trim() !== step.to.trim());
  const grades = [...new Set([before, after, ...told.flatMap((step) => [step.from.trim(), step.to.trim()])])];
  if (before === '' || after === '') return null;
  const size = grades.length;
  const normal = new Float64Array(size * size);
  const right = new Float64Array(size);
  grades.forEach((grade, at) => {
    // A filter that no table has may cost anything.
    const weight = known(grade) ? USUAL_LN_SD ** -2 : UNKNOWN_LN_SD ** -2;
    normal[at * size + at] = weight;
    right[at] = weight * usualLn(grade);
  });
  const add = (at: number, value: number): void => {
    normal[at] = (normal[at] as number) + value;
  };
  for (const { from: a, to: b, factor } of told) {
    const [i, j] = [grades.indexOf(a.trim()), grades.indexOf(b.trim())];
    const weight = MATCH_LN_SD ** -2;
    add(i * size + i, weight);
    add(j * size + j, weight);
    add(i * size + j, -weight);
    add(j * size + i, -weight);
    right[i] = (right[i] as number) - weight * Math.log(factor);
    right[j] = (right[j] as number) + weight * Math.log(factor);
  }
  const solved = new Cholesky(normal, size);
  const mean = solved.solve(right);
  const [i, j] = [grades.indexOf(before), grades.indexOf(after)];
  const difference = new Float64Array(size);
  if (i !== j) [difference[i], difference[j]] = [-1, 1];
  const spread = solved.solve(difference);
  const lnSd = i === j ? 0 : Math.sqrt((spread[j] as number) - (spread[i] as number));
  if (lnSd > MOST_LN_SD) return null;
  const ln = (mean[j] as number) - (mean[i] as number);
  return {
    factor: Math.exp(ln),
    low: Math.exp(ln - Z80 * lnSd),
    high: Math.exp(ln + Z80 * lnSd),
    compared: told.length,
  };
}

/** A filter without a table, and a spread with which a factor is no answer. Source: our choice. */
const UNKNOWN_LN_SD = 3;
const MOST_LN_SD = 1;

function usualLn(grade: string): number {
  const number = Number(grade);
  return known(grade) && grade !== '00' && number >= HARD_FROM ? Math.log(HARD_FACTOR) : 0;
}

/**
 * The comparisons of one paper, over all of its prints.
 * @param prints prints with what was compared at each
 * @param paper its name; case and spaces around it do not count
 */
export function stepsOfPaper(
  prints: readonly { paper: string; gradeStep?: GradeStep | null | undefined }[],
  paper: string,
): GradeStep[] {
  return prints.flatMap(({ paper: own, gradeStep }) =>
    gradeStep != null && plainName(own) === plainName(paper) ? [gradeStep] : [],
  );
}

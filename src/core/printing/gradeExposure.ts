import { Z80 } from '../estimate/band';
import { gradeCost, type GradeStep } from './gradeCost';
import type { GradeOfPaper } from './paperRange';
import type { TwoTones } from './twoTones';

/** What is known of a paper: its grades, what was compared on it, and where it is as grey as a grey card. */
export interface PaperKnown {
  grades: readonly GradeOfPaper[];
  steps: readonly GradeStep[];
  /** As a share of the range: see `paperDensity`. */
  middle: number;
}

/** A factor on the exposure, with its band. */
export interface LightsFactor {
  factor: number;
  low: number;
  high: number;
  /** Comparisons of this paper that it rests on. */
  compared: number;
}

/**
 * The factor on the exposure that keeps the lightest tones right on another grade. What a grade costs is told by one grey, which stays;
 * a harder grade reaches from that grey less far into the lights, so they want more.
 * @param from the grade on which they are right
 * @param to the other one
 * @returns null where either is in no table, or nothing is known of what it costs. Source: H_light = H_grey − m·R, R the ISO range and m where the
 * grey lies in it (definition); what the grey costs by `gradeCost`
 * @example lightsFactor('2', '3', paper)?.factor // 1.23 with the table's ranges: a third of a stop
 */
export function lightsFactor(from: string, to: string, { grades, steps, middle }: PaperKnown): LightsFactor | null {
  const [before, after] = [from, to].map((grade) => grades.find((one) => one.grade === grade.trim()));
  if (before === undefined || after === undefined) return null;
  if (before === after) return { factor: 1, low: 1, high: 1, compared: 0 };
  const cost = gradeCost(steps, from, to);
  if (cost === null) return null;
  const ln = (hundredths: number): number => (Math.LN10 * hundredths) / 100;
  const mean = Math.log(cost.factor) + ln(middle * (before.range - after.range));
  const half = Math.hypot(Math.log(cost.high / cost.factor), Z80 * ln(middle * Math.hypot(before.sd, after.sd)));
  return {
    factor: Math.exp(mean),
    low: Math.exp(mean - half),
    high: Math.exp(mean + half),
    compared: cost.compared,
  };
}

/** An exposure on a grade. */
export interface GradeExposure {
  seconds: number;
  lowS: number;
  highS: number;
  compared: number;
}

/**
 * The exposure of the grade that two tones asked for.
 * @param tones what the strip said
 * @param own the grade that the strip was made on
 * @returns null where nobody can say: then a strip on that grade
 */
export function exposureOnGrade(tones: TwoTones, own: string, paper: PaperKnown): GradeExposure | null {
  const found = lightsFactor(own, tones.grade, paper);
  if (found === null) return null;
  const half = Math.hypot(Math.log(tones.highS / tones.seconds), Math.log(found.high / found.factor));
  const seconds = tones.seconds * found.factor;
  return {
    seconds,
    lowS: seconds * Math.exp(-half),
    highS: seconds * Math.exp(half),
    compared: found.compared,
  };
}

import { bisect } from '../inference/bisection';
import { normalQuantile } from '../inference/normalQuantile';
import { LN_GRADIENT_PER_GRADE } from './grades';
import { outlookGradient, type TankOutlook } from './tankOutlook';

/** The time that a film would have needed, by its verdict. */
export interface NeededTime {
  timeMin: number;
  /** As short and as long as the grade allows: it is told to half a grade. */
  lowMin: number;
  highMin: number;
}

/** Half the step of a verdict, grades. */
const HALF_GRADE = 0.5;

/** Longest time that a curve is followed to, as a multiple of its last sample. */
const MOST_FACTOR = 3;

/**
 * The time that would have given the wanted contrast, from how the film came out.
 * @param developedMin how long it developed, min at the planned conditions; above 0
 * @param contrast the verdict's grade, −2 to 2
 * @param outlook the predicted curve, as it was pinned
 * @returns null where the curve does not reach the wanted gradient
 * Source: a film that is quicker or slower than expected runs along the same curve in another time; a grade is a factor of e^0.18 of
 * gradient (our estimate, as for verdicts).
 * @example neededTime(12, 0, outlook) // 12 where the curve passes its target at 12 min
 */
export function neededTime(developedMin: number, contrast: number, outlook: TankOutlook): NeededTime | null {
  const { curve, targetGradient } = outlook;
  const wanted = timeOf(curve, targetGradient);
  const at = (grade: number): number | null => {
    const reached = timeOf(curve, targetGradient * Math.exp(LN_GRADIENT_PER_GRADE * grade));
    return wanted === null || reached === null || reached <= 0 ? null : (wanted * developedMin) / reached;
  };
  const timeMin = at(contrast);
  if (timeMin === null || wanted === null) return null;
  const longest = (wanted * MOST_FACTOR * developedMin) / wanted;
  return { timeMin, lowMin: at(contrast + HALF_GRADE) ?? timeMin, highMin: at(contrast - HALF_GRADE) ?? longest };
}

/** Time at which a rising curve first has a gradient; null where it never does. */
function timeOf(curve: TankOutlook['curve'], gradient: number): number | null {
  const next = curve.findIndex(({ net }) => net >= gradient);
  if (next < 0) return null;
  const [low, high] = [curve[next - 1]?.timeMin ?? 0, curve[next]?.timeMin ?? 0];
  return bisect((timeMin) => outlookGradient(curve, timeMin), gradient, low, high);
}

/** A run whose needed time is known, and the band that was promised for it. */
export interface HeldRun {
  neededMin: number;
  lowMin: number;
  highMin: number;
  /** How much wider than the model's own the band was drawn; missing for 1. */
  widening?: number;
}

/** How a bench's bands held. */
export interface BandsHeld {
  runs: number;
  inside: number;
  /** Whether so few would be unlikely if the bands were right: less than once in twenty. */
  tooFew: boolean;
  /** How much wider bands are drawn from now on: 1 while they hold. */
  widening: number;
}

/** Last runs that are looked at. Source: our choice. */
export const LAST_RUNS = 10;

/** Share of runs that a band is meant to hold. */
const COVERAGE = 0.8;

/** Chance below which it is told. Source: common practice in statistics. */
const UNLIKELY = 0.05;

/**
 * How many of the needed times lay in their bands, and how much wider bands have to be.
 * @param runs needed time and band of each run, min; the last `LAST_RUNS` of a bench
 * @returns counts, whether they are too few for chance, and the widening that follows
 * Source: binomial distribution.
 */
export function bandsHeld(runs: readonly HeldRun[]): BandsHeld {
  const inside = runs.filter(isInside).length;
  const isTooFew = (count: number): boolean => atMost(count, runs.length, COVERAGE) < UNLIKELY;
  // Bands that were drawn wider already hold again: what the model promised by itself decides whether they stay so.
  const own = runs.map(ownBand);
  const widening = isTooFew(own.filter(isInside).length) ? wideningOf(own) : 1;
  return { runs: runs.length, inside, tooFew: isTooFew(inside), widening };
}

/** The band as the model gave it. */
function ownBand({ neededMin, lowMin, highMin, widening = 1 }: HeldRun): HeldRun {
  const middle = Math.sqrt(lowMin * highMin);
  const half = Math.log(highMin / middle) / widening;
  return { neededMin, lowMin: middle * Math.exp(-half), highMin: middle * Math.exp(half) };
}

/** Runs that the model's own spread counts as, before the bench's are added. Source: our choice. */
const PRIOR_RUNS = 8;

/** A miss counts as this many standard deviations at the most: one wild run is no reason to distrust all bands. Source: our choice. */
const FARTHEST_SD = 3;

/** Bands are never drawn more than twice as wide. Source: our choice. */
const WIDEST = 2;

/** By how much the misses were larger than the bands promised: the root of a scaled variance, drawn towards one. */
function wideningOf(runs: readonly HeldRun[]): number {
  const squares = runs.reduce((sum, { neededMin, lowMin, highMin }) => {
    const sd = Math.log(highMin / lowMin) / (2 * normalQuantile((1 + COVERAGE) / 2));
    const miss = sd > 0 ? Math.log(neededMin / Math.sqrt(lowMin * highMin)) / sd : 0;
    return sum + Math.min(Math.abs(miss), FARTHEST_SD) ** 2;
  }, 0);
  return Math.min(WIDEST, Math.max(1, Math.sqrt((PRIOR_RUNS + squares) / (PRIOR_RUNS + runs.length))));
}

/** Whether a needed time lay in its band, min. */
export function isInside(run: HeldRun): boolean {
  return run.neededMin >= run.lowMin && run.neededMin <= run.highMin;
}

/** Chance of at most so many of n, each with the share. */
function atMost(count: number, n: number, share: number): number {
  let term = (1 - share) ** n;
  let sum = term;
  for (let k = 1; k <= count; k++) {
    term *= ((n - k + 1) / k) * (share / (1 - share));
    sum += term;
  }
  return n === 0 ? 1 : sum;
}

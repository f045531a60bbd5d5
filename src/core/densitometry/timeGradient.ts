import { normalPoints, sampleQuantile } from '../inference/quasiRandom';
import { bisect } from '../inference/bisection';
import { averageGradient } from '../kinetics/averageGradient';
import { developmentTime, REACHABLE_SHARE } from '../kinetics/developmentTime';
import { failure, success, type Result } from '../schema/result';

/** A gradient that was measured after a time. */
export interface TimedGradient {
  timeMin: number;
  gradient: number;
}

/** How a film gains contrast with time, from two strips. */
export interface TimeGradient {
  /** Largest average gradient. */
  largest: number;
  /** Rate, 1/min. */
  ratePerMin: number;
  gradientAt: (timeMin: number) => number;
  /** Time for a gradient, min; null where it is out of reach. */
  timeFor: (gradient: number) => number | null;
}

/**
 * The time–gradient curve through two strips.
 * @param first one strip
 * @param second another, developed for at least a tenth longer or shorter
 * @param inductionShare time before anything shows, as a share of the shorter time; 0 to 0.5
 * @returns the curve; a problem where two strips do not tell it (the longer one is not harder, or contrast still grows in proportion)
 * Source: Ḡ = G∞(1 − exp(−k(t − t0))), Sheppard and Mees 1907; solved for the ratio of the two gradients.
 * @example timeGradient({ timeMin: 6, gradient: 0.45 }, { timeMin: 12, gradient: 0.7 }, 0.06)
 */
export function timeGradient(
  first: TimedGradient,
  second: TimedGradient,
  inductionShare: number,
): Result<TimeGradient> {
  const [short, long] = first.timeMin <= second.timeMin ? [first, second] : [second, first];
  if (!(long.timeMin >= 1.1 * short.timeMin))
    return failure({ path: 'timeMin', message: 'Two strips tell a curve when their times differ by a tenth or more.' });
  if (!(short.gradient > 0) || !(long.gradient > short.gradient * 1.005))
    return failure({
      path: 'gradient',
      message:
        'The longer strip is not harder than the shorter one: contrast has levelled off, or one of the two misleads.',
    });
  const induction = inductionShare * short.timeMin;
  const [a, b] = [short.timeMin - induction, long.timeMin - induction];
  const ratio = long.gradient / short.gradient;
  // The ratio of (1 − e^(−k b)) to (1 − e^(−k a)) falls from b/a at k = 0 to 1.
  if (ratio >= (b / a) * 0.999)
    return failure({
      path: 'gradient',
      message:
        'Contrast still grows in proportion to time between the two: where it levels off cannot be told. Take a longer strip.',
    });
  const ratePerMin = bisect((k) => -Math.expm1(-k * b) / Math.expm1(-k * a), -ratio, 1e-6, 50 / a);
  const largest = short.gradient / -Math.expm1(-ratePerMin * a);
  return success({
    largest,
    ratePerMin,
    gradientAt: (timeMin) => averageGradient(timeMin, largest, ratePerMin, induction),
    timeFor: (gradient) =>
      gradient >= REACHABLE_SHARE * largest ? null : developmentTime(gradient, largest, ratePerMin, induction),
  });
}

/** A range that holds four of five. */
export interface LikelyRange {
  low: number;
  high: number;
}

/** Draws for a range, and the share of them that must tell one. Source: our choice. */
const DRAWS = 256;
const LEAST_SHARE = 0.7;

/**
 * How sure two strips are of where contrast levels off, and of a time.
 * @param first one strip, with the spread of ln(gradient) that it has for itself
 * @param second another
 * @param sharedLnSd spread of ln(gradient) that both share: one camera
 * @param inductionShare as for `timeGradient`
 * @param wanted gradient whose time is asked for; null for none
 * @returns ranges that hold four of five; null where too many draws tell none
 * Source: `timeGradient` on draws (Monte Carlo, JCGM 101:2008).
 */
export function timeGradientRanges(
  first: TimedGradient & { ownLnSd: number },
  second: TimedGradient & { ownLnSd: number },
  sharedLnSd: number,
  inductionShare: number,
  wanted: number | null,
): { largest: LikelyRange | null; timeMin: LikelyRange | null } {
  const curves = normalPoints(3, DRAWS).flatMap(([a = 0, b = 0, shared = 0]) => {
    const moved = (one: TimedGradient & { ownLnSd: number }, own: number): TimedGradient => ({
      timeMin: one.timeMin,
      gradient: one.gradient * Math.exp(own * one.ownLnSd + shared * sharedLnSd),
    });
    const curve = timeGradient(moved(first, a), moved(second, b), inductionShare);
    return curve.ok ? [curve.value] : [];
  });
  const times = wanted === null ? [] : curves.flatMap((curve) => curve.timeFor(wanted) ?? []);
  return { largest: rangeOf(curves.map(({ largest }) => largest)), timeMin: rangeOf(times) };
}

function rangeOf(values: readonly number[]): LikelyRange | null {
  if (values.length < LEAST_SHARE * DRAWS) return null;
  const sorted = Float64Array.from(values).sort();
  return { low: sampleQuantile(sorted, 0.1), high: sampleQuantile(sorted, 0.9) };
}

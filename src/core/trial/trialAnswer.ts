import type { MeasureId } from './measures';
import { fitMixed } from './mixedModel';
import { holm, pairedPermutationP } from './permutation';
import { tQuantile, twoSidedP } from './studentT';

/** One strip that was read. */
export interface ReadStrip {
  level: number;
  block: number;
  value: number;
}

/** What is told of a level beside the one that all are held against. */
export type Told = 'different' | 'alike' | 'open';

/** A level beside the control. */
export interface Comparison {
  level: number;
  /** Its strips less those of the control. */
  difference: number;
  /** Ends of the interval that holds the difference 19 times in 20. */
  low: number;
  high: number;
  /** Chance of so much by accident, of this comparison alone, by the model. */
  p: number;
  /** The same as large as it has to be with all comparisons of the measure. */
  pHolm: number;
  /** By exchanging labels within rolls; null where no roll has both. */
  pPermutation: number | null;
  told: Told;
  /** Half the width of the interval with one more strip of each level. */
  nextHalf: number;
}

/** What a trial says of one measure. */
export interface TrialAnswer {
  measureId: MeasureId;
  /** Mean of each level; null for one without strips. */
  means: (number | null)[];
  /** Scatter from strip to strip, and from roll to roll, as found. */
  stripSd: number;
  blockSd: number;
  comparisons: Comparison[];
}

/** Chance of a false alarm that is put up with. */
const ALARM = 0.05;

/**
 * What the strips of a trial say of one measure.
 * @param measureId which
 * @param strips those that were read; two levels and three strips at the least
 * @param levels number of levels
 * @param control the level that the others are held against
 * @param margin smallest difference that matters, above 0
 * @returns null while too few strips were read to tell anything. Source: published: restricted likelihood (Biometrika 58, 1971, 545),
 * several comparisons (Holm 1979), two one-sided tests (Schuirmann 1987)
 */
export function trialAnswer(
  measureId: MeasureId,
  strips: readonly ReadStrip[],
  levels: number,
  control: number,
  margin: number,
): TrialAnswer | null {
  const present = Array.from({ length: levels }, (_, level) => level).filter((level) =>
    strips.some((strip) => strip.level === level),
  );
  if (!present.includes(control) || present.length < 2 || strips.length <= present.length) return null;
  const others = present.filter((level) => level !== control);
  const fit = fitMixed(
    strips.map(({ value }) => value),
    strips.map(({ level }) => [1, ...others.map((other) => (other === level ? 1 : 0))]),
    strips.map(({ block }) => block),
  );
  const wide = tQuantile(ALARM, fit.df);
  const narrow = tQuantile(2 * ALARM, fit.df);
  const raw = others.map((level, at) => {
    const difference = fit.beta[at + 1] ?? 0;
    const se = Math.sqrt(fit.covariance[at + 1]?.[at + 1] ?? 0);
    const pairs = pairsOf(strips, level, control);
    return {
      level,
      difference,
      se,
      low: difference - wide * se,
      high: difference + wide * se,
      p: twoSidedP(difference / se, fit.df),
      pPermutation: pairs.length === 0 ? null : pairedPermutationP(pairs),
      // Two one-sided tests at once: the interval of nine in ten lies within the margin.
      alike: Math.abs(difference) + narrow * se < margin,
    };
  });
  const adjusted = holm(raw.map(({ p }) => p));
  return {
    measureId,
    means: Array.from({ length: levels }, (_, level) => meanOf(strips.filter((strip) => strip.level === level))),
    stripSd: Math.sqrt(fit.residualVariance),
    blockSd: Math.sqrt(fit.blockVariance),
    comparisons: raw.map(({ se: _se, alike, ...rest }, index) => {
      const pHolm = adjusted[index] ?? 1;
      // A difference that is there and does not matter is alike all the same.
      const repeats = strips.length / present.length;
      const nextHalf = ((rest.high - rest.low) / 2) * Math.sqrt(repeats / (repeats + 1));
      return { ...rest, nextHalf, pHolm, told: alike ? 'alike' : pHolm < ALARM ? 'different' : 'open' };
    }),
  };
}

/** Differences of two levels, one for each block that has both. */
function pairsOf(strips: readonly ReadStrip[], level: number, control: number): number[] {
  return [...new Set(strips.map(({ block }) => block))].flatMap((block) => {
    const of = (wanted: number) => meanOf(strips.filter((strip) => strip.block === block && strip.level === wanted));
    const [one, other] = [of(level), of(control)];
    return one === null || other === null ? [] : [one - other];
  });
}

function meanOf(strips: readonly ReadStrip[]): number | null {
  return strips.length === 0 ? null : strips.reduce((sum, { value }) => sum + value, 0) / strips.length;
}

import type { MeasureId } from './measures';
import { fitMixed } from './mixedModel';
import { holm, pairedPermutationP } from './permutation';
import { tQuantile, twoSidedP } from './studentT';

/** One strip that was read. */
export interface ReadStrip {
  level: number;
  block: number;
  /** The day of its block; missing where all are of one. */
  day?: number;
  value: number;
  /** The camera by whose stretch the value may be off, ln sd; missing where none is, or where it is stretched by none. */
  camera?: { key: string; lnSd: number };
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
  /** About how many more strips of each level would tell it; 0 where it is told, null where no number of strips would. */
  moreToTell: number | null;
}

/** What a trial says of one measure. */
export interface TrialAnswer {
  measureId: MeasureId;
  /** Mean of each level; null for one without strips. */
  means: (number | null)[];
  /** Scatter from strip to strip, and from roll to roll of one day, as found. */
  stripSd: number;
  blockSd: number;
  /** From day to day; null where all are of one, or each row has its own. */
  daySd: number | null;
  /** How far the camera that read them stretches what it reads, ln sd, in the intervals; 0 where none does. */
  stretchLnSd: number;
  comparisons: Comparison[];
}

/** Chance of a false alarm that is put up with. */
const ALARM = 0.05;
/** Degrees of freedom of what is stated and not found from the strips: as many as make no difference. */
const KNOWN_DF = 1e6;

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
    strips.map(({ day = 0 }) => day),
  );
  const days = new Set(strips.map(({ day = 0 }) => day)).size;
  const raw = others.map((level, at) => {
    const difference = fit.beta[at + 1] as number;
    const stretch = stretchOf(strips, fit.weights[at + 1] as number[]);
    const se = Math.hypot(Math.sqrt((fit.covariance[at + 1] as number[])[at + 1] as number), stretch.apartSd);
    const within = (chance: number): [number, number] =>
      stretchedEnds(difference, tQuantile(chance, fit.df) * se, tQuantile(chance, KNOWN_DF) * stretch.togetherLnSd);
    const pairs = pairsOf(strips, level, control);
    const [low, high] = within(ALARM);
    return {
      level,
      difference,
      low,
      high,
      half: tQuantile(ALARM, fit.df) * se,
      lnHalf: tQuantile(ALARM, KNOWN_DF) * stretch.togetherLnSd,
      p: twoSidedP(difference / se, fit.df),
      pPermutation: pairs.length === 0 ? null : pairedPermutationP(pairs),
      // Two one-sided tests at once: the interval of nine in ten lies within the margin.
      alike: within(2 * ALARM).every((end) => Math.abs(end) < margin),
    };
  });
  const adjusted = holm(raw.map(({ p }) => p));
  return {
    measureId,
    stretchLnSd: Math.max(0, ...strips.map(({ camera }) => camera?.lnSd ?? 0)),
    means: Array.from({ length: levels }, (_, level) => meanOf(strips.filter((strip) => strip.level === level))),
    stripSd: Math.sqrt(fit.residualVariance),
    blockSd: Math.sqrt(fit.blockVariance),
    daySd: days > 1 && days < new Set(strips.map(({ block }) => block)).size ? Math.sqrt(fit.dayVariance) : null,
    comparisons: raw.map(({ alike, half, lnHalf, ...rest }, index) => {
      const pHolm = adjusted[index] ?? 1;
      // A difference that is there and does not matter is alike all the same.
      const repeats = strips.length / present.length;
      // More strips narrow the scatter, and no camera.
      const nextHalf = Math.hypot(half * Math.sqrt(repeats / (repeats + 1)), lnHalf * rest.difference);
      const told: Told = alike ? 'alike' : pHolm < ALARM ? 'different' : 'open';
      return {
        ...rest,
        nextHalf,
        pHolm,
        told,
        moreToTell: told === 'open' ? moreStrips(half, repeats, margin, lnHalf * rest.difference) : 0,
      };
    }),
  };
}

/**
 * Strips of each level that are missing until the interval is no wider than what matters: then it is alike, or different.
 * @param half half the width of the interval now, without what a camera leaves open
 * @param repeats strips of each level now
 * @param margin smallest difference that matters
 * @param fixedHalf what no strip narrows
 * @returns 1 or more; null where no number would do. Source: the width falls with the root of the number (textbook)
 */
function moreStrips(half: number, repeats: number, margin: number, fixedHalf: number): number | null {
  const left = margin ** 2 - fixedHalf ** 2;
  return left <= 0 ? null : Math.max(1, Math.ceil(repeats * (half ** 2 / left - 1)));
}

/**
 * What cameras leave open of a difference. One that read every strip stretches the difference as it stretches each gradient: it can make
 * it larger or smaller, and never turn it round. Where some strips were read otherwise, its stretch is a difference of its own.
 * @param strips as they were read
 * @param weights how much of each strip stands in the difference
 * @returns the stretch of one camera for all, ln sd; and what several add, in the unit of the measure. One of them is 0
 */
function stretchOf(
  strips: readonly ReadStrip[],
  weights: readonly number[],
): { togetherLnSd: number; apartSd: number } {
  const cameras = new Map<string, { lnSd: number; part: number; strips: number }>();
  strips.forEach(({ value, camera }, at) => {
    if (camera === undefined) return;
    const so = cameras.get(camera.key) ?? { lnSd: 0, part: 0, strips: 0 };
    cameras.set(camera.key, {
      lnSd: Math.max(so.lnSd, camera.lnSd),
      part: so.part + value * (weights[at] as number),
      strips: so.strips + 1,
    });
  });
  const all = [...cameras.values()];
  const [only] = all;
  if (only !== undefined && only.strips === strips.length) return { togetherLnSd: only.lnSd, apartSd: 0 };
  return { togetherLnSd: 0, apartSd: Math.hypot(0, ...all.map(({ lnSd, part }) => lnSd * part)) };
}

/**
 * Ends of a difference that is good to ± half, and that a camera stretched by a factor good to lnHalf. Zero stays on its side: a
 * stretched difference keeps its sign.
 */
function stretchedEnds(difference: number, half: number, lnHalf: number): [number, number] {
  const end = (plain: number): number => {
    const ratio = plain / difference;
    return difference !== 0 && ratio > 0
      ? difference * Math.exp(Math.sign(ratio - 1) * Math.hypot(Math.log(ratio), lnHalf))
      : plain * Math.hypot(1, lnHalf);
  };
  return [end(difference - half), end(difference + half)];
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

/** Two fixers that cleared scraps of one film. */
export interface FixersCompared {
  /** The one that clears sooner, by its place; null where both are alike within what a hand sees. */
  sooner: 0 | 1 | null;
  /** How many times as long the slower one takes. */
  ratio: number;
  /** How long to fix in each, s. */
  fixS: readonly [number, number];
}

/** Two clearing times closer than this are alike: a scrap is seen to clear within about a tenth. Source: our estimate. */
const ALIKE_RATIO = 1.15;

/** Fixing lasts this many times as long as clearing. Source: common practice, no source. */
const FIX_BY_CLEARING = 2;

/**
 * Two fixers held against each other, by scraps of one film at one temperature.
 * @param seconds clearing time in each, s; above 0
 * @returns which clears sooner and how long to fix in each. Source: fixing for twice the clearing time is common practice, no source.
 * @example compareFixers([30, 45]) // the first, 1.5 times; 60 s and 90 s
 */
export function compareFixers(seconds: readonly [number, number]): FixersCompared {
  const [first, second] = seconds;
  const ratio = Math.max(first, second) / Math.min(first, second);
  return {
    sooner: ratio < ALIKE_RATIO ? null : first < second ? 0 : 1,
    ratio,
    fixS: [first * FIX_BY_CLEARING, second * FIX_BY_CLEARING],
  };
}

import * as z from 'zod';

/** Longest time that a strip is watched, s. */
const LONGEST_S = 3600;
const seconds = z
  .number('Time of a strip: give seconds.')
  .min(0.5, 'Time of a strip: give half a second or more.')
  .max(LONGEST_S, 'Time of a strip: give an hour or less.');

/** Two strips of the same leader, each timed until it is as dark as the reference. */
export const stripPairSchema = z.strictObject({ brewS: seconds, knownS: seconds });

export type StripPair = z.infer<typeof stripPairSchema>;

/**
 * Rate of a brew against a known developer, from pairs of strips.
 * @param pairs times until equal darkness, s; at least one pair
 * @returns the geometric mean of known ÷ brew, and the standard deviation of its ln from the repeats; 0 for a single pair
 * Source: ratio of times is the inverse ratio of rates; standard error of a mean (textbook).
 * @example dropRatio([{ brewS: 90, knownS: 45 }]) // { rateRatio: 0.5, lnSd: 0 }
 */
export function dropRatio(pairs: readonly StripPair[]): { rateRatio: number; lnSd: number } {
  const logs = pairs.map(({ brewS, knownS }) => Math.log(knownS / brewS));
  const mean = logs.reduce((sum, value) => sum + value, 0) / logs.length;
  const variance = logs.length < 2 ? 0 : logs.reduce((sum, value) => sum + (value - mean) ** 2, 0) / (logs.length - 1);
  return { rateRatio: Math.exp(mean), lnSd: Math.sqrt(variance / logs.length) };
}

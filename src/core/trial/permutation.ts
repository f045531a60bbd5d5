import { seededEven } from '../kit/seededNoise';

/** Rearrangements that are counted one by one; beyond it a part is drawn. */
const MOST_COUNTED = 4096;
const DRAWN = 4096;

/**
 * Chance that labels put on at random, within each block, would set two kinds as far apart as they were found.
 * @param pairs differences of the two kinds, one for each block that has both
 * @param seed which draws, where there are too many to count
 * @returns 1 where there is nothing to exchange. Source: published, Fisher 1935 (exchange of signs within pairs)
 * @example pairedPermutationP([1, 2, 3]) // 0.25: two of the eight ways of signing them are as far out
 */
export function pairedPermutationP(pairs: readonly number[], seed = 1): number {
  const told = pairs.filter((difference) => difference !== 0);
  if (told.length === 0) return 1;
  const found = Math.abs(told.reduce((sum, difference) => sum + difference, 0)) - 1e-12;
  const sumOf = (negative: (index: number) => boolean): number =>
    Math.abs(told.reduce((sum, difference, index) => sum + (negative(index) ? -difference : difference), 0));
  const ways = 2 ** told.length;
  if (ways <= MOST_COUNTED) {
    let asFar = 0;
    for (let way = 0; way < ways; way++) if (sumOf((index) => ((way >> index) & 1) === 1) >= found) asFar += 1;
    return asFar / ways;
  }
  let asFar = 1;
  for (let draw = 0; draw < DRAWN; draw++)
    if (sumOf((index) => seededEven(seed, draw * told.length + index) < 0.5) >= found) asFar += 1;
  return asFar / (DRAWN + 1);
}

/**
 * Chances of several comparisons, each as large as it has to be for all of them to be told at once.
 * @param chances of each comparison by itself, 0 to 1
 * @returns in the same order. Source: published, Holm 1979
 * @example holm([0.01, 0.04, 0.03]) // [0.03, 0.06, 0.06]
 */
export function holm(chances: readonly number[]): number[] {
  const order = chances.map((_, index) => index).sort((a, b) => (chances[a] ?? 0) - (chances[b] ?? 0));
  const adjusted = chances.map(() => 1);
  let least = 0;
  order.forEach((index, place) => {
    least = Math.max(least, Math.min(1, (chances.length - place) * (chances[index] ?? 1)));
    adjusted[index] = least;
  });
  return adjusted;
}

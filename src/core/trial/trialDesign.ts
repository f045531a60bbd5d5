import { seededEven } from '../kit/seededNoise';

/** One strip of a trial: its place, and what is done to it. */
export interface LaidStrip {
  /** What is written on it: it does not say what it had. */
  code: string;
  /** Which level, from 0. */
  level: number;
  /** Which roll or day, from 0. */
  block: number;
}

/** Letters that cannot be taken for each other or for figures in bad light. Source: our choice. */
const LETTERS = 'ACEFHJKLMNPRTUWXY';

/**
 * Lays a trial out: each roll or day has each level once, in an order by lot; where a roll gives fewer strips than there are levels, levels
 * take turns so that each pair meets as evenly as it can.
 * @param levels number of levels, 2 or more
 * @param blocks number of rolls or days, 1 or more
 * @param perBlock strips that each gives, 2 or more; levels go round when there are more strips than levels
 * @param seed which lot; the same seed lays out the same
 * @returns strips in the order in which they are developed. Source: published, Fisher 1935 (blocks, and order by lot); Box, Hunter and
 * Hunter, Statistics for Experimenters, 1978 (incomplete blocks by a cycle)
 */
export function layOut(levels: number, blocks: number, perBlock: number, seed: number): LaidStrip[] {
  const strips: { level: number; block: number }[] = [];
  for (let block = 0; block < blocks; block++) {
    const from = perBlock % levels === 0 ? 0 : block * perBlock;
    const own = Array.from({ length: perBlock }, (_, at) => ({ level: (from + at) % levels, block }));
    strips.push(...byLot(own, seed, block + 1));
  }
  const codes = byLot(
    [...LETTERS].flatMap((letter) => Array.from({ length: 8 }, (_, digit) => `${letter}${digit + 2}`)),
    seed,
    0,
  );
  return strips.map((strip, index) => ({ ...strip, code: codes[index] ?? `Z${index}` }));
}

/** Puts things in an order by lot. Source: published, Fisher and Yates 1938. */
export function byLot<T>(things: readonly T[], seed: number, draw: number): T[] {
  const order = [...things];
  for (let last = order.length - 1; last > 0; last--) {
    const other = Math.floor(seededEven(seed, draw * 1000 + last) * (last + 1));
    [order[last], order[other]] = [order[other] as T, order[last] as T];
  }
  return order;
}

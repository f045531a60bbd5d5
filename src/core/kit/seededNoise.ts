/**
 * Noise that is the same for the same seed and tick: a stand-in reproduces, whatever the order in which it is read.
 * @param seed which instrument
 * @param tick which moment, a whole number
 * @returns evenly spread between 0 and 1. Source: integer mixing after the finaliser of MurmurHash3, public domain.
 */
export function seededEven(seed: number, tick: number): number {
  let hash = (seed ^ Math.imul(tick, 0x9e3779b1)) >>> 0;
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b) >>> 0;
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35) >>> 0;
  return ((hash ^ (hash >>> 16)) >>> 0) / 2 ** 32;
}

/**
 * Normally spread noise of unit width, by seed and tick.
 * @returns mean 0, standard deviation 1. Source: Box and Muller 1958.
 */
export function seededNormal(seed: number, tick: number): number {
  const even = 1 - seededEven(seed, 2 * tick);
  return Math.sqrt(-2 * Math.log(even)) * Math.cos(2 * Math.PI * seededEven(seed, 2 * tick + 1));
}

import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** A seeded source of chance, for simulated rolls only. */
export interface Chance {
  uniform: (low?: number, high?: number) => number;
  normal: () => number;
  /** Heavy tails: Student's t with 4 degrees of freedom, scaled so that its middle four fifths are those of a standard normal. */
  heavy: () => number;
  pick: <T>(items: readonly T[]) => T;
}

/** Draws thrown away first: the first ones of small seeds are alike. */
const WARM_UP = 20;

/** Quantiles that leave a tenth above: of the normal, and of t with 4 degrees of freedom. Source: standard tables. */
const NORMAL_TENTH = 1.2816;
const T4_TENTH = 1.5332;

/** @param seed any integer; the same seed gives the same chance */
export function chance(seed: number): Chance {
  const generator = xoroshiro128plus(seed);
  for (let draw = 0; draw < WARM_UP; draw++) uniformFloat64(generator);
  const uniform = (low = 0, high = 1): number => low + (high - low) * uniformFloat64(generator);
  const normal = (): number =>
    Math.sqrt(-2 * Math.log(1 - uniformFloat64(generator))) * Math.cos(2 * Math.PI * uniformFloat64(generator));
  return {
    uniform,
    normal,
    heavy: () => {
      const chiSquared = [0, 1, 2, 3].reduce((sum) => sum + normal() ** 2, 0);
      return (normal() / Math.sqrt(chiSquared / 4)) * (NORMAL_TENTH / T4_TENTH);
    },
    pick: (items) => items[Math.floor(uniform(0, items.length))] as (typeof items)[number],
  };
}

import { normalQuantile } from './normalQuantile';

/** Draws of each predictive distribution. Source: our choice: the tenths then move by less than one in a hundred. */
export const DRAWS = 128;

/**
 * Root of x^(d+1) = x + 1, which spreads points most evenly over d dimensions.
 * Source: the additive recurrence that generalises the golden ratio (Roberts 2018), from memory.
 */
function generalisedGolden(dimensions: number): number {
  let root = 2;
  for (let step = 0; step < 30; step++) root = (1 + root) ** (1 / (dimensions + 1));
  return root;
}

/** The middles of DRAWS equal strips of probability, as standard normal values in rising order. */
export const strata: readonly number[] = Array.from({ length: DRAWS }, (_, n) => normalQuantile((n + 0.5) / DRAWS));

const tables = new Map<number, Float64Array[]>();

/**
 * A fixed set of quasi-random standard normal points: the same every time, so that results reproduce. In every dimension
 * each strip of probability holds one point.
 * @param dimensions number of dimensions; 1 or more
 * @returns DRAWS points. Source: Latin hypercube (McKay and others 1979) in the order of the additive recurrence.
 */
export function normalPoints(dimensions: number): readonly Float64Array[] {
  const known = tables.get(dimensions);
  if (known !== undefined) return known;
  const golden = generalisedGolden(dimensions);
  const points = Array.from({ length: DRAWS }, () => new Float64Array(dimensions));
  for (let d = 0; d < dimensions; d++) {
    const order = points.map((_, n) => ({ n, at: ((n + 1) * golden ** -(d + 1)) % 1 })).sort((a, b) => a.at - b.at);
    order.forEach(({ n }, rank) => points[n]?.set([strata[rank] ?? 0], d));
  }
  tables.set(dimensions, points);
  return points;
}

/**
 * A quantile of a sample, by straight lines between its order statistics.
 * @param sorted sample in rising order; at least one value
 * @param p probability; 0 to 1
 * @returns the quantile. Source: Hyndman and Fan 1996, definition 5.
 */
export function sampleQuantile(sorted: Float64Array, p: number): number {
  const at = Math.min(sorted.length - 1, Math.max(0, p * sorted.length - 0.5));
  const below = Math.floor(at);
  const low = sorted[below] ?? 0;
  return low + (at - below) * ((sorted[Math.min(sorted.length - 1, below + 1)] ?? low) - low);
}

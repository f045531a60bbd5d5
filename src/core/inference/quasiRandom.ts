import { normalQuantile } from './normalQuantile';

/**
 * Root of x^(d+1) = x + 1, which spreads points most evenly over d dimensions.
 * Source: the additive recurrence that generalises the golden ratio (Roberts 2018), from memory.
 */
function generalisedGolden(dimensions: number): number {
  let root = 2;
  for (let step = 0; step < 30; step++) root = (1 + root) ** (1 / (dimensions + 1));
  return root;
}

const strataTables = new Map<number, Float64Array>();

/** The middles of so many equal strips of probability, as standard normal values in rising order. */
export function strata(count: number): Float64Array {
  const known = strataTables.get(count);
  if (known !== undefined) return known;
  const made = Float64Array.from({ length: count }, (_, n) => normalQuantile((n + 0.5) / count));
  strataTables.set(count, made);
  return made;
}

const pointTables = new Map<string, Float64Array[]>();

/**
 * A fixed set of quasi-random standard normal points: the same every time, so that results reproduce. In every dimension
 * each strip of probability holds one point.
 * @param dimensions number of dimensions; 1 or more
 * @param count number of points; 2 or more
 * @returns the points. Source: Latin hypercube (McKay and others 1979) in the order of the additive recurrence, its
 * correlations taken out (Owen 1994).
 */
export function normalPoints(dimensions: number, count: number): readonly Float64Array[] {
  const name = `${dimensions} ${count}`;
  const known = pointTables.get(name);
  if (known !== undefined) return known;
  const golden = generalisedGolden(dimensions);
  const columns = Array.from({ length: dimensions }, (_, d) =>
    ranked(Float64Array.from({ length: count }, (_n, n) => ((n + 1) * golden ** -(d + 1)) % 1)),
  );
  for (let sweep = 0; sweep < SWEEPS; sweep++) {
    if (sweep % 2 === 1) columns.reverse();
    decorrelate(columns);
    if (sweep % 2 === 1) columns.reverse();
  }
  const points = Array.from({ length: count }, (_, n) => Float64Array.from(columns, (column) => column[n] as number));
  pointTables.set(name, points);
  return points;
}

/** Sweeps, forwards and backwards by turns, after which the correlations stay small. Source: our choice. */
const SWEEPS = 6;

/** The strata in the order of some values. */
function ranked(values: Float64Array): Float64Array {
  const column = new Float64Array(values.length);
  const strips = strata(values.length);
  [...values.keys()]
    .sort((a, b) => (values[a] as number) - (values[b] as number))
    .forEach((n, rank) => (column[n] = strips[rank] as number));
  return column;
}

/**
 * Takes out of each column what the columns before it explain, and ranks what is left.
 * Source: Owen 1994, controlling correlations in Latin hypercube samples.
 */
function decorrelate(columns: Float64Array[]): void {
  for (let d = 1; d < columns.length; d++) {
    const left = Float64Array.from(columns[d] ?? []);
    for (const before of columns.slice(0, d)) {
      let product = 0;
      let square = 0;
      for (let n = 0; n < left.length; n++) {
        product += (left[n] as number) * (before[n] as number);
        square += (before[n] as number) ** 2;
      }
      for (let n = 0; n < left.length; n++) left[n] = (left[n] as number) - (product / square) * (before[n] as number);
    }
    columns[d] = ranked(left);
  }
}

/** Share of the spread of a sample quantile over which it is smoothed. Source: our choice: wider, it bends with the tails. */
const SMOOTH = 0.75;

/**
 * A quantile of a sample, smoothed: the mean of its order statistics, weighted by how likely each is the wanted one. Less noisy
 * than a single order statistic in small samples.
 * @param sorted sample in rising order; at least one value
 * @param p probability; between 0 and 1
 * @returns the quantile. Source: after Harrell and Davis 1982, their beta weights taken as normal.
 */
export function sampleQuantile(sorted: Float64Array, p: number): number {
  const weights = quantileWeights(sorted.length, p);
  let sum = 0;
  for (let index = 0; index < weights.length; index++) sum += (weights[index] as number) * (sorted[index] as number);
  return sum;
}

const weightTables = new Map<number, Map<number, Float64Array>>();

/** Weights of the order statistics; they add up to one. */
function quantileWeights(n: number, p: number): Float64Array {
  const ofLength = weightTables.get(n) ?? new Map<number, Float64Array>();
  weightTables.set(n, ofLength);
  const known = ofLength.get(p);
  if (known !== undefined) return known;
  const spread = Math.sqrt((p * (1 - p)) / n) * SMOOTH;
  const weights = Float64Array.from({ length: n }, (_, index) => {
    const off = ((index + 0.5) / n - p) / spread;
    return Math.exp(-0.5 * off * off);
  });
  const whole = weights.reduce((sum, weight) => sum + weight, 0);
  const made = weights.map((weight) => weight / whole);
  ofLength.set(p, made);
  return made;
}

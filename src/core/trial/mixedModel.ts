import { Matrix } from 'ml-matrix';
import { choleskyOf } from '../inference/choleskyOf';

/** A linear model with one random effect: strips differ, and so do the rolls or days that they come from. */
export interface MixedFit {
  /** Fixed effects, in the order of the columns. */
  beta: number[];
  /** Their covariance. */
  covariance: number[][];
  /** How much of each measured value stands in each effect: effect k = Σ weights[k][i]·y[i]. */
  weights: number[][];
  /** Variance among strips of a block. */
  residualVariance: number;
  /** Variance among blocks. */
  blockVariance: number;
  /** Degrees of freedom within blocks; 1 at the least. */
  df: number;
}

/** Steps of the search for the ratio of the variances. */
const GRID = 48;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Share of the variance that blocks have at the most: beyond it nothing is told within them. */
const LARGEST_SHARE = 0.9999;

interface Solved {
  /** Twice the negative restricted log-likelihood, but for a constant. */
  criterion: number;
  beta: number[];
  inverse: Matrix;
  weights: Matrix;
  variance: number;
}

/**
 * Fits a linear model with one random intercept for each block, by restricted maximum likelihood.
 * @param y what was measured, one value for each strip
 * @param x fixed effects: a row for each strip, the same number of columns in each, fewer than strips
 * @param blocks which block each strip came from, 0 and up
 * @returns effects, their covariance, and both variances. Source: published, Biometrika 58 (1971) 545 (restricted likelihood);
 * Searle, Casella and McCulloch, Variance Components, 1992
 */
export function fitMixed(y: readonly number[], x: readonly (readonly number[])[], blocks: readonly number[]): MixedFit {
  const sizes = new Map<number, number>();
  for (const block of blocks) sizes.set(block, (sizes.get(block) ?? 0) + 1);
  const solve = (share: number): Solved => solveFor(share / (1 - share), y, x, blocks, sizes);
  const share = sizes.size > 1 && sizes.size < y.length ? leastShare(solve) : 0;
  const { beta, inverse, weights, variance } = solve(share);
  return {
    beta,
    covariance: inverse.mul(variance).to2DArray(),
    weights: weights.to2DArray(),
    residualVariance: variance,
    blockVariance: (variance * share) / (1 - share),
    df: Math.max(1, y.length - beta.length - Math.max(0, sizes.size - 1)),
  };
}

/** The share of the variance between blocks at which the criterion is least: a grid finds its valley, golden sections its floor. */
function leastShare(solve: (share: number) => Solved): number {
  const at = (share: number): number => solve(share).criterion;
  const grid = Array.from({ length: GRID + 1 }, (_, index) => (LARGEST_SHARE * index) / GRID);
  const values = grid.map(at);
  const best = values.indexOf(Math.min(...values));
  let [low, high] = [grid[Math.max(0, best - 1)] ?? 0, grid[Math.min(GRID, best + 1)] ?? LARGEST_SHARE];
  for (let round = 0; round < 60; round++) {
    const [one, two] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (at(one) < at(two)) high = two;
    else low = one;
  }
  const found = (low + high) / 2;
  return at(0) <= at(found) ? 0 : found;
}

function solveFor(
  ratio: number,
  y: readonly number[],
  x: readonly (readonly number[])[],
  blocks: readonly number[],
  sizes: ReadonlyMap<number, number>,
): Solved {
  const columns = x[0]?.length ?? 0;
  const weights = new Map([...sizes].map(([block, size]) => [block, ratio / (1 + size * ratio)]));
  // The inverse of I + ratio·J takes a part of each block's sum from each of its values.
  const within = (values: readonly number[]): number[] => {
    const sums = new Map<number, number>();
    values.forEach((value, index) => {
      const block = blocks[index] ?? 0;
      sums.set(block, (sums.get(block) ?? 0) + value);
    });
    return values.map((value, index) => {
      const block = blocks[index] ?? 0;
      return value - (weights.get(block) ?? 0) * (sums.get(block) ?? 0);
    });
  };
  const column = (at: number): number[] => x.map((row) => row[at] ?? 0);
  const weighted = Array.from({ length: columns }, (_, at) => within(column(at)));
  const dot = (a: readonly number[], b: readonly number[]): number =>
    a.reduce((sum, value, index) => sum + value * (b[index] ?? 0), 0);
  const information = new Matrix(
    weighted.map((one) => Array.from({ length: columns }, (_, at) => dot(one, column(at)))),
  );
  const factor = choleskyOf(information);
  const beta = factor.solve(Matrix.columnVector(weighted.map((one) => dot(one, y)))).to1DArray();
  const rest = y.map((value, index) => value - dot(x[index] ?? [], beta));
  const df = y.length - columns;
  const variance = Math.max(dot(within(rest), rest) / df, 1e-18);
  const lower = factor.lowerTriangularMatrix;
  const lnInformation = 2 * lower.diagonal().reduce((sum, value) => sum + Math.log(value), 0);
  const lnBlocks = [...sizes.values()].reduce((sum, size) => sum + Math.log(1 + size * ratio), 0);
  const inverse = factor.solve(Matrix.eye(columns));
  return {
    criterion: df * Math.log(variance) + lnBlocks + lnInformation,
    beta,
    inverse,
    weights: inverse.mmul(new Matrix(weighted)),
    variance,
  };
}

import { Matrix } from 'ml-matrix';
import { choleskyOf } from '../inference/choleskyOf';

/** A linear model with random effects: strips differ, and so do the rolls that they come from, and the days of those. */
export interface MixedFit {
  /** Fixed effects, in the order of the columns. */
  beta: number[];
  /** Their covariance. */
  covariance: number[][];
  /** How much of each measured value stands in each effect: effect k = Σ weights[k][i]·y[i]. */
  weights: number[][];
  /** Variance among strips of a block. */
  residualVariance: number;
  /** Variance among blocks of a day. */
  blockVariance: number;
  /** Variance among days; 0 where all blocks are of one. */
  dayVariance: number;
  /** Degrees of freedom within blocks; 1 at the least. */
  df: number;
}

/** Steps of the search for the ratio of the variances: of one alone, and of two together. */
const GRID = 48;
const COARSE_GRID = 12;
const GOLDEN_ROUNDS = 60;
const COARSE_ROUNDS = 36;
const GOLDEN = (Math.sqrt(5) - 1) / 2;
/** Share of the variance that blocks have at the most: beyond it nothing is told within them. */
const LARGEST_SHARE = 0.9999;

interface Solved {
  beta: number[];
  inverse: Matrix;
  weights: Matrix;
  variance: number;
}

/**
 * Fits a linear model with a random intercept for each block, and one for each day where blocks lie on several, by restricted
 * maximum likelihood.
 * @param y what was measured, one value for each strip
 * @param x fixed effects: a row for each strip, the same number of columns in each, fewer than strips
 * @param blocks which block each strip came from, 0 and up
 * @param days which day each strip's block is of, 0 and up; every strip of a block is of one day. Left out: all of one
 * @returns effects, their covariance, and the variances. Source: published, Biometrika 58 (1971) 545 (restricted likelihood);
 * Searle, Casella and McCulloch, Variance Components, 1992 (nested effects)
 */
export function fitMixed(
  y: readonly number[],
  x: readonly (readonly number[])[],
  blocks: readonly number[],
  days: readonly number[] = blocks.map(() => 0),
): MixedFit {
  const nest = nestOf(blocks, days);
  const blocksTell = nest.blocks > 1 && nest.blocks < y.length;
  const daysTell = nest.days > 1 && nest.days < nest.blocks;
  const ratioOf = (share: number): number => share / (1 - share);
  const criterion = criterionOf(y, x, nest);
  const search = daysTell ? { grid: COARSE_GRID, rounds: COARSE_ROUNDS } : { grid: GRID, rounds: GOLDEN_ROUNDS };
  const blockShareAt = (day: number): number =>
    blocksTell ? leastShare((block) => criterion(ratioOf(block), ratioOf(day)), search) : 0;
  const dayShare = daysTell ? leastShare((day) => criterion(ratioOf(blockShareAt(day)), ratioOf(day)), search) : 0;
  const blockShare = blockShareAt(dayShare);
  const { beta, inverse, weights, variance } = solveFor(ratioOf(blockShare), ratioOf(dayShare), y, x, nest);
  return {
    beta,
    covariance: inverse.mul(variance).to2DArray(),
    weights: weights.to2DArray(),
    residualVariance: variance,
    blockVariance: variance * ratioOf(blockShare),
    dayVariance: variance * ratioOf(dayShare),
    df: Math.max(1, y.length - beta.length - Math.max(0, nest.blocks - 1)),
  };
}

/** The share of the variance at which the criterion is least: a grid finds its valley, golden sections its floor. */
function leastShare(
  criterionAt: (share: number) => number,
  { grid: steps, rounds }: { grid: number; rounds: number },
): number {
  const grid = Array.from({ length: steps + 1 }, (_, index) => (LARGEST_SHARE * index) / steps);
  const values = grid.map(criterionAt);
  const best = values.indexOf(Math.min(...values));
  let [low, high] = [grid[Math.max(0, best - 1)] ?? 0, grid[Math.min(steps, best + 1)] ?? LARGEST_SHARE];
  for (let round = 0; round < rounds; round++) {
    const [one, two] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
    if (criterionAt(one) < criterionAt(two)) high = two;
    else low = one;
  }
  const found = (low + high) / 2;
  return criterionAt(0) <= criterionAt(found) ? 0 : found;
}

/** Which strips lie in which block, and which blocks in which day. */
interface Nest {
  /** Block of each strip, and day of each block, numbered from 0. */
  blockOf: readonly number[];
  dayOf: readonly number[];
  sizes: readonly number[];
  blocks: number;
  days: number;
}

function nestOf(blocks: readonly number[], days: readonly number[]): Nest {
  const [blockAt, dayAt] = [new Map<number, number>(), new Map<number, number>()];
  const sizes: number[] = [];
  const dayOf: number[] = [];
  const blockOf = blocks.map((block, index) => {
    const at = blockAt.get(block) ?? blockAt.size;
    if (!blockAt.has(block)) {
      blockAt.set(block, at);
      const day = days[index] as number;
      if (!dayAt.has(day)) dayAt.set(day, dayAt.size);
      dayOf.push(dayAt.get(day) as number);
    }
    sizes[at] = (sizes[at] ?? 0) + 1;
    return at;
  });
  return { blockOf, dayOf, sizes, blocks: blockAt.size, days: dayAt.size };
}

/**
 * Twice the negative restricted log-likelihood, but for a constant, by the ratios of the variances of blocks and days to that of the
 * strips. Sums of products are taken once; each ratio takes ranks off them, so the search costs by blocks and not by strips.
 */
function criterionOf(
  y: readonly number[],
  x: readonly (readonly number[])[],
  { blockOf, dayOf, sizes, days }: Nest,
): (blockRatio: number, dayRatio: number) => number {
  const rows = y.map((value, index) => [...(x[index] as readonly number[]), value]);
  const width = rows[0]?.length ?? 0;
  const products = new Float64Array(width * width);
  const blockSums = sizes.map(() => new Float64Array(width));
  rows.forEach((row, index) => {
    const sums = blockSums[blockOf[index] as number] as Float64Array;
    row.forEach((value, a) => {
      sums[a] = (sums[a] as number) + value;
      for (let b = 0; b <= a; b++)
        products[a * width + b] = (products[a * width + b] as number) + value * (row[b] as number);
    });
  });
  const takeOff = (from: Float64Array, sums: Float64Array, share: number): void => {
    for (let a = 0; a < width; a++)
      for (let b = 0; b <= a; b++)
        from[a * width + b] = (from[a * width + b] as number) - share * (sums[a] as number) * (sums[b] as number);
  };
  return (blockRatio, dayRatio) => {
    const left = products.slice();
    const daySums = Array.from({ length: days }, () => new Float64Array(width));
    const counts = new Float64Array(days);
    let ln = 0;
    sizes.forEach((size, block) => {
      const [sums, day] = [blockSums[block] as Float64Array, dayOf[block] as number];
      const own = 1 / (1 + size * blockRatio);
      takeOff(left, sums, blockRatio * own);
      const ofDay = daySums[day] as Float64Array;
      for (let a = 0; a < width; a++) ofDay[a] = (ofDay[a] as number) + own * (sums[a] as number);
      counts[day] = (counts[day] as number) + size * own;
      ln -= Math.log(own);
    });
    daySums.forEach((sums, day) => {
      const whole = 1 + (counts[day] as number) * dayRatio;
      takeOff(left, sums, dayRatio / whole);
      ln += Math.log(whole);
    });
    // Cholesky in place: its last pivot is what the effects leave of y, the others are those of the information.
    for (let a = 0; a < width; a++) {
      for (let b = 0; b <= a; b++) {
        let value = left[a * width + b] as number;
        for (let c = 0; c < b; c++) value -= (left[a * width + c] as number) * (left[b * width + c] as number);
        left[a * width + b] = a === b ? Math.sqrt(Math.max(1e-18, value)) : value / (left[b * width + b] as number);
      }
      if (a < width - 1) ln += 2 * Math.log(left[a * width + a] as number);
    }
    return ln + (y.length - width + 1) * 2 * Math.log(left[width * width - 1] as number);
  };
}

/** Solves for the effects with the variances of blocks and days in given ratios to that of the strips. */
function solveFor(
  blockRatio: number,
  dayRatio: number,
  y: readonly number[],
  x: readonly (readonly number[])[],
  { blockOf, dayOf, sizes, days }: Nest,
): Solved {
  const columns = x[0]?.length ?? 0;
  // What a strip counts for beside the others of its block, and what all strips of a day count for together.
  const own = sizes.map((size) => 1 / (1 + size * blockRatio));
  const ofDay = new Float64Array(days);
  own.forEach((part, block) => {
    const day = dayOf[block] as number;
    ofDay[day] = (ofDay[day] as number) + (sizes[block] as number) * part;
  });
  const dayWeight = ofDay.map((sum) => dayRatio / (1 + sum * dayRatio));
  // The inverse of I + a·J of each block + b·J of each day, one rank after the other.
  const within = (values: readonly number[]): number[] => {
    const blockSums = new Float64Array(sizes.length);
    values.forEach((value, index) => {
      const block = blockOf[index] as number;
      blockSums[block] = (blockSums[block] as number) + value;
    });
    const daySums = new Float64Array(days);
    blockSums.forEach((sum, block) => {
      const day = dayOf[block] as number;
      daySums[day] = (daySums[day] as number) + sum * (own[block] as number);
    });
    return values.map((value, index) => {
      const block = blockOf[index] as number;
      const [part, day] = [own[block] as number, dayOf[block] as number];
      return (
        value -
        blockRatio * part * (blockSums[block] as number) -
        (dayWeight[day] as number) * part * (daySums[day] as number)
      );
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
  const inverse = factor.solve(Matrix.eye(columns));
  return {
    beta,
    inverse,
    weights: inverse.mmul(new Matrix(weighted)),
    variance,
  };
}

import {
  addTo,
  factorArrowhead,
  mapVector,
  type ArrowheadMatrix,
  type ArrowheadVector,
  type FactoredArrowhead,
  type SparseRow,
} from './arrowhead';

/** A least-squares problem whose unknowns have independent standard normal priors. */
export interface LeastSquares {
  shape: ArrowheadMatrix;
  /** Residuals (model − observed), each divided by its noise. */
  residuals: (z: ArrowheadVector) => Float64Array;
  /** Residuals with the rows of their Jacobian. */
  linearise: (z: ArrowheadVector) => { residuals: Float64Array; rows: SparseRow[] };
}

/** Where the sum of squares is least. */
export interface Fitted {
  z: ArrowheadVector;
  residuals: Float64Array;
  rows: SparseRow[];
  factored: FactoredArrowhead;
  steps: number;
  /** Whether the minimum was reached; else the steps ran out, or none of them led downhill. */
  converged: boolean;
}

const MOST_STEPS = 40;
const MOST_HALVINGS = 12;

/** How near the minimum is come. */
export interface Nearness {
  /** Half the squared length of a step, in standard deviations, that is taken without looking again. */
  last: number;
  /** The same, below which the slopes of the step before still serve. */
  keep: number;
}

/** A thousandth moves nothing that is shown. Source: our choice. */
export const USUAL_NEARNESS: Nearness = { last: 1e-3, keep: 2e-2 };

/**
 * Maximum a posteriori by Gauss–Newton: each step solves the linearised problem, and is halved until the sum of squares
 * falls; near the minimum the slopes are kept.
 * @param problem residuals and their Jacobian
 * @param weights weight of each squared residual, above 0 to 1
 * @param start where to begin
 * @param nearness when to stop
 * @returns the minimum with the factored normal matrix there: its inverse is the Laplace covariance
 * Source: Gauss–Newton with step halving; the decrement of Newton's method as the criterion; chord steps (textbook).
 */
export function gaussNewton(
  problem: LeastSquares,
  weights: readonly number[],
  start: ArrowheadVector,
  nearness: Nearness = USUAL_NEARNESS,
): Fitted {
  let z = start;
  let { residuals, rows } = problem.linearise(z);
  let factored = factorArrowhead(problem.shape, rows, weights);
  let slopesAreHere = true;
  for (let step = 1; ; step++) {
    const right = downhill(z, residuals, rows, weights);
    const direction = factored.solve(right);
    const decrement = product(right, direction) / 2;
    const value = halfSquares(z, residuals, weights);
    const near = decrement < nearness.last;
    if (near || step >= MOST_STEPS || decrement < nearness.keep) {
      // Close by the whole step is taken, and where the sum of squares does not fall, none.
      const trial = moved(z, direction, 1);
      const there = problem.residuals(trial);
      const falls = halfSquares(trial, there, weights) <= value;
      if (falls) ({ z, residuals } = { z: trial, residuals: there });
      if (near || step >= MOST_STEPS) return { z, residuals, rows, factored, steps: step, converged: near };
      if (falls) {
        slopesAreHere = false;
        continue;
      }
    }
    if (slopesAreHere) {
      const next = shorten(problem, weights, z, direction, value);
      if (next === null) return { z, residuals, rows, factored, steps: step - 1, converged: false };
      z = next.z;
    }
    ({ residuals, rows } = problem.linearise(z));
    factored = factorArrowhead(problem.shape, rows, weights);
    slopesAreHere = true;
  }
}

function shorten(
  problem: LeastSquares,
  weights: readonly number[],
  z: ArrowheadVector,
  direction: ArrowheadVector,
  value: number,
): { z: ArrowheadVector; value: number } | null {
  for (let halving = 0, length = 1; halving < MOST_HALVINGS; halving++, length /= 2) {
    const trial = moved(z, direction, length);
    const trialValue = halfSquares(trial, problem.residuals(trial), weights);
    if (trialValue < value) return { z: trial, value: trialValue };
  }
  return null;
}

function downhill(
  z: ArrowheadVector,
  residuals: Float64Array,
  rows: readonly SparseRow[],
  weights: readonly number[],
): ArrowheadVector {
  const right = mapVector(z, (part) => part.map((value) => -value));
  rows.forEach(({ places, values }, index) => {
    const scaled = (weights[index] ?? 1) * (residuals[index] as number);
    places.forEach((place, i) => addTo(right, place, -scaled * (values[i] as number)));
  });
  return right;
}

function moved(z: ArrowheadVector, direction: ArrowheadVector, length: number): ArrowheadVector {
  return mapVector(z, (part, name, index) => {
    const by = name === 'border' ? direction.border : direction[name][index];
    return part.map((value, at) => value + length * (by?.[at] as number));
  });
}

function halfSquares(z: ArrowheadVector, residuals: Float64Array, weights: readonly number[]): number {
  let sum = 0;
  for (const part of [z.border, ...z.groups, ...z.privates]) for (const value of part) sum += value * value;
  residuals.forEach((residual, index) => {
    sum += (weights[index] ?? 1) * residual * residual;
  });
  return sum / 2;
}

function product(a: ArrowheadVector, b: ArrowheadVector): number {
  let sum = 0;
  mapVector(a, (part, name, index) => {
    const other = name === 'border' ? b.border : b[name][index];
    part.forEach((value, at) => {
      sum += value * (other?.[at] as number);
    });
    return part;
  });
  return sum;
}

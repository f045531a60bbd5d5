import { addTo, elementAt, factorArrow, zeroVector, type Arrow, type ArrowVector, type FactoredArrow, type SparseRow } from './arrow';

/** A least-squares problem whose unknowns have independent standard normal priors. */
export interface LeastSquares {
  shape: Arrow;
  /** Residuals (model − observed), each divided by its noise. */
  residuals: (z: ArrowVector) => Float64Array;
  /** Residuals with the rows of their Jacobian. */
  linearise: (z: ArrowVector) => { residuals: Float64Array; rows: SparseRow[] };
}

/** Where the sum of squares is least. */
export interface Fitted {
  z: ArrowVector;
  residuals: Float64Array;
  rows: SparseRow[];
  factored: FactoredArrow;
  steps: number;
}

const MOST_STEPS = 40;
const MOST_HALVINGS = 12;

/** A step that changes the sum of squares by less than this share has arrived. */
const ARRIVED = 1e-9;

/**
 * Maximum a posteriori by Gauss–Newton: each step solves the linearised problem, and is halved until the sum of squares
 * falls.
 * @param problem residuals and their Jacobian
 * @param weights weight of each squared residual, 0 to 1
 * @param start where to begin
 * @returns the minimum with the factored normal matrix there: its inverse is the Laplace covariance
 * Source: Gauss–Newton with step halving (textbook).
 */
export function gaussNewton(problem: LeastSquares, weights: readonly number[], start: ArrowVector): Fitted {
  let z = start;
  let { residuals, rows } = problem.linearise(z);
  let value = halfSquares(z, residuals, weights);
  for (let step = 1; ; step++) {
    const factored = factorArrow(problem.shape, rows, weights);
    const direction = factored.solve(downhill(problem.shape, z, residuals, rows, weights));
    const next = step > MOST_STEPS ? null : shorten(problem, weights, z, direction, value);
    if (next === null) return { z, residuals, rows, factored, steps: step - 1 };
    const arrived = value - next.value <= ARRIVED * (1 + value);
    z = next.z;
    value = next.value;
    ({ residuals, rows } = problem.linearise(z));
    if (arrived) return { z, residuals, rows, factored: factorArrow(problem.shape, rows, weights), steps: step };
  }
}

function shorten(problem: LeastSquares, weights: readonly number[], z: ArrowVector, direction: ArrowVector, value: number): { z: ArrowVector; value: number } | null {
  for (let halving = 0, length = 1; halving < MOST_HALVINGS; halving++, length /= 2) {
    const trial = moved(z, direction, length);
    const trialValue = halfSquares(trial, problem.residuals(trial), weights);
    if (trialValue < value) return { z: trial, value: trialValue };
  }
  return null;
}

function downhill(shape: Arrow, z: ArrowVector, residuals: Float64Array, rows: readonly SparseRow[], weights: readonly number[]): ArrowVector {
  const right = zeroVector(shape);
  right.border.forEach((_, at) => addTo(right, { group: -1, at }, -(z.border[at] ?? 0)));
  right.groups.forEach((group, index) => group.forEach((_, at) => addTo(right, { group: index, at }, -elementAt(z, { group: index, at }))));
  rows.forEach(({ places, values }, index) => {
    const scaled = (weights[index] ?? 1) * (residuals[index] ?? 0);
    places.forEach((place, i) => addTo(right, place, -scaled * (values[i] ?? 0)));
  });
  return right;
}

function moved(z: ArrowVector, direction: ArrowVector, length: number): ArrowVector {
  const shift = (from: Float64Array, by: Float64Array | undefined): Float64Array => from.map((value, index) => value + length * (by?.[index] ?? 0));
  return { border: shift(z.border, direction.border), groups: z.groups.map((group, index) => shift(group, direction.groups[index])) };
}

function halfSquares(z: ArrowVector, residuals: Float64Array, weights: readonly number[]): number {
  const prior = [z.border, ...z.groups].reduce((sum, part) => sum + part.reduce((inner, value) => inner + value * value, 0), 0);
  return (prior + residuals.reduce((sum, residual, index) => sum + (weights[index] ?? 1) * residual * residual, 0)) / 2;
}

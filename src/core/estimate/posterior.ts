import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Fit } from './fit';
import { lnRateOf } from './development';
import { noDeviations, paceSign, type Deviations } from './parameters';
import { SparsePart } from '../inference/arrowGroup';
import { normalPoints, strata, DRAWS } from '../inference/quasiRandom';
import { situationOf, type Situation } from './situation';
import type { SituationInput } from './situationSchema';

/** What is known of one setting's unknowns: their most likely values and how sure those are, in standard deviations of the prior. */
export interface Posterior {
  situation: Situation;
  mean: Float64Array;
  covariance: Matrix;
}

/**
 * What a fit says about a setting that is to come.
 * @param setting a valid setting
 * @param fit all evidence
 */
export function posteriorFor(setting: SituationInput, fit: Fit): Posterior {
  const whole = situationOf(setting, 'the run to come', fit.released);
  // How somebody judges moves no time.
  const situation = { ...whole, unknowns: whole.unknowns.filter(({ id }) => id !== 'eyeGrades') };
  const keys = situation.unknowns.map(({ key }) => key);
  const covariance = Matrix.zeros(keys.length, keys.length);
  keys.forEach((a, i) => {
    for (let j = 0; j <= i; j++) {
      const value = fit.covariance(a, keys[j] as string);
      covariance.set(i, j, value);
      covariance.set(j, i, value);
    }
  });
  return { situation, mean: Float64Array.from(keys, fit.meanOf), covariance };
}

/**
 * Deviations of the parameters at a point.
 * @param situation which unknowns there are
 * @param z the point, in standard deviations of the prior
 */
export function deviationsOf({ unknowns }: Situation, z: ArrayLike<number>): Deviations {
  const deviations = noDeviations();
  for (let index = 0; index < unknowns.length; index++) {
    const { id, sd } = unknowns[index] as Situation['unknowns'][number];
    deviations[id] = sd * (z[index] ?? 0);
  }
  return deviations;
}

/**
 * Change of a quantity for one posterior standard deviation of each unknown, divided by that standard deviation: central
 * differences over a whole deviation, so that kinks such as the cap on Extend are averaged and not missed.
 * @param posterior what is known
 * @param of the quantity
 */
export function slopes(
  { situation, mean, covariance }: Posterior,
  of: (deviations: Deviations) => number,
): Float64Array {
  const z = mean.slice();
  // What only quickens or slows moves a time alike: the widest of them is tried, and tells for all.
  const pace = widestPace(situation, covariance);
  let perPace: number | null = null;
  /** How far ln(rate) moves for an unknown that enters the rate alone; null for others. */
  const quickens = (centre: number, index: number): number | null => {
    const { id } = situation.unknowns[index] as Situation['unknowns'][number];
    const width = Math.sqrt(covariance.get(index, index));
    const at = (value: number): number | null => {
      z[index] = value;
      const found = lnRateOf(id, situation.conditions, deviationsOf(situation, z));
      z[index] = centre;
      return found;
    };
    const [up, down] = [at(centre + width), at(centre - width)];
    return up === null || down === null ? null : (up - down) / (2 * width);
  };
  const own = (centre: number, index: number): number => {
    const width = Math.sqrt(covariance.get(index, index));
    z[index] = centre + width;
    const up = of(deviationsOf(situation, z));
    z[index] = centre - width;
    const down = of(deviationsOf(situation, z));
    z[index] = centre;
    return (up - down) / (2 * width);
  };
  return Float64Array.from(mean, (centre, index) => {
    const { id, sd } = situation.unknowns[index] as Situation['unknowns'][number];
    const sign = paceSign[id];
    const lnRate = pace === null ? null : sign === undefined ? quickens(centre, index) : sign * sd;
    if (lnRate === null || pace === null) return own(centre, index);
    perPace ??= own(mean[pace.index] ?? 0, pace.index) / (pace.sign * pace.sd);
    return perPace * lnRate;
  });
}

/** The pace unknown that is least known; null when there is none. */
function widestPace({ unknowns }: Situation, covariance: Matrix): { index: number; sign: 1 | -1; sd: number } | null {
  let widest: { index: number; sign: 1 | -1; sd: number; width: number } | null = null;
  for (const [index, { id, sd }] of unknowns.entries()) {
    const sign = paceSign[id];
    // A pair that was set free for a chart is far wider than anything that moves a time.
    const width = sd * Math.sqrt(covariance.get(index, index));
    if (sign !== undefined && width < 1 && (widest === null || width > widest.width))
      widest = { index, sign, sd, width };
  }
  return widest;
}

/** Covariance times a vector. */
export function timesCovariance({ covariance }: Posterior, vector: Float64Array): Float64Array {
  return Float64Array.from(vector, (_, row) => {
    let sum = 0;
    for (let column = 0; column < vector.length; column++) sum += covariance.get(row, column) * (vector[column] ?? 0);
    return sum;
  });
}

/**
 * Draws from the posterior, the same every time. The first coordinate runs along the direction in which the quantity of
 * interest moves most, in equal strips of probability; the others are quasi-random.
 * @param posterior what is known
 * @param along slopes of the quantity of interest
 */
export function draws(posterior: Posterior, along: Float64Array): Float64Array[] {
  const { mean, covariance } = posterior;
  const size = mean.length;
  const factor = new CholeskyDecomposition(Matrix.add(covariance, Matrix.eye(size, size, 1e-12))).lowerTriangularMatrix;
  // Unknowns that evidence has not tied together are most of them: zeros are left out.
  const lower = Array.from({ length: size }, (_, row) => {
    const part = new SparsePart(row + 1);
    for (let column = 0; column <= row; column++) {
      const value = factor.get(row, column);
      if (value !== 0) part.add(column, value);
    }
    return part;
  });
  const direction = new Float64Array(size);
  lower.forEach(({ at, values, count }, row) => {
    for (let i = 0; i < count; i++)
      direction[at[i] ?? 0] = (direction[at[i] ?? 0] ?? 0) + (values[i] ?? 0) * (along[row] ?? 0);
  });
  const length = Math.hypot(...direction);
  const unit = direction.map((value) => (length === 0 ? 0 : value / length));
  const points = normalPoints(size);
  const point = new Float64Array(size);
  return Array.from({ length: DRAWS }, (_, n) => {
    const raw = points[n] as Float64Array;
    let share = 0;
    for (let i = 0; i < size; i++) share += (raw[i] ?? 0) * (unit[i] ?? 0);
    const shift = length === 0 ? 0 : (strata[n] ?? 0) - share;
    for (let i = 0; i < size; i++) point[i] = (raw[i] ?? 0) + shift * (unit[i] ?? 0);
    const z = mean.slice();
    for (let row = 0; row < size; row++) {
      const { at, values, count } = lower[row] as SparsePart;
      let sum = 0;
      for (let i = 0; i < count; i++) sum += (values[i] ?? 0) * (point[at[i] ?? 0] ?? 0);
      z[row] = (z[row] ?? 0) + sum;
    }
    return z;
  });
}

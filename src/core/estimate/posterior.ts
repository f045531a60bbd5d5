import { covariancesOf, type Covariances } from './covariances';
import type { Fit } from './fit';
import { lnRateOf } from './development';
import { noDeviations, rateSign, type Deviations, type ParameterId } from './parameters';
import { cellOf, vectorOf } from '../inference/vectors';
import { normalPoints, strata } from '../inference/quasiRandom';
import { situationOf, type Situation } from './situation';
import type { SituationInput } from './situationSchema';

/** What is known of one setting's unknowns: their most likely values and how sure those are, in standard deviations of the prior. */
export interface Posterior {
  situation: Situation;
  mean: Float64Array;
  covariance: readonly Float64Array[];
}

/**
 * What a fit says about a setting that is to come.
 * @param setting a valid setting
 * @param fit all evidence
 * @param covariances those of the fit
 */
export function posteriorFor(
  setting: SituationInput,
  fit: Fit,
  covariances: Covariances = covariancesOf(fit),
): Posterior {
  const whole = situationOf(setting, 'the run to come', fit.released);
  // How somebody judges moves no time.
  const situation = { ...whole, unknowns: whole.unknowns.filter(({ id }) => id !== 'eyeGrades') };
  const keys = situation.unknowns.map(({ key }) => key);
  const covariance = covariances(keys);
  return { situation, mean: vectorOf(keys, fit.meanOf), covariance };
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
    deviations[id] = sd * (z[index] as number);
  }
  return deviations;
}

/** How figures and ln(rate) move with each unknown, for one standard deviation of its prior. */
export interface Slopes {
  /** Of ln(rate), for the unknowns that enter the rate alone; null for others. */
  lnRate: readonly (number | null)[];
  figures: readonly FigureSlopes[];
}

/** How one figure moves. */
export interface FigureSlopes {
  /** With each unknown. */
  byUnknown: Float64Array;
  /** With ln(rate): −1 for ln(time) where the bath keeps its temperature. */
  perLnRate: number;
}

/**
 * Change of figures for one posterior standard deviation of each unknown, divided by that standard deviation: central
 * differences over a whole deviation, so that kinks such as the cap on Extend are averaged and not missed.
 * @param posterior what is known
 * @param model the figures for deviations; the same number of them every time
 */
export function slopesOf(
  { situation, mean, covariance }: Posterior,
  model: (deviations: Deviations) => readonly number[],
): Slopes {
  const deviations = deviationsOf(situation, mean);
  const { unknowns, conditions } = situation;
  /** Runs with one unknown moved a posterior deviation up or down. */
  const moved = <T>(index: number, side: 1 | -1, of: () => T): T => {
    const { id, sd } = unknowns[index] as Situation['unknowns'][number];
    const before = deviations[id];
    deviations[id] = before + side * sd * Math.sqrt(cellOf(covariance, index, index));
    const found = of();
    deviations[id] = before;
    return found;
  };
  const own = (index: number): number[] => {
    const [up, down] = [moved(index, 1, () => model(deviations)), moved(index, -1, () => model(deviations))];
    const apart = 2 * Math.sqrt(cellOf(covariance, index, index));
    return up.map((value, figure) => (value - (down[figure] as number)) / apart);
  };
  const lnRate = unknowns.map(({ id, sd }, index): number | null => {
    const sign = rateSign[id];
    if (sign !== undefined) return sign * sd;
    const at = (): number | null => lnRateOf(id, conditions, deviations);
    const [up, down] = [moved(index, 1, at), moved(index, -1, at)];
    return up === null || down === null ? null : (up - down) / (2 * Math.sqrt(cellOf(covariance, index, index)));
  });
  // What only quickens or slows moves a figure alike: the widest of them is tried, and tells for all.
  const widest = widestPace(situation, covariance);
  const byWidest = widest === null ? null : own(widest.index);
  const byUnknown = lnRate.map((slope, index) => (slope === null ? own(index) : null));
  const count = (byWidest ?? byUnknown.find((found) => found !== null) ?? model(deviations)).length;
  const figures = Array.from({ length: count }, (_, figure): FigureSlopes => {
    // Without a pace there is nothing to try: a time goes as one over the rate.
    const perLnRate = widest === null ? -1 : (byWidest?.[figure] as number) / (widest.sign * widest.sd);
    return {
      perLnRate,
      byUnknown: vectorOf(lnRate, (slope, index) =>
        slope === null ? (byUnknown[index]?.[figure] as number) : slope * perLnRate,
      ),
    };
  });
  return { lnRate, figures };
}

/** The pace unknown that is least known; null when there is none. */
function widestPace(
  { unknowns }: Situation,
  covariance: readonly Float64Array[],
): { index: number; sign: 1 | -1; sd: number } | null {
  let widest: { index: number; sign: 1 | -1; sd: number; width: number } | null = null;
  for (const [index, { id, sd }] of unknowns.entries()) {
    const sign = rateSign[id];
    // A pair that was set free for a chart is far wider than anything that moves a time.
    const width = sd * Math.sqrt(cellOf(covariance, index, index));
    if (sign !== undefined && width < 1 && (widest === null || width > widest.width))
      widest = { index, sign, sd, width };
  }
  return widest;
}

/** Draws from a posterior. */
export interface Draws {
  /** Deviations of each draw. */
  deviations: readonly Deviations[];
  /** How far ln(rate) of each draw lies from what its other unknowns let expect. */
  lnRateOff: Float64Array;
  /** Spread of that. */
  lnRateSd: number;
  /** How far each draw takes a figure along its slopes. */
  along: (figure: FigureSlopes) => Float64Array;
}

/** Unknowns of a rate that bend it, or whose slope hangs on another one: they are drawn. */
const drawnRates: readonly ParameterId[] = ['agedRate', 'lotAgedRate', 'lnHalfLife'];

/**
 * Draws from the posterior, the same every time. All unknowns that enter the rate alone are drawn as one, their sum, which
 * is normal: what it does to a time is known without drawing. The first coordinate of the others runs along the direction in
 * which ln(time) moves most, in equal strips of probability; the rest is quasi-random.
 * @param posterior what is known
 * @param slopes how ln(rate) moves
 * @param lnTime how ln(time) moves
 * @param count number of draws; 2 or more
 */
export function draws(posterior: Posterior, slopes: Slopes, lnTime: FigureSlopes, count: number): Draws {
  const { mean, situation } = posterior;
  const { unknowns } = situation;
  const isPace = unknowns.map(({ id }, index) => slopes.lnRate[index] !== null && !drawnRates.includes(id));
  const drawn = [...unknowns.keys()].filter((index) => isPace[index] === false);
  const { lower, ofRate, restSd } = drawnFactor(posterior, slopes, drawn, isPace);
  const size = drawn.length;

  const direction = new Float64Array(size + 1);
  for (let row = 0; row < size; row++) {
    const slope = lnTime.byUnknown[drawn[row] as number] as number;
    for (let i = 0; i <= row; i++) direction[i] = (direction[i] as number) + (lower[row * size + i] as number) * slope;
    direction[row] = (direction[row] as number) + (ofRate[row] as number) * lnTime.perLnRate;
  }
  const length = Math.hypot(...direction);
  const unit = direction.map((value) => (length === 0 ? 0 : value / length));
  // Unknowns that evidence has not tied together are most of them: what is zero before a row's first entry is left out.
  const firstOf = drawn.map((_, row) =>
    lower.subarray(row * size, row * size + size).findIndex((value) => value !== 0),
  );
  const ids = drawn.map((index) => (unknowns[index] as Situation['unknowns'][number]).id);
  const sds = vectorOf(drawn, (index) => (unknowns[index] as Situation['unknowns'][number]).sd);
  const base = deviationsOf(situation, mean);
  const point = new Float64Array(size + 1);
  const lnRateOff = new Float64Array(count);
  /** Of each draw, where its drawn unknowns lie, and its ln(rate) beside them. */
  const places = new Float64Array(count * (size + 1));
  const strips = strata(count);
  const deviations = normalPoints(size + 1, count).map((raw, n): Deviations => {
    let share = 0;
    for (let i = 0; i < size; i++) share += (raw[i] as number) * (unit[i] as number);
    const shift = length === 0 ? 0 : (strips[n] as number) - share;
    for (let i = 0; i <= size; i++) point[i] = (raw[i] as number) + shift * (unit[i] as number);
    const one = { ...base };
    let lnRate = restSd * (point[size] as number);
    lnRateOff[n] = lnRate;
    for (let row = 0; row < size; row++) {
      let sum = 0;
      for (let i = firstOf[row] as number; i <= row; i++)
        sum += (lower[row * size + i] as number) * (point[i] as number);
      one[ids[row] as ParameterId] += (sds[row] as number) * sum;
      places[n * (size + 1) + row] = sum;
      lnRate += (ofRate[row] as number) * (point[row] as number);
    }
    one.lnRun += lnRate;
    places[n * (size + 1) + size] = lnRate;
    return one;
  });
  const along = ({ byUnknown, perLnRate }: FigureSlopes): Float64Array => {
    const weights = Float64Array.from([...drawn.map((index) => byUnknown[index] as number), perLnRate]);
    const moving = [...weights.keys()].filter((row) => weights[row] !== 0);
    const moves = new Float64Array(count);
    for (const row of moving)
      for (let n = 0; n < count; n++)
        moves[n] = (moves[n] as number) + (weights[row] as number) * (places[n * (size + 1) + row] as number);
    return moves;
  };
  return { deviations, lnRateOff, lnRateSd: restSd, along };
}

/**
 * The Cholesky factor of the drawn unknowns' covariance, row by row, with one row more for the sum of the others in
 * ln(rate): what of it goes with the drawn ones, and what is left.
 * Source: conditional normal distribution (textbook).
 */
function drawnFactor(
  { covariance }: Posterior,
  { lnRate }: Slopes,
  drawn: readonly number[],
  isPace: readonly boolean[],
): { lower: Float64Array; ofRate: Float64Array; restSd: number } {
  const size = drawn.length;
  const together = (index: number): number =>
    isPace.reduce((sum, pace, at) => (pace ? sum + cellOf(covariance, index, at) * (lnRate[at] as number) : sum), 0);
  const lower = new Float64Array(size * size);
  for (let row = 0; row < size; row++) {
    for (let column = 0; column <= row; column++) {
      let left = cellOf(covariance, drawn[row] as number, drawn[column] as number);
      for (let i = 0; i < column; i++) left -= (lower[row * size + i] as number) * (lower[column * size + i] as number);
      lower[row * size + column] =
        row === column ? Math.sqrt(Math.max(LEAST_VARIANCE, left)) : left / (lower[column * size + column] ?? 1);
    }
  }
  const ofRate = new Float64Array(size);
  for (let row = 0; row < size; row++) {
    let left = together(drawn[row] as number);
    for (let i = 0; i < row; i++) left -= (lower[row * size + i] as number) * (ofRate[i] as number);
    ofRate[row] = left / (lower[row * size + row] ?? 1);
  }
  let variance = isPace.reduce((sum, pace, at) => (pace ? sum + (lnRate[at] as number) * together(at) : sum), 0);
  for (const part of ofRate) variance -= part * part;
  return { lower, ofRate, restSd: Math.sqrt(Math.max(LEAST_VARIANCE, variance)) };
}

/** Below this a variance is rounding. */
const LEAST_VARIANCE = 1e-12;

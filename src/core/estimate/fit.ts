import {
  addTo,
  elementAt,
  zeroVector,
  type ArrowheadMatrix,
  type ArrowheadVector,
  type Place,
  type SparseRow,
} from '../inference/arrowhead';
import { Development, lnRateOf } from './development';
import { gaussNewton, USUAL_NEARNESS, type Fitted, type LeastSquares, type Nearness } from '../inference/gaussNewton';
import { observationsOf, type Measure, type Observation, type EvidenceItem, type Reading } from './observations';
import { privatePlace } from '../inference/privateBlock';
import { noDeviations, rateSign, rateOnly, type Deviations, type ParameterId } from './parameters';
import type { Situation } from './situation';

/** Distance in standard deviations from what everything else says, beyond which a piece counts as conflicting. Source: our choice. */
export const CONFLICT_SD = 3;

/** A piece of evidence that disagrees with everything else. */
export interface Conflict {
  pieceId: string;
  measure: Measure;
  /** Distance from what everything else predicts, in standard deviations of that prediction and the piece's own noise. */
  distanceSd: number;
  /** Whether it is above what was expected. */
  above: boolean;
  /** What is left of its weight, 0 to 1. */
  weight: number;
}

/** What all evidence together says about the unknowns. */
export interface Fit {
  pieces: readonly EvidenceItem[];
  released: ReadonlySet<string>;
  conflicts: Conflict[];
  /** Most likely value of an unknown, in standard deviations from its prior mean; 0 for one that no evidence touches. */
  meanOf: (key: string) => number;
  /** Covariance of two unknowns; that of the prior where no evidence touches them. */
  covariance: (a: string, b: string) => number;
  /** How many times wider an unknown is than its covariance says, because a surprise touches it; 1 as a rule. */
  looseness: (key: string) => number;
  /** Whether the fit came to its minimum; else its numbers are the best that were found, and are told as such. */
  converged: boolean;
  /** How much wider bands are drawn, because this bench's last ones did not hold; 1 or missing while they do. */
  widening?: number;
  /** Each observation as the fit left it: its linearised row over unknowns, residual and noise, and its weight. */
  observed: readonly Observed[];
}

/** Where a fit may begin: values of the unknowns, from an earlier fit of much the same pieces. */
export type Start = Pick<Fit, 'meanOf'>;

/**
 * The values of a fit, to begin another one with.
 * @returns each unknown that evidence touches, with its value in standard deviations from its prior mean
 */
export function valuesOf({ observed, meanOf }: Fit): [string, number][] {
  const keys = new Set(observed.flatMap((one) => one.keys));
  return [...keys].map((key) => [key, meanOf(key)]);
}

/** A start from such values; unknowns without one begin at their prior mean. */
export function startWith(values: readonly (readonly [string, number])[]): Start {
  const known = new Map(values);
  return { meanOf: (key) => known.get(key) ?? 0 };
}

/** One observation after the fit. */
export interface Observed {
  pieceId: string;
  measure: Measure;
  keys: readonly string[];
  /** Derivatives of the residual by the unknowns, divided by the noise. */
  values: Float64Array;
  residual: number;
  weight: number;
}

/** Step of the finite differences, in standard deviations of the prior. */
const STEP = 1e-3;

/** Rounds of fitting and weighing; two agree as a rule. */
const WEIGHING_ROUNDS = 6;
const SETTLED_WEIGHT = 0.02;

/**
 * Fits all unknowns to all evidence: maximum a posteriori, Laplace covariance, and conflicting pieces weighed down.
 * @param pieces evidence with its settings; none gives the prior
 * @param about the pair of stock and developer that is asked about, if one is
 * @param near an earlier fit of much the same pieces: a long log begins there. It comes to the same minimum, sooner
 * @returns the fit. Same pieces, same fit.
 * Source: docs/method.md. Weighing after Huber 1964, on distances with the piece itself left out.
 */
export function fitEvidence(
  pieces: readonly EvidenceItem[],
  about: string | null = null,
  near: Start | null = null,
): Fit {
  const { observations, released } = observationsOf(pieces, about);
  const places = placesOf(observations);
  const problem = leastSquares(observations, places);
  const readings = observations.flatMap(({ pieceId, readings: own }) =>
    own.map(({ measure, bound = false }) => ({ pieceId, measure, bound })),
  );
  const bounds = readings.map(({ bound }) => bound);
  let weights = readings.map(() => 1);
  const nearness = nearnessOf(readings.length);
  let fitted = gaussNewton(problem, weights, startOf(near, places, pieces.length), nearness);
  let distances = distancesOf(fitted, weights, bounds);
  for (let round = 1; round < WEIGHING_ROUNDS; round++) {
    const next = distances.map((distance) => Math.min(1, (CONFLICT_SD / Math.abs(distance)) ** 2));
    if (next.every((weight, index) => Math.abs(weight - (weights[index] ?? 1)) < SETTLED_WEIGHT)) break;
    weights = next;
    fitted = gaussNewton(problem, weights, fitted.z, nearness);
    distances = distancesOf(fitted, weights, bounds);
  }
  const { z, factored, rows, residuals } = fitted;
  const keys = new Map([...places.of].map(([key, place]) => [placeName(place), key]));
  // A bound that is doubted loosens as far as it is believed.
  const surprises = distances.map((distance, index) =>
    bounds[index] === true ? Math.max(1, (distance * (weights[index] as number)) ** 2) : 1,
  );
  const loose = looseByPlace(rows, surprises);
  return {
    pieces,
    released,
    converged: fitted.converged,
    conflicts: readings.flatMap(({ pieceId, measure }, index): Conflict[] => {
      const distance = distances[index] as number;
      if (Math.abs(distance) <= CONFLICT_SD) return [];
      return [{ pieceId, measure, distanceSd: Math.abs(distance), above: distance < 0, weight: weights[index] ?? 1 }];
    }),
    meanOf: (key) => {
      const place = places.of.get(key);
      return place === undefined ? 0 : elementAt(z, place);
    },
    covariance: (a, b) => {
      const [placeA, placeB] = [places.of.get(a), places.of.get(b)];
      if (placeA === undefined || placeB === undefined) return a === b ? 1 : 0;
      return factored.covariance(placeA, placeB);
    },
    looseness: (key) => {
      const place = places.of.get(key);
      return place === undefined ? 1 : (loose.get(placeName(place)) ?? 1);
    },
    observed: readings.map(({ pieceId, measure }, index) => ({
      pieceId,
      measure,
      keys: (rows[index]?.places ?? []).map((place) => keys.get(placeName(place)) ?? ''),
      values: rows[index]?.values ?? new Float64Array(0),
      residual: residuals[index] as number,
      weight: weights[index] ?? 1,
    })),
  };
}

/** A log longer than this is fitted from where an earlier fit of it ended. Source: our choice. */
export const LONG_LOG = 700;

function startOf(near: Start | null, places: Places, pieces: number): ArrowheadVector {
  const start = zeroVector(places.shape);
  if (near === null || pieces <= LONG_LOG) return start;
  for (const [key, place] of places.of) addTo(start, place, near.meanOf(key));
  return start;
}

/**
 * How near the minimum a log is fitted. Steps are measured in standard deviations of the posterior, over all unknowns
 * together: a thousand readings share what one may be off. Source: our choice.
 */
function nearnessOf(readings: number): Nearness {
  const share = Math.max(1, readings / 1000);
  return { last: USUAL_NEARNESS.last * share, keep: USUAL_NEARNESS.keep * share };
}

/** No evidence at all: the prior. */
export const noEvidence: Fit = fitEvidence([]);

interface Places {
  of: ReadonlyMap<string, Place>;
  shape: ArrowheadMatrix;
}

function placeName({ group, at }: Place): string {
  return `${group}:${at}`;
}

/**
 * Unknowns that one piece alone touches are private to it, those of one stock alone make its group, and those that stocks
 * share make the border.
 */
function placesOf(observations: readonly Observation[]): Places {
  const touchedBy = new Map<string, { stocks: Set<string>; pieces: Set<number> }>();
  observations.forEach(({ situations }, piece) => {
    for (const { stockId, unknowns } of situations) {
      for (const { key } of unknowns) {
        const touched = touchedBy.get(key) ?? { stocks: new Set(), pieces: new Set() };
        touched.stocks.add(stockId);
        touched.pieces.add(piece);
        touchedBy.set(key, touched);
      }
    }
  });
  const groups = new Map<string, number>();
  const groupSizes: number[] = [];
  const privateSizes = observations.map(() => 0);
  let borderSize = 0;
  const of = new Map<string, Place>();
  for (const [key, { stocks, pieces }] of touchedBy) {
    const [[stockId = ''], [piece = 0]] = [[...stocks], [...pieces]];
    if (pieces.size === 1) {
      of.set(key, privatePlace(piece, privateSizes[piece] as number));
      privateSizes[piece] = (privateSizes[piece] as number) + 1;
    } else if (stocks.size > 1) {
      of.set(key, { group: -1, at: borderSize++ });
    } else {
      const group = groups.get(stockId) ?? groupSizes.push(0) - 1;
      groups.set(stockId, group);
      const at = groupSizes[group] as number;
      groupSizes[group] = at + 1;
      of.set(key, { group, at });
    }
  }
  return { of, shape: { privateSizes, groupSizes, borderSize } };
}

/** An observation with the places of its unknowns. */
interface Located {
  observation: Observation;
  /** Each unknown once, with where it enters: situation, parameter and spread. */
  unknowns: { place: Place; enters: { situation: number; id: ParameterId; sd: number }[] }[];
  places: Place[];
  /** Deviations of each situation, written anew for every evaluation; what is no unknown stays 0. */
  deviations: Deviations[];
}

function locate(observation: Observation, of: Places['of']): Located {
  const unknowns = new Map<string, Located['unknowns'][number]>();
  observation.situations.forEach((situation, index) => {
    for (const { id, sd, key } of situation.unknowns) {
      const known = unknowns.get(key) ?? { place: of.get(key) as Place, enters: [] };
      known.enters.push({ situation: index, id, sd });
      unknowns.set(key, known);
    }
  });
  const list = [...unknowns.values()];
  return {
    observation,
    unknowns: list,
    places: list.map(({ place }) => place),
    deviations: observation.situations.map(() => noDeviations()),
  };
}

function leastSquares(observations: readonly Observation[], { of, shape }: Places): LeastSquares {
  const located = observations.map((observation) => locate(observation, of));
  const count = observations.reduce((sum, { readings }) => sum + readings.length, 0);
  const evaluate = (z: ArrowheadVector, withRows: boolean): { residuals: Float64Array; rows: SparseRow[] } => {
    const residuals = new Float64Array(count);
    const rows: SparseRow[] = [];
    let at = 0;
    for (const one of located) {
      const { readings } = one.observation;
      const found = residualsOf(one, z, withRows);
      for (let r = 0; r < readings.length; r++) {
        residuals[at + r] = found.residuals[r] as number;
        if (withRows) rows.push({ places: one.places, values: found.slopes[r] as Float64Array });
      }
      at += readings.length;
    }
    return { residuals, rows };
  };
  return { shape, residuals: (z) => evaluate(z, false).residuals, linearise: (z) => evaluate(z, true) };
}

/**
 * Residuals of one observation, and on demand their slopes by forward differences: each unknown moves only what it enters,
 * and one that enters the rate alone moves as far as the rate does. Plain loops: this runs for every piece of a log.
 */
function residualsOf(
  { observation, unknowns, deviations }: Located,
  z: ArrowheadVector,
  withSlopes: boolean,
): { residuals: Float64Array; slopes: Float64Array[] } {
  const { situations, readings } = observation;
  for (const { place, enters } of unknowns) {
    const value = elementAt(z, place);
    for (const { situation, id, sd } of enters) (deviations[situation] as Deviations)[id] = sd * value;
  }
  const develop = (index: number, rates?: Development['rates']): Development =>
    new Development((situations[index] as Situation).conditions, deviations[index] as Deviations, rates);
  const films = situations.map((_, index) => develop(index));
  const residualAt = (r: number, of: readonly Development[]): number => {
    const { model, observed, sd } = readings[r] as Reading;
    return (model(of) - observed) / sd;
  };
  const residuals = new Float64Array(readings.length);
  for (let r = 0; r < readings.length; r++) residuals[r] = residualAt(r, films);
  if (!withSlopes) return { residuals, slopes: [] };
  const slopes = readings.map(() => new Float64Array(unknowns.length));
  const moved = [...films];
  /** Slopes by ln(rate) of each situation. */
  const paces: (Float64Array | undefined)[] = [];
  const paceOf = (situation: number): Float64Array => {
    const known = paces[situation];
    if (known !== undefined) return known;
    const own = deviations[situation] as Deviations;
    own.lnRun += STEP;
    moved[situation] = develop(situation);
    own.lnRun -= STEP;
    const made = new Float64Array(readings.length);
    for (let r = 0; r < made.length; r++) made[r] = (residualAt(r, moved) - (residuals[r] as number)) / STEP;
    moved[situation] = films[situation] as Development;
    paces[situation] = made;
    return made;
  };
  for (let column = 0; column < unknowns.length; column++) {
    const { enters } = unknowns[column] as Located['unknowns'][number];
    const enter = enters[0] as Located['unknowns'][number]['enters'][number];
    const { conditions } = situations[enter.situation] as Situation;
    const quickens =
      enters.length > 1 ? null : lnRateSlope(conditions, deviations[enter.situation] as Deviations, enter);
    if (quickens !== null) {
      const pace = paceOf(enter.situation);
      for (let r = 0; r < slopes.length; r++) (slopes[r] as Float64Array)[column] = quickens * (pace[r] as number);
      continue;
    }
    for (const { situation, id, sd } of enters) {
      const own = deviations[situation] as Deviations;
      const before = own[id];
      own[id] = before + STEP * sd;
      // What does not belong to a rate leaves the factors as they are; a bath that drifts is worked out whole.
      moved[situation] = develop(
        situation,
        rateOnly[id] === undefined && rateSign[id] === undefined ? films[situation]?.rates : undefined,
      );
      own[id] = before;
    }
    for (let r = 0; r < slopes.length; r++)
      (slopes[r] as Float64Array)[column] = (residualAt(r, moved) - (residuals[r] as number)) / STEP;
    for (const { situation } of enters) moved[situation] = films[situation] as Development;
  }
  return { residuals, slopes };
}

/** How far ln(rate) moves with one standard deviation of an unknown; null for one that moves more than the rate. */
function lnRateSlope(
  conditions: Situation['conditions'],
  deviations: Deviations,
  { id, sd }: { id: ParameterId; sd: number },
): number | null {
  const sign = rateSign[id];
  if (sign !== undefined) return sign * sd;
  const here = lnRateOf(id, conditions, deviations);
  if (here === null) return null;
  const before = deviations[id];
  deviations[id] = before + STEP * sd;
  const moved = lnRateOf(id, conditions, deviations) as number;
  deviations[id] = before;
  return (moved - here) / STEP;
}

/**
 * Distance of each reading from what all the others predict, in standard deviations of that prediction and its own noise:
 * the studentised residual with the reading itself left out. A reading that cannot be beyond the limit, whatever the others
 * say, keeps its plain residual; a bound, whose residual is small wherever the others had been, never does.
 */
function distancesOf(
  { residuals, rows, factored }: Fitted,
  weights: readonly number[],
  bounds: readonly boolean[],
): number[] {
  return rows.map(({ values }, index) => {
    const residual = residuals[index] as number;
    const weight = weights[index] ?? 1;
    // By the prior alone the reading would have this variance; evidence only makes it smaller.
    const prior = values.reduce((sum, value) => sum + value * value, 0);
    if (bounds[index] !== true && weight === 1 && Math.abs(residual) * Math.sqrt(1 + prior) < CONFLICT_SD)
      return residual;
    const variance = factored.varianceOf(index);
    // Variance of the prediction without this row: Sherman–Morrison takes its weight back out.
    const left = Math.max(1e-9, 1 - weight * variance);
    return residual / left / Math.sqrt(1 + variance / left);
  });
}

/** Degrees of freedom of the scatter behind the unknowns: each has heavier tails, and their sum lighter ones. Source: our choice, by calibration. */
const SCATTER_DF = 8;

/**
 * How much wider unknowns are that a surprising bound touches. Something out of the common made that film black, and a bound does
 * not say what: where scatter has heavy tails, so does what is left open. Readings that were no surprise speak against it.
 * @param rows places that each reading touches
 * @param surprises d² of each reading: its squared distance from what all else says, as far as it is believed; 1 for one that was none
 * @returns factors above 1, by place
 * Source: scale of a multivariate t after n readings, √((ν + Σd²)/(ν + n)) (textbook).
 */
function looseByPlace(rows: readonly SparseRow[], surprises: readonly number[]): ReadonlyMap<string, number> {
  const touched = new Map<string, { readings: number; squares: number }>();
  surprises.forEach((square, index) => {
    if (square <= 1) return;
    for (const place of (rows[index] as SparseRow).places) touched.set(placeName(place), { readings: 0, squares: 0 });
  });
  if (touched.size === 0) return new Map();
  rows.forEach(({ places }, index) => {
    for (const place of places) {
      const here = touched.get(placeName(place));
      if (here === undefined) continue;
      here.readings += 1;
      here.squares += surprises[index] as number;
    }
  });
  return new Map(
    [...touched].map(([name, { readings, squares }]) => [
      name,
      Math.sqrt((SCATTER_DF + squares) / (SCATTER_DF + readings)),
    ]),
  );
}

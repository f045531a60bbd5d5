import { elementAt, zeroVector, type Arrow, type ArrowVector, type Place, type SparseRow } from './arrow';
import { development } from './development';
import { gaussNewton, type Fitted, type LeastSquares } from './gaussNewton';
import { observationsOf, type Measure, type Observation, type Piece } from './observations';
import { noDeviations, type Deviations } from './parameters';
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
  pieces: readonly Piece[];
  released: ReadonlySet<string>;
  conflicts: Conflict[];
  /** Most likely value of an unknown, in standard deviations from its prior mean; 0 for one that no evidence touches. */
  meanOf: (key: string) => number;
  /** Covariance of two unknowns; that of the prior where no evidence touches them. */
  covariance: (a: string, b: string) => number;
  /** Each observation as the fit left it: its linearised row over unknowns, residual and noise, and its weight. */
  observed: readonly Observed[];
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
 * @returns the fit. Same pieces, same fit.
 * Source: docs/method.md. Weighing after Huber 1964, on distances with the piece itself left out.
 */
export function fitEvidence(pieces: readonly Piece[]): Fit {
  const { observations, released } = observationsOf(pieces);
  const places = placesOf(observations);
  const problem = leastSquares(observations, places);
  let weights = observations.map(() => 1);
  let fitted = gaussNewton(problem, weights, zeroVector(problem.shape));
  let distances = distancesOf(fitted, weights);
  for (let round = 1; round < WEIGHING_ROUNDS; round++) {
    const next = distances.map((distance) => Math.min(1, (CONFLICT_SD / Math.abs(distance)) ** 2));
    if (next.every((weight, index) => Math.abs(weight - (weights[index] ?? 1)) < SETTLED_WEIGHT)) break;
    weights = next;
    fitted = gaussNewton(problem, weights, fitted.z);
    distances = distancesOf(fitted, weights);
  }
  const { z, factored, rows, residuals } = fitted;
  const keys = new Map([...places.of].map(([key, place]) => [placeName(place), key]));
  return {
    pieces,
    released,
    conflicts: observations.flatMap((observation, index): Conflict[] => {
      const distance = distances[index] ?? 0;
      if (Math.abs(distance) <= CONFLICT_SD) return [];
      return [{ pieceId: observation.pieceId, measure: observation.measure, distanceSd: Math.abs(distance), above: distance < 0, weight: weights[index] ?? 1 }];
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
    observed: observations.map((observation, index) => ({
      pieceId: observation.pieceId,
      measure: observation.measure,
      keys: (rows[index]?.places ?? []).map((place) => keys.get(placeName(place)) ?? ''),
      values: rows[index]?.values ?? new Float64Array(0),
      residual: residuals[index] ?? 0,
      weight: weights[index] ?? 1,
    })),
  };
}

/** No evidence at all: the prior. */
export const noEvidence: Fit = fitEvidence([]);

interface Places {
  of: ReadonlyMap<string, Place>;
  shape: Arrow;
}

function placeName({ group, at }: Place): string {
  return `${group}:${at}`;
}

/** Unknowns of one stock alone make its group; those that stocks share make the border. */
function placesOf(observations: readonly Observation[]): Places {
  const stockOf = new Map<string, string | null>();
  for (const { stockId, unknowns } of observations.flatMap(({ situations }) => situations)) {
    for (const { key } of unknowns) {
      const before = stockOf.get(key);
      stockOf.set(key, before === undefined || before === stockId ? stockId : null);
    }
  }
  const groups = new Map<string, number>();
  const groupSizes: number[] = [];
  let borderSize = 0;
  const of = new Map<string, Place>();
  for (const [key, stockId] of stockOf) {
    if (stockId === null) {
      of.set(key, { group: -1, at: borderSize++ });
      continue;
    }
    const group = groups.get(stockId) ?? groupSizes.push(0) - 1;
    groups.set(stockId, group);
    const at = groupSizes[group] ?? 0;
    groupSizes[group] = at + 1;
    of.set(key, { group, at });
  }
  return { of, shape: { groupSizes, borderSize } };
}

interface Located {
  observation: Observation;
  situations: { situation: Situation; places: Place[] }[];
  places: Place[];
}

function leastSquares(observations: readonly Observation[], { of, shape }: Places): LeastSquares {
  const located = observations.map((observation): Located => {
    const situations = observation.situations.map((situation) => ({ situation, places: situation.unknowns.map(({ key }) => of.get(key) as Place) }));
    const places = new Map(situations.flatMap((one) => one.places.map((place) => [placeName(place), place] as const)));
    return { observation, situations, places: [...places.values()] };
  });
  const residualOf = ({ observation, situations }: Located, z: ArrowVector, bumped: Place | null): number => {
    const films = situations.map(({ situation, places }) => development(situation.conditions, deviationsAt(situation, places, z, bumped)));
    return (observation.model(films) - observation.observed) / observation.sd;
  };
  return {
    shape,
    residuals: (z) => Float64Array.from(located, (one) => residualOf(one, z, null)),
    linearise: (z) => {
      const residuals = new Float64Array(located.length);
      const rows = located.map((one, index): SparseRow => {
        const centre = residualOf(one, z, null);
        residuals[index] = centre;
        return { places: one.places, values: Float64Array.from(one.places, (place) => (residualOf(one, z, place) - centre) / STEP) };
      });
      return { residuals, rows };
    },
  };
}

function deviationsAt({ unknowns }: Situation, places: readonly Place[], z: ArrowVector, bumped: Place | null): Deviations {
  const deviations = noDeviations();
  unknowns.forEach(({ id, sd }, index) => {
    const place = places[index] as Place;
    const bump = bumped !== null && bumped.group === place.group && bumped.at === place.at ? STEP : 0;
    deviations[id] = sd * (elementAt(z, place) + bump);
  });
  return deviations;
}

/**
 * Distance of each observation from what all the others predict, in standard deviations of that prediction and its own
 * noise: the studentised residual with the observation itself left out.
 */
function distancesOf({ residuals, rows, factored }: Fitted, weights: readonly number[]): number[] {
  return rows.map(({ places, values }, index) => {
    const weight = weights[index] ?? 1;
    let variance = 0;
    for (let i = 0; i < places.length; i++) {
      const v = values[i] ?? 0;
      if (v === 0) continue;
      for (let j = 0; j <= i; j++) {
        const w = values[j] ?? 0;
        if (w !== 0) variance += (i === j ? 1 : 2) * v * w * factored.covariance(places[i] as Place, places[j] as Place);
      }
    }
    // Variance of the prediction without this row: Sherman–Morrison takes its weight back out.
    const left = Math.max(1e-9, 1 - weight * variance);
    const without = variance / left;
    return ((residuals[index] ?? 0) / left) / Math.sqrt(1 + without);
  });
}

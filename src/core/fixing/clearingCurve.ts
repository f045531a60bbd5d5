import { SPENT_CLEARING_FACTOR, type ClearingReading } from './clearing';

/** Clearing times of a fixer as they are drawn. */
export interface ClearingCurve {
  points: ClearingReading[];
  /** Where the drawing ends, s and films. */
  mostS: number;
  mostFilms: number;
  /** The time at which it is done, s. */
  spentS: number;
}

/**
 * Clearing times of a fixer over the films through it.
 * @param clearings oldest first; one at the least
 * @returns points by films, and by their day where films are the same
 */
export function clearingCurve(clearings: readonly ClearingReading[]): ClearingCurve {
  const points = [...clearings].sort((a, b) => a.films - b.films || a.atMs - b.atMs);
  const spentS = (clearings[0]?.seconds ?? 0) * SPENT_CLEARING_FACTOR;
  return {
    points,
    spentS,
    mostS: 1.15 * Math.max(spentS, ...points.map(({ seconds }) => seconds)),
    mostFilms: Math.max(2, Math.ceil(points.at(-1)?.films ?? 0)),
  };
}

import { dot, times } from '../inference/vectors';
import { covariancesOf, type Covariances } from './covariances';
import type { EstimateContext } from './estimate';
import type { Observed } from './fit';
import type { EvidenceItem } from './observations';
import { deviationsOf } from './posterior';
import { drawTime } from './predict';

/** What a piece of evidence does to the estimate. */
export interface EvidenceEffect {
  pieceId: string;
  /** Time without this piece, min. */
  timeWithoutMin: number;
}

/**
 * What each piece of evidence does: the time that the rest would give.
 * @param worked an estimate with its posterior
 * @param pieceIds pieces to look at
 * @returns one entry for each piece that the fit knows. To first order: the piece is taken back out of the normal posterior.
 * Source: downdating of a linear least-squares problem (textbook).
 */
export function evidenceEffects(worked: EstimateContext, pieceIds: readonly string[]): EvidenceEffect[] {
  const covariances = covariancesOf(worked.fit, true);
  return pieceIds.flatMap((pieceId): EvidenceEffect[] => {
    const rows = worked.fit.observed.filter((row) => row.pieceId === pieceId);
    return rows.length === 0 ? [] : [{ pieceId, timeWithoutMin: timeWithout(worked, covariances, rows) }];
  });
}

/** What somebody else’s log does to the estimate. */
export interface GuestEffect {
  /** Whose it is. */
  name: string;
  /** How many of its pieces were looked at. */
  pieces: number;
  /** Time without them, min. */
  timeWithoutMin: number;
}

/**
 * What other people’s logs do: the time that the rest would give without the pieces of each that bear on this one most directly.
 * @param worked an estimate with its posterior
 * @param nearest pieces that bear on it
 * @returns one entry for each log with such pieces, in the order in which they come. To first order, as for a piece by itself
 */
export function guestEffects(worked: EstimateContext, nearest: readonly EvidenceItem[]): GuestEffect[] {
  const covariances = covariancesOf(worked.fit, true);
  const byName = new Map<string, string[]>();
  for (const { setting, evidence } of nearest) {
    if (setting.benchId === undefined) continue;
    byName.set(setting.benchId, [...(byName.get(setting.benchId) ?? []), evidence.id]);
  }
  return [...byName].flatMap(([name, ids]): GuestEffect[] => {
    const rows = worked.fit.observed.filter(({ pieceId }) => ids.includes(pieceId));
    return rows.length === 0
      ? []
      : [{ name, pieces: ids.length, timeWithoutMin: timeWithout(worked, covariances, rows) }];
  });
}

/** Rows of one piece go one after the other; each leaves covariances that the next one uses. */
function timeWithout(
  { posterior, wanted }: EstimateContext,
  covariances: Covariances,
  rows: readonly Observed[],
): number {
  const { situation, mean } = posterior;
  const keys = [...new Set([...situation.unknowns.map(({ key }) => key), ...rows.flatMap((row) => row.keys)])];
  const indexOf = new Map(keys.map((key, index) => [key, index]));
  const covariance = covariances(keys);
  const shift = new Float64Array(keys.length);
  for (const { keys: rowKeys, values, residual, weight } of rows) {
    const j = new Float64Array(keys.length);
    rowKeys.forEach((key, index) => {
      j[indexOf.get(key) as number] = values[index] as number;
    });
    const shared = times(covariance, j);
    const left = Math.max(1e-6, 1 - weight * dot(shared, j));
    const residualNow = residual + dot(shift, j);
    for (let a = 0; a < keys.length; a++) {
      shift[a] = (shift[a] as number) + ((shared[a] as number) * weight * residualNow) / left;
      const line = covariance[a] as Float64Array;
      for (let b = 0; b < keys.length; b++)
        line[b] = (line[b] as number) + (weight * (shared[a] as number) * (shared[b] as number)) / left;
    }
  }
  const z = Float64Array.from(mean, (value, index) => value + (shift[index] as number));
  return drawTime(situation.conditions, wanted, deviationsOf(situation, z)).timeMin;
}

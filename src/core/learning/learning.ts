import type { Fit } from '../estimate/fit';
import { fitWith } from '../estimate/learned';
import type { Piece } from '../estimate/observations';
import type { EstimateRequest } from '../estimate/request';
import { pairKey } from '../estimate/situation';
import { benchEvidence, type LearningRecords } from './benchEvidence';

/** Fits kept at a time: the bench's own, and those of rolls that switch pieces off or bring a time of their own. */
const KEPT_FITS = 12;

/** What a bench has learned: its evidence, and the fits that were asked for. */
export interface Learning {
  pieces: readonly Piece[];
  /** The fit for a request, without the pieces that are switched off. Fits are kept, since they do not follow sliders. */
  fitFor: (request: EstimateRequest, muted: readonly string[]) => Fit;
}

/**
 * Learns from a bench's records.
 * @param records stocks, rolls, runs, verdicts and evidence
 * @param nowYear this year
 */
export function learnFrom(records: LearningRecords, nowYear: number): Learning {
  const pieces = benchEvidence(records, nowYear);
  const charted = new Set(
    pieces.filter(({ evidence }) => evidence.kind === 'chart').map(({ setting }) => pairKey(setting)),
  );
  const fits = new Map<string, Fit>();
  return {
    pieces,
    fitFor: (request, muted) => {
      const pair = pairKey(request);
      const key = keyOf(request, muted, charted.has(pair) ? pair : null);
      const known = fits.get(key);
      if (known !== undefined) return known;
      const fit = fitWith(request, pieces, muted);
      if (fits.size >= KEPT_FITS) fits.delete(fits.keys().next().value ?? '');
      fits.set(key, fit);
      return fit;
    },
  };
}

/** What of a request its fit depends on: a pair that a chart time decides, and evidence or a known time of its own. */
function keyOf(request: EstimateRequest, muted: readonly string[], pair: string | null): string {
  const { knownTime, developer, film, stockId, rollId, brewId } = request;
  const own =
    request.evidence.length > 0
      ? request
      : knownTime === undefined
        ? null
        : { knownTime, developer, film, stockId, rollId, brewId };
  return JSON.stringify([muted, pair, own]);
}

import { estimate } from './estimate';
import { fitEvidence, noEvidence, type Fit, type Start } from './fit';
import type { EvidenceItem } from './observations';
import { piecesOf } from './pieces';
import type { EstimateRequest } from './request';
import type { Estimate } from './result';
import { pairKey } from './situation';

/**
 * Fits a request's own evidence together with what was learned elsewhere.
 * @param request a valid request
 * @param learned pieces from the log
 * @param muted ids of pieces that are switched off
 * @param near an earlier fit of much the same pieces; see `fitEvidence`
 */
export function fitWith(
  request: EstimateRequest,
  learned: readonly EvidenceItem[],
  muted: readonly string[] = [],
  near: Start | null = null,
): Fit {
  const off = new Set(muted);
  const pieces = [...learned, ...piecesOf(request)].filter(({ evidence }) => !off.has(evidence.id));
  return pieces.length === 0 ? noEvidence : fitEvidence(pieces, pairKey(request), near);
}

/** Estimates a request with what was learned elsewhere; see `fitWith`. */
export function estimateWith(
  request: EstimateRequest,
  learned: readonly EvidenceItem[],
  muted: readonly string[] = [],
): Estimate {
  return estimate(request, fitWith(request, learned, muted));
}

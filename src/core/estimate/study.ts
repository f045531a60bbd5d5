import { estimate } from './estimate';
import { gradientCurve, type GradientCurve } from './gradientCurve';
import { narrowingFacts, type NarrowingFact } from './narrowingFacts';
import type { EstimateRequest } from './request';
import type { Estimate } from './result';

/** An estimate with the curve that belongs to it. */
export interface Study {
  request: EstimateRequest;
  estimate: Estimate;
  curve: GradientCurve;
  /** Facts about the roll that would narrow the band, the best first. */
  missing: NarrowingFact[];
}

/** How far the curve goes beyond the band, as a multiple of its upper end. Source: our choice. */
const CURVE_MARGIN = 1.25;

/**
 * Estimates a time and draws the gradient around it.
 * @param request a valid request
 */
export function study(request: EstimateRequest): Study {
  const answer = estimate(request);
  return { request, estimate: answer, curve: gradientCurve(request, answer.band.highMin * CURVE_MARGIN), missing: narrowingFacts(request) };
}

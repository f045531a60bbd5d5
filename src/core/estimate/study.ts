import { fitOf, workOut } from './estimate';
import { evidenceEffects, type EvidenceEffect } from './evidenceEffects';
import type { Fit } from './fit';
import { gradientCurve, type GradientCurve } from './gradientCurve';
import { narrowingFacts, type NarrowingFact } from './narrowingFacts';
import { nextTests, type NextTests } from './nextTests';
import type { Piece } from './observations';
import { piecesOf } from './pieces';
import { readingMarks, type ReadingMark } from './readingMarks';
import type { EstimateRequest } from './request';
import type { Estimate } from './result';
import { compareStrategies, type Strategies } from './strategies';

/** An estimate with everything that is shown around it. */
export interface Study {
  request: EstimateRequest;
  estimate: Estimate;
  curve: GradientCurve;
  strategies: Strategies;
  next: NextTests;
  /** What each piece of evidence about this roll, stock or developer does. */
  effects: EvidenceEffect[];
  /** Gradients that were read on this roll. */
  marks: ReadingMark[];
  /** Facts about the roll that would narrow the band, the best first. */
  missing: NarrowingFact[];
}

/** How far the curve goes beyond the band, as a multiple of its upper end. Source: our choice. */
const CURVE_MARGIN = 1.25;

/**
 * Estimates a time and everything around it.
 * @param request a valid request
 * @param fit evidence fitted earlier; by default the request's own
 * @param nearest pieces of evidence whose effect is asked for; by default all of the request's own
 */
export function study(request: EstimateRequest, fit: Fit = fitOf(request), nearest: readonly Piece[] = piecesOf(request)): Study {
  const worked = workOut(request, fit);
  return {
    request,
    estimate: worked.estimate,
    curve: gradientCurve(worked, worked.estimate.band.highMin * CURVE_MARGIN),
    strategies: compareStrategies(request, worked, fit),
    next: nextTests(worked),
    effects: evidenceEffects(worked, nearest.map(({ evidence }) => evidence.id)),
    marks: readingMarks(worked, nearest),
    missing: narrowingFacts(request, worked.estimate, fit),
  };
}

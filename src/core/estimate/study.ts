import { fitOf, workOut, type Worked } from './estimate';
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

/** An estimate with the curve it lies on: what follows a slider. */
export interface Glance {
  request: EstimateRequest;
  estimate: Estimate;
  curve: GradientCurve;
  /** Gradients that were read on this roll. */
  marks: ReadingMark[];
}

/** An estimate with everything that is shown around it. */
export interface Study extends Glance {
  strategies: Strategies;
  next: NextTests;
  /** What each piece of evidence about this roll, stock or developer does. */
  effects: EvidenceEffect[];
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
export function study(
  request: EstimateRequest,
  fit: Fit = fitOf(request),
  nearest: readonly Piece[] = piecesOf(request),
): Study {
  const worked = workOut(request, fit);
  return {
    ...glanceAt(worked, nearest),
    strategies: compareStrategies(request, worked, fit),
    next: nextTests(worked),
    effects: evidenceEffects(
      worked,
      nearest.map(({ evidence }) => evidence.id),
    ),
    missing: narrowingFacts(request, worked.estimate, fit),
  };
}

/** Estimates a time and its curve, and nothing else; see `study`. */
export function glance(request: EstimateRequest, fit: Fit, nearest: readonly Piece[]): Glance {
  return glanceAt(workOut(request, fit), nearest);
}

function glanceAt(worked: Worked, nearest: readonly Piece[]): Glance {
  const { request, estimate } = worked;
  return {
    request,
    estimate,
    curve: gradientCurve(worked, estimate.band.highMin * CURVE_MARGIN),
    marks: readingMarks(worked, nearest),
  };
}

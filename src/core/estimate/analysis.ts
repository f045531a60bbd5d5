import { characteristicDensity } from '../kinetics/characteristicCurve';
import { developedFilm } from './developedFilm';
import { fitOf, workOut, type EstimateContext } from './estimate';
import { evidenceEffects, guestEffects, type EvidenceEffect, type GuestEffect } from './evidenceEffects';
import type { Fit } from './fit';
import { gradientCurve, type GradientCurve } from './gradientCurve';
import { narrowingFacts, type NarrowingFact } from './narrowingFacts';
import { CLIP_SHARE, nextTests, type NextTests } from './nextTests';
import type { EvidenceItem } from './observations';
import { ownTimeOutlook, type OwnTimeOutlook } from './ownTime';
import { piecesOf } from './pieces';
import { deviationsOf } from './posterior';
import { readingMarks, type ReadingMark } from './readingMarks';
import type { EstimateRequest } from './request';
import type { Estimate } from './result';
import { LOG_H, compareStrategies, type Strategies, type StrategyRequests } from './strategies';

/** An estimate with the curve it lies on: what follows a slider. */
export interface EstimatePreview {
  request: EstimateRequest;
  estimate: Estimate;
  curve: GradientCurve;
  /** Gradients that were read on this roll. */
  marks: ReadingMark[];
  /** What a time of the user’s own would give; null without one. */
  own: OwnTimeOutlook | null;
  /** Rate at 30 °C ÷ rate at 20 °C, as far as it is known. */
  q10: number;
}

/** An estimate with everything that is shown around it. */
export interface EstimateAnalysis extends EstimatePreview {
  strategies: Strategies;
  next: NextTests;
  /** What each piece of evidence about this roll, stock or developer does. */
  effects: EvidenceEffect[];
  /** What other people’s logs did, one entry a log. */
  guests: GuestEffect[];
  /** Facts about the roll that would narrow the band, the best first. */
  missing: NarrowingFact[];
  /** How the film may turn out at the time, where it is slower or quicker than expected: the ends of the band. */
  ends: { softer: BandEnd; harder: BandEnd };
  /** What a clip would be, developed for the usual share of the time. */
  clip: OwnTimeOutlook;
}

/** The film at one end of its band. */
export interface BandEnd {
  /** Densities at the exposures of the strategies' curves, D. */
  densities: number[];
  baseFogD: number;
}

/** How far the curve goes beyond the band, as a multiple of its upper end. Source: our choice. */
const CURVE_MARGIN = 1.25;

/**
 * Estimates a time and everything around it.
 * @param request a valid request
 * @param fit evidence fitted earlier; by default the request's own
 * @param nearest pieces of evidence whose effect is asked for; by default all of the request's own
 * @param ownTimeMin a time of the user's own, min; null for none
 * @param requests how each other strategy would be asked for
 */
export function analysis(
  request: EstimateRequest,
  fit: Fit = fitOf(request),
  nearest: readonly EvidenceItem[] = piecesOf(request),
  ownTimeMin: number | null = null,
  requests: StrategyRequests = {},
): EstimateAnalysis {
  const worked = workOut(request, fit);
  return {
    ...glanceAt(worked, nearest, ownTimeMin),
    strategies: compareStrategies(request, worked, fit, requests),
    next: nextTests(worked),
    effects: evidenceEffects(
      worked,
      nearest.map(({ evidence }) => evidence.id),
    ),
    guests: guestEffects(worked, nearest),
    missing: narrowingFacts(request, worked.estimate, fit),
    ends: bandEnds(worked),
    clip: ownTimeOutlook(worked, worked.estimate.timeMin * CLIP_SHARE),
  };
}

/** Estimates a time and its curve, and nothing else; see `analysis`. */
export function estimatePreview(
  request: EstimateRequest,
  fit: Fit,
  nearest: readonly EvidenceItem[],
  ownTimeMin: number | null = null,
): EstimatePreview {
  return glanceAt(workOut(request, fit), nearest, ownTimeMin);
}

function glanceAt(
  worked: EstimateContext,
  nearest: readonly EvidenceItem[],
  ownTimeMin: number | null,
): EstimatePreview {
  const { request, estimate, posterior } = worked;
  const { situation, mean } = posterior;
  return {
    request,
    estimate,
    curve: gradientCurve(worked, Math.max(estimate.band.highMin, ownTimeMin ?? 0) * CURVE_MARGIN),
    marks: readingMarks(worked, nearest),
    own: ownTimeMin === null ? null : ownTimeOutlook(worked, ownTimeMin),
    q10: situation.conditions.q10 * Math.exp(deviationsOf(situation, mean).lnQ10),
  };
}

/** A film that needs the time of the upper end gets as much from the time itself as another from less, and the other way round. */
function bandEnds({ request, estimate, posterior, prediction }: EstimateContext): EstimateAnalysis['ends'] {
  const { timeMin, band } = estimate;
  const at = (minutes: number): BandEnd => {
    const film = developedFilm(posterior.situation.conditions, prediction.film, minutes, request.strategy.id);
    return { densities: LOG_H.map((logH) => characteristicDensity(film, logH)), baseFogD: film.baseFogD };
  };
  return { softer: at(timeMin ** 2 / band.highMin), harder: at(timeMin ** 2 / band.lowMin) };
}

import { REFERENCE_BREW_PH } from '../chemistry/ph/brewPh';
import { failure, success, type Result } from '../schema/result';
import { problemsFromZod } from '../schema/problemsFromZod';
import { planCautions } from './planCautions';
import { speedAfterLoss } from '../units/stops';
import { shadowSeparation } from '../kinetics/characteristicCurve';
import { Z80 } from './band';
import { resolveWanted, type Conditions, type SourceMark, type Wanted } from './conditions';
import { covariancesOf, type Covariances } from './covariances';
import { developedFilm } from './developedFilm';
import { fitEvidence, noEvidence, type Fit } from './fit';
import { ledgerRowIds, parameters, type LedgerRowId } from './parameters';
import { piecesOf, settingOf } from './pieces';
import {
  deviationsOf,
  draws,
  posteriorFor,
  slopesOf,
  type Draws,
  type FigureSlopes,
  type Posterior,
} from './posterior';
import { drawTime, predict, type DrawnTime, type Prediction } from './predict';
import { cellOf, dot, times, vectorOf } from '../inference/vectors';
import { controlledQuantile } from '../inference/controlledQuantile';
import { mixtureQuantile } from '../inference/mixtureQuantile';
import { estimateRequestSchema, requestFields, type EstimateRequest, type EstimateRequestInput } from './request';
import type { Estimate, LedgerRow, Range } from './result';
import { pairKey } from './situation';

/**
 * Checks a request and estimates the development time.
 * @param input anything; typically a parsed JSON body or the values of a form
 * @returns the estimate, or every problem with its path
 */
export function estimateFrom(input: unknown): Result<Estimate> {
  const parsed = estimateRequestSchema.safeParse(input);
  return parsed.success
    ? success(estimate(parsed.data))
    : failure(...problemsFromZod(parsed.error.issues, requestFields()));
}

/**
 * Fills in the defaults of a request.
 * @param input a request that may leave defaults out
 * @throws ZodError when the request is not valid: a programmer's error here
 */
export function completeRequest(input: EstimateRequestInput): EstimateRequest {
  return estimateRequestSchema.parse(input);
}

/**
 * Draws of each predictive distribution. Without its cap Extend goes up to eight times the time, or only to the time of most
 * contrast: that takes more of them. Source: our choice, by trial against 120,000 random draws.
 */
const DRAWS = 64;
const DRAWS_WITHOUT_CAP = 512;

/** An estimate with what it was made from, for those who ask further. */
export interface EstimateContext {
  request: EstimateRequest;
  wanted: Wanted;
  fit: Fit;
  covariances: Covariances;
  posterior: Posterior;
  prediction: Prediction;
  /** Change of ln(time) for each unknown, in standard deviations of the prior. */
  slopes: Float64Array;
  /** Draws from the posterior. */
  draws: Draws;
  estimate: Estimate;
}

/**
 * Estimates the development time of a roll: one time, its 80 % band, and the ledger that multiplies out to it.
 * The time is that of the most likely parameters; the band holds the middle four fifths of a fixed quasi-random set of draws.
 * @param request a valid request
 * @param fit evidence fitted earlier; by default the request's own
 * @returns the estimate; finite for every valid request
 * Source: docs/method.md; each relation names its own.
 */
export function estimate(request: EstimateRequest, fit: Fit = fitOf(request)): Estimate {
  return workOut(request, fit).estimate;
}

/** The fit of a request's own evidence. */
export function fitOf(request: EstimateRequest): Fit {
  return request.evidence.length === 0 && request.knownTime === undefined
    ? noEvidence
    : fitEvidence(piecesOf(request), pairKey(request));
}

/** The estimate together with what it was made from; see `estimate`. */
export function workOut(request: EstimateRequest, fit: Fit = fitOf(request)): EstimateContext {
  const wanted = resolveWanted(request, fit.released.has(pairKey(request)));
  const covariances = covariancesOf(fit);
  const posterior = posteriorFor(settingOf(request), fit, covariances);
  const { conditions } = posterior.situation;
  const prediction = predict(conditions, wanted, deviationsOf(posterior.situation, posterior.mean));
  const { timeMin } = prediction;
  const figures = figuresAt(timeMin, conditions);
  const slopes = slopesOf(posterior, (deviations) => {
    const film = drawTime(conditions, wanted, deviations);
    return [Math.log(timeWanted(film, wanted)), ...figures.map(({ of }) => of(film))];
  });
  const [ofTime, ...ofFigures] = slopes.figures as [FigureSlopes, ...FigureSlopes[]];
  const drawn = draws(posterior, slopes, ofTime, wanted.strategy.liftCap ? DRAWS_WITHOUT_CAP : DRAWS);
  const films = drawn.deviations.map((deviations) => drawTime(conditions, wanted, deviations));
  const quantile = timeQuantiles(films, drawn, ofTime, wanted);
  // The time itself always lies in its band, also where the distribution is very lopsided.
  const { widening = 1 } = fit;
  const lowMin = timeMin * Math.min(1, quantile(0.1) / timeMin) ** widening;
  const highMin = timeMin * Math.max(1, quantile(0.9) / timeMin) ** widening;
  const [baseFogD, imageLossStops, exposureIndex] = figures.map(({ of, back }, index): Range => {
    const moves = ofFigures[index] as FigureSlopes;
    const variance = dot(moves.byUnknown, times(posterior.covariance, moves.byUnknown));
    const quantile = controlledQuantile(vectorOf(films, of), drawn.along(moves), Math.sqrt(Math.max(0, variance)));
    const [value, low, high] = [back(of(prediction)), back(quantile(0.1)), back(quantile(0.9))];
    return { value, low: Math.min(value, low), high: Math.max(value, high) };
  }) as [Range, Range, Range];
  const answer: Estimate = {
    timeMin,
    band: { lowMin, highMin, coverage: 0.8 },
    widening,
    lnSd: Math.log(highMin / lowMin) / (2 * Z80),
    ledger: ledger(request, fit, posterior, prediction, ofTime.byUnknown),
    familyTimeMin: conditions.baseTimeMin,
    ph: conditions.strength === null ? null : REFERENCE_BREW_PH + conditions.strength.phShift,
    freshTimeMin: prediction.freshTimeMin,
    gradient: {
      target: wanted.targetGradient,
      reachable: prediction.reach.reachable,
      bestReachable: prediction.reach.reachable ? wanted.targetGradient : prediction.reach.gradient,
      net: prediction.film.netGradientAt(timeMin),
      met: prediction.reach.reachable && prediction.extension.met,
      capped: prediction.extension.capped,
    },
    baseFogD,
    imageLossStops,
    exposureIndex,
    effectiveAge: ageRange(posterior),
    conflicts: fit.conflicts,
    converged: fit.converged,
    outlook: outlookOf(conditions, prediction, wanted),
    cautions: planCautions({
      request,
      ageRoomYears: conditions.ageRoomYears,
      ageFogD: prediction.film.aged.fogAtFreshTimeD,
      timeMin,
    }),
  };
  return {
    request,
    wanted,
    fit,
    covariances,
    posterior,
    prediction,
    slopes: ofTime.byUnknown,
    draws: drawn,
    estimate: answer,
  };
}

/** Below this share of the target, what is left of the contrast makes no usable picture. Source: our choice. */
const LEAST_SHARE_OF_TARGET = 0.5;

/**
 * Whether a picture is to be expected: enough of the contrast that was aimed at, and shadows that part at all.
 * Source: our choice of limits; figures from the model.
 */
function outlookOf(
  conditions: Conditions,
  { film, timeMin }: Prediction,
  { strategy, targetGradient }: Wanted,
): Estimate['outlook'] {
  if (film.netGradientAt(timeMin) < LEAST_SHARE_OF_TARGET * targetGradient) return 'little-contrast';
  const shadows = shadowSeparation(developedFilm(conditions, film, timeMin, strategy.id));
  return shadows === null ? 'no-shadows' : 'usable';
}

/** A figure beside the time, on the scale on which it is averaged, and the way back from it. */
interface Figure {
  of: (film: DrawnTime) => number;
  back: (scaled: number) => number;
}

/** Base + fog at a time, D; speed that the image has lost, stops; the speed to expose for. */
function figuresAt(timeMin: number, { film, iso }: Conditions): [Figure, Figure, Figure] {
  const same = (value: number): number => value;
  return [
    { of: (drawn) => Math.min(film.maximumDensityD, drawn.film.baseFogAt(timeMin)), back: same },
    { of: (drawn) => drawn.film.aged.imageLossStops, back: same },
    { of: (drawn) => -drawn.film.aged.emulsionLossStops, back: (stops) => speedAfterLoss(iso, -stops) },
  ];
}

/** The time that the film wants. A stand is left within common limits; what it would want beyond them is still in doubt. */
function timeWanted(film: DrawnTime, { strategy }: Wanted): number {
  return strategy.id === 'stand' ? film.freshTimeMin : film.timeMin;
}

/**
 * Quantiles of the time: each draw stands for all times that its pace may still give it, which are log-normal around it.
 * Source: averaging out what is known in closed form, after Rao and Blackwell (textbook).
 */
function timeQuantiles(
  films: readonly DrawnTime[],
  { lnRateOff, lnRateSd }: Draws,
  { perLnRate }: FigureSlopes,
  wanted: Wanted,
): (p: number) => number {
  const centres = vectorOf(
    films,
    (film, n) => Math.log(timeWanted(film, wanted)) - perLnRate * (lnRateOff[n] as number),
  );
  return (p) => Math.exp(mixtureQuantile(centres, Math.abs(perLnRate) * lnRateSd, p));
}

/** The roll's effective age, room-years: its own distribution where nothing was learned of it, else moved by what was. */
function ageRange({ situation, mean, covariance }: Posterior): Range {
  const { conditions, unknowns } = situation;
  const index = unknowns.findIndex(({ id }) => id === 'agePosition');
  const [centre, sd] = index === -1 ? [0, 0] : [mean[index] as number, Math.sqrt(cellOf(covariance, index, index))];
  return {
    value: conditions.ageAt(centre),
    low: conditions.ageAt(centre - Z80 * sd),
    high: conditions.ageAt(centre + Z80 * sd),
  };
}

function rowSource(id: LedgerRowId, knownBase: boolean, oneBath: boolean): SourceMark {
  if (id === 'base') return knownBase ? 'user' : 'estimate';
  if (id === 'temperature') return oneBath ? 'practice' : 'published';
  if (id === 'wear') return 'practice';
  if (id === 'target') return 'practice';
  return 'estimate';
}

/**
 * The rows of the ledger. An unknown's share of the variance is its slope times its covariance with ln(time); unknowns that
 * evidence ties together can have a negative share, which counts as none.
 */
function ledger(
  request: EstimateRequest,
  fit: Fit,
  posterior: Posterior,
  prediction: Prediction,
  lnTimeSlopes: Float64Array,
): LedgerRow[] {
  const moved = times(posterior.covariance, lnTimeSlopes);
  const shares = posterior.situation.unknowns.map(({ id }, index) => ({
    row: parameters[id].row,
    share: Math.max(0, (lnTimeSlopes[index] as number) * (moved[index] as number)),
  }));
  const total = shares.reduce((sum, { share }) => sum + share, 0);
  const knownBase = fit.released.has(pairKey(request));
  const oneBath = request.developer.kind === 'one-bath';
  let timeMin = prediction.film.baseTimeMin;
  return ledgerRowIds.map((id) => {
    const ratio = id === 'base' ? null : prediction.ratios[id];
    timeMin *= ratio ?? 1;
    const share = shares.reduce((sum, one) => (one.row === id ? sum + one.share : sum), 0);
    return {
      id,
      ratio,
      timeMin,
      varianceShare: total === 0 ? 0 : share / total,
      source: rowSource(id, knownBase, oneBath),
    };
  });
}

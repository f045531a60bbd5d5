import { failure, success, type Result } from '../result';
import { problemsFromZod } from '../problemsFromZod';
import { planCautions } from '../safety/planCautions';
import { speedAfterLoss } from '../units/stops';
import { ageFilm } from './agedFilm';
import { Z80, logBand } from './band';
import { resolveConditions, type Conditions, type SourceMark } from './conditions';
import { ledgerRowIds, noDeviations, parameters, type LedgerRowId } from './parameters';
import { predict, type Prediction } from './predict';
import { estimateRequestSchema, type EstimateRequest, type EstimateRequestInput } from './request';
import type { Estimate, LedgerRow, Range } from './result';
import { sensitivities, type Sensitivity } from './sensitivities';

/**
 * Checks a request and estimates the development time.
 * @param input anything; typically a parsed JSON body or the values of a form
 * @returns the estimate, or every problem with its path
 */
export function estimateFrom(input: unknown): Result<Estimate> {
  const parsed = estimateRequestSchema.safeParse(input);
  return parsed.success ? success(estimate(parsed.data)) : failure(...problemsFromZod(parsed.error.issues));
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
 * Estimates the development time of a roll: one time, its 80 % band, and the ledger that multiplies out to it.
 * The band propagates the priors to first order in ln(time). Fog, speed and age ranges do the same in their own scale.
 * @param request a valid request
 * @returns the estimate; finite for every valid request
 * Source: docs/method.md; each relation names its own.
 */
export function estimate(request: EstimateRequest): Estimate {
  const conditions = resolveConditions(request);
  const prediction = predict(conditions, noDeviations());
  const doubts = sensitivities(conditions);
  const lnSd = Math.sqrt(doubts.reduce((sum, doubt) => sum + doubt.lnPerSd ** 2, 0));
  const { low, high } = logBand(prediction.timeMin, lnSd);
  const age = agedRanges(conditions, prediction);
  return {
    timeMin: prediction.timeMin,
    band: { lowMin: low, highMin: high, coverage: 0.8 },
    lnSd,
    ledger: ledger(conditions, prediction, doubts),
    freshTimeMin: prediction.freshTimeMin,
    gradient: {
      target: conditions.targetGradient,
      reachable: prediction.reach.reachable,
      bestReachable: prediction.reach.reachable ? conditions.targetGradient : prediction.reach.gradient,
      net: prediction.netGradientAt(prediction.timeMin),
      met: prediction.reach.reachable && prediction.extension.met,
      capped: prediction.extension.capped,
    },
    ...age,
    cautions: planCautions({
      request,
      ageRoomYears: conditions.ageRoomYears,
      ageFogD: prediction.aged.fogAtFreshTimeD,
      timeMin: prediction.timeMin,
    }),
  };
}

function rowSource(id: LedgerRowId, conditions: Conditions): SourceMark {
  if (id === 'base') return conditions.baseSource;
  if (id === 'temperature') return 'published';
  if (id === 'wear') return 'practice';
  if (id === 'target') return 'practice';
  return 'estimate';
}

function ledger(conditions: Conditions, prediction: Prediction, doubts: readonly Sensitivity[]): LedgerRow[] {
  const total = doubts.reduce((sum, doubt) => sum + doubt.lnPerSd ** 2, 0);
  let timeMin = prediction.baseTimeMin;
  return ledgerRowIds.map((id) => {
    const ratio = id === 'base' ? null : prediction.ratios[id];
    timeMin *= ratio ?? 1;
    const share = doubts.filter((doubt) => doubt.row === id).reduce((sum, doubt) => sum + doubt.lnPerSd ** 2, 0);
    return { id, ratio, timeMin, varianceShare: total === 0 ? 0 : share / total, source: rowSource(id, conditions) };
  });
}

/** Ranges of what age did: each quantity's own parameters are moved by ± 1 sd and combined to first order. */
function agedRanges(
  conditions: Conditions,
  prediction: Prediction,
): Pick<Estimate, 'baseFogD' | 'imageLossStops' | 'exposureIndex' | 'effectiveAge'> {
  const spread = (of: (deviations: ReturnType<typeof noDeviations>) => number, ids: readonly (keyof typeof parameters)[]): number => {
    const variance = ids.reduce((sum, id) => {
      const width = parameters[id].sd(conditions);
      const half = (of({ ...noDeviations(), [id]: width }) - of({ ...noDeviations(), [id]: -width })) / 2;
      return sum + half ** 2;
    }, 0);
    return Z80 * Math.sqrt(variance);
  };
  const timeMin = prediction.timeMin;
  const fogGain = prediction.baseFogAt(timeMin) - conditions.film.freshBaseFogD;
  const fogGrowthFactor = prediction.aged.fogAtFreshTimeD === 0 ? 1 : fogGain / prediction.aged.fogAtFreshTimeD;
  const lnFogSpread = spread((d) => Math.log(Math.max(1e-9, ageFilm(conditions, d).fogAtFreshTimeD)), ['lnAge', 'lnFogRate']);
  const fog = prediction.aged.fogAtFreshTimeD * fogGrowthFactor;
  const { freshBaseFogD, maximumDensityD } = conditions.film;
  const lossSpread = spread((d) => ageFilm(conditions, d).imageLossStops, ['lnAge', 'lnSpeedLossRate']);
  const { emulsionLossStops, imageLossStops } = prediction.aged;
  const index = (lossStops: number): number => speedAfterLoss(conditions.iso, lossStops);
  const ageSpread = Math.exp(Z80 * conditions.ageLnSd);
  return {
    baseFogD: {
      value: freshBaseFogD + fog,
      low: freshBaseFogD + fog / Math.exp(lnFogSpread),
      high: Math.min(maximumDensityD, freshBaseFogD + fog * Math.exp(lnFogSpread)),
    },
    imageLossStops: aroundStops(imageLossStops, lossSpread),
    exposureIndex: {
      value: index(emulsionLossStops),
      low: index(emulsionLossStops + lossSpread),
      high: index(Math.max(0, emulsionLossStops - lossSpread)),
    },
    effectiveAge: { value: conditions.ageRoomYears, low: conditions.ageRoomYears / ageSpread, high: conditions.ageRoomYears * ageSpread },
  };
}

function aroundStops(value: number, spread: number): Range {
  return { value, low: Math.max(0, value - spread), high: value + spread };
}

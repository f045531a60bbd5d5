import { characteristicDensity, shadowSeparation } from '../kinetics/characteristicCurve';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import { resolveWanted } from './conditions';
import { developedFilm } from './developedFilm';
import { workOut, type EstimateContext } from './estimate';
import type { Fit } from './fit';
import { FRESH } from './observations';
import { settingOf } from './pieces';
import { deviationsOf, posteriorFor } from './posterior';
import { predict } from './predict';
import type { EstimateRequest } from './request';
import { pairKey } from './situation';
import { strategyIds, type StrategyId } from './strategyIds';
import { standDeveloper } from './stand';

/** What a strategy comes to for a roll. */
export interface StrategyOutlook {
  id: StrategyId;
  /** The developer that it takes: thinner for a stand. */
  developer: EstimateRequest['developer'];
  timeMin: number;
  lowMin: number;
  highMin: number;
  /** Gradient net of fog at that time. */
  netGradient: number;
  baseFogD: number;
  /** Stops above the fresh film's speed point at which the darkest usable zone lies, and its separation from the next, D; null when none is usable. */
  shadows: { zoneStops: number; separationD: number } | null;
  met: boolean;
  capped: boolean;
  /** Densities at the exposures of `OutlookCurves.logH`. */
  densities: number[];
}

/** Why a strategy is recommended. */
export type StrategyReason = 'fresh' | 'one-bath' | 'heavy-fog' | 'mixed-exposures' | 'win-back';

export interface Strategies {
  outlooks: StrategyOutlook[];
  recommended: StrategyId;
  reason: StrategyReason;
  /** log10 H relative to the speed point of the fresh film. */
  logH: number[];
  /** Densities of the same film when fresh, developed to the target. */
  freshDensities: number[];
}

/** Age fog beyond which Hold with a restrainer loses least, D. Source: common practice, no source. */
export const HEAVY_FOG_D = 0.6;

/** Age below which there is nothing to win back, room-years. Source: our choice. */
const HARDLY_OLD_ROOM_YEARS = 2;

/** From two stops under the fresh film's speed point to eleven above. */
export const LOG_H = Array.from({ length: 40 }, (_, index) => (-2 + (index * 13) / 39) * LOG_EXPOSURE_PER_STOP);

/** How each other strategy would be asked for; one that is missing is asked for as `strategyRequest` makes it. */
export type StrategyRequests = Partial<Record<StrategyId, EstimateRequest>>;

/**
 * The three strategies for a roll side by side, and which is recommended.
 * @param request a valid request
 * @param worked the estimate of the request itself: its own strategy is not worked out twice
 * @param fit evidence
 * @param requests how each other strategy would be asked for
 * @returns outlooks in the order Hold, Extend, Stand
 * Source: rules of recommendation common practice; figures from the model.
 */
export function compareStrategies(
  request: EstimateRequest,
  worked: EstimateContext,
  fit: Fit,
  requests: StrategyRequests = {},
): Strategies {
  const outlooks = strategyIds.map((id): StrategyOutlook => {
    const own = id === request.strategy.id;
    const variant = own ? request : (requests[id] ?? strategyRequest(request, id));
    const answer = own ? worked : workOut(variant, fit);
    const film = developedFilm(
      answer.posterior.situation.conditions,
      answer.prediction.film,
      answer.prediction.timeMin,
      id,
    );
    const { estimate } = answer;
    return {
      id,
      developer: variant.developer,
      timeMin: estimate.timeMin,
      lowMin: estimate.band.lowMin,
      highMin: estimate.band.highMin,
      netGradient: estimate.gradient.net,
      baseFogD: estimate.baseFogD.value,
      shadows: shadowSeparation(film),
      met: estimate.gradient.met,
      capped: estimate.gradient.capped,
      densities: LOG_H.map((logH) => characteristicDensity(film, logH)),
    };
  });
  const hold = outlooks[0] as StrategyOutlook;
  return {
    outlooks,
    ...recommend(request, hold.baseFogD, worked),
    logH: LOG_H,
    freshDensities: freshDensities(request, fit),
  };
}

/**
 * The request with another strategy: a stand takes a thin developer that is hardly moved; coming from a stand, the others
 * keep the developer as it is.
 */
export function strategyRequest(request: EstimateRequest, id: StrategyId): EstimateRequest {
  const strategy = { ...request.strategy, id };
  return id === 'stand'
    ? {
        ...request,
        strategy,
        developer: standDeveloper(request.developer),
        ...(request.developer.kind === 'one-bath' ? {} : { agitationId: 'stand' as const, movement: undefined }),
      }
    : { ...request, strategy };
}

/**
 * The strategy that is recommended before anything was decided.
 * @param request a valid request, Hold
 * @returns what `compareStrategies` recommends where no evidence is known yet
 */
export function recommendedStrategy(request: EstimateRequest): StrategyId {
  const worked = workOut(request);
  return recommend(request, worked.estimate.baseFogD.value, worked).recommended;
}

function recommend(
  request: EstimateRequest,
  baseFogD: number,
  worked: EstimateContext,
): { recommended: StrategyId; reason: StrategyReason } {
  const { conditions } = worked.posterior.situation;
  if (request.developer.kind === 'one-bath') return { recommended: 'hold', reason: 'one-bath' };
  if (baseFogD - conditions.film.freshBaseFogD > HEAVY_FOG_D) return { recommended: 'hold', reason: 'heavy-fog' };
  if (request.exposure === 'mixed' || request.exposure === 'unknown')
    return { recommended: 'stand', reason: 'mixed-exposures' };
  if (conditions.ageRoomYears < HARDLY_OLD_ROOM_YEARS) return { recommended: 'hold', reason: 'fresh' };
  return { recommended: 'extend', reason: 'win-back' };
}

/** The same stock without age, held to the target under the same conditions. */
function freshDensities(request: EstimateRequest, fit: Fit): number[] {
  const fresh: EstimateRequest = { ...request, age: FRESH, bromideGPerL: 0, strategy: { id: 'hold', liftCap: false } };
  const { situation, mean } = posteriorFor(settingOf(fresh), fit);
  const prediction = predict(
    situation.conditions,
    resolveWanted(fresh, fit.released.has(pairKey(fresh))),
    deviationsOf(situation, mean),
  );
  const film = developedFilm(situation.conditions, prediction.film, prediction.timeMin, 'hold');
  return LOG_H.map((logH) => characteristicDensity(film, logH));
}

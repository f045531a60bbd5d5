import { characteristicDensity, shadowSeparation } from '../kinetics/characteristicCurve';
import { developedFilm } from './developedFilm';
import type { EstimateContext } from './estimate';
import { LOG_H, type StrategyOutlook } from './strategies';

/** What a time of one's own would give, beside the estimate. */
export interface OwnTimeOutlook extends Pick<StrategyOutlook, 'netGradient' | 'baseFogD' | 'shadows' | 'densities'> {
  timeMin: number;
  /** The time as a multiple of the estimate. */
  ratio: number;
  /** Where it lies against the band. */
  place: 'shorter' | 'inside' | 'longer';
}

/**
 * What the film would be after a time of one's own, by the most likely parameters.
 * @param worked the estimate
 * @param timeMin the user's own time, min; above 0
 * @returns gradient, fog and shadows at that time, and how it stands to the estimate
 */
export function ownTimeOutlook(
  { request, estimate, posterior, prediction }: EstimateContext,
  timeMin: number,
): OwnTimeOutlook {
  const { lowMin, highMin } = estimate.band;
  const film = developedFilm(posterior.situation.conditions, prediction.film, timeMin, request.strategy.id);
  return {
    timeMin,
    ratio: timeMin / estimate.timeMin,
    place: timeMin < lowMin ? 'shorter' : timeMin > highMin ? 'longer' : 'inside',
    netGradient: prediction.film.netGradientAt(timeMin),
    baseFogD: prediction.film.baseFogAt(timeMin),
    shadows: shadowSeparation(film),
    densities: LOG_H.map((logH) => characteristicDensity(film, logH)),
  };
}

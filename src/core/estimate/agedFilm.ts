import { restrainer } from '../chemistry/restrainer';
import { ageFog } from '../films/ageFog';
import { gradientAfterAge } from '../films/gradientAfterAge';
import { latentImageLoss, speedLoss } from '../films/speedLoss';
import type { Conditions } from './conditions';
import type { Deviations } from './parameters';

/** What age has done to the film, for one draw of the parameters. */
export interface AgedFilm {
  freshMaximumGradient: number;
  maximumGradient: number;
  /** Age fog when developed for the fresh-film time with the restrainer in the brew, D. */
  fogAtFreshTimeD: number;
  /** Speed that unexposed film has lost to age and restrainer, stops: what to allow for when it is shot now. */
  emulsionLossStops: number;
  /** Speed that the image in the film has lost to age and fading, stops: what Extend tries to win back. */
  imageLossStops: number;
}

/**
 * Ages a film.
 * @param conditions resolved conditions
 * @param deviations deviations from the prior means
 * @returns gradient, fog and speed of the aged film
 */
export function ageFilm(conditions: Conditions, deviations: Deviations): AgedFilm {
  const { film } = conditions;
  const age = conditions.ageRoomYears * Math.exp(deviations.lnAge);
  const freshMaximumGradient = film.maximumGradient * Math.exp(deviations.lnMaximumGradient);
  const { fogFactor, speedLossStops } = restrainer(conditions.bromideGPerL);
  const faster = Math.exp(deviations.lnAgeing);
  const fogRate = film.fogDPerYear * faster * Math.exp(deviations.lnFogRate);
  const ageLossStops = speedLoss(film.speedLossStopsPerYear * faster * Math.exp(deviations.lnSpeedLossRate), age);
  return {
    freshMaximumGradient,
    maximumGradient: gradientAfterAge(
      freshMaximumGradient,
      film.gradientLossPerYear * faster * Math.exp(deviations.lnGradientLossRate),
      age,
    ),
    fogAtFreshTimeD: ageFog(fogRate, age, film.maximumDensityD, conditions.radiationD) * fogFactor,
    emulsionLossStops: ageLossStops + speedLossStops,
    imageLossStops: ageLossStops + latentImageLoss(conditions.latentRoomYears),
  };
}

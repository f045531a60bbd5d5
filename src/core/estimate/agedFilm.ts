import { restrainer } from '../chemistry/restrainer';
import { ageFog } from '../films/ageFog';
import { gradientAfterAge } from '../films/gradientAfterAge';
import { LARGEST_LOSS_STOPS, latentImageLoss, speedLoss } from '../films/speedLoss';
import type { Conditions } from './conditions';
import { LOT_LOSS_SHARE, type Deviations } from './parameters';

/** What age has done to the film, for one draw of the parameters. */
export interface AgedFilm {
  /** Effective age, room-years. */
  ageRoomYears: number;
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
  const age = conditions.ageAt(deviations.agePosition);
  const freshMaximumGradient = film.maximumGradient * Math.exp(deviations.lnMaximumGradient);
  const { fogFactor, speedLossStops } = restrainer(conditions.bromideGPerL);
  const faster = Math.exp(deviations.lnAgeing);
  const { lnLotFog } = deviations;
  const fogRate = film.fogDPerYear * faster * Math.exp(deviations.lnFogRate + deviations.lnRollFog + lnLotFog);
  const largestStops = LARGEST_LOSS_STOPS * Math.exp(deviations.lnLargestLoss);
  const lost = faster * Math.exp(LOT_LOSS_SHARE * lnLotFog);
  const ageStops = film.speedLossStopsPerYear * lost * Math.exp(deviations.lnSpeedLossRate) * age;
  return {
    ageRoomYears: age,
    freshMaximumGradient,
    maximumGradient: gradientAfterAge(
      freshMaximumGradient,
      film.gradientLossPerYear * lost * Math.exp(deviations.lnGradientLossRate),
      age,
    ),
    fogAtFreshTimeD: ageFog(fogRate, age, film.maximumDensityD, conditions.radiationD) * fogFactor,
    emulsionLossStops: speedLoss(ageStops, largestStops) + speedLossStops,
    imageLossStops: speedLoss(ageStops + latentImageLoss(conditions.latentRoomYears), largestStops),
  };
}

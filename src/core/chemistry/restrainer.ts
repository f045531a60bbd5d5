/** Largest amount of potassium bromide for which the relations hold, g/l. Source: our estimate. */
export const BROMIDE_LIMIT_G_PER_L = 2;

/**
 * What potassium bromide does to a developer.
 * @param bromideGPerL potassium bromide, g/l; 0 to 2
 * @returns factors on the rate of fog and of development, and the speed lost in stops. Source: our estimate.
 * @example restrainer(1) // { fogFactor: 0.375, rateFactor: 0.857, speedLossStops: 0.25 }
 */
export function restrainer(bromideGPerL: number): { fogFactor: number; rateFactor: number; speedLossStops: number } {
  return {
    fogFactor: 1 / (1 + bromideGPerL / 0.6),
    rateFactor: 1 / (1 + bromideGPerL / 6),
    speedLossStops: 0.25 * bromideGPerL,
  };
}

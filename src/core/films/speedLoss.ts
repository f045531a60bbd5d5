/** Latent-image speed lost per room-year since exposure, stops. Source: our estimate. */
export const LATENT_IMAGE_LOSS_STOPS_PER_YEAR = 0.03;

/**
 * Most speed that age and fading together can take, stops, and its spread (sd of ln). Film of 50 to 60 years from a cupboard
 * is known to give faint but printable images. Source: our estimate; the images are common practice, no source.
 */
export const LARGEST_LOSS_STOPS = 7;
export const LARGEST_LOSS_LN_SD = 0.3;

/**
 * Speed that film has lost: in proportion at first, levelling off towards a ceiling.
 * @param proportionalStops what age and fading would take in proportion, stops; 0 or more
 * @param largestStops the ceiling, stops; above 0
 * @returns loss, stops; below the ceiling. Source: our estimate.
 * @example speedLoss(0.065 * 31) // 1.75
 */
export function speedLoss(proportionalStops: number, largestStops: number = LARGEST_LOSS_STOPS): number {
  return -largestStops * Math.expm1(-proportionalStops / largestStops);
}

/**
 * Speed that a latent image would lose in proportion between exposure and development.
 * @param roomYearsSinceExposure effective age of the latent image, room-years; 0 or more
 * @returns loss before it levels off, stops. Source: our estimate.
 */
export function latentImageLoss(roomYearsSinceExposure: number): number {
  return LATENT_IMAGE_LOSS_STOPS_PER_YEAR * roomYearsSinceExposure;
}

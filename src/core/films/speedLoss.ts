/** Latent-image speed lost per room-year since exposure, stops. Source: our estimate. */
export const LATENT_IMAGE_LOSS_STOPS_PER_YEAR = 0.03;

/**
 * Speed that the emulsion lost with age.
 * @param ratePerYear stops per room-year; 0 or more
 * @param ageRoomYears effective age, room-years; 0 or more
 * @returns loss, stops. Source: our estimate (linear in age).
 * @example speedLoss(0.065, 31) // 2.015
 */
export function speedLoss(ratePerYear: number, ageRoomYears: number): number {
  return ratePerYear * ageRoomYears;
}

/**
 * Speed that a latent image lost between exposure and development.
 * @param roomYearsSinceExposure effective age of the latent image, room-years; 0 or more
 * @returns loss, stops. Source: our estimate.
 */
export function latentImageLoss(roomYearsSinceExposure: number): number {
  return LATENT_IMAGE_LOSS_STOPS_PER_YEAR * roomYearsSinceExposure;
}

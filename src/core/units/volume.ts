/** Millilitres in one US fluid ounce. Source: NIST Handbook 44 (2023), appendix C. */
export const ML_PER_US_FLUID_OUNCE = 29.5735295625;

/**
 * Converts ml to US fluid ounces.
 * @param volumeMl volume, ml
 * @returns volume, US fl oz
 * @example mlToUsFluidOunces(500) // 16.907
 */
export function mlToUsFluidOunces(volumeMl: number): number {
  return volumeMl / ML_PER_US_FLUID_OUNCE;
}

/**
 * Converts US fluid ounces to ml.
 * @param volumeFlOz volume, US fl oz
 * @returns volume, ml
 */
export function usFluidOuncesToMl(volumeFlOz: number): number {
  return volumeFlOz * ML_PER_US_FLUID_OUNCE;
}

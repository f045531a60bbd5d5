/** Exposure of a metered grey, over the exposure at the speed point of film of that index: 8/S over 0.8/S. Source: ISO 6:1993 for 0.8/S; a metered grey gets 8/S by ISO 2720. */
const GREY_OVER_SPEED_POINT = 10;

/**
 * Speed from a bracket of a metered grey.
 * @param speedLogH log10 of the exposure at the speed point, where 0 is the exposure as metered
 * @param meteredIso index that the meter was set to, ISO arithmetic
 * @returns index at which the grey would have stood ten times over the speed point, ISO arithmetic
 * Source: S = 0.8 / H_m, ISO 6:1993; H of the metered grey is 8 / S, ISO 2720:1974.
 * @example effectiveIndex(-1, 100) // 100
 */
export function effectiveIndex(speedLogH: number, meteredIso: number): number {
  return meteredIso / (GREY_OVER_SPEED_POINT * 10 ** speedLogH);
}

/**
 * ISO speed from an exposure in lux seconds.
 * @param speedLuxS exposure at the speed point, lx·s; above 0
 * @returns 0.8 / H_m, ISO arithmetic. Source: ISO 6:1993.
 * @example isoSpeed(0.008) // 100
 */
export function isoSpeed(speedLuxS: number): number {
  return 0.8 / speedLuxS;
}

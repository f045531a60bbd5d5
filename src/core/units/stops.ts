/** log10 of the exposure ratio of one stop. Source: definition, a stop is a factor of two. */
export const LOG_EXPOSURE_PER_STOP = Math.log10(2);

/**
 * Stops between two arithmetic film speeds: how much faster the second is than the first.
 * @param fromIso speed, ISO arithmetic; above 0
 * @param toIso speed, ISO arithmetic; above 0
 * @returns log2(toIso / fromIso), stops. Source: ISO 6:1993 (arithmetic speeds are proportional to sensitivity).
 * @example stopsBetweenSpeeds(100, 400) // 2
 */
export function stopsBetweenSpeeds(fromIso: number, toIso: number): number {
  return Math.log2(toIso / fromIso);
}

/**
 * The index at which to expose a film that has lost some speed.
 * @param iso speed, ISO arithmetic; above 0
 * @param lossStops speed lost, stops; negative for a gain
 * @returns exposure index, ISO arithmetic: iso / 2^loss
 * @example speedAfterLoss(400, 1) // 200
 */
export function speedAfterLoss(iso: number, lossStops: number): number {
  return iso / 2 ** lossStops;
}

/**
 * Logarithmic ISO speed (the degree value) of an arithmetic one.
 * @param iso speed, ISO arithmetic; above 0
 * @returns degrees, 1 + 10·log10(iso). Source: ISO 6:1993, 4.3; exact before rounding.
 * @example isoDegrees(100) // 21
 */
export function isoDegrees(iso: number): number {
  return 1 + 10 * Math.log10(iso);
}

/**
 * Stops as a difference of log10 exposure.
 * @param stops stops
 * @returns Δlog10 H
 * @example stopsToLogExposure(1) // 0.301
 */
export function stopsToLogExposure(stops: number): number {
  return stops * LOG_EXPOSURE_PER_STOP;
}

/** Rate of fog growth as a share of the rate of development. Source: our estimate. */
export const FOG_RATE_SHARE = 0.5;

/**
 * Age fog after a development time, given the fog at the fresh-film time.
 * @param timeMin development time, min; 0 or more
 * @param freshTimeMin fresh-film time t_n, min; above 0
 * @param ratePerMin rate constant k of development, 1/min; above 0
 * @param fogAtFreshTimeD age fog when developed for t_n, D; 0 or more
 * @returns age fog, D: D·(1 − e^(−k_f·t)) / (1 − e^(−k_f·t_n)) with k_f = 0.5·k. Source: our estimate.
 * @example fogGrowth(8, 8, 0.09, 0.3) // 0.3
 */
export function fogGrowth(timeMin: number, freshTimeMin: number, ratePerMin: number, fogAtFreshTimeD: number): number {
  if (fogAtFreshTimeD === 0) return 0;
  const fogRate = FOG_RATE_SHARE * ratePerMin;
  return (fogAtFreshTimeD * Math.expm1(-fogRate * timeMin)) / Math.expm1(-fogRate * freshTimeMin);
}

/**
 * Gradient that is left for the image when fog has taken its share of the grains.
 * @param gradient average gradient without fog
 * @param fogD age fog, D; 0 or more
 * @param maximumDensityD largest density of the film, D; above the fog
 * @returns gradient·(1 − fog / Dmax), not below 0. Source: our estimate.
 * @example netGradient(0.6, 0.27, 2.7) // 0.54
 */
export function netGradient(gradient: number, fogD: number, maximumDensityD: number): number {
  return gradient * Math.max(0, 1 - fogD / maximumDensityD);
}

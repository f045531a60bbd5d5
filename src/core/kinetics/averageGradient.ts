/**
 * Average gradient after a development time: Ḡ(t) = G∞·(1 − exp(−k·(t − t0))), 0 up to t0.
 * @param timeMin development time, min; 0 or more
 * @param maximumGradient G∞; above 0
 * @param ratePerMin rate constant k, 1/min; above 0
 * @param inductionMin induction time t0, min; 0 or more
 * @returns average gradient Ḡ, density per log10 H.
 * Source: Hurter and Driffield 1890; Sheppard and Mees 1907; induction after Nietz 1922.
 * @example averageGradient(10, 1.4, 0.06, 0) // 0.632
 */
export function averageGradient(
  timeMin: number,
  maximumGradient: number,
  ratePerMin: number,
  inductionMin: number,
): number {
  if (timeMin <= inductionMin) return 0;
  return maximumGradient * -Math.expm1(-ratePerMin * (timeMin - inductionMin));
}

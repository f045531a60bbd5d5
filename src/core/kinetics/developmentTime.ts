/** Share of G∞ above which a target gradient counts as out of reach. Source: our choice. */
export const REACHABLE_SHARE = 0.97;

/**
 * Time to reach an average gradient: t = t0 + ln(G∞ / (G∞ − Ḡ)) / k.
 * @param targetGradient wanted Ḡ; above 0
 * @param maximumGradient G∞; above the target
 * @param ratePerMin rate constant k, 1/min; above 0
 * @param inductionMin induction time t0, min; 0 or more
 * @returns development time, min; Infinity when the target is at or above G∞.
 * Source: inverse of the development law of Hurter and Driffield 1890 with induction after Nietz 1922.
 * @example developmentTime(0.632, 1.4, 0.06, 0) // 10.0
 */
export function developmentTime(
  targetGradient: number,
  maximumGradient: number,
  ratePerMin: number,
  inductionMin: number,
): number {
  if (targetGradient >= maximumGradient) return Number.POSITIVE_INFINITY;
  return inductionMin + developmentExtent(targetGradient, maximumGradient) / ratePerMin;
}

/**
 * Extent of development k·(t − t0) at which a gradient is reached: ln(G∞ / (G∞ − Ḡ)).
 * @param gradient Ḡ; 0 or more, below G∞
 * @param maximumGradient G∞
 * @returns dimensionless extent
 */
export function developmentExtent(gradient: number, maximumGradient: number): number {
  return -Math.log1p(-gradient / maximumGradient);
}

/**
 * The gradient to aim for: the wanted one, or the best reachable one when that is out of reach.
 * @param targetGradient wanted Ḡ
 * @param maximumGradient G∞
 * @returns the gradient, and whether the wanted one is reachable
 */
export function reachableGradient(
  targetGradient: number,
  maximumGradient: number,
): { gradient: number; reachable: boolean } {
  const limit = REACHABLE_SHARE * maximumGradient;
  return targetGradient < limit ? { gradient: targetGradient, reachable: true } : { gradient: limit, reachable: false };
}

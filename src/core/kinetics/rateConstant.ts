import { developmentExtent } from './developmentTime';

/** Induction time as a share of the base time. Source: our estimate. */
export const INDUCTION_SHARE = 0.06;

/** Prior spread of ln(induction share). Source: our estimate. */
export const INDUCTION_LN_SD = 0.4;

/**
 * Rate constant k and induction time t0 from one known development time.
 * @param baseTimeMin known time t_b, min; above 0
 * @param baseGradient gradient reached at that time; above 0, below G∞
 * @param maximumGradient G∞
 * @param inductionShare t0 / t_b; 0 to below 1
 * @returns k (1/min) and t0 (min) such that Ḡ(t_b) is the base gradient.
 * Source: the development law solved for k.
 * @example rateConstant(8, 0.58, 1.15, 0.06) // { ratePerMin: 0.0933, inductionMin: 0.48 }
 */
export function rateConstant(
  baseTimeMin: number,
  baseGradient: number,
  maximumGradient: number,
  inductionShare: number = INDUCTION_SHARE,
): { ratePerMin: number; inductionMin: number } {
  const inductionMin = inductionShare * baseTimeMin;
  return { ratePerMin: developmentExtent(baseGradient, maximumGradient) / (baseTimeMin - inductionMin), inductionMin };
}

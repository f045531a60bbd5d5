/** Normal quantile that leaves a tenth on either side. Source: standard normal table, Φ(1.2816) = 0.9. */
export const Z80 = 1.2815515655446004;

/**
 * The 80 % band of a quantity whose logarithm is normal.
 * @param value median; above 0
 * @param lnSd standard deviation of the natural log; 0 or more
 * @returns the two ends, a tenth of the probability outside each
 * @example logBand(15, 0.25) // { low: 10.89, high: 20.66 }
 */
export function logBand(value: number, lnSd: number): { low: number; high: number } {
  const factor = Math.exp(Z80 * lnSd);
  return { low: value / factor, high: value * factor };
}

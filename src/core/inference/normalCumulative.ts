/**
 * Cumulative distribution of the standard normal.
 * @param x any number
 * @returns Φ(x), to 7.5e-8
 * Source: Abramowitz and Stegun 1964, 26.2.17.
 * @example normalCumulative(1.2816) // 0.9
 */
export function normalCumulative(x: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(x));
  const tail =
    (Math.exp((-x * x) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return x >= 0 ? 1 - tail : tail;
}

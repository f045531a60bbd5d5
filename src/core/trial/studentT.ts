import { bisect } from '../inference/bisection';

/** Coefficients of the Lanczos approximation. Source: published, Lanczos 1964, with g = 7 and nine terms. */
const LANCZOS = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
];

/** ln Γ(x) for x > 0. Source: published, Lanczos 1964. */
function lnGamma(x: number): number {
  const shifted = x - 1;
  const base = shifted + 7.5;
  const series = LANCZOS.reduce((sum, c, index) => (index === 0 ? c : sum + c / (shifted + index)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(base) - base + Math.log(series);
}

/**
 * Regularised incomplete beta function.
 * @param x 0 to 1
 * @param a above 0
 * @param b above 0
 * @returns I_x(a, b). Source: published, continued fraction of DLMF 8.17.22 by the method of Lentz 1976
 */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  if (x > (a + 1) / (a + b + 2)) return 1 - incompleteBeta(1 - x, b, a);
  const front = Math.exp(lnGamma(a + b) - lnGamma(a) - lnGamma(b) + a * Math.log(x) + b * Math.log(1 - x)) / a;
  const tiny = 1e-300;
  let c = 1;
  let d = 1 / (Math.abs(1 - ((a + b) * x) / (a + 1)) < tiny ? tiny : 1 - ((a + b) * x) / (a + 1));
  let value = d;
  for (let m = 1; m < 300; m++) {
    for (const term of [
      (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m)),
      (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1)),
    ]) {
      d = 1 + term * d;
      c = 1 + term / c;
      d = 1 / (Math.abs(d) < tiny ? tiny : d);
      c = Math.abs(c) < tiny ? tiny : c;
      value *= c * d;
    }
    if (Math.abs(c * d - 1) < 1e-15) break;
  }
  return front * value;
}

/**
 * Chance that a value of Student's distribution lies as far from 0 as this, either way.
 * @param t the value
 * @param df degrees of freedom; above 0
 * @returns 0 to 1. Source: published, Student 1908, by the incomplete beta function (DLMF 8.17)
 * @example twoSidedP(2.7764, 4) // 0.05
 */
export function twoSidedP(t: number, df: number): number {
  return incompleteBeta(df / (df + t * t), df / 2, 0.5);
}

/**
 * The value that Student's distribution exceeds, either way, with a chance.
 * @param p the chance, 0 to 1, both ends together
 * @param df degrees of freedom; above 0
 * @example tQuantile(0.05, 4) // 2.7764
 */
export function tQuantile(p: number, df: number): number {
  let high = 2;
  while (twoSidedP(high, df) > p && high < 1e8) high *= 2;
  return bisect((t) => -twoSidedP(t, df), -p, 0, high);
}

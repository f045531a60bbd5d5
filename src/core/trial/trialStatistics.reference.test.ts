import { describe, expect, test } from 'vitest';
import { fitMixed } from './mixedModel';
import { holm, pairedPermutationP } from './permutation';
import { incompleteBeta, tQuantile, twoSidedP } from './studentT';

describe('Student’s distribution', () => {
  // Source: published, tables of the t distribution (Fisher and Yates; as in any textbook), two-sided 5 % and 1 %.
  test.each([
    [0.05, 1, 12.7062],
    [0.05, 4, 2.7764],
    [0.05, 12, 2.1788],
    [0.01, 10, 3.1693],
    [0.05, 120, 1.9799],
    [0.2, 5, 1.4759],
  ])('chance %f with %i degrees of freedom: %f', (p, df, t) => {
    expect(tQuantile(p, df)).toBeCloseTo(t, 3);
    expect(twoSidedP(tQuantile(p, df), df)).toBeCloseTo(p, 9);
  });
  test('the incomplete beta function of whole numbers is a binomial sum (DLMF 8.17.5)', () => {
    // I_0.3(2, 3): chance of two or more of four at 0.3.
    expect(incompleteBeta(0.3, 2, 3)).toBeCloseTo(1 - 0.7 ** 4 - 4 * 0.3 * 0.7 ** 3, 12);
    expect(incompleteBeta(0.9, 5, 2)).toBeCloseTo(0.9 ** 6 + 6 * 0.1 * 0.9 ** 5, 12);
  });
});

/** Yield of dyestuff from six batches, five preparations each. Source: published, Davies, Statistical Methods in Research and Production, 1947, table 6.3; used again by Box and Tiao 1973. */
const dyestuff = [
  [1545, 1440, 1440, 1520, 1580],
  [1540, 1555, 1490, 1560, 1495],
  [1595, 1550, 1605, 1510, 1560],
  [1445, 1440, 1595, 1465, 1545],
  [1595, 1630, 1515, 1635, 1625],
  [1520, 1455, 1450, 1480, 1445],
];

/** Penicillin by four processes in five blends. Source: published, Box, Hunter and Hunter, Statistics for Experimenters, 1978, table 7.1. */
const penicillin = [
  [89, 88, 97, 94],
  [84, 77, 92, 79],
  [81, 87, 87, 85],
  [87, 92, 89, 84],
  [79, 81, 80, 88],
];

/** Strength of a paste: ten deliveries, three casks of each, two assays of each cask. Source: published, Davies and Goldsmith, Statistical Methods in Research and Production, 4th ed. 1972, section 6.6. */
const pastes = [
  [62.8, 62.6, 60.1, 62.3, 62.7, 63.1],
  [60.0, 61.4, 57.5, 56.9, 61.1, 58.9],
  [58.7, 57.5, 63.9, 63.1, 65.4, 63.7],
  [57.1, 56.4, 56.9, 58.6, 64.7, 64.5],
  [55.1, 55.1, 54.7, 54.2, 58.8, 57.5],
  [63.4, 64.9, 59.3, 58.1, 60.5, 60.0],
  [62.5, 62.6, 61.0, 58.7, 56.9, 57.7],
  [59.2, 59.4, 65.2, 66.0, 64.8, 64.1],
  [54.8, 54.8, 64.0, 64.0, 57.7, 56.8],
  [58.3, 59.3, 59.2, 59.2, 58.9, 56.6],
];

describe('the mixed model, on published examples', () => {
  test('pastes: assays within casks within deliveries, by the balanced sums of squares of their table', () => {
    const y = pastes.flat();
    const fit = fitMixed(
      y,
      y.map(() => [1]),
      y.map((_, index) => Math.floor(index / 2)),
      y.map((_, index) => Math.floor(index / 6)),
    );
    // In a balanced nest restricted likelihood is the analysis of variance (Searle, Casella and McCulloch 1992), worked here by itself.
    const mean = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0) / values.length;
    const squares = (values: readonly number[], of: number): number =>
      values.reduce((sum, one) => sum + (one - of) ** 2, 0);
    const casks = pastes.map((row) => [0, 2, 4].map((at) => row.slice(at, at + 2)));
    const assay = casks.flat().reduce((sum, pair) => sum + squares(pair, mean(pair)), 0) / 30;
    const cask = casks.reduce((sum, three) => sum + 2 * squares(three.map(mean), mean(three.flat())), 0) / 20;
    const delivery = (6 * squares(pastes.map(mean), mean(y))) / 9;
    expect(fit.residualVariance / assay).toBeCloseTo(1, 4);
    expect(fit.blockVariance / ((cask - assay) / 2)).toBeCloseTo(1, 4);
    expect(fit.dayVariance / ((delivery - cask) / 6)).toBeCloseTo(1, 4);
    // Published standard deviations: 0.823, 2.904, 1.287; mean 60.053, its error 0.677.
    expect(Math.sqrt(fit.residualVariance)).toBeCloseTo(0.8234, 3);
    expect(Math.sqrt(fit.blockVariance)).toBeCloseTo(2.9041, 3);
    expect(Math.sqrt(fit.dayVariance)).toBeCloseTo(1.2874, 2);
    expect(fit.beta[0]).toBeCloseTo(60.0533, 3);
    expect(Math.sqrt(fit.covariance[0]?.[0] ?? 0)).toBeCloseTo(0.6769, 3);
  });
  test('dyestuff: variances within and between batches (published: 2451.25 and 1764.05; mean 1527.5, its error 19.383)', () => {
    const y = dyestuff.flat();
    const fit = fitMixed(
      y,
      y.map(() => [1]),
      dyestuff.flatMap((batch, index) => batch.map(() => index)),
    );
    expect(fit.residualVariance / 2451.25).toBeCloseTo(1, 4);
    expect(fit.blockVariance / 1764.05).toBeCloseTo(1, 4);
    expect(fit.beta[0]).toBeCloseTo(1527.5, 6);
    expect(Math.sqrt(fit.covariance[0]?.[0] ?? 0) / 19.3834).toBeCloseTo(1, 4);
  });
  test('penicillin: residual mean square 226/12, effects by the means, blends by (66 − 18.83)/4', () => {
    const y = penicillin.flat();
    const fit = fitMixed(
      y,
      penicillin.flatMap((blend) => blend.map((_, level) => [1, ...[1, 2, 3].map((other) => Number(other === level))])),
      penicillin.flatMap((blend, index) => blend.map(() => index)),
    );
    expect(fit.residualVariance / (226 / 12)).toBeCloseTo(1, 4);
    expect(fit.blockVariance / ((264 / 4 - 226 / 12) / 4)).toBeCloseTo(1, 4);
    // Means of the processes: 84, 85, 89, 86.
    [84, 1, 5, 2].forEach((wanted, at) => expect(fit.beta[at]).toBeCloseTo(wanted, 6));
    expect(Math.sqrt(fit.covariance[1]?.[1] ?? 0) / Math.sqrt((2 * (226 / 12)) / 5)).toBeCloseTo(1, 4);
    expect(fit.df).toBe(12);
  });
  test('without blocks it is the difference of means with its pooled error', () => {
    const fit = fitMixed(
      [1, 2, 3, 5, 6, 7],
      [
        [1, 0],
        [1, 0],
        [1, 0],
        [1, 1],
        [1, 1],
        [1, 1],
      ],
      [0, 0, 0, 0, 0, 0],
    );
    expect(fit.beta[1]).toBeCloseTo(4, 10);
    expect(fit.residualVariance).toBeCloseTo(1, 10);
    expect(fit.covariance[1]?.[1]).toBeCloseTo(2 / 3, 10);
    expect(fit.df).toBe(4);
  });
});

describe('exchanged labels', () => {
  test('Darwin’s maize, fifteen pairs: one-sided 863 of 32,768 (published: Fisher, The Design of Experiments, 1935)', () => {
    // Eighths of an inch, crossed less self-fertilised. All ways are counted by Fisher; here a part is drawn.
    const pairs = [49, -67, 8, 16, 6, 23, 28, 41, 14, 29, 56, 24, 75, 60, -48];
    expect(pairedPermutationP(pairs)).toBeGreaterThan(0.04);
    expect(pairedPermutationP(pairs)).toBeLessThan(0.066);
    expect((2 * 863) / 32_768).toBeCloseTo(0.0527, 4);
  });
  test('few pairs are counted one by one', () => {
    expect(pairedPermutationP([1, 2, 3])).toBe(0.25);
    expect(pairedPermutationP([1, -1])).toBe(1);
    expect(pairedPermutationP([2, 0, 0])).toBe(1);
    expect(pairedPermutationP([])).toBe(1);
    // Of the 32 ways of signing five, only two set all alike.
    expect(pairedPermutationP([1, 1, 1, 1, 1])).toBe(2 / 32);
  });
  test('Holm’s worked order', () => {
    [0.03, 0.06, 0.06].forEach((wanted, at) => expect(holm([0.01, 0.04, 0.03])[at]).toBeCloseTo(wanted, 12));
    expect(holm([])).toEqual([]);
    expect(holm([0.9, 0.8])).toEqual([1, 1]);
  });
});

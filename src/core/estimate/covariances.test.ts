import { describe, expect, test } from 'vitest';
import { sampleRequest } from '../testing/sampleRequest';
import { covariancesOf } from './covariances';
import { fitOf } from './estimate';
import type { Fit } from './fit';

const request = sampleRequest({
  evidence: [
    { kind: 'clip', id: 'clip', timeMin: 12, gradient: 0.42, baseFogD: 0.45, method: 'densities' },
    { kind: 'verdict', id: 'verdict', timeMin: 14, contrast: -1 },
  ],
});

describe('covariances of a fit', () => {
  const fit = fitOf(request);
  const keys = [...new Set(fit.observed.flatMap((row) => row.keys))];

  test('are those of the fit, both ways round', () => {
    const matrix = covariancesOf(fit)(keys);
    keys.forEach((a, i) =>
      keys.forEach((b, j) => {
        expect(matrix[i]?.[j]).toBe(matrix[j]?.[i]);
        expect(matrix[i]?.[j]).toBeCloseTo(fit.covariance(a, b), 12);
      }),
    );
  });
  test('are worked out once each, and the caller may change what it was given', () => {
    let asked = 0;
    const counted: Fit = { ...fit, covariance: (a, b) => ((asked += 1), fit.covariance(a, b)) };
    const covariances = covariancesOf(counted);
    const first = covariances(keys);
    expect(asked).toBe((keys.length * (keys.length + 1)) / 2);
    const before = first[0]?.[0];
    (first[0] as Float64Array)[0] = 99;
    expect(
      covariances([...keys].reverse())
        .at(-1)
        ?.at(-1),
    ).toBe(before);
    expect(asked).toBe((keys.length * (keys.length + 1)) / 2);
  });
});

import jstat from 'jstat';
import { quantileSorted } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { sampleRequest, roomYears } from '../testing/sampleRequest';
import { chance } from '../testing/calibration/chance';
import { workOut } from '../estimate/estimate';
import { normalQuantile } from './normalQuantile';
import { deviationsOf } from '../estimate/posterior';
import { predict } from '../estimate/predict';
import { DRAWS, normalPoints, sampleQuantile, strata } from './quasiRandom';

describe('quantile of the normal (Wichura 1988) against a statistics library', () => {
  test.each([1e-9, 0.001, 0.05, 0.1, 0.3, 0.5, 0.7, 0.9, 0.975, 0.9999])('p = %d', (p) => {
    expect(normalQuantile(p)).toBeCloseTo(jstat.jStat.normal.inv(p, 0, 1), 6);
  });
});

describe('the fixed set', () => {
  test('is the same every time and looks normal in each direction', () => {
    expect(normalPoints(20)).toBe(normalPoints(20));
    for (let d = 0; d < 20; d++) {
      const values = normalPoints(20).map((point) => point[d] ?? 0);
      const mean = values.reduce((sum, value) => sum + value, 0) / DRAWS;
      const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / DRAWS;
      expect(Math.abs(mean)).toBeLessThan(0.1);
      expect(Math.abs(variance - 1)).toBeLessThan(0.05);
    }
  });
  test('no two directions go together', () => {
    for (const dimensions of [12, 24, 36]) {
      const points = normalPoints(dimensions);
      for (let a = 0; a < dimensions; a++) {
        for (let b = 0; b < a; b++) {
          const together = points.reduce((sum, point) => sum + (point[a] ?? 0) * (point[b] ?? 0), 0) / DRAWS;
          expect(Math.abs(together), `${a} and ${b} of ${dimensions}`).toBeLessThan(0.05);
        }
      }
    }
  });
  test('quantiles of a sample agree with a statistics library to the spacing of the sample', () => {
    const sample = Float64Array.from(strata, (z) => Math.exp(0.3 * z));
    for (const p of [0.1, 0.5, 0.9])
      expect(Math.abs(Math.log(sampleQuantile(sample, p) / quantileSorted([...sample], p)))).toBeLessThan(0.01);
  });
});

describe('the band', () => {
  // Beyond 0.97 of the largest gradient and at the cap of Extend the time bends; so do its quantiles.
  test.each([
    ['fresh film', sampleRequest()],
    ['old film, Extend', sampleRequest({ age: roomYears(31), strategy: { id: 'extend' } })],
    [
      'a soft film, pushed',
      sampleRequest({
        film: { familyId: 'colour-negative-current', iso: 200 },
        target: { purpose: 'scan', pushStops: 1 },
      }),
    ],
  ])('of %s holds the tenths of twenty thousand random draws', (_what, request) => {
    const { posterior, wanted, estimate } = workOut(request);
    const luck = chance(4);
    const times = Float64Array.from(
      { length: 20_000 },
      () =>
        predict(
          posterior.situation.conditions,
          wanted,
          deviationsOf(posterior.situation, Float64Array.from(posterior.mean, luck.normal)),
        ).timeMin,
    ).sort();
    // In ln, within a tenth of the band’s own half width.
    const tolerance = (estimate.lnSd * 1.28) / 10;
    expect(Math.abs(Math.log(estimate.band.lowMin / quantileSorted([...times], 0.1)))).toBeLessThan(tolerance);
    expect(Math.abs(Math.log(estimate.band.highMin / quantileSorted([...times], 0.9)))).toBeLessThan(tolerance);
  });
});

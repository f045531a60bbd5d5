import jstat from 'jstat';
import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { errorFunction, quantileSorted } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { sampleRequest, roomYears } from '../testing/sampleRequest';
import { chance } from '../testing/chance';
import { workOut, type EstimateContext } from '../estimate/estimate';
import { speedAfterLoss } from '../units/stops';
import { controlledQuantile } from './controlledQuantile';
import { mixtureQuantile } from './mixtureQuantile';
import { normalQuantile } from './normalQuantile';
import { deviationsOf } from '../estimate/posterior';
import { predict } from '../estimate/predict';
import { normalPoints, sampleQuantile, strata } from './quasiRandom';
import { cases } from '../testing/cases';

describe('quantile of the normal (Wichura 1988) against a statistics library', () => {
  test.each([1e-9, 0.001, 0.05, 0.1, 0.3, 0.5, 0.7, 0.9, 0.975, 0.9999])('p = %d', (p) => {
    expect(normalQuantile(p)).toBeCloseTo(jstat.jStat.normal.inv(p, 0, 1), 6);
  });
});

describe('the fixed set', () => {
  test('is the same every time and looks normal in each direction', () => {
    expect(normalPoints(20, 64)).toBe(normalPoints(20, 64));
    for (let d = 0; d < 20; d++) {
      const values = normalPoints(20, 64).map((point) => point[d] ?? 0);
      const mean = values.reduce((sum, value) => sum + value, 0) / 64;
      const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / 64;
      expect(Math.abs(mean)).toBeLessThan(0.1);
      expect(Math.abs(variance - 1)).toBeLessThan(0.05);
    }
  });
  test('no two directions go together', () => {
    for (const dimensions of [12, 24, 36]) {
      const points = normalPoints(dimensions, 64);
      for (let a = 0; a < dimensions; a++) {
        for (let b = 0; b < a; b++) {
          const together = points.reduce((sum, point) => sum + (point[a] ?? 0) * (point[b] ?? 0), 0) / 64;
          expect(Math.abs(together), `${a} and ${b} of ${dimensions}`).toBeLessThan(0.05);
        }
      }
    }
  });
  test('quantiles of a sample agree with a statistics library to the spacing of the sample', () => {
    const sample = Float64Array.from(strata(128), (z) => Math.exp(0.3 * z));
    for (const p of [0.1, 0.5, 0.9])
      expect(Math.abs(Math.log(sampleQuantile(sample, p) / quantileSorted([...sample], p)))).toBeLessThan(0.01);
  });
});

describe('quantile of a sample beside a line whose distribution is known', () => {
  const luck = chance(5);
  const line = Float64Array.from({ length: 64 }, () => 0.7 * luck.normal());
  test('is exact where the sample is a straight line itself, whatever chance drew', () => {
    const quantile = controlledQuantile(
      line.map((x) => 3 + 2 * x),
      line,
      0.7,
    );
    for (const p of [0.1, 0.5, 0.9]) expect(quantile(p)).toBeCloseTo(3 + 2 * jstat.jStat.normal.inv(p, 0, 0.7), 9);
  });
  test('never lies beyond the sample, and is that of the sample alone where nothing is known', () => {
    const sample = line.map((x) => Math.max(0, x));
    expect(controlledQuantile(sample, line, 3)(0.1)).toBeGreaterThanOrEqual(0);
    const alone = controlledQuantile(line, new Float64Array(64), 0);
    expect(alone(0.9)).toBe(sampleQuantile(line.slice().sort(), 0.9));
  });
});

describe('quantile of a mixture of normals', () => {
  test('of one normal is that of a statistics library', () => {
    for (const p of [0.1, 0.5, 0.9])
      expect(mixtureQuantile(Float64Array.of(2), 0.3, p)).toBeCloseTo(jstat.jStat.normal.inv(p, 2, 0.3), 6);
  });
  test('of two that lie apart, worked by hand: a tenth of the whole is a fifth of the lower one', () => {
    const lower = jstat.jStat.normal.inv(0.2, 0, 0.1);
    expect(mixtureQuantile(Float64Array.of(0, 9), 0.1, 0.1)).toBeCloseTo(lower, 6);
    expect(mixtureQuantile(Float64Array.of(9, 0), 0.1, 0.9)).toBeCloseTo(9 - lower, 6);
  });
  test('it is where the mean of the distribution functions says', () => {
    const luck = chance(9);
    const centres = Float64Array.from({ length: 64 }, () => luck.normal() ** 3);
    for (const p of [0.02, 0.1, 0.5, 0.9, 0.98]) {
      const x = mixtureQuantile(centres, 0.2, p);
      const below =
        centres.reduce((sum, centre) => sum + (1 + errorFunction((x - centre) / 0.2 / Math.SQRT2)) / 2, 0) / 64;
      expect(below).toBeCloseTo(p, 5);
    }
  });
});

/** What random draws of every unknown by itself make of a time, and of the figures beside it; each in rising order. */
function byForce(
  { posterior, wanted, estimate }: EstimateContext,
  seed: number,
): Record<'times' | RangeName, number[]> {
  const { situation, mean, covariance } = posterior;
  const { film: stock, iso } = situation.conditions;
  const luck = chance(seed);
  const lower = new CholeskyDecomposition(Matrix.add(covariance, Matrix.eye(mean.length, mean.length, 1e-12)))
    .lowerTriangularMatrix;
  const drawn = Array.from({ length: cases(8000, 40_000) }, () => {
    const point = Matrix.columnVector(Array.from(mean, luck.normal));
    const z = lower.mmul(point).to1DArray();
    const { film, timeMin } = predict(
      situation.conditions,
      wanted,
      deviationsOf(
        situation,
        z.map((off, index) => off + (mean[index] ?? 0)),
      ),
    );
    return {
      times: timeMin,
      baseFogD: Math.min(stock.maximumDensityD, film.baseFogAt(estimate.timeMin)),
      imageLossStops: film.aged.imageLossStops,
      exposureIndex: speedAfterLoss(iso, film.aged.emulsionLossStops),
    };
  });
  const column = (name: keyof (typeof drawn)[number]): number[] => [
    ...Float64Array.from(drawn, (one) => one[name]).sort(),
  ];
  return {
    times: column('times'),
    baseFogD: column('baseFogD'),
    imageLossStops: column('imageLossStops'),
    exposureIndex: column('exposureIndex'),
  };
}

const rangeNames = ['baseFogD', 'imageLossStops', 'exposureIndex'] as const;
type RangeName = (typeof rangeNames)[number];

/** How far an end of a range may be off, as a share of its width: more where fewer draws find it. */
const RANGE_TOLERANCE = cases(0.1, 0.08);

/*
 * 8,000 draws find a tenth to about one per cent themselves, the 40,000 of the long run to half of that.
 */
describe('the band holds the tenths of thousands of random draws', () => {
  const clip = {
    kind: 'clip' as const,
    id: 'a clip',
    timeMin: 11,
    gradient: 0.5,
    baseFogD: 0.4,
    speed: null,
    method: 'densities' as const,
    setting: {},
  };
  test.each([
    ['fresh film', sampleRequest(), 0.015],
    ['fresh film in a bath that drifts', sampleRequest({ ambientC: 26 }), 0.015],
    ['old film, Hold', sampleRequest({ age: roomYears(31) }), 0.015],
    ['old film, Extend', sampleRequest({ age: roomYears(31), strategy: { id: 'extend' } }), 0.015],
    ['an old brew', sampleRequest({ wear: { ageH: 6, films: 2, volumeMl: 500 } }), 0.015],
    ['old film, after a clip', sampleRequest({ age: roomYears(40), evidence: [clip] }), 0.015],
    [
      'a concentrate',
      sampleRequest({
        developer: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 50 } },
        temperatureC: 24,
      }),
      0.015,
    ],
    // Beyond 0.97 of the largest gradient the time bends.
    [
      'a soft film, pushed',
      sampleRequest({
        film: { familyId: 'colour-negative-current', iso: 200 },
        target: { purpose: 'scan', pushStops: 1 },
      }),
      0.015,
    ],
    // Up to eight times the time, or only to the time of most contrast.
    [
      'old film, Extend without its cap',
      sampleRequest({ age: roomYears(31), strategy: { id: 'extend', liftCap: true } }),
      0.05,
    ],
  ])('of %s', (_what, request, tolerance) => {
    const worked = workOut(request);
    const { band, timeMin } = worked.estimate;
    const { times, ...figures } = byForce(worked, 4);
    expect(Math.abs(Math.log(band.lowMin / Math.min(timeMin, quantileSorted(times, 0.1))))).toBeLessThan(tolerance);
    expect(Math.abs(Math.log(band.highMin / Math.max(timeMin, quantileSorted(times, 0.9))))).toBeLessThan(tolerance);
    for (const name of rangeNames) {
      const range = worked.estimate[name];
      const [low, high] = [quantileSorted(figures[name], 0.1), quantileSorted(figures[name], 0.9)];
      const most = RANGE_TOLERANCE * (high - low);
      expect(Math.abs(range.low - Math.min(range.value, low)), `lower end of ${name}`).toBeLessThanOrEqual(most);
      expect(Math.abs(range.high - Math.max(range.value, high)), `upper end of ${name}`).toBeLessThanOrEqual(most);
    }
  });
});

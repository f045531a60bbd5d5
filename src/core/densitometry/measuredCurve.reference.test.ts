import { describe, expect, test } from 'vitest';
import { characteristicDensity, type DevelopedFilm } from '../kinetics/characteristicCurve';
import { averageGradient } from '../kinetics/averageGradient';
import { seenShare } from './holders';
import { curveThrough, measuredCurve, type CurvePoint } from './measuredCurve';
import { effectiveIndex, isoSpeed } from './measuredSpeed';
import { timeGradient, timeGradientRanges } from './timeGradient';

const points = (pairs: readonly (readonly [number, number])[]): CurvePoint[] =>
  pairs.map(([logH, densityD]) => ({ logH, densityD, seD: 0.01 }));

describe('ISO 6:1993 by worked examples', () => {
  test('S = 0.8 / H_m: 0.0080 lx·s is ISO 100, 0.0020 is ISO 400', () => {
    expect(isoSpeed(0.008)).toBeCloseTo(100, 9);
    expect(isoSpeed(0.002)).toBeCloseTo(400, 9);
  });
  test('a curve that meets the condition: 0.10 above fog at 0.40, 0.80 more at 1.70', () => {
    // Worked by hand: fog 0.20, H_m at D 0.30, ΔD 0.80 over 1.30, mean gradient 0.615.
    const facts = measuredCurve(
      points([
        [-0.5, 0.2],
        [0, 0.22],
        [0.4, 0.3],
        [0.8, 0.5],
        [1.2, 0.77],
        [1.7, 1.1],
        [2, 1.28],
      ]),
      { densityD: 0.2, seD: 0.01 },
    );
    expect(facts?.speedLogH).toBeCloseTo(0.4, 3);
    expect(facts?.gradient?.value).toBeCloseTo(0.8 / 1.3, 2);
    expect(facts?.isoContrast).toBe(true);
    expect(facts?.gradient?.span).toBeCloseTo(1.3, 9);
  });
  test('0.70 over 1.30 does not meet it, and a short row does not say', () => {
    const soft = points([
      [0, 0.2],
      [0.4, 0.3],
      [1.7, 1],
      [2, 1.1],
    ]);
    expect(measuredCurve(soft, { densityD: 0.2, seD: 0.01 })?.isoContrast).toBe(false);
    const short = measuredCurve(
      points([
        [0, 0.2],
        [0.4, 0.3],
        [1.2, 0.8],
      ]),
      { densityD: 0.2, seD: 0.01 },
    );
    expect(short?.isoContrast).toBeNull();
    expect(short?.gradient?.span).toBeCloseTo(0.8, 3);
  });
  test('the curve of our own model, sampled by third stops and read again: its gradient and its speed point', () => {
    const film: DevelopedFilm = {
      gradient: 0.58,
      baseFogD: 0.3,
      fogD: 0.08,
      maximumDensityD: 2.4,
      lossStops: 0.8,
      highlightShare: 1,
    };
    const steps = Array.from({ length: 28 }, (_, at) => -0.4 + at * 0.1);
    const facts = measuredCurve(points(steps.map((logH) => [logH, characteristicDensity(film, logH)])), {
      densityD: characteristicDensity(film, -9),
      seD: 0.01,
    });
    const speed = facts?.speedLogH ?? 9;
    expect(characteristicDensity(film, speed) - 0.3).toBeCloseTo(0.1, 2);
    expect(facts?.gradient?.value).toBeCloseTo(
      (characteristicDensity(film, speed + 1.3) - characteristicDensity(film, speed)) / 1.3,
      2,
    );
  });
  test('a bracket of a metered grey: ten times over the speed point is the metered index, a stop less is half', () => {
    expect(effectiveIndex(-1, 100)).toBeCloseTo(100, 9);
    expect(effectiveIndex(-1 + Math.log10(2), 100)).toBeCloseTo(50, 9);
  });
});

describe('what the patches do not hold is not told', () => {
  test('two exposures make no curve; a row that never reaches 0.10 has no speed and no gradient', () => {
    expect(
      measuredCurve(
        points([
          [0, 0.2],
          [1, 0.5],
        ]),
        null,
      ),
    ).toBeNull();
    const thin = measuredCurve(
      points([
        [0, 0.2],
        [1, 0.23],
        [2, 0.28],
      ]),
      { densityD: 0.2, seD: 0.01 },
    );
    expect(thin).toMatchObject({ speedLogH: null, gradient: null, isoContrast: null, usableStops: null });
  });
  test('without clear film the thinnest patch stands for base + fog, and it says so', () => {
    const facts = measuredCurve(
      points([
        [0, 0.25],
        [0.5, 0.4],
        [1, 0.7],
      ]),
      null,
    );
    expect(facts).toMatchObject({ baseFogD: 0.25, baseFogMeasured: false });
  });
  test('a reading out of order is pooled, so that the curve never falls; equal exposures are one', () => {
    const facts = measuredCurve(
      points([
        [0, 0.2],
        [0.5, 0.6],
        [1, 0.5],
        [1, 0.6],
        [1.5, 0.9],
      ]),
      null,
    );
    const densityAt = curveThrough(facts?.through ?? []);
    for (let at = 0; at < 1.5; at += 0.05) expect(densityAt(at + 0.05)).toBeGreaterThanOrEqual(densityAt(at) - 1e-9);
  });
});

describe('two strips at two times', () => {
  test('give back the curve that they lie on (Sheppard and Mees 1907)', () => {
    const [largest, rate, induction] = [1.1, 0.085, 0.06 * 6];
    const at = (timeMin: number) => ({ timeMin, gradient: averageGradient(timeMin, largest, rate, induction) });
    const answer = timeGradient(at(12), at(6), 0.06);
    expect(answer.ok && answer.value.largest).toBeCloseTo(1.1, 6);
    expect(answer.ok && answer.value.ratePerMin).toBeCloseTo(0.085, 6);
    expect(answer.ok && answer.value.timeFor(0.58)).toBeCloseTo(induction - Math.log(1 - 0.58 / 1.1) / 0.085, 4);
    expect(answer.ok && answer.value.timeFor(1.09)).toBeNull();
  });
  test.each([
    ['times too near', { timeMin: 10, gradient: 0.5 }, { timeMin: 10.5, gradient: 0.55 }, /differ by a tenth/],
    ['not harder', { timeMin: 6, gradient: 0.5 }, { timeMin: 12, gradient: 0.5 }, /levelled off/],
    ['in proportion', { timeMin: 6, gradient: 0.3 }, { timeMin: 12, gradient: 0.62 }, /Take a longer strip/],
  ])('%s', (_name, first, second, words) => {
    const answer = timeGradient(first, second, 0);
    expect(answer.ok ? '' : answer.problems[0]?.message).toMatch(words);
  });
});

describe('how sure two strips are', () => {
  const strip = (timeMin: number, ownLnSd: number) => ({
    timeMin,
    gradient: averageGradient(timeMin, 1.1, 0.085, 0.36),
    ownLnSd,
  });
  test('what one camera stretches moves the level and hardly the law; what each has for itself moves both', () => {
    const shared = timeGradientRanges(strip(6, 0.001), strip(12, 0.001), 0.1, 0.06, null);
    const own = timeGradientRanges(strip(6, 0.03), strip(12, 0.03), 0, 0.06, null);
    // Four of five of a factor of ten per cent: 1.1 · e^±0.128.
    expect(shared.largest?.low).toBeCloseTo(1.1 * Math.exp(-0.128), 1);
    expect(shared.largest?.high).toBeCloseTo(1.1 * Math.exp(0.128), 1);
    expect((own.largest?.high ?? 0) - (own.largest?.low ?? 0)).toBeGreaterThan(0.15);
  });
  test('strips that hardly differ tell no range', () => {
    expect(timeGradientRanges(strip(6, 0.3), strip(12, 0.3), 0, 0.06, null).largest).toBeNull();
  });
});

test('what something of a range can still see', () => {
  expect(seenShare(0.3, 1.3, 1.25, true)).toBe(1);
  expect(seenShare(0.3, 2.8, 1.25, true)).toBeCloseTo(0.5, 9);
  expect(seenShare(2, 3.4, 2.6, false)).toBeCloseTo(0.6 / 1.4, 9);
  expect(seenShare(2.8, 3.4, 2.6, false)).toBe(0);
  expect(seenShare(0.3, 0.3, 1.25, true)).toBe(0);
});

import { nearestShutter, parseShutter, shutterText } from '../units/shutter';
import { carryExposure, meterSetting, readRow } from './oldCamera';
import { linearRegression, linearRegressionLine } from 'simple-statistics';
import { describe, expect, test } from 'vitest';
import { stockFamilyIds } from '../films/stockFamilies';
import { emptyExposureForm, readExposure } from '../plan/exposureForm';
import { filterFactor, filters } from './filters';
import { longExposure } from './longExposure';
import { correctedTime, fitExponent, usualExponent } from './reciprocity';

describe('reciprocity, p-model (common practice: t^1.3 beyond a second)', () => {
  test.each([
    [0.5, 0.5],
    [1, 1],
    [2, 2.46],
    [10, 19.95],
    [60, 204.9],
  ])('%d s metered is %d s at p = 1.3', (metered, corrected) =>
    expect(correctedTime(metered, 1.3)).toBeCloseTo(corrected, 1),
  );
  test('continuous at a second, and never shorter than metered', () => {
    expect(correctedTime(1.0001, 1.3)).toBeCloseTo(1, 3);
    for (const id of stockFamilyIds) expect(usualExponent(id)).toBeGreaterThanOrEqual(1);
  });
  test('worked example: 10 s right at 20 s and 100 s right at 400 s give p = 1.301', () => {
    const fit = fitExponent([
      { meteredS: 10, rightS: 20 },
      { meteredS: 100, rightS: 400 },
    ]);
    expect(fit.ok && fit.value).toBeCloseTo(1.301, 3);
  });
  test('exact frames give their exponent back, as a statistics library’s line in log–log does', () => {
    const frames = [2, 8, 30, 120].map((meteredS) => ({ meteredS, rightS: meteredS ** 1.27 }));
    const fit = fitExponent(frames);
    const line = linearRegressionLine(
      linearRegression(frames.map(({ meteredS, rightS }) => [Math.log(meteredS), Math.log(rightS)])),
    );
    expect(fit.ok && fit.value).toBeCloseTo(1.27, 10);
    expect(fit.ok && fit.value).toBeCloseTo(line(1) - line(0), 10);
  });
  test('frames that say nothing are explained', () => {
    expect(fitExponent([]).ok).toBe(false);
    expect(fitExponent([{ meteredS: 0.5, rightS: 0.7 }]).ok).toBe(false);
    expect(fitExponent([{ meteredS: 20, rightS: 10 }])).toMatchObject({ ok: false, problems: [{ path: 'frames' }] });
  });
});

describe('from the meter to the shutter', () => {
  test('hand-worked: 1 s at 400, film at 100, yellow filter, p 1.3: 4 s, 8 s, 14.9 s', () => {
    const answer = longExposure({ meteredS: 1, meterIndex: 400, filmIndex: 100, filterStops: 1, exponent: 1.3 });
    expect(answer.forIndexS).toBe(4);
    expect(answer.forFilterS).toBeCloseTo(8, 9);
    expect(answer.exposeS).toBeCloseTo(14.93, 2);
    expect(answer.reciprocityStops).toBeCloseTo(0.9, 9);
  });
  test('yellow doubles, orange quadruples (common practice)', () => {
    expect(filterFactor(filters.yellow.stops)).toBeCloseTo(2, 12);
    expect(filterFactor(filters.orange.stops)).toBeCloseTo(4, 12);
  });
  test('the calculator names what is wrong', () => {
    expect(readExposure(emptyExposureForm).ok).toBe(true);
    const wrong = readExposure({ ...emptyExposureForm, meteredS: 'long', filmIndex: -1, ownFrames: true });
    expect(wrong.ok ? [] : wrong.problems.map(({ path }) => path)).toEqual(['meteredS', 'filmIndex', 'frames']);
  });
});

describe('exposures as people write them', () => {
  test.each([
    ['1/125', 0.008],
    ['1/60 s', 1 / 60],
    ['4 s', 4],
    ['0,5', 0.5],
    ['2 min', 120],
  ])('%s', (text, seconds) => expect(parseShutter(text)).toBeCloseTo(seconds, 9));
  test.each(['1/0', 'soon', '-4', '1/', ''])('“%s” is no exposure time', (text) =>
    expect(parseShutter(text)).toBeNull(),
  );
  test('come back as a shutter has them', () => {
    expect([0.008, 1 / 60, 0.5, 4, 90].map(shutterText)).toEqual(['1/125', '1/60', '1/2', '4', '90']);
  });
  test('the engraved speed next to a time, with the rest in stops', () => {
    expect(nearestShutter(1 / 50)).toEqual({ speedS: 1 / 60, restStops: expect.closeTo(Math.log2(50 / 60), 6) });
  });
  test('“set the meter to 100” for two stops of filter on ISO 400 film (common practice)', () =>
    expect(meterSetting(400, 2)).toBe(100));
});

describe('an exposure carried to an old camera (definition of a stop, worked by hand)', () => {
  test('f/8 at 1/125 is f/11 at 1/60 within a tenth, and f/16 at 1/30', () => {
    const [best] = carryExposure({ fNumber: 8, timeS: 1 / 125 }, [11], [1 / 30, 1 / 60], 0);
    expect(best).toMatchObject({ fNumber: 11, speedS: 1 / 60 });
    expect(Math.abs(best?.restStops ?? 9)).toBeLessThan(0.15);
    expect(carryExposure({ fNumber: 8, timeS: 1 / 120 }, [16], [1 / 30], 0)[0]?.restStops).toBeCloseTo(0, 6);
  });
  test('a shutter that is a stop slow wants half the engraved time', () => {
    expect(carryExposure({ fNumber: 8, timeS: 1 / 50 }, [8], [1 / 25, 1 / 50, 1 / 100], 1)[0]).toEqual({
      fNumber: 8,
      speedS: 1 / 100,
      restStops: expect.closeTo(0, 6),
    });
  });
  test('what is engraved is read as it stands, and what does not read is named', () => {
    expect(readRow('f/4.5 6,3; 9 B', 'f-numbers', 'ownF')).toEqual({ ok: true, value: [4.5, 6.3, 9] });
    expect(readRow('1/25, 1/50 T', 'speeds', 'ownSpeeds')).toEqual({ ok: true, value: [1 / 25, 1 / 50] });
    const bad = readRow('4.5 wide', 'f-numbers', 'ownF');
    expect(bad.ok ? '' : bad.problems[0]?.message).toMatch(/“wide” does not read/);
  });
});

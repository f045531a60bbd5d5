import { describe, expect, test } from 'vitest';
import { chance } from '../testing/chance';
import { sampleRequest } from '../testing/sampleRequest';
import { workOut } from '../estimate/estimate';
import { deviationsOf } from '../estimate/posterior';
import { predict } from '../estimate/predict';
import { ageDistribution } from './ageDistribution';
import type { FilmAge } from './ageSchema';
import { storageFactor } from './effectiveAge';

/** An undated roll that may have been made in any year of a window, in one place ever since. */
function window(from: number, to: number, temperatureSdC = 0): FilmAge {
  const count = to - from + 1;
  return {
    storage: [],
    yearsSd: 0,
    sinceExposure: [],
    xrayPasses: 0,
    dated: {
      made: Array.from({ length: count }, (_, index) => ({ year: from + index, weight: 1 / count })),
      stays: [{ temperatureC: 21, temperatureSdC, humid: false, untilYear: null }],
      nowYear: 2026,
    },
  };
}

describe('age as a distribution', () => {
  test('the median of a window is its middle year, worked by hand', () => {
    // 1950 to 2000, fresh for three years: 1975 is in the middle, 48 room-years.
    expect(ageDistribution(window(1950, 2000)).medianRoomYears).toBeCloseTo(48, 6);
  });
  test('a window that reaches into the present has film that is not aged at all', () => {
    const { at } = ageDistribution(window(1990, 2025));
    expect(at(-2.5)).toBe(0);
    expect(at(0)).toBeGreaterThan(10);
  });
  test('one year with a doubt about the place is log-normal', () => {
    const { at } = ageDistribution(window(1993, 1993, 2));
    const lnSd = Math.log(storageFactor(23, false) / storageFactor(19, false)) / 2;
    expect(at(1)).toBeCloseTo(30 * Math.exp(lnSd), 9);
  });
  test('it has no corners, at which a fit would stop', () => {
    const { at } = ageDistribution(window(1940, 2010, 3));
    for (let position = -2.9; position < 2.9; position += 0.05) {
      const [before, after] = [at(position) - at(position - 1e-4), at(position + 1e-4) - at(position)];
      expect(Math.abs(after - before)).toBeLessThan(1e-2 * (before + after) + 1e-9);
    }
  });
  test('its quantiles are those of a brute mixture of years and places', () => {
    const luck = chance(5);
    const lnSd = Math.log(storageFactor(24, false) / storageFactor(18, false)) / 2;
    const ages = Array.from({ length: 60_000 }, () => {
      const year = 1940 + Math.floor(luck.uniform(0, 71));
      return Math.max(0, 2023 - year) * Math.exp(lnSd * luck.normal());
    }).sort((a, b) => a - b);
    const { at } = ageDistribution(window(1940, 2010, 3));
    for (const [position, p] of [
      [-1.2816, 0.1],
      [0, 0.5],
      [1.2816, 0.9],
    ] as const)
      expect(at(position) / (ages[Math.floor(p * ages.length)] ?? 0)).toBeCloseTo(1, 1.5);
  });
});

/*
 * To within 3 %, although the band has few fixed draws.
 */
describe('the band of a dated window agrees with the mixture over its years within 3 %', () => {
  test.each(['hold', 'extend'] as const)('%s', (id) => {
    const asked = (from: number, to: number) =>
      workOut(sampleRequest({ age: window(from, to), strategy: { id, liftCap: true } }));
    const { band } = asked(1976, 2012).estimate;
    // By force: every year of the window by itself, the times of two thousand random draws of each thrown together.
    const luck = chance(6);
    const times = Array.from({ length: 37 }, (_, index) => 1976 + index)
      .flatMap((year) => {
        const { posterior, wanted } = asked(year, year);
        const { situation, mean } = posterior;
        return Array.from(
          { length: 2_000 },
          () =>
            predict(
              situation.conditions,
              wanted,
              deviationsOf(
                situation,
                mean.map((at) => at + luck.normal()),
              ),
            ).timeMin,
        );
      })
      .sort((a, b) => a - b);
    const quantile = (p: number): number => times[Math.round(p * (times.length - 1))] ?? 0;
    expect(Math.abs(Math.log(band.lowMin / quantile(0.1)))).toBeLessThan(0.03);
    expect(Math.abs(Math.log(band.highMin / quantile(0.9)))).toBeLessThan(0.03);
  });
});

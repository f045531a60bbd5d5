import { describe, expect, test } from 'vitest';
import { wetSteps } from '../schedule/wetSteps';
import { DEVELOP, readyBaths } from '../schedule/baths';
import { bursts, seconds } from '../schedule/movement';
import { waterOfRun } from '../run/waterOfRun';
import { washSchools } from '../fixing/washSchools';
import { developerCost, noPrices, pricesFormSchema, rollCost } from './cost';

const prices = {
  ...noPrices(),
  film: 8,
  water: 4,
  baths: { fixer: { price: 6, films: 12 }, stop: { price: 1.5, films: 15 }, wetting: { price: '', films: 20 } },
  oneBath: { price: 22, films: 11 },
  bought: { price: 20, bottleMl: 500, perFilmMl: 20 },
};

describe('money of a whole roll', () => {
  test('adds up what is priced, and shares it among the frames that came out', () => {
    const { lines, total, perFrame, instead } = rollCost(
      { developer: 0.9, baths: ['stop', 'fixer', 'wetting'], waterL: 5, cameOut: 36 },
      prices,
    );
    // Film 8, developer 0.90, stop 1.50 / 15, fixer 6 / 12, water 5 l of 4 a cubic metre; the wetting agent is not priced.
    expect(total).toBeCloseTo(8 + 0.9 + 0.1 + 0.5 + 0.02, 10);
    expect(perFrame).toBeCloseTo((total ?? 0) / 36, 10);
    expect(lines.filter(({ amount }) => amount === null).map(({ name }) => name)).toEqual(['Wetting agent']);
    // A one-bath needs neither stop nor fixer; a bought developer needs both.
    expect(instead[0]?.amount).toBeCloseTo(2 + 8 + 0.02, 10);
    expect(instead[1]?.amount).toBeCloseTo(0.8 + 8 + 0.6 + 0.02, 10);
  });
  test('nothing priced is no sum, and no frame is no share', () => {
    const spent = { developer: null, baths: [], waterL: 5, cameOut: 0 };
    expect(rollCost(spent, noPrices())).toMatchObject({ total: null, perFrame: null });
    expect(rollCost(spent, prices).perFrame).toBeNull();
  });
  test('prices kept from before there were any for film and baths still read', () => {
    const { currency, of, oneBath, bought } = prices;
    const old = { currency, of, oneBath, bought };
    expect(pricesFormSchema.parse(old)).toMatchObject({ film: '', water: '', baths: { fixer: { films: 12 } } });
  });
  test('the developer’s share: the kit, the bottle, or what was weighed over its films', () => {
    expect(developerCost(undefined, 'one-bath', prices)).toBe(2);
    expect(developerCost(undefined, 'concentrate', prices)).toBe(0.8);
    expect(developerCost(undefined, 'improvised', prices)).toBeNull();
  });
});

describe('water of a run', () => {
  const steps = (wash: 'running-10' | '5-10-20') =>
    wetSteps(600, bursts(seconds(30), [60, 'start', seconds(10)]), [
      readyBaths['water-soak'],
      DEVELOP,
      readyBaths.fixer,
      ...washSchools[wash].baths,
      readyBaths.wetting,
    ]);
  test('each change fills the tank once', () => {
    // A soak and three changes of half a litre.
    expect(waterOfRun(steps('5-10-20'), 500)).toBe(2);
  });
  test('running water is many times that', () => {
    expect(waterOfRun(steps('running-10'), 500)).toBe(0.5 + 30);
  });
});

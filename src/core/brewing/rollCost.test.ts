import { describe, expect, test } from 'vitest';
import { wetSteps } from '../schedule/wetSteps';
import { DEVELOP, readyBaths } from '../schedule/baths';
import { bursts, seconds } from '../schedule/movement';
import { waterOfRun } from '../run/waterOfRun';
import { washSchools } from '../fixing/washSchools';
import { partOfBottle } from './bottle';
import { changedJug, joined } from './changeJug';
import type { BrewPart } from './part';
import { jugMoney, jugMoneyPerFilm, type PricedJug } from './jugMoney';
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
      {
        developer: 0.9,
        baths: (['stop', 'fixer', 'wetting'] as const).map((id) => ({ id, ofBottle: null })),
        waterL: 5,
        cameOut: 36,
      },
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
    expect(developerCost(undefined, 'one-bath', null, prices)).toBe(2);
    expect(developerCost(undefined, 'concentrate', null, prices)).toBe(0.8);
    expect(developerCost(undefined, 'improvised', null, prices)).toBeNull();
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

describe('a bottle with a price', () => {
  const NOW = Date.UTC(2026, 10, 30);
  const jug = (part: Partial<PricedJug>): PricedJug & { parts: BrewPart[] } => ({
    use: 'fixer',
    developer: null,
    mixedMs: NOW,
    volumeMl: 1000,
    films: 0,
    ...part,
    parts: [...(part.parts ?? [])],
  });
  const litre = jug({ price: { amount: 20, forMl: 1000 }, volumeMl: 400 });

  test('what is left in it is worth its share; what was made from it takes its own', () => {
    expect(jugMoney(litre, undefined)).toBe(8);
    // 1+4 in a litre: 200 ml of the bottle.
    const fixer = jug({ parts: [partOfBottle({ name: 'Fixer', developer: null }, 200)] });
    expect(jugMoney(fixer, litre)).toBe(4);
    // A fixer of 1+4 does twelve films a litre, by the tally of common practice: each costs a twelfth.
    expect(jugMoneyPerFilm(fixer, litre, null, NOW)).toBeCloseTo(4 / 12, 10);
    expect(jugMoneyPerFilm({ ...fixer, films: 5 }, litre, null, NOW)).toBeCloseTo(4 / 12, 10);
    const developer = jug({
      use: 'film-developer',
      developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 3 } },
      volumeMl: 500,
    });
    // A stock of 20 a litre, thinned 1+3: 125 ml of it for the one film of half a litre.
    expect(jugMoneyPerFilm(developer, litre, null, NOW)).toBeCloseTo(2.5, 10);
    const stop = jug({ use: 'stop', parts: [partOfBottle({ name: 'Stop', developer: null }, 50)] });
    expect(jugMoneyPerFilm(stop, litre, 15, NOW)).toBeCloseTo(1 / 15, 10);
  });
  test('without a price there is no sum, and a bottle that is gone has none', () => {
    expect(jugMoneyPerFilm(jug({}), undefined, 12, NOW)).toBeNull();
    expect(jugMoneyPerFilm(jug({ films: 3 }), jug({}), 12, NOW)).toBeNull();
  });
  test('water spreads what was paid; two bottles add up', () => {
    const full = { ...litre, bromideGPerL: 0, ph: null, mixingLnSd: null };
    const thinner = changedJug(full, { kind: 'water', atMs: 0, ml: 100 });
    if (!thinner.ok) throw new Error(thinner.problems[0]?.message);
    expect(jugMoney(thinner.value, undefined)).toBeCloseTo(8, 10);
    const both = joined(full, { ...full, volumeMl: 100, price: { amount: 5, forMl: 500 } });
    if (!both.ok) throw new Error(both.problems[0]?.message);
    expect(jugMoney(both.value, undefined)).toBeCloseTo(9, 10);
    const half = joined(full, { ...full, price: undefined });
    expect(half.ok && jugMoney(half.value, undefined)).toBeNull();
  });
});

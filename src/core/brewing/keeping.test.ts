import { describe, expect, test } from 'vitest';
import { sampleBrew } from '../testing/sampleBrew';
import { batchCost, boughtPerFilm, noPrices, oneBathPerFilm, priceKey, priceProblem, pricesFormSchema } from './cost';
import { inUseFirst, jugState } from './keeping';
import { readRecipes, writeRecipes } from './recipeFile';
import { sampleParts } from '../testing/sampleParts';
import { formulary } from './formulary';
import { biohazardIn } from './animalMatter';

const HOUR_MS = 3_600_000;
const mixedMs = Date.UTC(2026, 10, 24, 11, 40);

describe('what is left in a jug', () => {
  test('a kitchen brew is followed by its strength', () => {
    const fresh = jugState(sampleBrew(mixedMs), mixedMs);
    expect(fresh).toMatchObject({ left: 1, timeFactor: 1, spent: false });
    expect(fresh.goodUntilMs).toBe(mixedMs + 4.5 * HOUR_MS);
    const used = jugState(sampleBrew(mixedMs, { films: 1 }), mixedMs);
    expect(used.timeFactor).toBeCloseTo(15 / 13, 12);
    expect(used.goodUntilMs).toBeLessThan(fresh.goodUntilMs ?? 0);
    expect(jugState(sampleBrew(mixedMs, { films: 1 }), mixedMs + 6 * HOUR_MS).spent).toBe(true);
    // Four films bring it to (13/15)⁴ = 0.56, five below a half.
    expect(fresh.filmsLeft).toBe(4);
  });
  test('a one-shot is spent after its film, and weaker by what the film took', () => {
    const oneShot = sampleBrew(mixedMs, {
      films: 0,
      volumeMl: 500,
      developer: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 100 } },
    });
    expect(jugState(oneShot, mixedMs)).toMatchObject({ left: 1, filmsLeft: 1, spent: false, oneShot: true });
    const used = jugState({ ...oneShot, films: 1 }, mixedMs);
    expect(used).toMatchObject({ filmsLeft: 0, spent: true });
    // 4.95 ml of concentrate, of which one film takes 3.5 ml.
    expect(used.left).toBeCloseTo((1 - 3.5 / (500 / 101)) ** 0.85, 6);
  });
  test('stock that is used again takes a tenth longer for each film in a litre; what its owner calls spent is spent', () => {
    const stock = sampleBrew(mixedMs, {
      films: 2,
      volumeMl: 1000,
      developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } },
    });
    const state = jugState(stock, mixedMs);
    expect(state).toMatchObject({ spent: false, oneShot: false, goodUntilMs: null });
    expect(state.timeFactor).toBeCloseTo(1.2, 9);
    expect(jugState({ ...stock, spentMs: mixedMs }, mixedMs)).toMatchObject({ spent: true, left: 0 });
  });
  test('a stop keeps a week; fixer counts 12 films a litre; a one-bath 11, and half a year (common practice)', () => {
    const stop = sampleBrew(mixedMs, { use: 'stop', developer: null, volumeMl: 1000 });
    expect(jugState(stop, mixedMs + 3.5 * 24 * HOUR_MS).left).toBeCloseTo(0.5, 9);
    expect(jugState(stop, mixedMs + 8 * 24 * HOUR_MS).spent).toBe(true);
    const fixer = sampleBrew(mixedMs, { use: 'fixer', developer: null, volumeMl: 500, films: 4 });
    expect(jugState(fixer, mixedMs)).toMatchObject({ filmsLeft: 2, left: expect.closeTo(1 / 3, 9) });
    expect(jugState({ ...fixer, films: 7 }, mixedMs)).toMatchObject({ filmsLeft: 0, spent: true });
    const oneBath = sampleBrew(mixedMs, { developer: { kind: 'one-bath' }, volumeMl: 1000, films: 5 });
    expect(jugState(oneBath, mixedMs).filmsLeft).toBe(6);
  });
});

describe('cost from the user’s own prices', () => {
  const parts = sampleParts([
    ['soda-anhydrous', 27],
    ['ascorbic-acid', 8],
    ['instant-coffee', 20],
  ]);
  const prices = {
    ...noPrices(),
    of: {
      'soda-anhydrous': { price: 4, per: 1000 },
      'ascorbic-acid': { price: 10, per: 250 },
      'instant-coffee': { price: 3, per: 200 },
    },
  };
  test('half a litre for one film, worked by hand: 0.108 + 0.32 + 0.30', () => {
    expect(batchCost(parts, 1, prices)).toEqual({
      total: expect.closeTo(0.728, 9),
      perFilm: expect.closeTo(0.728, 9),
      missing: [],
    });
    expect(batchCost(parts, 2, prices)?.perFilm).toBeCloseTo(0.364, 9);
  });
  test('nothing is invented: without prices there is no cost, and what is missing is named', () => {
    expect(batchCost(parts, 1, noPrices())).toBeNull();
    const some = {
      ...prices,
      of: { 'instant-coffee': { price: 3, per: 200 }, 'soda-anhydrous': { price: 4, per: 0 } },
    };
    expect(batchCost(parts, 1, some)).toMatchObject({
      missing: ['Washing soda, anhydrous', 'Ascorbic acid'],
      total: expect.closeTo(0.3, 9),
    });
    expect(oneBathPerFilm(noPrices())).toBeNull();
    expect(boughtPerFilm(noPrices())).toBeNull();
  });
  test('a film in the one-bath and in a bought developer', () => {
    expect(oneBathPerFilm({ ...noPrices(), oneBath: { price: 22, films: 11 } })).toBeCloseTo(2, 12);
    expect(boughtPerFilm({ ...noPrices(), bought: { price: 15, bottleMl: 500, perFilmMl: 20 } })).toBeCloseTo(0.6, 12);
  });
  test('what was typed wrongly is told, and kept', () => {
    expect(priceProblem('dear', true)).toMatch(/“dear” is not a number/);
    expect(priceProblem(-1, true)).toMatch(/below 0/);
    expect(priceProblem(0, false)).toMatch(/above 0/);
    expect([priceProblem('', true), priceProblem(0, true), priceProblem(2, false)]).toEqual([null, null, null]);
    expect(pricesFormSchema.safeParse({ ...prices, of: { x: { price: 'dear', per: '' } } }).success).toBe(true);
    expect(priceKey({ name: 'Rapid Fixer', makeup: { kind: 'concentrate', familyId: null } })).toBe(
      'concentrate:rapid fixer',
    );
  });
});

describe('files of recipes', () => {
  const text = writeRecipes([formulary.tea, formulary['fixer-rapid']]);
  test('out and in again', () => {
    const read = readRecipes(text);
    expect(read.ok && read.value.map(({ name, lines }) => [name, lines])).toEqual([
      ['Tea', formulary.tea.lines],
      ['Home-made rapid fixer', formulary['fixer-rapid'].lines],
    ]);
  });
  test('a recipe for one jug keeps its volume', () => {
    const read = readRecipes(writeRecipes([{ ...formulary.beer, makesMl: 440 }]));
    expect(read.ok && read.value[0]?.makesMl).toBe(440);
  });
  test.each<[string, string, RegExp]>([
    ['cut off', text.slice(0, 60), /cut off/],
    ['foreign', '{"recipes": []}', /not a recipe file/],
    ['a newer one', text.replace('"version": 1', '"version": 7'), /another version/],
    ['an unknown ingredient', text.replace('black-tea', 'moon-dust'), /Substance: choose one of/],
    ['an impossible amount', text.replace('"perL": 60', '"perL": -60'), /from 0 to 1000/],
    ['none in it', '{"format":"aetas-recipes","version":1,"recipes":[]}', /no recipe in this file/],
  ])('%s is refused whole, with a sentence', (_what, file, sentence) => {
    const read = readRecipes(file);
    expect(read.ok ? '' : read.problems.map(({ message }) => message).join(' ')).toMatch(sentence);
  });
});

test('animal fluids are known by name, plants that sound like them are not', () => {
  expect(biohazardIn(['Urine', 'ox blood', 'egg white', 'goat milk', 'Washing soda'])).toEqual([
    'Urine',
    'ox blood',
    'egg white',
    'goat milk',
  ]);
  expect(biohazardIn(['Leche de cabra', 'huevos', 'hígado'])).toEqual(['Leche de cabra', 'huevos', 'hígado']);
  expect(biohazardIn(['Leche de avena', 'hueso de aceituna', 'café'])).toEqual([]);
  expect(biohazardIn(['Oat milk', 'milk thistle', 'bloodroot', 'Instant coffee'])).toEqual([]);
});

test('a long shelf begins with what is in use', () => {
  const shelf = [{ id: 'a', spentMs: 5 }, { id: 'b' }, { id: 'c', spentMs: 1 }, { id: 'd' }];
  expect(inUseFirst(shelf).map(({ id }) => id)).toEqual(['b', 'd', 'a', 'c']);
});

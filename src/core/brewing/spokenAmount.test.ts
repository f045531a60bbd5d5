import { describe, expect, test } from 'vitest';
import { spokenAmount, type SaidOf } from './spokenAmount';

const of = (part: Partial<SaidOf> = {}): SaidOf => ({
  substanceId: 'soda-anhydrous',
  unit: 'g',
  kit: { spoons: 'us' },
  tabletMg: null,
  ...part,
});
const value = (text: string, part: Partial<SaidOf> = {}): number | string => {
  const read = spokenAmount(text, of(part));
  return read.ok ? Number(read.value.toFixed(3)) : (read.problems[0]?.message ?? '');
};

describe('amounts as people say them (masses of spoons: common practice, no source)', () => {
  test.each<[string, Partial<SaidOf>, number]>([
    ['9.6', {}, 9.6],
    ['9,6 g', {}, 9.6],
    ['3/4 g', {}, 0.75],
    ['12 tsp', {}, 55.2],
    ['½ tsp', {}, 2.3],
    ['1½ tsp', {}, 6.9],
    ['1 1/2 tsp', {}, 6.9],
    ['2 rounded tsp', {}, 14.72],
    ['18 level tsp', { substanceId: 'instant-coffee' }, 18],
    ['18 rounded tsp', { substanceId: 'instant-coffee' }, 32.4],
    ['18 tsp', { substanceId: 'instant-coffee', kit: { spoons: 'us', coffeeSpoon: 'heaped' } }, 39.6],
    ['3 tablets', { substanceId: 'ascorbic-acid', tabletMg: 1000 }, 3],
    ['440 ml', { substanceId: 'dark-beer', unit: 'ml' }, 440],
    ['2 tbsp', { substanceId: null, unit: 'ml', kit: { spoons: 'australian' } }, 40],
  ])('%s of %j is %d', (text, part, expected) => expect(value(text, part)).toBeCloseTo(expected, 2));
  test('a tablespoon is that of the country', () => {
    expect(value('1 tbsp', { kit: { spoons: 'australian' } })).toBeCloseTo(
      4 * Number(value('1 tsp', { kit: { spoons: 'australian' } })),
      2,
    );
  });
  test.each<[string, Partial<SaidOf>, RegExp]>([
    ['some', {}, /such as 12 g, 3 tsp/],
    ['', {}, /Give an amount/],
    ['3 ml', {}, /is weighed/],
    ['3 g', { unit: 'ml', substanceId: 'dark-beer' }, /is poured/],
    ['2 tablets', {}, /what one tablet holds/],
    ['2 tsp', { substanceId: null }, /what a spoon of this weighs/],
  ])('%s of %j says what is wrong', (text, part, message) => expect(value(text, part)).toMatch(message));
});

import { describe, expect, test } from 'vitest';
import { improvisedDeveloperSchema } from '../estimate/situationSchema';
import { inAJug, inALitre } from '../units/perLitre';
import { compositionOf, developerOf } from './composition';
import type { BrewPart } from './part';
import { spokenAmount, type SaidOf } from './spokenAmount';

const of = (part: Partial<SaidOf> = {}): SaidOf => ({
  substanceId: 'soda-anhydrous',
  unit: 'g',
  kit: { spoons: 'us' },
  tabletMg: null,
  volumeMl: 500,
  usual: 'jug',
  ...part,
});
const value = (text: string, part: Partial<SaidOf> = {}): number | string => {
  const read = spokenAmount(text, of(part));
  return read.ok ? Number(read.value.amount.toFixed(3)) : (read.problems[0]?.message ?? '');
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
    ['6 tablespoons', {}, 82.8],
    ['6 tbsp', {}, 82.8],
    ['6 cda', {}, 82.8],
    ['12 cucharaditas', {}, 55.2],
    ['two tablespoons', { substanceId: 'ascorbic-acid' }, 29.4],
    ['9.6 g in 400 ml', {}, 12],
    ['24 g/l', {}, 12],
    ['24 g per litre', {}, 12],
    ['24', { usual: 'litre' }, 12],
    ['half a can', { substanceId: 'dark-beer', unit: 'ml' }, 220],
    ['1 can', { substanceId: 'dark-beer', unit: 'ml', usual: 'litre' }, 440],
    ['20 drops', { substanceId: null, unit: 'ml' }, 1],
    ['2 oz', {}, 56.7],
    ['250 ml', { substanceId: null, anyUnit: true }, 250],
    ['half a packet', { substanceId: null, packetG: 90 }, 45],
    ['3 tablets', { substanceId: 'ascorbic-acid', tabletMg: 1000 }, 3],
    ['440 ml', { substanceId: 'dark-beer', unit: 'ml' }, 440],
    ['2 tbsp', { substanceId: null, unit: 'ml', kit: { spoons: 'australian' } }, 40],
  ])('%s of %j is %d', (text, part, expected) => expect(value(text, part)).toBeCloseTo(expected, 2));
  test.each<[string, Partial<SaidOf>, number, string]>([
    ['1,600', {}, 1.6, '1.6 g'],
    ['1 can', { substanceId: 'dark-beer', unit: 'ml' }, 330, 'a can of 330 ml'],
    ['27 g', { usual: 'litre' }, 27, '27 g in this jug'],
  ])('%s of %j may also be %d', (text, part, amount, says) => {
    const read = spokenAmount(text, of(part));
    expect(read.ok && read.value.other).toMatchObject({ amount, says });
  });
  test('a liquid of one’s own takes millilitres when it is said in them', () => {
    const read = spokenAmount('250 ml', of({ substanceId: null, anyUnit: true }));
    expect(read.ok && read.value.unit).toBe('ml');
  });
  test('a jug gets back the whole millilitres that it was given, from 100 to 3000', () => {
    for (let ml = 100; ml <= 3000; ml++) {
      expect(inALitre(ml, ml)).toBe(1000);
      expect(inALitre(ml, ml * 1.1) * (ml * 1.1)).toBeCloseTo(ml * 1000, 6);
    }
  });
  test.each(['dark-beer', 'red-wine'] as const)('%s fills a jug of any whole millilitres from 100 to 3000', (id) => {
    const part = (ml: number): BrewPart => ({
      key: id,
      name: id,
      unit: 'ml',
      target: inAJug(inALitre(ml, ml), ml),
      actual: null,
      how: 'target',
      lnSd: 0,
      makeup: { kind: 'substance', substanceId: id },
    });
    for (let ml = 100; ml <= 3000; ml++) {
      const developer = developerOf(compositionOf([part(ml)], ml));
      expect(improvisedDeveloperSchema.safeParse(developer).success, `${ml} ml`).toBe(true);
    }
  });
  test('a tablespoon is that of the country', () => {
    expect(value('1 tbsp', { kit: { spoons: 'australian' } })).toBeCloseTo(
      4 * Number(value('1 tsp', { kit: { spoons: 'australian' } })),
      2,
    );
  });
  test.each<[string, Partial<SaidOf>, RegExp]>([
    ['some', {}, /such as 12 g, 3 tsp/],
    ['', {}, /Give an amount/],
    ['2 spoons', {}, /a teaspoon or a tablespoon/],
    ['3 ml', {}, /is weighed/],
    ['3 g', { unit: 'ml', substanceId: 'dark-beer' }, /is poured/],
    ['2 tablets', {}, /what one tablet holds/],
    ['2 tsp', { substanceId: null }, /what a spoon of this weighs/],
  ])('%s of %j says what is wrong', (text, part, message) => expect(value(text, part)).toMatch(message));
});

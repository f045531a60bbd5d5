import { describe, expect, test } from 'vitest';
import { cautionNoteSchema } from './cautionNote';
import { cautionRules, cautionsFor, type CautionFacts } from './cautions';
import { mayBeNitrate } from './nitrate';

const ids = (facts: CautionFacts): string[] => cautionsFor(facts).map(({ id }) => id);

describe('cautions stand where they bite', () => {
  test.each<[string, CautionFacts, string]>([
    ['35 mm cine from 1951', { formatId: 'cine35', madeFromYear: 1947 }, 'nitrate'],
    ['undated 35 mm cine', { formatId: 'cine35', madeFromYear: 1893 }, 'nitrate'],
    ['12 °C', { temperatureC: 12 }, 'cold'],
    ['26 °C and old', { temperatureC: 26, ageRoomYears: 40 }, 'warm-old-gelatin'],
    ['26 °C and fresh', { temperatureC: 26, ageRoomYears: 0 }, 'warm'],
    ['3 ml of syrup', { concentrate: { mlPerFilm: 3, leastMl: 6 } }, 'too-little-concentrate'],
    ['powders', { powders: true }, 'powder-dust'],
    ['kitchen things', { kitchenIngredients: true }, 'not-a-drink'],
    ['acid on carbonate', { acidStop: true, carbonateBrew: true }, 'acid-on-carbonate'],
    ['fixer', { fixer: true }, 'spent-baths'],
    ['rem-jet', { remJet: true }, 'rem-jet'],
  ])('%s', (_what, facts, id) => expect(ids(facts)).toContain(id));

  test('nothing is said about what is not there', () => {
    expect(ids({})).toEqual([]);
    expect(ids({ temperatureC: 20, ageRoomYears: 40 })).toEqual([]);
    expect(ids({ acidStop: true })).not.toContain('acid-on-carbonate');
  });
  test('every rule is a whole sentence with an id of its own', () => {
    expect(new Set(cautionRules.map(({ id }) => id)).size).toBe(cautionRules.length);
    for (const { id, at, severity, text } of cautionRules) {
      expect(cautionNoteSchema.safeParse({ id, at, severity, text }).success).toBe(true);
      expect(text).toMatch(/\.$/);
    }
  });
});

describe('nitrate', () => {
  test.each<[Parameters<typeof mayBeNitrate>, boolean]>([
    [['cine35', 1947, false], true],
    [['cine35', 1954, false], true],
    [['cine35', 1955, false], false],
    [['cine35', 1893, true], false],
    [['cine16', 1940, false], false],
    [['120', 1940, false], true],
    [['120', 1901, false, false], false],
    [['120', 1958, false], false],
    [['sheet-9x12', 1936, false], true],
    [['135', 1936, false], true],
    [['cine16', 1930, false], false],
  ])('%j is %s', (film, expected) => expect(mayBeNitrate(...film)).toBe(expected));
});

import { expect, test } from 'vitest';
import { leafletTimeFor, readLeafletTime, type LeafletTime } from './leaflet';

const time = (film: string, water: number, timeMin: number): LeafletTime => ({
  film,
  parts: { concentrate: 1, water },
  temperatureC: 20,
  timeMin,
});
const syrup = {
  name: 'Hut syrup',
  developer: { kind: 'concentrate', familyId: 'hydroquinone-syrup', parts: { concentrate: 1, water: 0 } },
  bottle: { times: [time('Larkholm Pan 200', 31, 7.5), time('Larkholm Pan 200', 63, 14), time('Other', 31, 5)] },
} as const;

test('a leaflet’s time is found by the film’s name, however it is written, and by the nearest dilution', () => {
  const found = (film: string, water: number): number | null =>
    leafletTimeFor([syrup], film, 'hydroquinone-syrup', { concentrate: 1, water })?.time.timeMin ?? null;
  expect(found('larkholm  pan 200', 31)).toBe(7.5);
  expect(found('Larkholm Pan 200', 50)).toBe(14);
  expect(found('Larkholm Pan 400', 31)).toBeNull();
  const exact = (water: number) =>
    leafletTimeFor([syrup], 'Other', 'hydroquinone-syrup', { concentrate: 1, water }, true);
  expect(exact(31)?.time.timeMin).toBe(5);
  expect(exact(47)).toBeNull();
});

test('a bottle of another class, one without times and an empty shelf say nothing', () => {
  expect(leafletTimeFor([syrup], 'Other', 'p-aminophenol', { concentrate: 1, water: 31 })).toBeNull();
  const bare = { ...syrup, bottle: undefined };
  expect(leafletTimeFor([bare], 'Other', 'hydroquinone-syrup', { concentrate: 1, water: 31 })).toBeNull();
  expect(leafletTimeFor([], 'Other', 'hydroquinone-syrup', { concentrate: 1, water: 31 })).toBeNull();
});

test('a leaflet’s time reads with a letter of the bottle, a dilution, or the usual one; what is wrong has its field', () => {
  const letters = [{ letter: 'B', parts: { concentrate: 1, water: 31 } }];
  const usual = { concentrate: 1, water: 15 };
  const form = { film: ' Larkholm Pan 200 ', dilution: '', temperatureC: 20, timeMin: 7.5 };
  const water = (dilution: string): number | null => {
    const read = readLeafletTime({ ...form, dilution }, letters, usual);
    return read.ok ? read.value.parts.water : null;
  };
  expect([water('b'), water('1+63'), water('')]).toEqual([31, 63, 15]);
  const wrong = readLeafletTime({ film: '', dilution: 'strong', temperatureC: 'warm', timeMin: '' }, letters, usual);
  expect(wrong.ok ? [] : [...new Set(wrong.problems.map(({ path }) => path))].sort()).toEqual([
    'dilution',
    'film',
    'temperatureC',
    'timeMin',
  ]);
});

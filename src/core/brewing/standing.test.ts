import { describe, expect, test } from 'vitest';
import { jugState } from './keeping';
import { takenFrom } from './changeJug';
import { emptyStanding, readDay, readStanding, standingIds, standingName, type StandingForm } from './standing';

const NOW = new Date(2026, 10, 30, 18).getTime();
const DAY_MS = 86_400_000;
const read = (part: Partial<StandingForm>) => readStanding({ ...emptyStanding, mixedOn: '2026-10-31', ...part }, NOW);
const bottle = (part: Partial<StandingForm>) => {
  const found = read(part);
  if (!found.ok) throw new Error(found.problems[0]?.message);
  return found.value;
};
const faults = (part: Partial<StandingForm>): string[] => {
  const found = read(part);
  return found.ok ? [] : found.problems.map(({ path }) => path);
};

describe('a bottle that stands there already', () => {
  test('a fixer with eight films and its day is as far gone as one that had them here', () => {
    const fixer = bottle({ films: 8 });
    expect(fixer).toMatchObject({ name: 'Fixer', use: 'fixer', developer: null, volumeMl: 1000, films: 8 });
    expect(Math.abs(NOW - fixer.mixedMs - 30 * DAY_MS)).toBeLessThan(DAY_MS);
    const { left, filmsLeft } = jugState({ ...fixer, parts: [] }, NOW);
    // Twelve films a litre: four are left, and that is less than what a month leaves of three.
    expect(filmsLeft).toBeCloseTo(4, 6);
    expect(left).toBeCloseTo(1 / 3, 2);
    expect(jugState({ ...bottle({ films: 8, takesFilms: 16 }), parts: [] }, NOW).filmsLeft).toBe(8);
  });
  test('a bought developer has its class and its dilution, as it is written', () => {
    expect(bottle({ whatId: 'mq-borax' }).developer).toEqual({
      kind: 'concentrate',
      familyId: 'mq-borax',
      parts: { concentrate: 1, water: 0 },
    });
    expect(bottle({ whatId: 'pq-liquid', dilution: '1+9', name: ' Hut liquid ' })).toMatchObject({
      name: 'Hut liquid',
      use: 'film-developer',
      developer: { parts: { concentrate: 1, water: 9 } },
    });
    expect(bottle({ whatId: 'one-bath' }).developer).toEqual({ kind: 'one-bath' });
  });
  test('the day is read as people say it', () => {
    const day = (text: string): string | null => {
      const ms = readDay(text, NOW);
      return ms === null ? null : new Date(ms).toDateString();
    };
    expect(day('2026-11-03')).toBe('Tue Nov 03 2026');
    expect(day('2026-1-3')).toBe('Sat Jan 03 2026');
    expect(day('today')).toBe('Mon Nov 30 2026');
    expect(day(' Yesterday')).toBe('Sun Nov 29 2026');
    expect(day('3 weeks ago')).toBe('Mon Nov 09 2026');
    expect(day('about a month ago')).toBe('Fri Oct 30 2026');
    expect(day('two years')).toBe('Sat Nov 30 2024');
    for (const text of ['', '3.11.2026', '2026-13-40', 'soon']) expect(day(text)).toBeNull();
  });
  test('what does not read is named by its field', () => {
    expect(faults({ mixedOn: '' })).toEqual(['mixedOn']);
    expect(faults({ mixedOn: '2027-01-01' })).toEqual(['mixedOn']);
    expect(faults({ mixedOn: 'last week' })).toEqual(['mixedOn']);
    expect(faults({ films: -1, volumeMl: '' }).sort()).toEqual(['films', 'volumeMl']);
    expect(faults({ takesFilms: 0 })).toEqual(['takesFilms']);
    expect(faults({ whatId: 'mq-borax', dilution: 'a lot' })).toEqual(['dilution']);
    expect(faults({ name: 'x'.repeat(121) })).toEqual(['name']);
    for (const whatId of standingIds) expect(standingName(whatId)).not.toBe('');
  });
});

describe('working solutions from a stock', () => {
  const stock = {
    ...bottle({ whatId: 'mq-borax', volumeMl: 1000 }),
    bromideGPerL: 0,
    parts: [],
    ph: null,
    mixingLnSd: null,
  };
  test('a part of it, thinned, and as much less in the bottle; the last one is refused by what is left', () => {
    let left = stock;
    for (let n = 1; n <= 3; n++) {
      const made = takenFrom(left, 300, 300);
      if (!made.ok) throw new Error(made.problems[0]?.message);
      expect(made.value.taken.volumeMl).toBe(600);
      expect(made.value.taken.developer).toMatchObject({ parts: { concentrate: 1, water: 1 } });
      ({ left } = made.value);
      expect(left.volumeMl).toBe(1000 - 300 * n);
      expect(left.developer).toEqual(stock.developer);
    }
    const last = takenFrom(left, 300, 300);
    expect(!last.ok && last.problems[0]?.message).toBe('The jug holds 100 ml: take 90 ml at most.');
  });
  test('undiluted, it takes its share of the films along', () => {
    const used = { ...stock, films: 4 };
    const made = takenFrom(used, 250, 0);
    expect(made.ok && made.value.taken.films).toBe(1);
    expect(made.ok && made.value.left.films).toBe(3);
  });
});

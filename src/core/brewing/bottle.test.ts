import { describe, expect, test } from 'vitest';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { bottleFor, bottleLife, dilutionsOf, fromBottle, isPourable, partOfBottle } from './bottle';
import { readDilutions, type Bottle } from './bottleSchema';
import { jugState } from './keeping';
import { emptyStanding, readStanding, stagesOf, standingIds } from './standing';

const now = Date.parse('2026-11-30T12:00:00Z');
const DAY = 24 * 3_600_000;
const bottle: Bottle = { stage: 'concentrate', opened: true, holdsMl: 500, place: '', dilutions: [] };
const syrup = { use: 'film-developer', familyId: 'hydroquinone-syrup', volumeMl: 500, sinceMs: now } as const;

describe('how a bottle keeps', () => {
  test('air shortens it: full, three quarters, half, and less than half', () => {
    const days = [500, 375, 250, 100].map(
      (volumeMl) => bottleLife(bottle, { ...syrup, familyId: 'pq-liquid', volumeMl }, now)?.keepsDays,
    );
    expect(days).toEqual([180, 135, 90, 90]);
  });

  test('a sealed one keeps longer than an open one, whatever it is', () => {
    for (const familyId of developerFamilyIds) {
      const open = bottleLife(bottle, { ...syrup, familyId }, now)?.keepsDays ?? 0;
      const sealed = bottleLife({ ...bottle, opened: false }, { ...syrup, familyId }, now)?.keepsDays ?? 0;
      expect(sealed, familyId).toBeGreaterThanOrEqual(open);
    }
  });

  test('what is left is the share of its time, and none after it', () => {
    const twoYears = (days: number): number | undefined =>
      bottleLife(bottle, { ...syrup, sinceMs: now - days * DAY }, now)?.left;
    expect(twoYears(365)).toBeCloseTo(0.5, 2);
    expect(twoYears(900)).toBe(0);
    expect(bottleLife(bottle, { ...syrup, use: 'pre-bath', familyId: null }, now)).toBeNull();
  });

  test('a jug’s state is that of its bottle, and films are not counted by it', () => {
    const state = jugState(
      {
        use: 'film-developer',
        developer: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 0 } },
        mixedMs: now - 100 * DAY,
        volumeMl: 250,
        films: 0,
        bottle,
      },
      now,
    );
    expect(state).toMatchObject({ filmsLeft: null, oneShot: false, spent: false, timeFactor: 1 });
    expect(state.left).toBeGreaterThan(0.9);
    const old = jugState({ use: 'fixer', developer: null, mixedMs: 0, volumeMl: 250, films: 0, bottle }, now);
    expect(old).toMatchObject({ left: 0, spent: false });
  });
});

describe('dilutions on a bottle', () => {
  test.each([
    ['B 1+31, H 1+63', ['B', 'H']],
    ['1+9', ['1+9']],
    ['paper: 1:19; film 1 + 9', ['paper', 'film']],
    ['', []],
  ])('%s', (written, letters) => {
    const read = readDilutions(written);
    expect(read?.map(({ letter }) => letter)).toEqual(letters);
  });

  test.each([['B'], ['B 1+'], ['0+9'], [Array.from({ length: 13 }, () => '1+9').join(',')]])(
    '%s is none',
    (written) => {
      expect(readDilutions(written)).toBeNull();
    },
  );

  test('half a litre at 1+31 takes 15.6 ml', () => {
    expect(fromBottle(500, { concentrate: 1, water: 31 })).toEqual({ takeMl: 15.6, waterMl: 484.4 });
  });
});

test('a concentrate is taken from the bottle that was opened, the older first, and from none that holds too little', () => {
  const developer = {
    kind: 'concentrate',
    familyId: 'hydroquinone-syrup',
    parts: { concentrate: 1, water: 0 },
  } as const;
  const one = (id: string, volumeMl: number, mixedMs: number, opened = true) => ({
    id,
    developer,
    volumeMl,
    mixedMs,
    bottle: { ...bottle, opened },
  });
  const shelf = [one('sealed', 500, 1, false), one('low', 10, 2), one('late', 300, 9), one('early', 300, 5)];
  expect(bottleFor(shelf, 'hydroquinone-syrup', 16)?.id).toBe('early');
  expect(bottleFor(shelf, 'hydroquinone-syrup', 400)?.id).toBe('sealed');
  expect(bottleFor(shelf, 'hydroquinone-syrup', 900)).toBeNull();
  expect(bottleFor(shelf, 'staining', 16)).toBeNull();
  const spent = shelf.map((brew) => (brew.id === 'early' ? { ...brew, spentMs: 7 } : brew));
  expect(bottleFor(spent, 'hydroquinone-syrup', 16)?.id).toBe('late');
});

describe('a bottle as it is told', () => {
  test('a concentrate with its letters goes into no tank as it stands', () => {
    const read = readStanding(
      {
        ...emptyStanding,
        whatId: 'hydroquinone-syrup',
        stage: 'concentrate',
        mixedOn: 'a year ago',
        volumeMl: 230,
        holdsMl: 500,
        dilutions: 'B 1+31',
      },
      now,
    );
    expect(read.ok && read.value.bottle).toEqual({
      stage: 'concentrate',
      opened: true,
      holdsMl: 500,
      place: '',
      dilutions: [{ letter: 'B', parts: { concentrate: 1, water: 31 } }],
    });
    expect(read.ok && isPourable(read.value)).toBe(false);
  });

  test('what is wrong in it is named by its field', () => {
    const read = readStanding(
      { ...emptyStanding, whatId: 'fixer', stage: 'concentrate', mixedOn: 'today', holdsMl: -4, dilutions: 'strong' },
      now,
    );
    expect(read.ok ? [] : read.problems.map(({ path }) => path).sort()).toEqual(['dilutions', 'holdsMl']);
  });

  test('each kind comes in stages of its own; a stage that it has not is a working solution', () => {
    for (const id of standingIds) expect(stagesOf(id)[0]).toBe('working');
    const read = readStanding({ ...emptyStanding, whatId: 'pre-bath', stage: 'powder', mixedOn: 'today' }, now);
    expect(read.ok && read.value.bottle).toBeUndefined();
  });
});

test('a fixer that is made 1+9 from its bottle takes half the films of one that is made 1+4 (common practice)', () => {
  const made = (takeMl: number): number | null =>
    jugState(
      {
        use: 'fixer',
        developer: null,
        mixedMs: now,
        volumeMl: 1000,
        films: 0,
        parts: [partOfBottle({ name: 'Fixer', developer: null }, takeMl)],
      },
      now,
    ).filmsLeft;
  expect(made(200)).toBe(12);
  expect(made(100)).toBe(6);
});

test('a bottle without letters is thinned as its class or use is: syrup 1+31, fixer 1+4, anything else 1+19', () => {
  const developer = {
    kind: 'concentrate',
    familyId: 'hydroquinone-syrup',
    parts: { concentrate: 1, water: 0 },
  } as const;
  const lettered = { ...bottle, dilutions: [{ letter: 'H', parts: { concentrate: 1, water: 63 } }] };
  expect(dilutionsOf({ bottle, developer, use: 'film-developer' })[0]?.letter).toBe('1+31');
  expect(dilutionsOf({ bottle: lettered, developer, use: 'film-developer' })[0]?.letter).toBe('H');
  expect(dilutionsOf({ bottle, developer: null, use: 'fixer' })[0]?.parts).toEqual({ concentrate: 1, water: 4 });
  expect(dilutionsOf({ bottle, developer: null, use: 'stop' })[0]?.parts).toEqual({ concentrate: 1, water: 19 });
});

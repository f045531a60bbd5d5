import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { ageWindow, hintWeight, type YearHint } from './ageWindow';
import { cassetteExposures, cassetteSpeeds, readCassette, writeCassette } from './cassetteCode';
import { readHints, readStays, typedHint, typedStay } from '../plan/dossierForm';
import { effectiveAge } from './effectiveAge';
import { ONE_FILM_MM2, filmEquivalents, filmFormatIds, filmFormats, fitsUsualReel } from './filmFormats';
import { filmFormatSchema } from './filmFormatSchema';
import { ageRoll, dateRoll, earliestYear } from './rollDating';
import { historyRoomYears, stayParts } from './storageHistory';
import { stayAt } from './storageStay';
import type { UserHint } from './userHint';
import { hintYears, madeYears } from './yearHints';

const NOW = 2026;
const room = { temperatureC: 21, temperatureSdC: 2, humid: false };
const cellar = { temperatureC: 12, temperatureSdC: 2, humid: false };

/** Hints with a core inside their ends. */
const anyHint: fc.Arbitrary<YearHint> = fc
  .record({
    from: fc.integer({ min: 1889, max: 2000 }),
    rise: fc.integer({ min: 0, max: 10 }),
    core: fc.integer({ min: 0, max: 60 }),
    fall: fc.integer({ min: 0, max: 10 }),
    id: fc.string({ minLength: 1, maxLength: 4 }),
  })
  .map(({ from, rise, core, fall, id }) => ({
    id,
    name: id,
    from,
    coreFrom: from + rise,
    coreTo: from + rise + core,
    to: from + rise + core + fall,
  }));

describe('the age window', () => {
  test('hand-worked: a box dated 1971 was made 1967 to 1969', () => {
    const window = ageWindow([hintYears({ kind: 'stamp', year: 1971, slackYears: 0 }, 0)]);
    expect(window).toMatchObject({ ok: true, from: 1967, to: 1969 });
    expect(window.ok && window.meanYear).toBeCloseTo(1968, 9);
  });
  test('hand-worked: 620 film (1932–1995) in a camera used 1950 to 1955 was made 1935 to 1955, most likely 1945 to 1955', () => {
    const window = dateRoll(
      { formatId: '620', familyId: 'pan-cubic-medium', hints: [{ kind: 'use', what: 'camera', from: 1950, to: 1955 }] },
      NOW,
    );
    expect(window).toMatchObject({ ok: true, from: 1935, to: 1955 });
    const weight = (year: number) => (window.ok ? (window.years.find((entry) => entry.year === year)?.weight ?? 0) : 0);
    expect(weight(1950)).toBeCloseTo(weight(1945), 12);
    expect(weight(1940)).toBeLessThan(weight(1950));
  });
  test('against a brute-force sum over every year', () => {
    fc.assert(
      fc.property(fc.array(anyHint, { minLength: 1, maxLength: 6 }), (hints) => {
        const window = ageWindow(hints);
        const brute = new Map<number, number>();
        for (let year = 1850; year <= 2150; year++) {
          let product = 1;
          for (const hint of hints) product *= hintWeight(hint, year);
          if (product > 0) brute.set(year, product);
        }
        expect(window.ok).toBe(brute.size > 0);
        if (!window.ok) return;
        const total = [...brute.values()].reduce((sum, weight) => sum + weight, 0);
        expect([window.from, window.to]).toEqual([Math.min(...brute.keys()), Math.max(...brute.keys())]);
        for (const { year, weight } of window.years) expect(weight).toBeCloseTo((brute.get(year) ?? 0) / total, 9);
      }),
    );
  });
  test('any order of hints gives the same window, and one more never widens it (property)', () => {
    fc.assert(
      fc.property(fc.array(anyHint, { minLength: 1, maxLength: 6 }), anyHint, (hints, more) => {
        const window = ageWindow(hints);
        expect(ageWindow([...hints].reverse())).toEqual(window);
        const narrower = ageWindow([...hints, more]);
        if (!window.ok) expect(narrower.ok).toBe(false);
        if (window.ok && narrower.ok) {
          expect(narrower.from).toBeGreaterThanOrEqual(window.from);
          expect(narrower.to).toBeLessThanOrEqual(window.to);
        }
      }),
    );
  });
  test('a contradiction is named by its pair', () => {
    const window = dateRoll(
      { formatId: '126', familyId: 'colour-negative-obsolete', hints: [{ kind: 'stamp', year: 1950, slackYears: 0 }] },
      NOW,
    );
    expect(window.ok ? [] : window.contradictions.map((pair) => pair.map(({ name }) => name))).toEqual([
      ['126 (cartridge), 1963–2008', 'Expiry year 1950'],
    ]);
  });
  test('the earliest year does not overlook anything', () => {
    expect(earliestYear({ formatId: 'cine35', familyId: 'cine-monochrome-negative', hints: [] })).toBe(1893);
    expect(
      earliestYear({
        formatId: 'cine35',
        familyId: 'cine-monochrome-negative',
        hints: [{ kind: 'stamp', year: 1965, slackYears: 0 }],
      }),
    ).toBe(1961);
    expect(madeYears('x', 'x', { from: 1850, to: null }, NOW)).toMatchObject({ from: 1889, to: NOW });
  });
});

describe('storage as a history', () => {
  const stays = [
    { ...room, untilYear: 1990 },
    { ...cellar, untilYear: null },
  ];
  test('hand-worked: from 1971, 19 years in a room and 36 in a cellar', () => {
    expect(stayParts(stays, 1971, NOW).map(({ years }) => years)).toEqual([19, 36]);
    expect(historyRoomYears(stays, 1971, NOW)).toBeCloseTo(
      effectiveAge([
        { ...room, years: 19 },
        { ...cellar, years: 36 },
      ]),
      12,
    );
  });
  test('a film made after a stay was never there', () =>
    expect(stayParts(stays, 2000, NOW).map(({ years }) => years)).toEqual([0, 26]));
  test('effective age over a distribution: the mean of the ages of every year, and what each stay adds', () => {
    const made = [
      { year: 1966, weight: 0.25 },
      { year: 1968, weight: 0.5 },
      { year: 1970, weight: 0.25 },
    ];
    const ageing = ageRoll(made, stays, NOW);
    const brute = made.reduce((sum, { year, weight }) => sum + weight * historyRoomYears(stays, year + 3, NOW), 0);
    expect(ageing.roomYears).toBeCloseTo(brute, 10);
    expect(ageing.years).toBeCloseTo(55, 10);
    expect(ageing.parts.reduce((sum, part) => sum + part.roomYears, 0)).toBeCloseTo(brute, 10);
    expect(ageing.yearsSd).toBeCloseTo(Math.SQRT2, 10);
  });
  test('monotone in time and temperature (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1900, max: 2020 }),
        fc.integer({ min: 0, max: 30 }),
        fc.double({ min: -18, max: 30, noNaN: true }),
        fc.double({ min: 0, max: 10, noNaN: true }),
        (year, earlier, temperatureC, warmer) => {
          const at = (t: number) => [{ ...room, temperatureC: t, untilYear: null }];
          const age = (from: number, t: number) => ageRoll([{ year: from, weight: 1 }], at(t), NOW).roomYears;
          expect(age(year - earlier, temperatureC)).toBeGreaterThanOrEqual(age(year, temperatureC) - 1e-9);
          expect(age(year, temperatureC + warmer)).toBeGreaterThanOrEqual(age(year, temperatureC) - 1e-9);
        },
      ),
    );
  });
});

describe('the code on the cassette (ISO 1007, from memory)', () => {
  test.each([
    ['111010 100111', 200, 36, 3, 1],
    ['101010 100111', 100, 36, 3, 1],
    ['100110 111000', 400, 24, 0.5, 0.5],
    ['111111 110010', 5000, 12, 1, 1],
  ])('%s', (pattern, iso, exposures, over, under) => {
    const read = readCassette([...pattern.replace(' ', '')].map((square) => square === '1'));
    expect(read).toEqual({ ok: true, value: { iso, exposures, toleranceStops: { over, under } } });
  });
  test('every speed, every length and every tolerance, there and back', () => {
    expect(cassetteSpeeds).toHaveLength(24);
    for (const iso of cassetteSpeeds) {
      for (const exposures of cassetteExposures) {
        for (const toleranceStops of [
          { over: 0.5, under: 0.5 },
          { over: 1, under: 1 },
          { over: 2, under: 1 },
          { over: 3, under: 1 },
        ]) {
          const written = writeCassette({ iso, exposures, toleranceStops });
          if (!written.ok) throw new Error(written.problems[0]?.message);
          expect(readCassette(written.value)).toEqual({ ok: true, value: { iso, exposures, toleranceStops } });
        }
      }
    }
  });
  test('every one of the 4096 patterns is read or explained', () => {
    let read = 0;
    for (let pattern = 0; pattern < 4096; pattern++) {
      const answer = readCassette(Array.from({ length: 12 }, (_, index) => ((pattern >> index) & 1) === 1));
      if (answer.ok) read += 1;
      else expect(answer.problems[0]?.message.length).toBeGreaterThan(20);
    }
    expect(read).toBe(24 * 8 * 4);
  });
  test('a speed between the patterns is refused', () =>
    expect(writeCassette({ iso: 300, exposures: 36, toleranceStops: { over: 1, under: 1 } }).ok).toBe(false));
});

describe('formats against geometry', () => {
  test('one 135-36, one 120 and one sheet of 8 × 10 in are one film of 80 square inches (common practice)', () => {
    expect(ONE_FILM_MM2).toBeCloseTo(203.2 * 254, 6);
    for (const id of ['135', '120', '620', 'sheet-8x10'] as const) expect(filmEquivalents(id)).toBe(1);
    expect(filmEquivalents('220')).toBe(2);
    expect(filmEquivalents('sheet-4x5')).toBe(0.3);
  });
  test('reels: 135, 127 and 120 fit, 116 and 110 do not (common practice)', () => {
    for (const id of ['135', '127', '120', '828'] as const) expect(fitsUsualReel(id)).toBe(true);
    for (const id of ['116', '616', '110', 'cine16', 'sheet-4x5'] as const) expect(fitsUsualReel(id)).toBe(false);
  });
  test('every format fits its schema, and says how to cope where no reel takes it', () => {
    for (const id of filmFormatIds) {
      expect(filmFormatSchema.safeParse(filmFormats[id]).success).toBe(true);
      if (!fitsUsualReel(id)) expect(filmFormats[id].coping).not.toBe('');
    }
  });
});

describe('hints and stays as typed', () => {
  const hints: UserHint[] = [
    { kind: 'stamp', year: 1971, slackYears: 3 },
    { kind: 'use', what: 'hut', from: 1954, to: 1985 },
    { kind: 'story', what: 'wedding', year: 1960, slackYears: 2 },
  ];
  test('there and back', () => {
    expect(readHints(hints.map(typedHint), NOW)).toEqual({ ok: true, value: hints });
    const stays = [stayAt('room', 1985), stayAt('cellar')];
    expect(readStays(stays.map(typedStay), NOW)).toEqual({ ok: true, value: stays });
  });
  test('each fault has its path', () => {
    const faulty = readHints(
      [
        { ...typedHint(hints[0] as UserHint), year: 'seventy' },
        { ...typedHint(hints[1] as UserHint), to: 1940 },
      ],
      NOW,
    );
    expect(faulty.ok ? [] : faulty.problems.map(({ path }) => path)).toEqual(['hints[0].year', 'hints[1].to']);
    const stays = readStays(
      [
        { ...typedStay(stayAt('room')), untilYear: '' },
        { ...typedStay(stayAt('cellar')), temperatureC: 99 },
      ],
      NOW,
    );
    expect(stays.ok ? [] : stays.problems.map(({ path }) => path)).toEqual([
      'stays[0].untilYear',
      'stays[1].temperatureC',
    ]);
  });
  test('years of stays do not fall', () => {
    expect(
      readStays([typedStay(stayAt('room', 1990)), typedStay(stayAt('attic', 1980)), typedStay(stayAt('cellar'))], NOW)
        .ok,
    ).toBe(false);
  });
});

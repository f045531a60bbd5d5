import { describe, expect, test } from 'vitest';
import { seededEven, seededNormal } from '../kit/seededNoise';
import {
  SHEET_M2,
  apertureFactor,
  distanceFactor,
  dryDown,
  exposureOf,
  factorialS,
  printPlan,
  sizeFactor,
  trayMinutes,
} from './printPlan';
import { emptyPrint, readPrint } from './print';
import { testStrip } from './testStrip';
import { gradeRanges, twoTones } from './twoTones';

describe('a test strip', () => {
  test('in whole stops each patch doubles: 8, 16, 32 by adding 8, 8, 16', () => {
    expect(testStrip(8, { kind: 'stops', stops: 1 }, 3)).toEqual([
      { totalS: 8, addedS: 8 },
      { totalS: 16, addedS: 8 },
      { totalS: 32, addedS: 16 },
    ]);
  });
  // Source: published, tables of f-stop timing in thirds from 8 s, rounded to a tenth: geometric series by 2^(1/3).
  test('in thirds from 8 s: 8, 10.1, 12.7, 16, 20.2, 25.4, 32', () => {
    expect(testStrip(8, { kind: 'stops', stops: 1 / 3 }, 7).map(({ totalS }) => totalS)).toEqual([
      8, 10.1, 12.7, 16, 20.2, 25.4, 32,
    ]);
  });
  test('in seconds each has as much more', () => {
    expect(testStrip(4, { kind: 'seconds', seconds: 2 }, 4).map(({ totalS }) => totalS)).toEqual([4, 6, 8, 10]);
  });
  test('whatever is asked, rounding never adds up', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const baseS = 1 + 30 * seededEven(seed, 1);
      const stops = 0.1 + seededEven(seed, 2);
      testStrip(baseS, { kind: 'stops', stops }, 8).forEach(({ totalS }, patch) =>
        expect(Math.abs(totalS - baseS * 2 ** (patch * stops))).toBeLessThanOrEqual(0.0501),
      );
    }
  });
});

describe('the hands of a print', () => {
  test('all exposures of a map give each area its stops', () => {
    for (let seed = 1; seed <= 200; seed++) {
      const areas = Array.from({ length: 1 + (seed % 6) }, (_, at) => ({
        where: `area ${at}`,
        stops: -2 + 5 * seededEven(seed, at),
      }));
      const baseS = 2 + 40 * seededEven(seed, 99);
      const steps = printPlan(baseS, areas);
      for (const { where, stops } of areas) expect(Math.log2(exposureOf(steps, where) / baseS)).toBeCloseTo(stops, 9);
      expect(exposureOf(steps, 'the rest')).toBeCloseTo(baseS, 12);
      // What is held back is held within the base.
      for (const step of steps.filter(({ kind }) => kind === 'dodge')) expect(step.seconds).toBeLessThan(baseS);
    }
  });
  test('an area without a difference takes no hand', () =>
    expect(printPlan(10, [{ where: 'sky', stops: 0 }])).toHaveLength(1));
});

describe('another size, aperture or drying', () => {
  // Source: published, the enlargement law of any handbook: from 2× to 5×, (6/3)² = 4 times; 8 × to 10 ×, (11/9)² = 1.49.
  test.each([
    [2, 5, 4],
    [8, 10, 1.494],
    [1, 1, 1],
  ])('from %f× to %f×: %f times', (from, to, factor) =>
    expect(sizeFactor(from * 24, to * 24, 24)).toBeCloseTo(factor, 3),
  );
  // Source: published, the thin lens: the image lies at f(m + 1), so both laws are one.
  test('by the way from lens to paper it is the same as by sizes', () => {
    for (const [from, to] of [
      [100, 300],
      [240, 480],
      [500, 200],
    ] as const) {
      const away = (sideMm: number): number => 50 * (sideMm / 36 + 1);
      expect(distanceFactor(away(from), away(to))).toBeCloseTo(sizeFactor(from, to, 36), 12);
    }
  });
  test('there and back is once', () => expect(sizeFactor(100, 300, 36) * sizeFactor(300, 100, 36)).toBeCloseTo(1, 12));
  test('two stops of aperture are four times', () => {
    expect(apertureFactor(8, 16)).toBe(4);
    expect(apertureFactor(8, 11)).toBeCloseTo(2, 0);
  });
  test('what dries ten in a hundred darker gets so much less', () => expect(dryDown(20, 10)).toBe(18));
  test('a tray: 4½ min fresh, 6 min after eight sheets in a litre (common practice)', () => {
    expect(trayMinutes(4.5, 0, 1)).toBe(4.5);
    expect(trayMinutes(4.5, 8 * SHEET_M2, 1)).toBeCloseTo(6, 10);
    expect(trayMinutes(4.5, 8 * SHEET_M2, 2)).toBeLessThan(6);
  });
  test('by the first image', () => expect(factorialS(12, 8)).toBe(96));
});

describe('two tones', () => {
  test('both right at once: the grade fits, and the time is that of both', () => {
    for (const { grade, range } of gradeRanges)
      expect(twoTones(16, 16, { range, sd: 9 }, 1 / 3)).toMatchObject({ grade, seconds: 16, range });
  });
  test('a light tone that wants twice the dark one: the negative spans 30 more, a softer grade', () => {
    const { range, grade } = twoTones(32, 16, { range: 105, sd: 9 }, 1 / 3);
    expect(range).toBeCloseTo(135.1, 1);
    expect(grade).toBe('1');
  });
  test('a finer strip leaves fewer grades open', () =>
    expect(twoTones(16, 20, { range: 105, sd: 9 }, 1 / 6).open.length).toBeLessThanOrEqual(
      twoTones(16, 20, { range: 105, sd: 9 }, 1).open.length,
    ));
  test('on papers that are not the table’s, the band holds the range of the negative in 72 to 88 of 100', () => {
    let held = 0;
    const papers = 600;
    const step = 1 / 3;
    for (let seed = 1; seed <= papers; seed++) {
      const { range } = gradeRanges[seed % gradeRanges.length] ?? { range: 105 };
      // Its own range, skewed now and then; the negative; the eye that finds each patch, and the strip that has whole steps.
      const own = range + 8 * seededNormal(seed, 1) + (seededEven(seed, 2) < 0.15 ? 10 : -1.5);
      const negative = own + 25 * seededNormal(seed, 3);
      const gap = (negative - own) / 100 / Math.log10(2);
      const from = seededEven(seed, 4);
      const patch = (stops: number, tick: number): number =>
        Math.round((stops + 0.2 * step * seededNormal(seed, tick)) / step - from) * step + from * step;
      const found = twoTones(10 * 2 ** patch(gap, 5), 10 * 2 ** patch(0, 6), { range, sd: 9 }, step);
      if (found.low <= negative && negative <= found.high) held += 1;
    }
    expect(held / papers).toBeGreaterThan(0.72);
    expect(held / papers).toBeLessThan(0.88);
  });
});

describe('a print as typed', () => {
  test('reads, and leaves areas out that nobody named', () => {
    const read = readPrint({ ...emptyPrint, name: 'The dog', areas: [{ where: '', stops: '' }] }, null, false);
    expect(read.ok && read.value.areas).toEqual([]);
  });
  test('what is wrong is told at its field', () => {
    const read = readPrint({ ...emptyPrint, baseS: 0, areas: [{ where: 'sky', stops: 'much' }] }, null, false);
    expect(read.ok ? [] : read.problems.map(({ path }) => path)).toEqual(['name', 'baseS', 'areas[0].stops']);
  });
});

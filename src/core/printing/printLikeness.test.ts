import { describe, expect, test } from 'vitest';
import { toneIds } from '../densitometry/scene';
import type { PaperKnown } from './gradeExposure';
import { PLAIN_MIDDLE } from './paperCurve';
import { gradesOfPaper } from './paperRange';
import { isStillJudged, nextPrint, offGrades, offStops, printLike } from './printLikeness';

const paper: PaperKnown = { grades: gradesOfPaper([]), steps: [], middle: PLAIN_MIDDLE };
const next = (made: { baseS: number; hardS?: number; grade: string }, off: { stops: number; grades: number }) =>
  nextPrint(made, off, paper);

describe('a print judged by what it looks like', () => {
  test('more exposure is darker in every tone, and the right one is the same however it is asked', () => {
    const rows = offStops.map((stops) => printLike('2', { stops, grades: 0 }));
    rows.slice(1).forEach((row, at) => {
      for (const tone of toneIds) expect(row[tone]).toBeLessThanOrEqual(rows[at]?.[tone] ?? 0);
    });
    expect(printLike('2', { stops: 0, grades: 0 })).toEqual(rows[2]);
  });
  test('a print too hard has blacker darks, a soft one greyer, with the lightest tones as they are', () => {
    const roofs = offGrades.map((grades) => printLike('2', { stops: 0, grades }).roof);
    roofs.slice(1).forEach((roof, at) => expect(roof).toBeLessThan(roofs[at] ?? 0));
    const clouds = offGrades.map((grades) => printLike('2', { stops: 0, grades }).cloud);
    expect(Math.max(...clouds) - Math.min(...clouds)).toBeLessThan(4);
  });
  test('the next one takes off what was too much: worked by hand', () => {
    // 20 s less half a stop, and on grade 2 the lights want 10^(−m·17/100) as much.
    expect(next({ baseS: 20, grade: '3' }, { stops: 0.5, grades: 1 })).toEqual({
      baseS: expect.closeTo(14.142 * 10 ** (-PLAIN_MIDDLE * 0.17), 3) as number,
      hardS: null,
      grade: '2',
      right: false,
    });
    expect(next({ baseS: 8, grade: '2' }, { stops: -1, grades: 0 })).toMatchObject({ baseS: 16, grade: '2' });
    expect(next({ baseS: 8, grade: '2' }, { stops: 0, grades: -1 })).toMatchObject({ grade: '3' });
    expect(next({ baseS: 8, grade: '2' }, { stops: 0, grades: 0 })).toEqual({
      baseS: 8,
      hardS: null,
      grade: '2',
      right: true,
    });
    // With two filters both exposures go along.
    expect(next({ baseS: 8, hardS: 4, grade: '' }, { stops: 1, grades: 0 })).toMatchObject({ baseS: 4, hardS: 2 });
  });
  test('the table ends where it ends, and a filter of another name stays', () => {
    expect(next({ baseS: 8, grade: '5' }, { stops: 0, grades: -2 }).grade).toBe('5');
    expect(next({ baseS: 8, grade: '0' }, { stops: 0, grades: 2 }).grade).toBe('00');
    expect(next({ baseS: 8, grade: 'yellow 30' }, { stops: 0, grades: 1 }).grade).toBe('yellow 30');
  });
});

test('what was judged holds of that paper and that exposure alone', () => {
  const made = { paper: 'Pearl', grade: '3', sideMm: 240, fNumber: 8, baseS: 12, areas: [{ where: 'sky', stops: 1 }] };
  expect(isStillJudged(made, { ...made, paper: ' Pearl ', hardS: '' })).toBe(true);
  for (const part of [{ baseS: 13 }, { grade: '2' }, { paper: 'Matt' }, { sideMm: 300 }, { hardS: 4 }, { areas: [] }])
    expect(isStillJudged(made, { ...made, ...part })).toBe(false);
});

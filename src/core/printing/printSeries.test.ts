import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { driesOfPaper } from './paperDries';
import { areaSeconds, areaStops } from './printPlan';
import { seriesOf } from './printSeries';

describe('a series of prints', () => {
  const print = (id: string, createdMs: number, afterId?: string) => ({ id, createdMs, afterId });
  const prints = [print('c', 3, 'b'), print('a', 1), print('b', 2, 'a'), print('d', 4, 'a'), print('other', 5)];
  test('is the same from each of them, oldest first, and leaves others out', () => {
    for (const id of ['a', 'b', 'c', 'd'])
      expect(seriesOf(prints, id).map((one) => one.id)).toEqual(['a', 'b', 'c', 'd']);
    expect(seriesOf(prints, 'other').map(({ id }) => id)).toEqual(['other']);
    expect(seriesOf(prints, 'gone')).toEqual([]);
  });
  test('parts where a print was taken off, and a circle in a file that was changed ends', () => {
    const parted = prints.filter(({ id }) => id !== 'b');
    expect(seriesOf(parted, 'c').map(({ id }) => id)).toEqual(['c']);
    expect(seriesOf([print('x', 1, 'y'), print('y', 2, 'x')], 'x')).toHaveLength(2);
  });
});

test('stops and seconds of an area are the same thing', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 60, noNaN: true }),
      fc.double({ min: -3, max: 4, noNaN: true }),
      (baseS, stops) => {
        expect(areaStops(baseS, areaSeconds(baseS, stops))).toBeCloseTo(stops, 9);
      },
    ),
  );
  expect(areaSeconds(10, 1)).toBe(10);
  expect(areaStops(10, -5)).toBe(-1);
  // More than there is: a figure that the form refuses.
  expect(areaStops(10, -10)).toBeLessThan(-3);
  expect(areaStops(10, -40)).toBeLessThan(-3);
});

test('a paper dries as its prints did, by its name whatever its case', () => {
  const prints = [{ paper: 'Fibre, matt', dries: 8 }, { paper: ' fibre, MATT', dries: 10 }, { paper: 'Pearl' }];
  expect(driesOfPaper(prints, 'Fibre, matt')).toEqual({ percent: 9, prints: 2 });
  expect(driesOfPaper(prints, 'Pearl')).toBeNull();
  expect(driesOfPaper([{ paper: '', dries: 8 }], '')).toBeNull();
});

import { expect, test } from 'vitest';
import { clearingCurve } from './clearingCurve';
import { compareFixers } from './twoFixers';

test('the fixer that clears sooner, how many times, and twice the clearing time in each (common practice)', () => {
  expect(compareFixers([30, 45])).toEqual({ sooner: 0, ratio: 1.5, fixS: [60, 90] });
  expect(compareFixers([80, 40]).sooner).toBe(1);
});

test('what a scrap cannot tell apart is alike', () => {
  expect(compareFixers([30, 33]).sooner).toBeNull();
});

test('clearing times are drawn by films, with room for the line at which it is done', () => {
  const drawn = clearingCurve([
    { atMs: 1, seconds: 30, films: 0 },
    { atMs: 3, seconds: 48, films: 9 },
    { atMs: 2, seconds: 36, films: 4 },
  ]);
  expect(drawn.points.map(({ films }) => films)).toEqual([0, 4, 9]);
  expect(drawn).toMatchObject({ spentS: 60, mostFilms: 9 });
  expect(drawn.mostS).toBeGreaterThan(60);
});

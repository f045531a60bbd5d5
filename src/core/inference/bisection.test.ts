import { describe, expect, test } from 'vitest';
import { bisect } from './bisection';
import { medianOf } from './median';

describe('where a rising function reaches a value', () => {
  test('is found to the last digit', () => {
    expect(bisect((x) => x * x, 2, 0, 2)).toBeCloseTo(Math.SQRT2, 14);
    expect(bisect(Math.exp, 1e6, 0, 50)).toBeCloseTo(Math.log(1e6), 12);
  });
  test('is the first place of a step, and the upper end where it is never reached', () => {
    expect(bisect((x) => (x >= 0.25 ? 1 : 0), 1, 0, 1)).toBeCloseTo(0.25, 14);
    expect(bisect((x) => x, 5, 0, 1)).toBe(1);
  });
});

describe('the median', () => {
  test.each([
    [[7], 7],
    [[3, 1, 2], 2],
    [[3, 1, 2, 10], 2.5],
    [[-5, 1e9, 0, 0], 0],
  ])('of %j is %d', (values, expected) => {
    expect(medianOf(values)).toBe(expected);
  });
  test('of nothing is no number', () => {
    expect(medianOf([])).toBeNaN();
  });
});

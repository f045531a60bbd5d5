import { expect, test } from 'vitest';
import { roundUp } from './graphPaper';

test('the end of an axis is round, never below what it must show, and never far above', () => {
  for (let value = 0.4; value < 500; value *= 1.07) {
    const end = roundUp(value);
    expect(end).toBeGreaterThanOrEqual(value * (1 - 1e-9));
    expect(end).toBeLessThan(value * 1.51);
  }
  expect([7.2, 27.05, 30, 101].map(roundUp)).toEqual([7.5, 30, 30, 150]);
});

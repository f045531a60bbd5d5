import { expect, test } from 'vitest';
import { roundUp, tickText } from './graphPaper';

test('the end of an axis is round, never below what it must show, and never far above', () => {
  for (let value = 0.4; value < 500; value *= 1.07) {
    const end = roundUp(value);
    expect(end).toBeGreaterThanOrEqual(value * (1 - 1e-9));
    expect(end).toBeLessThan(value * 1.51);
  }
  expect([7.2, 27.05, 30, 101].map(roundUp)).toEqual([7.5, 30, 30, 150]);
});

test('ticks have as many decimals as their steps need, and the true minus sign', () => {
  const texts = (...values: number[]): string[] => {
    const ticks = values.map((value) => ({ value }));
    return values.map((value, index) => tickText(value, index, ticks));
  };
  expect(texts(0, 0.25, 0.5)).toEqual(['0.00', '0.25', '0.50']);
  expect(texts(-2, -1, 0, 1)).toEqual(['−2', '−1', '0', '1']);
  expect(texts(0, 0.1, 0.2, 0.30000000000000004)).toEqual(['0.0', '0.1', '0.2', '0.3']);
});

import { describe, expect, test } from 'vitest';
import { meterPercent } from './meterScale';

describe('a meter', () => {
  test('plain and logarithmic', () => {
    expect(meterPercent({ from: 6, to: 12, logarithmic: false }, 9)).toBe(50);
    expect(meterPercent({ from: 0.1, to: 10, logarithmic: true }, 1)).toBeCloseTo(50, 9);
  });
  test('what is off the scale stays at its end', () => {
    expect(meterPercent({ from: 6, to: 12, logarithmic: false }, 2)).toBe(0);
    expect(meterPercent({ from: 0.1, to: 10, logarithmic: true }, 0)).toBe(0);
    expect(meterPercent({ from: 0.1, to: 10, logarithmic: true }, 99)).toBe(100);
  });
});

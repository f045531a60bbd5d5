import { describe, expect, test } from 'vitest';
import { expectedClearing, fixerState } from './clearing';
import { fixMinFromClearing } from './fixTime';

const reading = (seconds: number, films = 0) => ({ atMs: 0, seconds, films });

describe('clearing times (common practice)', () => {
  test('2:25 fixes for 4:50, 1:20 for 2:40; cautious is three times', () => {
    expect(fixMinFromClearing(145, false) * 60).toBeCloseTo(290, 9);
    expect(fixMinFromClearing(80, false) * 60).toBeCloseTo(160, 9);
    expect(fixMinFromClearing(80, true) * 60).toBeCloseTo(240, 9);
  });
  test('twice the fresh time retires it', () => {
    expect(fixerState([])).toBeNull();
    expect(fixerState([reading(40)])).toMatchObject({ factor: 1, spent: false });
    expect(fixerState([reading(40), reading(70, 5)])).toMatchObject({ factor: 1.75, spent: false });
    expect(fixerState([reading(40), reading(80, 9)])).toMatchObject({ factor: 2, spent: true });
  });
  test('the tally and the test retire it together', () => {
    expect(expectedClearing(40, 0, 12)).toBe(40);
    expect(expectedClearing(40, 12, 12)).toBe(80);
  });
});

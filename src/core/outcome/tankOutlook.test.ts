import { describe, expect, test } from 'vitest';
import { timingError, outlookGradient } from './tankOutlook';

const curve = [
  { timeMin: 0, net: 0 },
  { timeMin: 10, net: 0.5 },
  { timeMin: 20, net: 0.7 },
];
const pinned = { timeMin: 15.5, lowMin: 11.17, highMin: 22 };

describe('what a late hand means', () => {
  test('the gradient lies on straight lines between the samples, and stays at the last', () => {
    expect([0, 5, 10, 15, 20, 60].map((timeMin) => outlookGradient(curve, timeMin))).toEqual([
      0, 0.25, 0.5, 0.6, 0.7, 0.7,
    ]);
  });
  test('20 s are small beside a band of 11:10 to 22:00; three minutes are not', () => {
    expect(timingError(20, pinned, curve).small).toBe(true);
    expect(timingError(-20, pinned, curve).small).toBe(true);
    expect(timingError(180, pinned, curve).small).toBe(false);
  });
  test('grades follow the curve: ln(0.67/0.61) ÷ 0.18 is half a grade', () => {
    // 15.5 min: 0.5 + 0.2 · 0.55 = 0.61; 18.5 min: 0.67.
    expect(timingError(180, pinned, curve).grades).toBeCloseTo(Math.log(0.67 / 0.61) / 0.18, 9);
    expect(timingError(-180, pinned, curve).grades ?? 0).toBeLessThan(0);
    expect(timingError(180, pinned, null).grades).toBeNull();
  });
  test('beyond the band there is no doubt to hide behind: a time of one’s own', () =>
    expect(timingError(5, { timeMin: 30, lowMin: 11, highMin: 22 }, curve).small).toBe(false));
});

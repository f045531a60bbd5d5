import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { extendTime, extensionLimit } from './extendTime';

describe('the limit of Extend', () => {
  test.each([
    [0, 10],
    [1, 11.5],
    [2, 13],
    [5, 15],
    [-1, 10],
  ])('%d stops lost on 10 min: at most %d min', (stops, limit) =>
    expect(extensionLimit(10, stops, false)).toBeCloseTo(limit, 9),
  );
  test('lifted, it is far away', () => expect(extensionLimit(10, 0, true)).toBe(80));
});

describe('the first time at which a rising and falling net gradient meets a target', () => {
  const hill = (top: number, peak: number) => (t: number) => top - ((t - peak) / 10) ** 2;
  test('met from the start', () =>
    expect(extendTime(hill(1, 10), 0.5, 10, 20)).toEqual({ timeMin: 10, met: true, capped: false }));
  test('met on the way up, not on the way down', () => {
    const answer = extendTime(hill(1, 20), 0.91, 10, 30);
    expect(answer).toMatchObject({ met: true, capped: false });
    expect(answer.timeMin).toBeCloseTo(17, 5);
  });
  test('not met within the limit: the limit, and says that the cap decided', () => {
    expect(extendTime(hill(1, 30), 0.99, 10, 15)).toMatchObject({ timeMin: 15, met: false, capped: true });
  });
  test('never met: the top of the hill, and says that the cap did not decide', () => {
    const answer = extendTime(hill(0.6, 14), 0.9, 10, 30);
    expect(answer).toMatchObject({ met: false, capped: false });
    expect(answer.timeMin).toBeCloseTo(14, 3);
  });
  test('the answer never leaves its limits (property)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 2, noNaN: true }),
        fc.double({ min: 0, max: 60, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: 1, max: 3, noNaN: true }),
        (top, peak, target, stretch) => {
          const { timeMin, met } = extendTime(hill(top, peak), target, 10, 10 * stretch);
          expect(timeMin).toBeGreaterThanOrEqual(10);
          expect(timeMin).toBeLessThanOrEqual(10 * stretch + 1e-9);
          if (met) expect(hill(top, peak)(timeMin)).toBeGreaterThanOrEqual(target - 1e-6);
        },
      ),
    );
  });
});

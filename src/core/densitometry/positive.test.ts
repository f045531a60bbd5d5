import { describe, expect, test } from 'vitest';
import { positiveLevels, positiveTable } from './positive';
import { encodedOf } from './transfer';

const code = (densityD: number): number => Math.round(255 * encodedOf(0.9 * 10 ** -densityD, { id: 'srgb' }));
const even = Array.from({ length: 101 }, (_, at) => 0.3 + at * 0.01);

describe('a positive of a negative', () => {
  const levels = positiveLevels([even, even, even], [0.9, 0.9, 0.9], [0.3, 0.3, 0.3]);
  test('clear film is black, dense film white, and between the two it never turns back', () => {
    const table = positiveTable(255, { id: 'srgb' }, levels, 1);
    expect(table[code(0.3)]).toBeLessThan(45);
    expect(table[code(1.3)]).toBeGreaterThan(235);
    for (let at = 1; at < 256; at++) expect(table[at]).toBeLessThanOrEqual(table[at - 1] ?? 0);
  });
  test('a mask is taken down: the same image density is the same grey in every channel', () => {
    const masked = positiveLevels(
      [even, even.map((one) => one + 0.4), even.map((one) => one + 0.7)],
      [0.9, 0.9, 0.9],
      [0.3, 0.7, 1],
    );
    const [red, green, blue] = [0, 1, 2].map((at) => positiveTable(255, { id: 'srgb' }, masked, at as 0 | 1 | 2));
    expect(Math.abs((red?.[code(0.8)] ?? 0) - (green?.[code(1.2)] ?? 99))).toBeLessThanOrEqual(4);
    expect(Math.abs((red?.[code(0.8)] ?? 0) - (blue?.[code(1.5)] ?? 99))).toBeLessThanOrEqual(4);
  });
  test('without clear film its thinnest part is black; an empty film is not stretched into noise', () => {
    expect(positiveLevels([even, even, even], [1, 1, 1], null).blackD[1]).toBeCloseTo(0.31, 9);
    expect(
      positiveLevels(
        [
          [0.3, 0.31],
          [0.3, 0.31],
          [0.3, 0.31],
        ],
        [1, 1, 1],
        null,
      ).rangeD,
    ).toBe(0.15);
  });
});

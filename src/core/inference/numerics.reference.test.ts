import { describe, expect, test } from 'vitest';
import { interpolate } from './interpolate';
import { integral } from './quadrature';

describe('four-point quadrature', () => {
  test('exact for polynomials up to the seventh degree, worked by hand', () => {
    for (let degree = 0; degree <= 7; degree++)
      expect(integral((x) => x ** degree, 1, 3)).toBeCloseTo((3 ** (degree + 1) - 1) / (degree + 1), 9);
  });
  test('an exponential over two units, against its closed form', () =>
    expect(integral(Math.exp, 0, 2)).toBeCloseTo(Math.exp(2) - 1, 5));
});

describe('between samples', () => {
  const xs = [0, 1, 4];
  const ys = [0.2, 0.8, 2];
  const at = (x: number): number =>
    interpolate(
      3,
      (i) => xs[i] ?? 0,
      (i) => ys[i] ?? 0,
      x,
    );
  test('straight, through every sample, and level beyond the ends', () =>
    expect([-1, 0, 0.5, 1, 2.5, 4, 9].map(at)).toEqual([0.2, 0.2, 0.5, 0.8, 1.4, 2, 2]));
  test('without samples there is nothing', () =>
    expect(
      interpolate(
        0,
        () => 0,
        () => 1,
        3,
      ),
    ).toBe(0));
});

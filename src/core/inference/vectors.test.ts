import { Matrix } from 'ml-matrix';
import { describe, expect, test } from 'vitest';
import { chance } from '../testing/chance';
import { dot, times } from './vectors';

describe('vectors against the package ml-matrix', () => {
  const luck = chance(2);
  const rows = Array.from({ length: 5 }, () => Float64Array.from({ length: 5 }, luck.normal));
  const vector = Float64Array.from({ length: 5 }, luck.normal);
  test('a matrix times a vector', () => {
    const theirs = new Matrix(rows).mmul(Matrix.columnVector([...vector])).to1DArray();
    times(rows, vector).forEach((value, row) => expect(value).toBeCloseTo(theirs[row] ?? NaN, 12));
  });
  test('a scalar product, worked by hand', () => {
    expect(dot(Float64Array.of(1, 2, 3), Float64Array.of(4, -5, 6))).toBe(12);
    expect(dot(new Float64Array(0), new Float64Array(0))).toBe(0);
  });
});

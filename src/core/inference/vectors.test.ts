import { Matrix, inverse } from 'ml-matrix';
import { describe, expect, test } from 'vitest';
import { chance } from '../testing/chance';
import { Cholesky } from './cholesky';
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

describe('Cholesky factors against the package ml-matrix', () => {
  const luck = chance(3);
  const SIZE = 7;
  const root = new Matrix(Array.from({ length: SIZE }, () => Array.from({ length: SIZE }, luck.normal)));
  const matrix = root.mmul(root.transpose()).add(Matrix.eye(SIZE));
  const own = new Cholesky(Float64Array.from(matrix.to1DArray()), SIZE);
  test('a system of equations', () => {
    const right = Float64Array.from({ length: SIZE }, luck.normal);
    const theirs = inverse(matrix)
      .mmul(Matrix.columnVector([...right]))
      .to1DArray();
    own.solve(right).forEach((value, row) => expect(value).toBeCloseTo(theirs[row] ?? NaN, 12));
  });
  test('the inverse', () => {
    const theirs = inverse(matrix).to1DArray();
    own.inverse().forEach((value, at) => expect(value).toBeCloseTo(theirs[at] ?? NaN, 12));
  });
  test('only the upper half counts', () => {
    const upper = matrix.clone();
    for (let a = 0; a < SIZE; a++) for (let b = a + 1; b < SIZE; b++) upper.set(b, a, NaN);
    const half = new Cholesky(Float64Array.from(upper.to1DArray()), SIZE);
    const right = new Float64Array(SIZE).fill(1);
    expect([...half.solve(right)]).toEqual([...own.solve(right)]);
  });
});

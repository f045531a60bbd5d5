import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/**
 * Cholesky factors of a matrix that is symmetric but for its rounding.
 * @param matrix positive definite; its lower half counts
 * @returns the factors. Source: textbook, by the package ml-matrix
 */
export function choleskyOf(matrix: Matrix): CholeskyDecomposition {
  const mirrored = matrix.clone();
  for (let a = 0; a < matrix.rows; a++) for (let b = a + 1; b < matrix.rows; b++) mirrored.set(a, b, matrix.get(b, a));
  return new CholeskyDecomposition(mirrored);
}

/** Inverse of such a matrix. */
export function inverseOf(matrix: Matrix): Matrix {
  return choleskyOf(matrix).solve(Matrix.eye(matrix.rows));
}

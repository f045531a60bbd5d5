/**
 * The Cholesky factor of a symmetric, positive definite matrix, A = Uᵀ·U with U = Lᵀ. It lies row by row in one vector, and is made
 * by taking rows from rows: a long log factors thousands of them. The tests hold it against the matrix package.
 * Source: textbook (the outer-product form).
 */
export class Cholesky {
  /** U = Lᵀ, row by row; below the diagonal stands what does not count. */
  readonly upper: Float64Array;

  /**
   * @param matrix A, row by row; its upper half counts
   * @param size rows of A, 1 or more
   */
  constructor(
    matrix: Float64Array,
    readonly size: number,
  ) {
    const upper = matrix.slice();
    for (let k = 0; k < size; k++) {
      const row = k * size;
      const diagonal = Math.sqrt(upper[row + k] as number);
      for (let j = k; j < size; j++) upper[row + j] = (upper[row + j] as number) / diagonal;
      for (let i = k + 1; i < size; i++) {
        const factor = upper[row + i] as number;
        if (factor === 0) continue;
        const to = i * size;
        for (let j = i; j < size; j++) upper[to + j] = (upper[to + j] as number) - factor * (upper[row + j] as number);
      }
    }
    this.upper = upper;
  }

  /** L⁻¹ times columns, in place. @param columns a matrix of `size` rows, row by row; @param wide its columns */
  forward(columns: Float64Array, wide: number): void {
    for (let i = 0; i < this.size; i++) {
      const to = i * wide;
      for (let k = 0; k < i; k++) this.take(columns, to, this.upper[k * this.size + i] as number, k * wide, wide);
      const diagonal = this.upper[i * this.size + i] as number;
      for (let c = 0; c < wide; c++) columns[to + c] = (columns[to + c] as number) / diagonal;
    }
  }

  /** L⁻ᵀ times columns, in place: see `forward`. */
  backward(columns: Float64Array, wide: number): void {
    for (let i = this.size - 1; i >= 0; i--) {
      const to = i * wide;
      for (let k = i + 1; k < this.size; k++)
        this.take(columns, to, this.upper[i * this.size + k] as number, k * wide, wide);
      const diagonal = this.upper[i * this.size + i] as number;
      for (let c = 0; c < wide; c++) columns[to + c] = (columns[to + c] as number) / diagonal;
    }
  }

  /** A⁻¹ times a vector. */
  solve(right: Float64Array): Float64Array {
    const answer = right.slice();
    this.forward(answer, 1);
    this.backward(answer, 1);
    return answer;
  }

  /** A⁻¹, row by row. */
  inverse(): Float64Array {
    const answer = identity(this.size);
    this.forward(answer, this.size);
    this.backward(answer, this.size);
    return answer;
  }

  private take(columns: Float64Array, to: number, factor: number, from: number, wide: number): void {
    if (factor === 0) return;
    for (let c = 0; c < wide; c++)
      columns[to + c] = (columns[to + c] as number) - factor * (columns[from + c] as number);
  }
}

/** The identity, row by row. */
export function identity(size: number): Float64Array {
  const made = new Float64Array(size * size);
  for (let i = 0; i < size; i++) made[i * size + i] = 1;
  return made;
}

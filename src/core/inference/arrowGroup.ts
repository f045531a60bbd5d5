import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** A matrix as plain rows, where single elements are asked for often. */
export type Rows = readonly (readonly number[])[];

export function elementOf(rows: Rows, row: number, column: number): number {
  return rows[row]?.[column] ?? 0;
}

/** u·(L·Lᵀ)⁻¹·u for a sparse u: the squared length of L⁻¹·u. */
export function squaredLength(lower: Rows, sparse: ReadonlyMap<number, number>, size: number): number {
  const solved = new Float64Array(size);
  for (const [at, value] of sparse) solved[at] = value;
  let sum = 0;
  for (let i = 0; i < size; i++) {
    const row = lower[i] ?? [];
    let value = solved[i] ?? 0;
    for (let k = 0; k < i; k++) value -= (row[k] as number) * (solved[k] as number);
    value /= row[i] ?? 1;
    solved[i] = value;
    sum += value * value;
  }
  return sum;
}

/** One group of the arrow: its own block A, and B towards the part of the border that it touches. */
export class Group {
  touched: number[] = [];
  private columns = new Map<number, number>();
  private inside: Matrix;
  private coupling = new Matrix(0, 0);
  private factor: CholeskyDecomposition | null = null;
  private reached: Rows = [];
  private inverse: Rows | null = null;

  constructor(readonly size: number) {
    this.inside = Matrix.eye(size, size);
  }

  /** Notes that a row ties this group to an unknown of the border. */
  touch(at: number): void {
    if (this.columns.has(at)) return;
    this.columns.set(at, this.touched.length);
    this.touched.push(at);
  }

  /** Makes room for what was noted. */
  open(): void {
    this.coupling = new Matrix(this.size, this.touched.length);
  }

  /** Adds the square of a row: what it says of this group, and how it ties the group to the border. */
  addRow(inside: readonly [at: number, value: number][], outside: readonly [at: number, value: number][]): void {
    for (const [row, value] of inside) {
      for (const [column, other] of inside) add(this.inside, row, column, value * other);
      for (const [at, other] of outside) add(this.coupling, row, this.columns.get(at) ?? 0, value * other);
    }
  }

  /** Factors A, keeps W = A⁻¹·B, and takes Bᵀ·W from the border. */
  reduce(border: Matrix): void {
    if (this.size === 0) return;
    this.factor = new CholeskyDecomposition(this.inside);
    if (this.touched.length === 0) return;
    const reached = this.factor.solve(this.coupling);
    const taken = this.coupling.transpose().mmul(reached);
    this.reached = reached.to2DArray();
    this.touched.forEach((row, i) =>
      this.touched.forEach((column, j) => add(border, row, column, -(taken.get(i, j) + taken.get(j, i)) / 2)),
    );
  }

  /** Element of W. */
  reach(row: number, column: number): number {
    return elementOf(this.reached, row, column);
  }

  solveInside(right: Float64Array): Float64Array {
    return this.factor === null
      ? new Float64Array(0)
      : Float64Array.from(this.factor.solve(Matrix.columnVector(right)).to1DArray());
  }

  insideInverse(): Rows {
    this.inverse ??= (this.factor as CholeskyDecomposition).solve(Matrix.eye(this.size, this.size)).to2DArray();
    return this.inverse;
  }

  /** A row of W times a column over the border. */
  reachOf(row: number, column: Float64Array): number {
    const w = this.reached[row];
    let sum = 0;
    if (w !== undefined) for (let j = 0; j < w.length; j++) sum += (w[j] ?? 0) * (column[this.touched[j] ?? 0] ?? 0);
    return sum;
  }
}

export function add(matrix: Matrix, row: number, column: number, value: number): void {
  matrix.set(row, column, matrix.get(row, column) + value);
}

import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/** A matrix as plain rows, where single elements are asked for often. */
export type Rows = readonly (readonly number[])[];

export function elementOf(rows: Rows, row: number, column: number): number {
  return rows[row]?.[column] as number;
}

/** u·(L·Lᵀ)⁻¹·u for a sparse u: the squared length of L⁻¹·u. */
export function squaredLength(lower: Rows, sparse: ReadonlyMap<number, number>, size: number): number {
  const solved = new Float64Array(size);
  for (const [at, value] of sparse) solved[at] = value;
  let sum = 0;
  for (let i = 0; i < size; i++) {
    const row = lower[i] ?? [];
    let value = solved[i] as number;
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
  /** A and B, row by row. */
  private readonly inside: Float64Array;
  private coupling = new Float64Array(0);
  private factor: CholeskyDecomposition | null = null;
  private reached: Rows = [];
  private inverse: Rows | null = null;

  constructor(readonly size: number) {
    this.inside = identity(size);
  }

  /** Notes that a row ties this group to an unknown of the border. */
  touch(at: number): void {
    if (this.columns.has(at)) return;
    this.columns.set(at, this.touched.length);
    this.touched.push(at);
  }

  /** Makes room for what was noted. */
  open(): void {
    this.coupling = new Float64Array(this.size * this.touched.length);
  }

  /** Adds the square of a row: what it says of this group, and how it ties the group to the border. */
  addRow(inside: SparsePart, outside: SparsePart): void {
    addSquare(this.inside, this.size, inside);
    const wide = this.touched.length;
    for (let j = 0; j < outside.count; j++) {
      const column = this.columns.get(outside.at[j] as number) as number;
      const value = outside.values[j] as number;
      for (let i = 0; i < inside.count; i++)
        add(this.coupling, (inside.at[i] as number) * wide + column, value * (inside.values[i] as number));
    }
  }

  /** Factors A, keeps W = A⁻¹·B, and takes Bᵀ·W from the border. */
  reduce(border: Float64Array, borderSize: number): void {
    if (this.size === 0) return;
    this.factor = new CholeskyDecomposition(matrixOf(this.inside, this.size, this.size));
    if (this.touched.length === 0) return;
    const coupling = matrixOf(this.coupling, this.size, this.touched.length);
    const reached = this.factor.solve(coupling);
    const taken = coupling.transpose().mmul(reached);
    this.reached = reached.to2DArray();
    this.touched.forEach((row, i) =>
      this.touched.forEach((column, j) =>
        add(border, row * borderSize + column, -(taken.get(i, j) + taken.get(j, i)) / 2),
      ),
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
    if (w !== undefined)
      for (let j = 0; j < w.length; j++) sum += (w[j] as number) * (column[this.touched[j] as number] as number);
    return sum;
  }
}

/** The elements of a row that are not 0, with where they stand. */
export class SparsePart {
  readonly at: Int32Array;
  readonly values: Float64Array;
  count = 0;

  constructor(most: number) {
    this.at = new Int32Array(most);
    this.values = new Float64Array(most);
  }

  add(at: number, value: number): void {
    this.at[this.count] = at;
    this.values[this.count] = value;
    this.count += 1;
  }
}

/** Adds v·vᵀ to a square matrix that lies row by row. */
export function addSquare(matrix: Float64Array, size: number, { at, values, count }: SparsePart): void {
  for (let i = 0; i < count; i++) {
    const from = (at[i] as number) * size;
    const value = values[i] as number;
    for (let j = 0; j < count; j++) add(matrix, from + (at[j] as number), value * (values[j] as number));
  }
}

/** Adds to an element of a matrix that lies row by row. */
export function add(matrix: Float64Array, at: number, value: number): void {
  matrix[at] = (matrix[at] as number) + value;
}

/** The identity, row by row. */
export function identity(size: number): Float64Array {
  const made = new Float64Array(size * size);
  for (let i = 0; i < size; i++) made[i * size + i] = 1;
  return made;
}

/** What lies row by row, as a matrix. */
export function matrixOf(flat: Float64Array, rows: number, columns: number): Matrix {
  const made = new Matrix(rows, columns);
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) made.set(row, column, flat[row * columns + column] as number);
  return made;
}

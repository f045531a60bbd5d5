import { Cholesky, identity } from './cholesky';

/** u·(L·Lᵀ)⁻¹·u for a sparse u: the squared length of L⁻¹·u. */
export function squaredLength({ upper, size }: Cholesky, sparse: ReadonlyMap<number, number>): number {
  const left = new Float64Array(size);
  for (const [at, value] of sparse) left[at] = value;
  let sum = 0;
  for (let i = 0; i < size; i++) {
    if (left[i] === 0) continue;
    const row = i * size;
    const value = (left[i] as number) / (upper[row + i] as number);
    for (let k = i + 1; k < size; k++) left[k] = (left[k] as number) - value * (upper[row + k] as number);
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
  private factor: Cholesky | null = null;
  /** W, row by row. */
  private reached = new Float64Array(0);
  private inverse: Float64Array | null = null;

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
    this.factor = new Cholesky(this.inside, this.size);
    const wide = this.touched.length;
    if (wide === 0) return;
    const reached = this.coupling.slice();
    this.factor.forward(reached, wide);
    // Bᵀ·A⁻¹·B is the square of L⁻¹·B.
    for (let i = 0; i < wide; i++) {
      for (let j = 0; j <= i; j++) {
        let taken = 0;
        for (let row = 0; row < this.size; row++)
          taken += (reached[row * wide + i] as number) * (reached[row * wide + j] as number);
        const [a, b] = [this.touched[i] as number, this.touched[j] as number];
        add(border, a * borderSize + b, -taken);
        if (i !== j) add(border, b * borderSize + a, -taken);
      }
    }
    this.factor.backward(reached, wide);
    this.reached = reached;
  }

  /** Element of W. */
  reach(row: number, column: number): number {
    return this.reached[row * this.touched.length + column] as number;
  }

  solveInside(right: Float64Array): Float64Array {
    return this.factor === null ? new Float64Array(0) : this.factor.solve(right);
  }

  /** Element of A⁻¹. */
  insideInverse(row: number, column: number): number {
    this.inverse ??= (this.factor as Cholesky).inverse();
    return this.inverse[row * this.size + column] as number;
  }

  /** A row of W times a column over the border. */
  reachOf(row: number, column: Float64Array): number {
    let sum = 0;
    for (let j = 0; j < this.touched.length; j++)
      sum += this.reach(row, j) * (column[this.touched[j] as number] as number);
    return sum;
  }
}

/** The elements of a row that are not 0, with where they stand. */
export class SparsePart {
  readonly at: Int32Array;
  readonly values: Float64Array;
  count = 0;

  /** @param most elements of the longest row */
  constructor(most: number) {
    this.at = new Int32Array(most);
    this.values = new Float64Array(most);
  }

  add(at: number, value: number): void {
    this.at[this.count] = at;
    this.values[this.count] = value;
    this.count += 1;
  }

  clear(): void {
    this.count = 0;
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

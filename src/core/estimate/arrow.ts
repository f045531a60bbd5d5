import { CholeskyDecomposition, Matrix } from 'ml-matrix';

/**
 * A sum of squares whose unknowns fall into groups that touch each other only through a border. Its normal matrix has the
 * shape of an arrow, and is solved group by group; the whole log stays small that way.
 */
export interface Arrow {
  /** Number of unknowns in each group. */
  groupSizes: readonly number[];
  borderSize: number;
}

/** Where an unknown stands: in a group, or in the border (group −1). */
export interface Place {
  group: number;
  at: number;
}

/** A row of the Jacobian, divided by the noise: the unknowns that it touches and their derivatives. */
export interface SparseRow {
  places: readonly Place[];
  values: Float64Array;
}

/** A factored normal matrix I + Σ w·jᵀj: prior information of one for each unknown, and what the rows add. */
export interface FactoredArrow {
  /** Solves (I + Σ w·jᵀj)·x = b; b and x as border and groups. */
  solve: (right: ArrowVector) => ArrowVector;
  /** Covariance of two unknowns: an element of the inverse. */
  covariance: (a: Place, b: Place) => number;
}

/** A vector laid out as the unknowns are. */
export interface ArrowVector {
  groups: Float64Array[];
  border: Float64Array;
}

/** A vector of zeros. */
export function zeroVector({ groupSizes, borderSize }: Arrow): ArrowVector {
  return { groups: groupSizes.map((size) => new Float64Array(size)), border: new Float64Array(borderSize) };
}

/** An element of a vector. */
export function elementAt(vector: ArrowVector, { group, at }: Place): number {
  return (group < 0 ? vector.border[at] : vector.groups[group]?.[at]) ?? 0;
}

/** Adds to an element of a vector. */
export function addTo(vector: ArrowVector, { group, at }: Place, value: number): void {
  const part = group < 0 ? vector.border : vector.groups[group];
  if (part !== undefined) part[at] = (part[at] ?? 0) + value;
}

/**
 * Adds up and factors the normal matrix.
 * @param shape sizes of groups and border
 * @param rows Jacobian rows divided by their noise; a row touches one group at most, and the border
 * @param weights weight of each row, 0 to 1
 * @returns the factored matrix. Positive definite always: the prior adds one to every diagonal element.
 * Source: Schur complement of the groups (textbook); Cholesky factors by the matrix package.
 */
export function factorArrow(shape: Arrow, rows: readonly SparseRow[], weights: readonly number[]): FactoredArrow {
  const { groupSizes, borderSize } = shape;
  const border = Matrix.eye(borderSize, borderSize);
  const groups = groupSizes.map((size) => new Group(size));
  for (const { places } of rows) {
    const group = groups[places.find((place) => place.group >= 0)?.group ?? -1];
    if (group !== undefined) for (const place of places) if (place.group < 0) group.touch(place.at);
  }
  groups.forEach((group) => group.open());
  rows.forEach(({ places, values }, index) => {
    const weight = weights[index] ?? 1;
    for (let i = 0; i < places.length; i++) {
      const a = places[i] as Place;
      const value = values[i] ?? 0;
      if (value === 0) continue;
      for (let j = 0; j < places.length; j++) {
        const b = places[j] as Place;
        // Symmetric to the last bit, as the factorisation asks.
        const product = weight * (value * (values[j] ?? 0));
        if (a.group >= 0) groups[a.group]?.add(a.at, b, product);
        else if (b.group < 0) add(border, a.at, b.at, product);
      }
    }
  });
  for (const group of groups) group.reduce(border);
  const borderFactor = borderSize === 0 ? null : new CholeskyDecomposition(border);
  let borderInverse: Matrix | null = null;
  const inverseOfBorder = (): Matrix => (borderInverse ??= borderFactor === null ? new Matrix(0, 0) : borderFactor.solve(Matrix.eye(borderSize, borderSize)));

  const covariance = (a: Place, b: Place): number => {
    if (a.group < 0) return b.group < 0 ? inverseOfBorder().get(a.at, b.at) : covariance(b, a);
    const groupA = groups[a.group] as Group;
    if (b.group < 0) return -(groupA.spread(inverseOfBorder())[a.at]?.[b.at] ?? 0);
    const groupB = groups[b.group] as Group;
    const inside = a.group === b.group ? groupA.insideInverse().get(a.at, b.at) : 0;
    const spread = groupA.spread(inverseOfBorder())[a.at];
    let sum = inside;
    for (let j = 0; j < groupB.touched.length; j++) sum += groupB.reach(b.at, j) * (spread?.[groupB.touched[j] ?? 0] ?? 0);
    return sum;
  };

  const solve = (right: ArrowVector): ArrowVector => {
    const reduced = Float64Array.from(right.border);
    const own = groups.map((group, index) => {
      const rightGroup = right.groups[index] as Float64Array;
      for (let j = 0; j < group.touched.length; j++) {
        const at = group.touched[j] ?? 0;
        for (let i = 0; i < group.size; i++) reduced[at] = (reduced[at] ?? 0) - group.reach(i, j) * (rightGroup[i] ?? 0);
      }
      return group.solveInside(rightGroup);
    });
    const outer = borderFactor === null ? new Float64Array(0) : Float64Array.from(borderFactor.solve(Matrix.columnVector(reduced)).to1DArray());
    own.forEach((answer, index) => {
      const group = groups[index] as Group;
      for (let i = 0; i < group.size; i++) {
        for (let j = 0; j < group.touched.length; j++) answer[i] = (answer[i] ?? 0) - group.reach(i, j) * (outer[group.touched[j] ?? 0] ?? 0);
      }
    });
    return { groups: own, border: outer };
  };
  return { solve, covariance };
}

/** One group of the arrow: its own block A, and B towards the part of the border that it touches. */
class Group {
  touched: number[] = [];
  private columns = new Map<number, number>();
  private inside: Matrix;
  private coupling = new Matrix(0, 0);
  private factor: CholeskyDecomposition | null = null;
  private reached = new Matrix(0, 0);
  private inverse: Matrix | null = null;
  private spreadRows: Float64Array[] | null = null;

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

  add(at: number, other: Place, value: number): void {
    if (other.group >= 0) add(this.inside, at, other.at, value);
    else add(this.coupling, at, this.columns.get(other.at) ?? 0, value);
  }

  /** Factors A, keeps W = A⁻¹·B, and takes Bᵀ·W from the border. */
  reduce(border: Matrix): void {
    if (this.size === 0) return;
    this.factor = new CholeskyDecomposition(this.inside);
    if (this.touched.length === 0) return;
    this.reached = this.factor.solve(this.coupling);
    const taken = this.coupling.transpose().mmul(this.reached);
    this.touched.forEach((row, i) => this.touched.forEach((column, j) => add(border, row, column, -(taken.get(i, j) + taken.get(j, i)) / 2)));
  }

  /** Element of W. */
  reach(row: number, column: number): number {
    return this.reached.get(row, column);
  }

  solveInside(right: Float64Array): Float64Array {
    return this.factor === null ? new Float64Array(0) : Float64Array.from(this.factor.solve(Matrix.columnVector(right)).to1DArray());
  }

  insideInverse(): Matrix {
    this.inverse ??= (this.factor as CholeskyDecomposition).solve(Matrix.eye(this.size, this.size));
    return this.inverse;
  }

  /** Rows of W·S⁻¹, S the reduced border. */
  spread(borderInverse: Matrix): Float64Array[] {
    this.spreadRows ??= Array.from({ length: this.size }, (_, i) => {
      const row = new Float64Array(borderInverse.rows);
      this.touched.forEach((at, j) => {
        const w = this.reached.get(i, j);
        if (w === 0) return;
        for (let c = 0; c < row.length; c++) row[c] = (row[c] ?? 0) + w * borderInverse.get(at, c);
      });
      return row;
    });
    return this.spreadRows;
  }
}

function add(matrix: Matrix, row: number, column: number, value: number): void {
  matrix.set(row, column, matrix.get(row, column) + value);
}

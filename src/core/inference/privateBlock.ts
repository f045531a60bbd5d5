import { dot, vectorOf } from './vectors';
import type { Place, SparseRow } from './arrowhead';

/**
 * The rows of one piece of evidence, with the unknowns that only this piece touches taken out of the least-squares problem.
 * Such an unknown, with its standard normal prior, widens and ties the piece's own noise: V = W⁻¹ + Jp·Jpᵀ. What is left are
 * as many rows over the shared unknowns, whitened by V, so that a long log costs no more than what its pieces share.
 * Source: marginal of a linear Gaussian model (textbook).
 */
export interface PrivateBlock {
  /** Shared unknowns of the piece, and its whitened rows over them. */
  places: readonly Place[];
  whitened: readonly Float64Array[];
  /** The same rows before whitening, and those over the private unknowns. */
  shared: readonly Float64Array[];
  own: readonly Float64Array[];
  /** Place among the private unknowns of each column of `own`. */
  ownAt: readonly number[];
  /** G = Jpᵀ·V⁻¹: one array for each private unknown. */
  gain: readonly Float64Array[];
  /** V⁻¹, and the diagonal of W⁻¹. */
  inverse: readonly Float64Array[];
  noise: Float64Array;
}

/** Place of an unknown that only one piece touches. */
export function privatePlace(piece: number, at: number): Place {
  return { group: -2 - piece, at };
}

/** The piece whose private unknown this is; −1 for a shared one. */
export function pieceOf({ group }: Place): number {
  return group <= -2 ? -2 - group : -1;
}

/** Which places of a piece are shared and which its own. */
interface Split {
  sharedAt: readonly number[];
  privateAt: readonly number[];
  places: readonly Place[];
  ownAt: readonly number[];
}

/** A list of places is parted once, however often its piece is weighed. */
const splits = new WeakMap<readonly Place[], Split>();

function splitOf(all: readonly Place[]): Split {
  const known = splits.get(all);
  if (known !== undefined) return known;
  const sharedAt = [...all.keys()].filter((index) => pieceOf(all[index] as Place) < 0);
  const privateAt = [...all.keys()].filter((index) => pieceOf(all[index] as Place) >= 0);
  const made = {
    sharedAt,
    privateAt,
    places: sharedAt.map((index) => all[index] as Place),
    ownAt: privateAt.map((index) => (all[index] as Place).at),
  };
  splits.set(all, made);
  return made;
}

/**
 * Takes the private unknowns out of the rows of one piece.
 * @param rows rows of one piece: they have the same places
 * @param weights weight of each row, above 0 to 1
 */
export function takePrivate(rows: readonly SparseRow[], weights: readonly number[]): PrivateBlock {
  const { sharedAt, privateAt, places, ownAt } = splitOf(rows[0]?.places ?? []);
  const shared = rows.map(({ values }) => gather(values, sharedAt));
  const own = rows.map(({ values }) => gather(values, privateAt));
  const count = rows.length;
  const noise = vectorOf(rows, (_, i) => 1 / (weights[i] ?? 1));
  const total = own.map((row, i) => vectorOf(own, (other, j) => dot(row, other) + (i === j ? (noise[i] ?? 1) : 0)));
  const lower = choleskySmall(total);
  const inverse = Array.from({ length: count }, (_, i) => solveSmall(lower, i));
  const gain = privateAt.map((_, p) => {
    const g = new Float64Array(count);
    for (let j = 0; j < count; j++)
      for (let i = 0; i < count; i++) g[j] = (g[j] as number) + (own[i]?.[p] as number) * (inverse[i]?.[j] as number);
    return g;
  });
  return {
    places,
    whitened: forward(lower, shared),
    shared,
    own,
    ownAt,
    gain,
    inverse,
    noise,
  };
}

/** Coefficients of a private unknown over the shared ones: its mean follows −(G·Js)·x. */
export function followRow({ shared, gain }: PrivateBlock, column: number): Float64Array {
  const g = gain[column] as Float64Array;
  const row = new Float64Array(shared[0]?.length ?? 0);
  for (let s = 0; s < row.length; s++) {
    let sum = 0;
    for (let i = 0; i < shared.length; i++) sum += (g[i] as number) * (shared[i]?.[s] as number);
    row[s] = -sum;
  }
  return row;
}

/** What is left of the prior covariance of two private unknowns when the shared ones are known: (I − G·Jp). */
export function ownCovariance({ own, gain }: PrivateBlock, a: number, b: number): number {
  const g = gain[a] as Float64Array;
  return (a === b ? 1 : 0) - own.reduce((sum, row, i) => sum + (g[i] as number) * (row[b] as number), 0);
}

/** A reading in terms of the shared unknowns alone, W⁻¹·V⁻¹·Js, and the variance that its private unknowns keep, W⁻¹ − W⁻¹·V⁻¹·W⁻¹. */
export function sharedReading(
  { shared, inverse, noise }: PrivateBlock,
  index: number,
): { row: Float64Array; variance: number } {
  const own = noise[index] ?? 1;
  const row = new Float64Array(shared[0]?.length ?? 0);
  shared.forEach((other, k) => {
    const factor = own * (inverse[index]?.[k] as number);
    for (let s = 0; s < row.length; s++) row[s] = (row[s] as number) + factor * (other[s] as number);
  });
  return { row, variance: own - own * own * (inverse[index]?.[index] as number) };
}

/** Elements at the given places. A plain loop: this runs for every piece of a log. */
function gather(values: Float64Array, at: readonly number[]): Float64Array {
  const out = new Float64Array(at.length);
  for (let i = 0; i < out.length; i++) out[i] = values[at[i] as number] as number;
  return out;
}

/** Cholesky factor of the noise of one piece: two by two at the most, so it stands here. */
function choleskySmall(matrix: readonly Float64Array[]): Float64Array[] {
  const lower = matrix.map((row) => new Float64Array(row.length));
  matrix.forEach((row, i) => {
    for (let j = 0; j <= i; j++) {
      let sum = row[j] as number;
      for (let k = 0; k < j; k++) sum -= (lower[i]?.[k] as number) * (lower[j]?.[k] as number);
      (lower[i] as Float64Array)[j] = i === j ? Math.sqrt(sum) : sum / (lower[j]?.[j] ?? 1);
    }
  });
  return lower;
}

/** L⁻¹ times rows. */
function forward(lower: readonly Float64Array[], rows: readonly Float64Array[]): Float64Array[] {
  const out: Float64Array[] = [];
  rows.forEach((row, i) => {
    const solved = row.slice();
    for (let k = 0; k < i; k++) {
      const factor = lower[i]?.[k] as number;
      const above = out[k] as Float64Array;
      for (let s = 0; s < solved.length; s++) solved[s] = (solved[s] as number) - factor * (above[s] as number);
    }
    const diagonal = lower[i]?.[i] ?? 1;
    for (let s = 0; s < solved.length; s++) solved[s] = (solved[s] as number) / diagonal;
    out.push(solved);
  });
  return out;
}

/** Column of (L·Lᵀ)⁻¹. */
function solveSmall(lower: readonly Float64Array[], column: number): Float64Array {
  const size = lower.length;
  const answer = new Float64Array(size);
  for (let i = 0; i < size; i++) {
    let sum = i === column ? 1 : 0;
    for (let k = 0; k < i; k++) sum -= (lower[i]?.[k] as number) * (answer[k] as number);
    answer[i] = sum / (lower[i]?.[i] ?? 1);
  }
  for (let i = size - 1; i >= 0; i--) {
    let sum = answer[i] as number;
    for (let k = i + 1; k < size; k++) sum -= (lower[k]?.[i] as number) * (answer[k] as number);
    answer[i] = sum / (lower[i]?.[i] ?? 1);
  }
  return answer;
}

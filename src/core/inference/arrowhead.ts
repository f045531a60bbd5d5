import { Cholesky, identity } from './cholesky';
import { Group, SparsePart, addSquare, squaredLength } from './arrowheadGroup';
import { followRow, ownCovariance, pieceOf, sharedReading, takePrivate, type PrivateBlock } from './privateBlock';

/**
 * A sum of squares whose unknowns fall into groups that touch each other only through a border. Its normal matrix has the
 * shape of an arrow, and is solved group by group; the whole log stays small that way. Unknowns that a single piece of
 * evidence touches are taken out first.
 */
export interface ArrowheadMatrix {
  /** Number of private unknowns of each piece. */
  privateSizes: readonly number[];
  /** Number of unknowns in each group. */
  groupSizes: readonly number[];
  borderSize: number;
}

/** Where an unknown stands: in a group, in the border (group −1), or private to a piece (group −2 and below). */
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
export interface FactoredArrowhead {
  /** Solves (I + Σ w·jᵀj)·x = b; b and x as border and groups. */
  solve: (right: ArrowheadVector) => ArrowheadVector;
  /** Covariance of two unknowns: an element of the inverse. */
  covariance: (a: Place, b: Place) => number;
  /** Variance of the linear combination of a row, by the row's number. */
  varianceOf: (row: number) => number;
}

/** A vector laid out as the unknowns are. */
export interface ArrowheadVector {
  privates: Float64Array[];
  groups: Float64Array[];
  border: Float64Array;
}

/** A vector of zeros. */
export function zeroVector({ privateSizes, groupSizes, borderSize }: ArrowheadMatrix): ArrowheadVector {
  return {
    privates: privateSizes.map((size) => new Float64Array(size)),
    groups: groupSizes.map((size) => new Float64Array(size)),
    border: new Float64Array(borderSize),
  };
}

function partOf(vector: ArrowheadVector, place: Place): Float64Array | undefined {
  if (place.group === -1) return vector.border;
  return place.group >= 0 ? vector.groups[place.group] : vector.privates[pieceOf(place)];
}

/** An element of a vector. */
export function elementAt(vector: ArrowheadVector, place: Place): number {
  return partOf(vector, place)?.[place.at] as number;
}

/** Adds to an element of a vector. */
export function addTo(vector: ArrowheadVector, place: Place, value: number): void {
  const part = partOf(vector, place);
  if (part !== undefined) part[place.at] = (part[place.at] as number) + value;
}

/** A vector changed part by part. */
export function mapVector(
  vector: ArrowheadVector,
  change: (part: Float64Array, name: 'privates' | 'groups' | 'border', index: number) => Float64Array,
): ArrowheadVector {
  return {
    privates: vector.privates.map((part, index) => change(part, 'privates', index)),
    groups: vector.groups.map((part, index) => change(part, 'groups', index)),
    border: change(vector.border, 'border', 0),
  };
}

/**
 * Adds up and factors the normal matrix A = I + Σ w·jᵀj, block by block: private unknowns of a piece are taken out first, then
 * those of each group, and what is left is the border's own small matrix.
 * @param shape sizes of groups and border
 * @param rows Jacobian rows divided by their noise; a row touches one group at most, the border, and private unknowns of
 *   its piece; rows of one piece stand together and share one list of places
 * @param weights weight of each row, 0 to 1
 * @returns the factored matrix. Positive definite always: the prior adds one to every diagonal element.
 * Source: Schur complement of the groups (textbook).
 */
export function factorArrowhead(
  shape: ArrowheadMatrix,
  rows: readonly SparseRow[],
  weights: readonly number[],
): FactoredArrowhead {
  const blocks = blocksOf(rows, weights);
  const factors = withBorder(sumOf(shape, blocks));
  const blockOf = new Map(blocks.flatMap(({ piece, block }) => (piece < 0 ? [] : [[piece, block] as const])));
  const readings = blocks.flatMap(({ block }) => block.own.map((_, index) => ({ block, index })));
  return {
    solve: (right) => solveWhole(factors, blocks, right),
    covariance: (a, b) => covarianceOf(factors, blockOf, a, b),
    varianceOf: (reading) => {
      const found = readings[reading];
      if (found === undefined) return 0;
      const { row, variance } = sharedReading(found.block, found.index);
      return variance + sharedVariance(factors, found.block.places, row);
    },
  };
}

/** The normal matrix of the shared unknowns: each group with its inside and its reach into the border, and the border's rest. */
interface Summed {
  groups: Group[];
  /** The border without what the groups explain, S = B − Σ Rᵀ·D⁻¹·R, row after row. */
  border: Float64Array;
  size: number;
  /** Which unknowns of the border some row moves; the others keep their prior and stay out. */
  active: { of: Int32Array; count: number };
}

/** Adds up the rows that are left when the private unknowns are gone, and takes each group out of the border. */
function sumOf({ groupSizes, borderSize }: ArrowheadMatrix, blocks: readonly Block[]): Summed {
  const rows = blocks.flatMap(({ block }) =>
    block.whitened.map((values): SparseRow => ({ places: block.places, values })),
  );
  const active = activeBorder(rows, borderSize);
  const size = active.count;
  const border = identity(size);
  const groups = groupSizes.map((groupSize) => new Group(groupSize));
  for (const { places } of rows) {
    const group = groups[groupOf(places)];
    if (group === undefined) continue;
    for (const place of places) {
      const at = place.group < 0 ? (active.of[place.at] ?? -1) : -1;
      if (at >= 0) group.touch(at);
    }
  }
  groups.forEach((group) => group.open());
  const longest = rows.reduce((most, { places }) => Math.max(most, places.length), 0);
  const [inside, outside] = [new SparsePart(longest), new SparsePart(longest)];
  for (const { places, values } of rows) {
    inside.clear();
    outside.clear();
    for (let i = 0; i < places.length; i++) {
      const value = values[i] as number;
      const { group, at } = places[i] as Place;
      if (value === 0) continue;
      if (group >= 0) inside.add(at, value);
      else outside.add(active.of[at] ?? -1, value);
    }
    groups[groupOf(places)]?.addRow(inside, outside);
    addSquare(border, size, outside);
  }
  for (const group of groups) group.reduce(border, size);
  return { groups, border, size, active };
}

/** A summed matrix whose border is factored as well, S = L·Lᵀ. */
interface Factors extends Summed {
  borderFactor: Cholesky | null;
  /** A column of S⁻¹, made when it is first asked for. */
  column: (at: number) => Float64Array;
}

function withBorder(summed: Summed): Factors {
  const { border, size } = summed;
  const borderFactor = size === 0 ? null : new Cholesky(border, size);
  const columns = new Map<number, Float64Array>();
  const column = (at: number): Float64Array => {
    const known = columns.get(at);
    if (known !== undefined) return known;
    const unit = new Float64Array(size);
    unit[at] = 1;
    const made = (borderFactor as Cholesky).solve(unit);
    columns.set(at, made);
    return made;
  };
  return { ...summed, borderFactor, column };
}

/** Covariance of two shared unknowns: S⁻¹ in the border, −W·S⁻¹ between a group and the border, D⁻¹ + W·S⁻¹·Wᵀ within groups. */
function sharedCovariance(factors: Factors, a: Place, b: Place): number {
  const { groups, active, column } = factors;
  if (a.group >= 0 && b.group < 0) return sharedCovariance(factors, b, a);
  if (a.group < 0) {
    const at = active.of[a.at] ?? -1;
    if (b.group >= 0) return at < 0 ? 0 : -(groups[b.group] as Group).reachOf(b.at, column(at));
    const other = active.of[b.at] ?? -1;
    return at < 0 || other < 0 ? Number(a.at === b.at) : (column(at)[other] as number);
  }
  const [groupA, groupB] = [groups[a.group] as Group, groups[b.group] as Group];
  let sum = a.group === b.group ? groupA.insideInverse(a.at, b.at) : 0;
  for (let j = 0; j < groupB.touched.length; j++) {
    const w = groupB.reach(b.at, j);
    if (w !== 0) sum += w * groupA.reachOf(a.at, column(groupB.touched[j] as number));
  }
  return sum;
}

/** Covariance of any two unknowns: a private one follows the shared ones that its piece touches, and has a scatter of its own. */
function covarianceOf(factors: Factors, blockOf: ReadonlyMap<number, PrivateBlock>, a: Place, b: Place): number {
  const [pieceA, pieceB] = [pieceOf(a), pieceOf(b)];
  if (pieceA < 0 && pieceB < 0) return sharedCovariance(factors, a, b);
  if (pieceA < 0) return covarianceOf(factors, blockOf, b, a);
  const block = blockOf.get(pieceA);
  if (block === undefined) return pieceA === pieceB && a.at === b.at ? 1 : 0;
  const column = block.ownAt.indexOf(a.at);
  const follow = followRow(block, column);
  if (pieceA !== pieceB)
    return block.places.reduce(
      (sum, place, s) =>
        follow[s] === 0 ? sum : sum + (follow[s] as number) * covarianceOf(factors, blockOf, place, b),
      0,
    );
  const other = followRow(block, block.ownAt.indexOf(b.at));
  const followed = block.places.reduce(
    (sum, place, s) =>
      follow[s] === 0
        ? sum
        : sum +
          (follow[s] as number) *
            block.places.reduce(
              (inner, next, t) => inner + (other[t] as number) * sharedCovariance(factors, place, next),
              0,
            ),
    0,
  );
  return ownCovariance(block, column, block.ownAt.indexOf(b.at)) + followed;
}

/** v·A⁻¹·v of a row of shared unknowns: within its group, and what is left of it for the border after the group has spoken. */
function sharedVariance(
  { groups, active, borderFactor }: Factors,
  places: readonly Place[],
  values: Float64Array,
): number {
  const group = groups[groupOf(places)];
  const inside = new Float64Array(group?.size ?? 0);
  const left = new Map<number, number>();
  let variance = 0;
  places.forEach((place, index) => {
    const value = values[index] as number;
    if (value === 0) return;
    const at = place.group < 0 ? (active.of[place.at] ?? -1) : -1;
    if (place.group >= 0) inside[place.at] = value;
    else if (at < 0) variance += value * value;
    else left.set(at, value);
  });
  if (group !== undefined) {
    for (let i = 0; i < inside.length; i++) {
      const value = inside[i] as number;
      if (value === 0) continue;
      for (let j = 0; j < inside.length; j++) variance += value * (inside[j] as number) * group.insideInverse(i, j);
      for (let j = 0; j < group.touched.length; j++)
        left.set(group.touched[j] as number, (left.get(group.touched[j] as number) ?? 0) - value * group.reach(i, j));
    }
  }
  return variance + (borderFactor === null ? 0 : squaredLength(borderFactor, left));
}

/** Shared unknowns: groups give their right sides to the border, the border is solved, and the groups follow it. */
function solveShared({ groups, active, size, borderFactor }: Factors, right: ArrowheadVector): ArrowheadVector {
  const reduced = new Float64Array(size);
  right.border.forEach((value, at) => {
    const index = active.of[at] ?? -1;
    if (index >= 0) reduced[index] = value;
  });
  const own = groups.map((group, index) => {
    const rightGroup = right.groups[index] as Float64Array;
    for (let j = 0; j < group.touched.length; j++) {
      const at = group.touched[j] as number;
      for (let i = 0; i < group.size; i++)
        reduced[at] = (reduced[at] as number) - group.reach(i, j) * (rightGroup[i] as number);
    }
    return group.solveInside(rightGroup);
  });
  const outer = borderFactor === null ? reduced : borderFactor.solve(reduced);
  own.forEach((answer, index) => {
    const group = groups[index] as Group;
    for (let i = 0; i < group.size; i++) {
      for (let j = 0; j < group.touched.length; j++)
        answer[i] = (answer[i] as number) - group.reach(i, j) * (outer[group.touched[j] as number] as number);
    }
  });
  return {
    privates: right.privates,
    groups: own,
    border: right.border.map((value, at) =>
      (active.of[at] ?? -1) < 0 ? value : (outer[active.of[at] as number] as number),
    ),
  };
}

/** All unknowns: Js·Gᵀ·b of the private ones leaves the right side, and they follow once the shared ones are known. */
function solveWhole(factors: Factors, blocks: readonly Block[], right: ArrowheadVector): ArrowheadVector {
  const shared = mapVector(right, (part) => part.slice());
  const pulls = blocks.map(({ piece, block }) => {
    const b = right.privates[piece];
    return block.own.map((_, i) =>
      b === undefined
        ? 0
        : block.gain.reduce(
            (sum, g, column) => sum + (g[i] as number) * (b[block.ownAt[column] as number] as number),
            0,
          ),
    );
  });
  blocks.forEach(({ block }, k) =>
    block.shared.forEach((row, i) =>
      block.places.forEach((place, s) => addTo(shared, place, -(row[s] as number) * (pulls[k]?.[i] as number))),
    ),
  );
  const solved = solveShared(factors, shared);
  const privates = right.privates.map((part) => part.slice());
  for (const { piece, block } of blocks) {
    const own = privates[piece];
    const b = right.privates[piece];
    if (own === undefined || b === undefined) continue;
    const along = block.shared.map((row, i) => {
      const fromShared = block.places.reduce((sum, place, s) => sum + (row[s] as number) * elementAt(solved, place), 0);
      return (
        fromShared +
        block.ownAt.reduce((sum, at, column) => sum + (block.own[i]?.[column] as number) * (b[at] as number), 0)
      );
    });
    block.ownAt.forEach((at, column) => {
      own[at] =
        (b[at] as number) - along.reduce((sum, value, i) => sum + (block.gain[column]?.[i] as number) * value, 0);
    });
  }
  return { ...solved, privates };
}

/** The rows of one piece, with its private unknowns taken out. */
interface Block {
  piece: number;
  block: PrivateBlock;
}

/** Rows by piece, without their private unknowns. */
function blocksOf(rows: readonly SparseRow[], weights: readonly number[]): Block[] {
  const blocks: Block[] = [];
  for (let from = 0; from < rows.length;) {
    const { places } = rows[from] as SparseRow;
    let to = from + 1;
    while (to < rows.length && rows[to]?.places === places) to++;
    blocks.push({
      piece: places.reduce((found, place) => Math.max(found, pieceOf(place)), -1),
      block: takePrivate(rows.slice(from, to), weights.slice(from, to)),
    });
    from = to;
  }
  return blocks;
}

function groupOf(places: readonly Place[]): number {
  for (let i = 0; i < places.length; i++) {
    const { group } = places[i] as Place;
    if (group >= 0) return group;
  }
  return -1;
}

/** Which unknowns of the border some row moves, and their index among those; −1 for the others. */
function activeBorder(rows: readonly SparseRow[], borderSize: number): { of: Int32Array; count: number } {
  const of = new Int32Array(borderSize).fill(-1);
  let count = 0;
  for (const { places, values } of rows) {
    for (let i = 0; i < places.length; i++) {
      const { group, at } = places[i] as Place;
      if (group < 0 && values[i] !== 0 && of[at] === -1) of[at] = count++;
    }
  }
  return { of, count };
}

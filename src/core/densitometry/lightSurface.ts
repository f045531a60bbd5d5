import { Matrix } from 'ml-matrix';
import { choleskyOf } from '../inference/choleskyOf';
import { medianOf } from '../inference/median';
import type { Patch, Place } from './patch';

/** A block of a picture: its mean value and how even it is. */
export interface LightBlock extends Place {
  /** ln of the linear value. */
  lnValue: number;
  /** Spread of the pixels, as a share of the mean. */
  spread: number;
  /** Whether it stands at white: its value is a least one. */
  clipped: boolean;
}

/** The bare light under a place, as ln of its value: what it is, and how its error is made up. */
export interface LightAt {
  lnValue: number;
  /** Errors that places share: each column is one standard deviation of one common cause. */
  shared: Float64Array;
}

/** The bare light of a picture. */
export interface LightSurface {
  at: (place: Place) => LightAt;
  /** ln of its value alone: where millions of places are asked about. */
  lnValueAt: (place: Place) => number;
  /** Blocks that count as bare light. */
  bare: readonly LightBlock[];
}

/** Powers of x and y of each term, with how far it moves over half a picture, ln. Source: our estimate; lenses fall off by up to a third. */
const TERMS: readonly { x: number; y: number; sd: number }[] = [
  { x: 0, y: 0, sd: 10 },
  { x: 1, y: 0, sd: 0.4 },
  { x: 0, y: 1, sd: 0.4 },
  { x: 2, y: 0, sd: 0.4 },
  { x: 1, y: 1, sd: 0.2 },
  { x: 0, y: 2, sd: 0.4 },
  ...[
    [3, 0],
    [2, 1],
    [1, 2],
    [0, 3],
  ].map(([x = 0, y = 0]) => ({ x, y, sd: 0.08 })),
  ...[
    [4, 0],
    [2, 2],
    [0, 4],
  ].map(([x = 0, y = 0]) => ({ x, y, sd: 0.08 })),
];

/** A number to the powers that the terms have. */
function powersOf(u: number): readonly number[] {
  return [1, u, u * u, u * u * u, u * u * u * u];
}

/** A block of bare light is good to this, for texture of the light and what no smooth surface follows, ln. Source: our estimate. */
const BLOCK_LN_SD = 0.004;

/** Fewest blocks of bare light from which a surface is made. */
const LEAST_BLOCKS = 4;

/** A block may be this uneven and still be bare, as a share; noise of small sensors included. Source: our choice. */
const EVEN = 0.08;

/** Rounds of fitting and leaving out. */
const ROUNDS = 24;

/**
 * The light that would be there without film: a smooth surface in ln(light) through all bare light around the strip. What is
 * darker than its neighbourhood, film, dust, labels, a coin, is left out: nothing but light is brighter than bare light.
 * @param blocks blocks of the whole picture
 * @param covered parts that are known to be film
 * @param marks places that a person marked as bare light: they count whatever the rest looks like
 * @returns the surface; null where too little bare light shows
 * Source: regression with a prior on each term (ridge, textbook); leaving out from below is our choice.
 */
export function lightSurface(
  blocks: readonly LightBlock[],
  covered: readonly Patch[] = [],
  marks: readonly LightBlock[] = [],
): LightSurface | null {
  const free = blocks.filter(
    (block) => !block.clipped && block.spread < EVEN && !covered.some((patch) => within(block, patch)),
  );
  const all = [...marks.map((block) => ({ block, marked: true })), ...free.map((block) => ({ block, marked: false }))];
  if (all.length === 0) return null;
  const reach = Math.max(0.1, ...all.map(({ block }) => Math.max(block.x, block.y) / 2));
  const middle = {
    x: (Math.max(...blocks.map(({ x }) => x), ...all.map(({ block }) => block.x)) || 1) / 2,
    y: (Math.max(...blocks.map(({ y }) => y), ...all.map(({ block }) => block.y)) || 1) / 2,
  };
  const termsAt = ({ x, y }: Place): number[] => {
    const us = powersOf((x - middle.x) / reach);
    const vs = powersOf((y - middle.y) / reach);
    return TERMS.map((term) => (us[term.x] as number) * (vs[term.y] as number));
  };
  // The brightest parts first; then whatever lies on the surface through them.
  const level = marks.length > 0 ? medianOf(marks.map(({ lnValue }) => lnValue)) : quantile(free, 0.9);
  let kept = all.filter(({ block, marked }) => marked || Math.abs(block.lnValue - level) < 0.25);
  let fitted: Surface | null = null;
  let tolerance = 0.12;
  for (let round = 0; round < ROUNDS && kept.length >= Math.min(LEAST_BLOCKS, all.length); round++) {
    fitted = fit(kept, termsAt);
    const surface = fitted;
    const off = (block: LightBlock): number => block.lnValue - surface.valueAt(termsAt(block));
    tolerance = Math.max(3 * BLOCK_LN_SD, 3 * spreadOf(kept.map(({ block }) => off(block))), tolerance * 0.75);
    const next = all.filter(({ block, marked }) => marked || (off(block) > -tolerance && off(block) < 3 * tolerance));
    const same = next.length === kept.length && next.every((one, at) => one === kept[at]);
    kept = next;
    if (same && tolerance <= 3.2 * Math.max(BLOCK_LN_SD, spreadOf(kept.map(({ block }) => off(block))))) break;
  }
  if (fitted === null || (kept.length < LEAST_BLOCKS && marks.length === 0)) return null;
  const surface = fitted;
  return {
    at: (place) => {
      const terms = termsAt(place);
      return { lnValue: surface.valueAt(terms), shared: surface.errorsAt(terms) };
    },
    lnValueAt: (place) => surface.valueAt(termsAt(place)),
    bare: kept.map(({ block }) => block),
  };
}

interface Surface {
  valueAt: (terms: readonly number[]) => number;
  errorsAt: (terms: readonly number[]) => Float64Array;
}

interface Kept {
  block: LightBlock;
  marked: boolean;
}

function fit(kept: readonly Kept[], termsAt: (place: Place) => number[]): Surface {
  const size = TERMS.length;
  const rows = kept.map(({ block }) => termsAt(block));
  const sums = productsOf(kept, rows, size);
  const solve = (sd: number): { coefficients: number[]; normal: Matrix } => {
    const normal = Matrix.zeros(size, size);
    const right = Matrix.zeros(size, 1);
    TERMS.forEach((term, at) => normal.set(at, at, 1 / term.sd ** 2));
    const [squares, values] = sums;
    for (let a = 0; a < size; a++) {
      right.set(a, 0, (values[a] as number) / sd ** 2);
      for (let b = 0; b < size; b++)
        normal.set(a, b, normal.get(a, b) + (squares[Math.min(a, b) * size + Math.max(a, b)] as number) / sd ** 2);
    }
    return { coefficients: choleskyOf(normal).solve(right).to1DArray(), normal };
  };
  const valueBy = (coefficients: readonly number[], terms: readonly number[]): number =>
    terms.reduce((sum, term, at) => sum + term * (coefficients[at] as number), 0);
  const first = solve(BLOCK_LN_SD);
  const residualLn = Math.sqrt(
    rows.reduce(
      (sum, row, index) => sum + ((kept[index] as Kept).block.lnValue - valueBy(first.coefficients, row)) ** 2,
      0,
    ) / Math.max(1, rows.length - Math.min(size, rows.length / 2)),
  );
  // Neighbouring blocks err alike: what is left over counts as if a quarter of the blocks stood alone.
  const { coefficients, normal } = solve(2 * Math.max(BLOCK_LN_SD, residualLn));
  const lower = choleskyOf(normal).lowerTriangularMatrix;
  return {
    valueAt: (terms) => valueBy(coefficients, terms),
    // Solving L·e = terms gives e with e·e = terms' N⁻¹ terms: each part is one common cause.
    errorsAt: (terms) => {
      const errors = new Float64Array(size);
      for (let a = 0; a < size; a++) {
        let left = terms[a] as number;
        for (let b = 0; b < a; b++) left -= lower.get(a, b) * (errors[b] as number);
        errors[a] = left / lower.get(a, a);
      }
      return errors;
    },
  };
}

/** Sums of products of the terms of all blocks, the upper half, and of the terms with the values. */
function productsOf(
  kept: readonly Kept[],
  rows: readonly (readonly number[])[],
  size: number,
): [Float64Array, Float64Array] {
  const squares = new Float64Array(size * size);
  const values = new Float64Array(size);
  rows.forEach((row, index) => {
    const { lnValue } = (kept[index] as Kept).block;
    for (let a = 0; a < size; a++) {
      const term = row[a] as number;
      values[a] = (values[a] as number) + term * lnValue;
      for (let b = a; b < size; b++)
        squares[a * size + b] = (squares[a * size + b] as number) + term * (row[b] as number);
    }
  });
  return [squares, values];
}

/** Whether a block lies within a patch. */
function within({ x, y }: Place, patch: Patch): boolean {
  const [cos, sin] = [Math.cos(patch.turn), Math.sin(patch.turn)];
  const [dx, dy] = [x - patch.x, y - patch.y];
  return Math.abs(dx * cos + dy * sin) < patch.along / 2 && Math.abs(dy * cos - dx * sin) < patch.across / 2;
}

function quantile(blocks: readonly LightBlock[], share: number): number {
  const sorted = blocks.map(({ lnValue }) => lnValue).sort((a, b) => a - b);
  return sorted[Math.round(share * (sorted.length - 1))] as number;
}

/** Spread by the median deviation, ln. Source: Φ⁻¹(3/4) = 0.6745. */
function spreadOf(values: readonly number[]): number {
  const middle = medianOf(values);
  return medianOf(values.map((value) => Math.abs(value - middle))) / 0.6745;
}

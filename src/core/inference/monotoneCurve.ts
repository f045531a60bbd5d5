/** A curve through points that rises where they rise and is level where they are. */
export interface MonotoneCurve {
  /** Value at a place; the ends go on straight with their own slope. */
  at: (x: number) => number;
  slopeAt: (x: number) => number;
}

/**
 * A smooth curve through points that makes no hump that they do not have.
 * @param xs places, rising, at least two
 * @param ys values at them
 * @returns the curve. Source: Steffen 1990, Astronomy and Astrophysics 239, 443.
 */
export function monotoneCurve(xs: readonly number[], ys: readonly number[]): MonotoneCurve {
  const count = xs.length;
  const x = (index: number): number => xs[index] as number;
  const y = (index: number): number => ys[index] as number;
  const width = (index: number): number => x(index + 1) - x(index);
  const secant = (index: number): number => (y(index + 1) - y(index)) / width(index);
  const slopes = xs.map((_, index) => {
    if (count === 2) return secant(0);
    if (index === 0) return endSlope(secant(0), secant(1), width(0), width(1));
    if (index === count - 1) return endSlope(secant(count - 2), secant(count - 3), width(count - 2), width(count - 3));
    const [before, after] = [secant(index - 1), secant(index)];
    const parabola = (before * width(index) + after * width(index - 1)) / (width(index - 1) + width(index));
    return heldSlope(before, after, parabola);
  });
  const pieceOf = (at: number): number => {
    let piece = 0;
    while (piece < count - 2 && at > x(piece + 1)) piece += 1;
    return piece;
  };
  return {
    at: (place) => {
      if (place <= x(0)) return y(0) + (slopes[0] as number) * (place - x(0));
      if (place >= x(count - 1)) return y(count - 1) + (slopes[count - 1] as number) * (place - x(count - 1));
      const piece = pieceOf(place);
      const { a, b, slope } = cubic(secant(piece), width(piece), slopes[piece] as number, slopes[piece + 1] as number);
      const u = place - x(piece);
      return y(piece) + u * (slope + u * (b + u * a));
    },
    slopeAt: (place) => {
      if (place <= x(0)) return slopes[0] as number;
      if (place >= x(count - 1)) return slopes[count - 1] as number;
      const piece = pieceOf(place);
      const { a, b, slope } = cubic(secant(piece), width(piece), slopes[piece] as number, slopes[piece + 1] as number);
      const u = place - x(piece);
      return slope + u * (2 * b + 3 * u * a);
    },
  };
}

/**
 * Slope at a point in the middle of two that are as far away: no hump, whatever they are.
 * @param before rise from the point before, per step
 * @param after rise to the point after, per step
 * @returns the slope per step. Source: Steffen 1990, equation 11
 */
export function steffenSlope(before: number, after: number): number {
  return heldSlope(before, after, (before + after) / 2);
}

function heldSlope(before: number, after: number, parabola: number): number {
  return (Math.sign(before) + Math.sign(after)) * Math.min(Math.abs(before), Math.abs(after), Math.abs(parabola) / 2);
}

/**
 * A cubic between two points a step apart.
 * @param share place between them, 0 to 1
 * @param from value at the first
 * @param to value at the second
 * @param fromSlope slope at the first, per step
 * @param toSlope slope at the second, per step
 * @returns the value. Source: cubic Hermite interpolation (textbook)
 */
export function hermite(share: number, from: number, to: number, fromSlope: number, toSlope: number): number {
  const rise = to - from;
  const b = 3 * rise - 2 * fromSlope - toSlope;
  const a = fromSlope + toSlope - 2 * rise;
  return from + share * (fromSlope + share * (b + share * a));
}

/** Slope at an end: that of the parabola through three points, held so that the piece stays monotone. */
function endSlope(nearest: number, next: number, width: number, nextWidth: number): number {
  const slope = nearest * (1 + width / (width + nextWidth)) - (next * width) / (width + nextWidth);
  if (slope * nearest <= 0) return 0;
  return Math.abs(slope) > 2 * Math.abs(nearest) ? 2 * nearest : slope;
}

function cubic(secant: number, width: number, from: number, to: number): { a: number; b: number; slope: number } {
  return {
    a: (from + to - 2 * secant) / (width * width),
    b: (3 * secant - 2 * from - to) / width,
    slope: from,
  };
}

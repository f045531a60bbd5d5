import * as z from 'zod';

/** Half of a matrix that is the same on both sides of its diagonal: row after row, up to the diagonal. */
const half = z.array(z.number().min(-100).max(100)).max(5000);

/** How the errors of a strip's densities go together, as it is kept: of the patches that read, clear film first. */
export const keptSpreadSchema = z.strictObject({ covariance: half, own: half });

export type KeptSpread = z.infer<typeof keptSpreadSchema>;

/** Covariances of a strip's densities, D²: with all that is common to its camera, and without. */
export interface Spread {
  covariance: number[][];
  ownCovariance: number[][];
}

/** To six figures, so that what is kept reads back to the same doubts. */
const short = (value: number): number => Number(value.toPrecision(6));

/**
 * Covariances as they are kept.
 * @example keptSpread({ covariance: [[4, 1], [1, 9]], ownCovariance: [[1, 0], [0, 1]] }) // { covariance: [4, 1, 9], own: [1, 0, 1] }
 */
export function keptSpread({ covariance, ownCovariance }: Spread): KeptSpread {
  const halved = (matrix: number[][]): number[] => matrix.flatMap((row, at) => row.slice(0, at + 1).map(short));
  return { covariance: halved(covariance), own: halved(ownCovariance) };
}

/**
 * The way back.
 * @param count patches that read
 * @returns null where what was kept belongs to another number of patches
 */
export function spreadOfKept({ covariance, own }: KeptSpread, count: number): Spread | null {
  const length = (count * (count + 1)) / 2;
  if (covariance.length !== length || own.length !== length) return null;
  const whole = (values: readonly number[]): number[][] =>
    Array.from({ length: count }, (_, a) =>
      Array.from({ length: count }, (__, b) => {
        const [row, column] = [Math.max(a, b), Math.min(a, b)];
        return values[(row * (row + 1)) / 2 + column] as number;
      }),
    );
  return { covariance: whole(covariance), ownCovariance: whole(own) };
}

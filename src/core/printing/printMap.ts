import * as z from 'zod';
import type { PrintArea } from './printPlan';

const share = z.number().min(0).max(1);

/** Where an area lies on the picture: an ellipse by its middle and its half axes, as shares of width and height. */
export const areaPlaceSchema = z.strictObject({ x: share, y: share, rx: share, ry: share });
export type AreaPlace = z.infer<typeof areaPlaceSchema>;

/** An area that was drawn. */
export type DrawnArea = PrintArea & { at: AreaPlace };

/**
 * Areas of a print as it is typed that were drawn; one without a name is called by its number, one without stops gets none.
 * @param areas as typed
 */
export function drawnAreas(
  areas: readonly { where: string; stops: number | string; at?: AreaPlace | undefined }[],
): DrawnArea[] {
  return areas.flatMap(({ where, stops, at }, index) =>
    at === undefined
      ? []
      : [{ where: where.trim() || `area ${index + 1}`, stops: typeof stops === 'number' ? stops : 0, at }],
  );
}

/** The least half axis, as a share: smaller than a thumb is no area that hands find in the dark. Source: our choice. */
export const LEAST_AXIS = 0.03;

/**
 * An ellipse from corner to corner, as it is drawn with one stroke.
 * @param from where the stroke began, shares of width and height
 * @param to where it ended
 * @returns inside the picture, and no smaller than hands can hit
 */
export function placeBetween(from: { x: number; y: number }, to: { x: number; y: number }): AreaPlace {
  const held = (value: number): number => Math.min(1, Math.max(0, value));
  const [x0, x1, y0, y1] = [held(from.x), held(to.x), held(from.y), held(to.y)];
  return {
    x: (x0 + x1) / 2,
    y: (y0 + y1) / 2,
    rx: Math.max(LEAST_AXIS, Math.abs(x1 - x0) / 2),
    ry: Math.max(LEAST_AXIS, Math.abs(y1 - y0) / 2),
  };
}

/** Whether a point lies in an area. */
export function liesIn({ x, y, rx, ry }: AreaPlace, point: { x: number; y: number }): boolean {
  return ((point.x - x) / rx) ** 2 + ((point.y - y) / ry) ** 2 <= 1;
}

/** Where areas lie over each other. */
export interface Overlap {
  /** Their names, in their order. */
  where: string[];
  /** What they get there together, stops against the base; null where more is held back than the base gives. */
  stops: number | null;
}

/** Points looked at along each side. */
const POINTS = 72;

/**
 * What the paper gets where areas lie over each other: exposures add up, stops do not.
 * @param areas areas with their places
 * @returns each set of areas that share some of the picture, two or more of them
 * Source: definition, a stop is a factor of two; exposures of one place add
 * @example two areas of +1 over each other get three times the base: +1.58 stops
 */
export function overlapsOf(areas: readonly DrawnArea[]): Overlap[] {
  const found = new Map<string, number[]>();
  for (let row = 0; row < POINTS; row++)
    for (let column = 0; column < POINTS; column++) {
      const point = { x: (column + 0.5) / POINTS, y: (row + 0.5) / POINTS };
      const here = areas.flatMap(({ at }, index) => (liesIn(at, point) ? [index] : []));
      if (here.length > 1) found.set(here.join(' '), here);
    }
  return [...found.values()].map((indices) => {
    const share = indices.reduce((sum, index) => sum + 2 ** (areas[index] as DrawnArea).stops - 1, 1);
    return {
      where: indices.map((index) => (areas[index] as DrawnArea).where),
      stops: share <= 0 ? null : Math.log2(share),
    };
  });
}

import type { LightPlane } from './lightPlane';
import type { LightSurface } from './lightSurface';
import type { Patch, Place } from './patch';

/** Clear film somewhere along a strip. */
export interface BaseSample extends Place {
  /** ln of the linear value. */
  lnValue: number;
  lnSe: number;
  /** ln of the mean value of the neighbourhood. */
  lnAround: number;
  /** Where along the strip it lies: −1 at the beginning, 1 at the end. */
  along: number;
}

/** How far around a place its neighbourhood reaches, as a share of the longest edge. Source: our choice; cameras take a tenth of the picture or so. */
const REACH = 0.07;

/**
 * ln of the mean value around a place.
 * @param plane the picture, reduced
 * @param place in shares of the longest edge
 */
export function lnAround(plane: LightPlane, place: Place): number {
  return Math.log(Math.max(1e-6, plane.neighbourhood(place, REACH)));
}

/** Edge of what is sampled across the strip, as a share of the longest edge: a rim is narrow. Source: our choice. */
const ACROSS = 0.007;
/** Edge along it, as a share of the distance between two patches. Source: our choice. */
const ALONG = 0.4;
/** Columns for each distance between two patches. */
const COLUMNS = 3;
/** How far from the middle of the row clear film is looked for, in edges of its patches across. Source: our choice; finder and hands mark less than half of the film. */
const FAR = 1.6;
/** How uneven a sample may be, as a share of its mean: an edge runs through it otherwise. Source: our choice. */
const EVEN = 0.03;
/** How far a sample’s apparent density may lie from those beside it, D: never as far as bare light. Source: our choice. */
const NEAR_D = 0.02;
const NEAR_SHARE = 1 / 3;
/** Columns to both sides that say what is expected. */
const BESIDE = 5;
/** Share of the samples of a column, thinnest first, that are taken: frames that hardly show lie among them. Source: our choice. */
const THINNEST = 0.6;
const MOST_OF_A_COLUMN = 4;
/** Groups that all samples are gathered into along the strip. */
const GROUPS = 12;
/** Least part of the strip that samples must reach over, of 2 from end to end: those at one end alone are perhaps thin frames. Source: our choice. */
const LEAST_REACH = 1;
/** Standard error of a group of four samples, ln. Source: our estimate. */
const GROUP_LN_SE = 0.004;

/** A sample before its group says how good it is. */
interface Seen extends Omit<BaseSample, 'lnSe'> {
  densityD: number;
}

/**
 * Clear film along a strip, rims and gaps between frames: all of it has one density, under a light that falls off. What a camera
 * makes of that says how its response bends, as several exposures would.
 * @param plane the picture, reduced
 * @param bare its bare light
 * @param clear clear film that was marked, with ln of its value
 * @param row the patches of the row, first to last
 * @returns some dozen samples; none where less than two patches are marked, or clear film shows at one end alone
 * Source: our choice; that exposures tell the response is published (Debevec and Malik 1997).
 */
export function filmBase(
  plane: LightPlane,
  bare: Pick<LightSurface, 'lnValueAt'>,
  clear: Place & { lnValue: number },
  row: readonly Patch[],
): BaseSample[] {
  const [first, second] = row;
  if (first === undefined || second === undefined) return [];
  const acrossPx = ACROSS * plane.edgePx;
  const pitchPx = Math.hypot(second.x - first.x, second.y - first.y) * plane.edgePx;
  const size = { alongPx: Math.max(acrossPx, ALONG * pitchPx), acrossPx, turn: first.turn };
  const densityOf = (place: Place, lnValue: number): number => (bare.lnValueAt(place) - lnValue) / Math.LN10;
  const clearD = densityOf(clear, clear.lnValue);
  const columns = columnsOf(row);
  const told: (number | undefined)[] = columns.map(() => undefined);
  const seen: Seen[] = [];
  // From the clear film on: what is expected follows the light, and what the camera makes of it.
  for (const index of outwards(columns, clear)) {
    const beside = told.slice(Math.max(0, index - BESIDE), index + BESIDE + 1).flatMap((one) => one ?? []);
    const expectedD = beside.length === 0 ? clearD : meanOf(beside, (one) => one);
    const near = Math.min(NEAR_D, clearD * NEAR_SHARE);
    const here = [-1, 1].flatMap((side): Seen[] => {
      const found = placesAcross(columns[index] as Patch, side, ACROSS / 2).flatMap((place): Seen[] => {
        const cell = plane.cell(place, size);
        if (cell === null || cell.linear <= 0 || cell.spread > EVEN) return [];
        const lnValue = Math.log(cell.linear);
        const densityD = densityOf(place, lnValue);
        if (Math.abs(densityD - expectedD) > near) return [];
        const along = (2 * index) / (columns.length - 1) - 1;
        return [{ ...place, lnValue, densityD, lnAround: lnAround(plane, place), along }];
      });
      const thinnest = found.sort((a, b) => a.densityD - b.densityD).slice(0, Math.ceil(found.length * THINNEST));
      return thinnest.length === 0 ? [] : [gathered(thinnest.slice(0, MOST_OF_A_COLUMN))];
    });
    if (here.length > 0) told[index] = meanOf(here, ({ densityD }) => densityD);
    seen.push(...here);
  }
  const groups = groupsOf(seen);
  const alongs = groups.map(({ along }) => along);
  return Math.max(...alongs) - Math.min(...alongs) < LEAST_REACH ? [] : groups;
}

/** Middle lines across the strip: several for each distance between two patches, and one distance beyond both ends. */
function columnsOf(row: readonly Patch[]): Patch[] {
  const steps = (row.length + 1) * COLUMNS;
  return Array.from({ length: steps + 1 }, (_, step) => {
    const at = step / COLUMNS - 1;
    const from = Math.max(0, Math.min(row.length - 2, Math.floor(at)));
    const [a, b] = [row[from] as Patch, row[from + 1] as Patch];
    const share = at - from;
    return {
      ...a,
      x: a.x + (b.x - a.x) * share,
      y: a.y + (b.y - a.y) * share,
      across: a.across + (b.across - a.across) * share,
    };
  });
}

/** Columns in the order of their distance from a place. */
function outwards(columns: readonly Patch[], { x, y }: Place): number[] {
  const distances = columns.map((one) => Math.hypot(one.x - x, one.y - y));
  const nearest = distances.indexOf(Math.min(...distances));
  return [...columns.keys()].sort((a, b) => Math.abs(a - nearest) - Math.abs(b - nearest));
}

/** Places from the middle of a column to one side. */
function placesAcross({ x, y, across, turn }: Patch, side: number, step: number): Place[] {
  return Array.from({ length: Math.floor((FAR * across) / step) + 1 }, (_, at) => {
    const v = side * at * step;
    return { x: x - v * Math.sin(turn), y: y + v * Math.cos(turn) };
  });
}

function groupsOf(seen: readonly Seen[]): BaseSample[] {
  return Array.from({ length: GROUPS }, (_, group) =>
    seen.filter(({ along }) => Math.min(GROUPS - 1, Math.floor(((along + 1) / 2) * GROUPS)) === group),
  ).flatMap((some) => {
    if (some.length === 0) return [];
    const { x, y, lnValue, lnAround: around, along } = gathered(some);
    return [{ x, y, lnValue, lnAround: around, along, lnSe: GROUP_LN_SE * Math.sqrt(Math.max(1, 4 / some.length)) }];
  });
}

/** Samples as one. */
function gathered(some: readonly Seen[]): Seen {
  const mean = (of: (one: Seen) => number): number => meanOf(some, of);
  return {
    x: mean(({ x }) => x),
    y: mean(({ y }) => y),
    lnValue: mean(({ lnValue }) => lnValue),
    lnAround: mean((one) => one.lnAround),
    along: mean(({ along }) => along),
    densityD: mean(({ densityD }) => densityD),
  };
}

function meanOf<T>(some: readonly T[], of: (one: T) => number): number {
  return some.reduce((sum, one) => sum + of(one), 0) / some.length;
}

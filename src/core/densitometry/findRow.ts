import { bareLightFrom, type LightSample } from './bareLight';
import type { Patch, PatchRow } from './patch';
import type { PixelGrid } from './pixelGrid';
import { samplePatch } from './samplePatch';
import type { Transfer } from './transfer';

/** What was found in a picture by itself: an offer, to be looked at. */
export interface FoundRow {
  row: PatchRow;
  /** Bare light around the film. */
  light: Patch[];
  /** Clear film at the ends of the row, the longer piece first; empty where none shows. */
  clear: Patch[];
  /** Patches for which there is room before the first and after the last: frames too thin to be seen may lie there. */
  room: { before: number; after: number };
}

/** Density above the bare light at which film begins: clear base alone has 0.05 to 0.3. Source: our choice. */
const FILM_FROM_D = 0.04;

/** Step of density that counts as an edge between two patches. Source: our choice. */
const EDGE_D = 0.025;

/** Samples along the film, and rows of it that are looked at. */
const ALONG = 480;
const ACROSS = 15;

/** Blocks of the picture in which bare light is looked for. */
const BLOCKS_X = 12;
const BLOCKS_Y = 8;

/** Shortest piece of clear film that is marked, as a share of the picture's longest edge. */
const LEAST_CLEAR = 0.02;

const GREEN = 'green';

/**
 * Finds a row of steps or frames on a strip that lies on bare light, whatever its direction.
 * @param grid the whole picture, best reduced to under 1000 px
 * @param transfer how code values stand for light
 * @returns the row with bare light and clear film; null where no row shows. Source: our choice.
 */
export function findRow(grid: PixelGrid, transfer: Transfer): FoundRow | null {
  const edge = Math.max(grid.widthPx, grid.heightPx);
  const light = findLight(grid, edge, transfer);
  if (light === null) return null;
  const bare = bareLightFrom(light);
  const density = (x: number, y: number): number | null => {
    const px = { x, y, along: 3 / edge, across: 3 / edge, turn: 0 };
    const sample = samplePatch(grid, px, edge, GREEN, transfer);
    return sample === null ? null : Math.log10(bare(px).linear / Math.max(sample.linear, 1e-5));
  };
  const film = filmAxis(grid, edge, density);
  if (film === null) return null;
  const profile = profileAlong(film, density);
  const lattice = latticeOf(profile);
  if (lattice === null) return null;
  const at = (u: number) => ({ x: film.x + u * film.cos, y: film.y + u * film.sin });
  const turn = Math.atan2(film.sin, film.cos);
  const across = film.wide * 0.45;
  const u = (share: number): number => (share - 0.5) * film.long;
  const { from, pitch, count } = lattice;
  const end = from + count * pitch;
  const ends = [
    { room: from, middle: from / 2 },
    { room: 1 - end, middle: (1 + end) / 2 },
  ].sort((a, b) => b.room - a.room);
  return {
    row: { first: at(u(from + pitch / 2)), last: at(u(end - pitch / 2)), count, fill: 0.6, across },
    light: light.map(({ x, y }) => ({ x, y, along: 0.03, across: 0.03, turn: 0 })),
    room: { before: wholePitches(from, pitch), after: wholePitches(1 - end, pitch) },
    clear: ends
      .filter(({ room }) => room * film.long >= LEAST_CLEAR)
      .map(({ room, middle }) => ({ ...at(u(middle)), along: Math.min(0.25, room * film.long * 0.5), across, turn })),
  };
}

/** Whole patches that fit into a length: nine tenths of one count. */
function wholePitches(length: number, pitch: number): number {
  return Math.max(0, Math.floor(length / pitch + 0.1));
}

/** Bare light in the free blocks nearest to the four corners. */
function findLight(grid: PixelGrid, edge: number, transfer: Transfer): LightSample[] | null {
  const [width, height] = [grid.widthPx / edge, grid.heightPx / edge];
  const blocks: LightSample[] = [];
  for (let j = 0; j < BLOCKS_Y; j++)
    for (let i = 0; i < BLOCKS_X; i++) {
      const place = { x: ((i + 0.5) * width) / BLOCKS_X, y: ((j + 0.5) * height) / BLOCKS_Y };
      const patch = { ...place, along: (width / BLOCKS_X) * 0.8, across: (height / BLOCKS_Y) * 0.8, turn: 0 };
      const sample = samplePatch(grid, patch, edge, GREEN, transfer);
      if (sample !== null) blocks.push({ ...place, sample });
    }
  const brightest = Math.max(...blocks.map(({ sample }) => sample.linear));
  // Bare light is bright and even; film, steps and holders are neither.
  const free = blocks.filter(
    ({ sample }) =>
      sample.linear > 0.5 * brightest && sample.linearSd < 0.06 * sample.linear && sample.leftOutShare < 0.05,
  );
  if (free.length === 0 || brightest <= 0) return null;
  const corners = [
    [0, 0],
    [width, 0],
    [0, height],
    [width, height],
  ] as const;
  const chosen = corners.map(([x, y]) =>
    free.reduce((best, one) => (Math.hypot(one.x - x, one.y - y) < Math.hypot(best.x - x, best.y - y) ? one : best)),
  );
  // A corner that film covers has no light of its own: what is far darker than the brightest is not bare.
  const level = Math.max(...chosen.map(({ sample }) => sample.linear));
  return [...new Set(chosen)].filter(({ sample }) => sample.linear > 0.65 * level);
}

interface FilmAxis {
  x: number;
  y: number;
  cos: number;
  sin: number;
  /** Length and width of the film, in shares of the longest edge. */
  long: number;
  wide: number;
}

/** Where the film lies: the axis of everything that is darker than the bare light. */
function filmAxis(grid: PixelGrid, edge: number, density: (x: number, y: number) => number | null): FilmAxis | null {
  const places: [number, number][] = [];
  const step = 1 / 160;
  let looked = 0;
  for (let y = step / 2; y < grid.heightPx / edge; y += step)
    for (let x = step / 2; x < grid.widthPx / edge; x += step) {
      looked += 1;
      if ((density(x, y) ?? 0) > FILM_FROM_D) places.push([x, y]);
    }
  if (places.length < 0.01 * looked) return null;
  // Alone standing specks do not count: film has neighbours on all sides.
  const key = (x: number, y: number): number => Math.round(x / step - 0.5) * 4096 + Math.round(y / step - 0.5);
  const all = new Set(places.map(([x, y]) => key(x, y)));
  const film = places.filter(
    ([x, y]) =>
      [key(x + step, y), key(x - step, y), key(x, y + step), key(x, y - step)].filter((one) => all.has(one)).length >=
      3,
  );
  if (film.length < 0.01 * looked) return null;
  const [middleX, middleY] = [medianish(film.map(([x]) => x)), medianish(film.map(([, y]) => y))];
  let [xx, xy, yy] = [0, 0, 0];
  for (const [x, y] of film) {
    xx += (x - middleX) ** 2;
    xy += (x - middleX) * (y - middleY);
    yy += (y - middleY) ** 2;
  }
  const turn = 0.5 * Math.atan2(2 * xy, xx - yy);
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const range = (of: (x: number, y: number) => number): [number, number] => {
    const sorted = film.map(([x, y]) => of(x - middleX, y - middleY)).sort((a, b) => a - b);
    const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))] ?? 0;
    return [at(0.002), at(0.998)];
  };
  const [u0, u1] = range((x, y) => x * cos + y * sin);
  const [v0, v1] = range((x, y) => y * cos - x * sin);
  const [u, v] = [(u0 + u1) / 2, (v0 + v1) / 2];
  return {
    x: middleX + u * cos - v * sin,
    y: middleY + u * sin + v * cos,
    cos,
    sin,
    long: u1 - u0 + step,
    wide: v1 - v0 + step,
  };
}

function medianish(values: readonly number[]): number {
  return values.reduce((sum, one) => sum + one, 0) / values.length;
}

/** Density along the middle of the film, from end to end. */
function profileAlong(film: FilmAxis, density: (x: number, y: number) => number | null): number[] {
  return Array.from({ length: ALONG }, (_, index) => {
    const u = ((index + 0.5) / ALONG - 0.5) * film.long;
    const across = Array.from({ length: ACROSS }, (__, row) => {
      const v = ((row + 0.5) / ACROSS - 0.5) * film.wide * 0.5;
      return density(film.x + u * film.cos - v * film.sin, film.y + u * film.sin + v * film.cos) ?? 0;
    }).sort((a, b) => a - b);
    return across[Math.floor(ACROSS / 2)] ?? 0;
  });
}

/** Edges that repeat at equal distances along a profile: where the first patch begins, and how many there are. */
function latticeOf(profile: readonly number[]): { from: number; pitch: number; count: number } | null {
  const strength = profile.map((_, index) => Math.abs(meanOf(profile, index + 1, 4) - meanOf(profile, index - 5, 4)));
  const edges: { at: number; strength: number }[] = [];
  for (let at = 6; at < profile.length - 6; at++) {
    const here = strength[at] ?? 0;
    const around = strength.slice(at - 4, at + 5);
    if (here >= EDGE_D && here === Math.max(...around) && at - (edges.at(-1)?.at ?? -9) > 3)
      edges.push({ at, strength: here });
  }
  if (edges.length < 2) return null;
  const gaps = edges.slice(1).map(({ at }, index) => at - (edges[index]?.at ?? 0));
  const long = Math.max(...gaps.filter((gap) => gap <= 2.2 * percentile(gaps, 0.7)));
  // The two sides of a clear gap between frames are one border, in its middle.
  const borders: { at: number; pair: boolean }[] = [];
  for (const { at } of edges) {
    const last = borders.at(-1);
    if (last !== undefined && !last.pair && at - last.at < 0.3 * long) {
      last.at = (last.at + at) / 2;
      last.pair = true;
    } else borders.push({ at, pair: false });
  }
  if (borders.length < 2) return null;
  const steps = borders.slice(1).map(({ at }, index) => at - (borders[index]?.at ?? 0));
  let pitch = percentile(steps, 0.3);
  const start = borders[0]?.at ?? 0;
  // Whole numbers of pitches from the first border; the pitch follows them.
  for (let round = 0; round < 4; round++) {
    let [xy, xx] = [0, 0];
    for (const { at } of borders.slice(1)) {
      const whole = Math.round((at - start) / pitch);
      xy += whole * (at - start);
      xx += whole * whole;
    }
    if (xx === 0) return null;
    pitch = xy / xx;
  }
  const count = Math.round(((borders.at(-1)?.at ?? 0) - start) / pitch);
  if (count < 2 || count > 60) return null;
  return { from: (start + 0.5) / profile.length, pitch: pitch / profile.length, count };
}

function meanOf(values: readonly number[], from: number, count: number): number {
  const part = values.slice(Math.max(0, from), Math.max(0, from) + count);
  return part.reduce((sum, one) => sum + one, 0) / Math.max(1, part.length);
}

function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.round(share * (sorted.length - 1))] ?? 0;
}

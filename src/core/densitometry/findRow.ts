import { lightSurface, type LightBlock, type LightSurface } from './lightSurface';
import { lightPlane } from './lightPlane';
import { projected, type Patch, type PatchRow } from './patch';
import type { PixelGrid } from './pixelGrid';
import { surveyPicture } from './surveyPicture';
import type { Transfer } from './transfer';

/** What was found in a picture by itself: an offer, to be looked at. */
export interface FoundRow {
  row: PatchRow;
  /** Something beside the film that lets no light through: a coin, black tape; null where none shows. */
  opaque: Patch | null;
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

/** Shortest piece of clear film that is marked, as a share of the picture's longest edge. */
const LEAST_CLEAR = 0.02;

/** What a row is looked for in: the channel with the least noise. */
export const ROW_CHANNEL = 'green';

/**
 * Finds a row of steps or frames on a strip that lies on bare light, whatever its direction.
 * @param grid the whole picture, best reduced to under 1000 px
 * @param transfer how code values stand for light
 * @param blocks the picture's blocks in `ROW_CHANNEL`, where they are known
 * @returns the row with bare light and clear film; null where no row shows. Source: our choice.
 */
export function findRow(
  grid: PixelGrid,
  transfer: Transfer,
  blocks: readonly LightBlock[] = surveyPicture(grid, ROW_CHANNEL, transfer).blocks,
): FoundRow | null {
  const edge = Math.max(grid.widthPx, grid.heightPx);
  const bare = lightSurface(blocks);
  if (bare === null) return null;
  const { around } = lightPlane(grid, ROW_CHANNEL, transfer);
  const density = (x: number, y: number): number | null => {
    const light = around(x, y);
    return light === null ? null : bare.lnValueAt({ x, y }) / Math.LN10 - Math.log10(Math.max(light, 1e-5));
  };
  const film = filmAxis(grid, edge, density);
  if (film === null) return null;
  const profile = profileAlong(film, density);
  const lattice = latticeOf(profile);
  if (lattice === null) return null;
  const at = (share: number): { x: number; y: number } => {
    const u = (projected(share, film.perspective) - 0.5) * film.long;
    return { x: film.x + u * film.cos, y: film.y + u * film.sin };
  };
  const depthAt = (share: number): number => 1 + film.perspective * share;
  const turn = Math.atan2(film.sin, film.cos);
  const { from, pitch, count } = lattice;
  const end = from + count * pitch;
  const [first, last] = [from + pitch / 2, end - pitch / 2];
  const ends = [
    { room: from, middle: from / 2 },
    { room: 1 - end, middle: (1 + end) / 2 },
  ].sort((a, b) => b.room - a.room);
  const perspective = depthAt(last) / depthAt(first) - 1;
  const across = (film.wide * 0.45) / depthAt((first + last) / 2);
  return {
    row: {
      first: at(first),
      last: at(last),
      count,
      fill: 0.6,
      across,
      ...(Math.abs(perspective) < LEAST_PERSPECTIVE ? {} : { perspective }),
    },
    opaque: opaqueBeside(blocks, bare, film),
    room: { before: wholePitches(from, pitch), after: wholePitches(1 - end, pitch) },
    clear: ends
      .filter(({ room }) => room * film.long >= LEAST_CLEAR)
      .map(({ room, middle }) => ({ ...at(middle), along: Math.min(0.25, room * film.long * 0.5), across, turn })),
  };
}

/** A picture that is nearer to square than this is taken for square. Source: our choice. */
const LEAST_PERSPECTIVE = 0.03;

/** ln of the light below which a block counts as opaque. Source: our choice; film reaches D 1.6 in few pictures. */
const OPAQUE_LN = -3.2;

/** How far around its darkest block something opaque is looked for, and how much darker than the light its rim is, ln. Source: our choice. */
const OPAQUE_REACH = 0.07;
const RIM_LN = -0.5;

/** The middle of the darkest thing that lies clear of the film. */
function opaqueBeside(
  blocks: readonly LightBlock[],
  bare: Pick<LightSurface, 'lnValueAt'>,
  film: FilmAxis,
): Patch | null {
  const size = 1 / 50;
  const below = (block: LightBlock): number => block.lnValue - bare.lnValueAt(block);
  const beside = blocks.filter((block) => {
    const [dx, dy] = [block.x - film.x, block.y - film.y];
    const [u, v] = [dx * film.cos + dy * film.sin, dy * film.cos - dx * film.sin];
    const off = Math.abs(u) > film.long / 2 + size || Math.abs(v) > film.wide / 2 + size;
    return off && below(block) < RIM_LN;
  });
  const darkest = beside.reduce<LightBlock | null>(
    (best, one) => (best === null || one.lnValue < best.lnValue ? one : best),
    null,
  );
  if (darkest === null || below(darkest) > OPAQUE_LN) return null;
  // A rim is half light: each block counts by how dark it is.
  let [x, y, weights] = [0, 0, 0];
  for (const block of beside) {
    if (Math.hypot(block.x - darkest.x, block.y - darkest.y) > OPAQUE_REACH) continue;
    const weight = 1 - Math.exp(below(block));
    x += weight * block.x;
    y += weight * block.y;
    weights += weight;
  }
  return { x: x / weights, y: y / weights, along: size, across: size, turn: 0 };
}

/** Whole patches that fit into a length: nine tenths of one count. */
function wholePitches(length: number, pitch: number): number {
  return Math.max(0, Math.floor(length / pitch + 0.1));
}

interface FilmAxis {
  x: number;
  y: number;
  cos: number;
  sin: number;
  /** Length and width of the film, in shares of the longest edge. */
  long: number;
  wide: number;
  /** How much farther its end lies than its beginning, as a share. */
  perspective: number;
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
    const at = (share: number): number => sorted[Math.round(share * (sorted.length - 1))] as number;
    return [at(0.002), at(0.998)];
  };
  const [u0, u1] = range((x, y) => x * cos + y * sin);
  const [v0, v1] = range((x, y) => y * cos - x * sin);
  const [u, v] = [(u0 + u1) / 2, (v0 + v1) / 2];
  const plain = {
    x: middleX + u * cos - v * sin,
    y: middleY + u * sin + v * cos,
    cos,
    sin,
    long: u1 - u0 + step,
    wide: v1 - v0 + step,
    perspective: 0,
  };
  return inPerspective(plain, film, step);
}

/** Slices along the film whose edges are looked at, and fewest of them from which they count. */
const SLICES = 40;
const LEAST_SLICES = 16;

/**
 * The film by its four edges: seen at an angle, its two long edges run together, and its middle lies where they say.
 * Source: the far end of a strip of one width is seen smaller as it is farther away (projection, textbook).
 */
function inPerspective(film: FilmAxis, places: readonly [number, number][], step: number): FilmAxis {
  const slices = Array.from({ length: SLICES }, () => [] as number[]);
  for (const [x, y] of places) {
    const [dx, dy] = [x - film.x, y - film.y];
    const at = Math.floor(((dx * film.cos + dy * film.sin) / film.long + 0.5) * SLICES);
    slices[at]?.push(dy * film.cos - dx * film.sin);
  }
  const edges = slices.flatMap((vs, at) => {
    if (vs.length < 3) return [];
    const sorted = vs.sort((a, b) => a - b);
    const pick = (share: number): number => sorted[Math.round(share * (sorted.length - 1))] as number;
    return [{ share: (at + 0.5) / SLICES, low: pick(0.02), high: pick(0.98) }];
  });
  // The last slices at both ends are cut by the film's own corners.
  const sound = edges.filter(({ share }) => share > 0.04 && share < 0.96);
  if (sound.length < LEAST_SLICES) return film;
  const low = robustLine(sound.map(({ share, low: v }) => [share, v]));
  const high = robustLine(sound.map(({ share, high: v }) => [share, v]));
  const widthAt = (share: number): number => high.at + high.slope * share - (low.at + low.slope * share) + step;
  const [from, to] = [widthAt(0), widthAt(1)];
  if (from <= 0 || to <= 0) return film;
  const middleAt = (share: number): number => (high.at + low.at + (high.slope + low.slope) * share) / 2;
  const lean = Math.atan2(middleAt(1) - middleAt(0), film.long);
  const turn = Math.atan2(film.sin, film.cos) + lean;
  const v = middleAt(0.5);
  return {
    ...film,
    x: film.x - v * film.sin,
    y: film.y + v * film.cos,
    cos: Math.cos(turn),
    sin: Math.sin(turn),
    wide: from,
    perspective: from / to - 1,
  };
}

/** A line through places that a few wrong ones do not turn: the median of the slopes between all pairs. Source: Theil 1950, Sen 1968. */
function robustLine(places: readonly (readonly [number, number])[]): { at: number; slope: number } {
  const slopes = places.flatMap(([x, y], index) =>
    places.slice(index + 1).map(([otherX, otherY]) => (otherY - y) / (otherX - x)),
  );
  const slope = percentile(slopes, 0.5);
  return {
    slope,
    at: percentile(
      places.map(([x, y]) => y - slope * x),
      0.5,
    ),
  };
}

function medianish(values: readonly number[]): number {
  return values.reduce((sum, one) => sum + one, 0) / values.length;
}

/** Density along the middle of the film, from end to end. */
function profileAlong(film: FilmAxis, density: (x: number, y: number) => number | null): number[] {
  return Array.from({ length: ALONG }, (_, index) => {
    const share = (index + 0.5) / ALONG;
    const u = (projected(share, film.perspective) - 0.5) * film.long;
    const wide = film.wide / (1 + film.perspective * share);
    const across = Array.from({ length: ACROSS }, (__, row) => {
      const v = ((row + 0.5) / ACROSS - 0.5) * wide * 0.5;
      return density(film.x + u * film.cos - v * film.sin, film.y + u * film.sin + v * film.cos) ?? 0;
    }).sort((a, b) => a - b);
    return across[Math.floor(ACROSS / 2)] as number;
  });
}

/** Edges that repeat at equal distances along a profile: where the first patch begins, and how many there are. */
function latticeOf(profile: readonly number[]): { from: number; pitch: number; count: number } | null {
  const strength = profile.map((_, index) => Math.abs(meanOf(profile, index + 1, 4) - meanOf(profile, index - 5, 4)));
  const edges: { at: number; strength: number }[] = [];
  for (let at = 6; at < profile.length - 6; at++) {
    const here = strength[at] as number;
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
  return sorted[Math.round(share * (sorted.length - 1))] as number;
}

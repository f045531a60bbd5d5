/** A place in a picture, as shares of its longest edge, from its upper left corner. */
export interface Place {
  x: number;
  y: number;
}

/** A rectangle that is measured, turned about its middle. */
export interface Patch extends Place {
  /** Edges along and across, as shares of the picture's longest edge. */
  along: number;
  across: number;
  /** Direction of the edge along, radians from the picture's own horizontal, clockwise as seen. */
  turn: number;
}

/** A row of patches of one size at equal distances. */
export interface PatchRow {
  /** Middle of the first and of the last patch. */
  first: Place;
  last: Place;
  count: number;
  /** Share of the distance between two patches that each takes along the row. */
  fill: number;
  /** Edge across the row, as a share of the picture's longest edge. */
  across: number;
}

/** How long a lone patch is beside its edge across. */
const LONE = 1;

/**
 * The patches of a row, first to last, along the line between its ends, whatever its direction.
 * @param row the row; its count is 1 or more
 * @returns one patch for each place
 * @example patchesOf({ first: { x: 0.1, y: 0.5 }, last: { x: 0.9, y: 0.5 }, count: 5, fill: 0.6, across: 0.1 })[1].x // 0.3
 */
export function patchesOf({ first, last, count, fill, across }: PatchRow): Patch[] {
  const [dx, dy] = [last.x - first.x, last.y - first.y];
  const turn = Math.atan2(dy, dx);
  const pitch = count > 1 ? Math.hypot(dx, dy) / (count - 1) : across * LONE;
  return Array.from({ length: count }, (_, index) => {
    const share = count > 1 ? index / (count - 1) : 0;
    return { x: first.x + share * dx, y: first.y + share * dy, along: pitch * fill, across, turn };
  });
}

/** Corners of a patch in order, in the picture's shares. */
export function cornersOf({ x, y, along, across, turn }: Patch): Place[] {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  const corners = [
    [-1, -1],
    [1, -1],
    [1, 1],
    [-1, 1],
  ] as const;
  return corners.map(([u, v]) => ({
    x: x + (u * along * cos - v * across * sin) / 2,
    y: y + (u * along * sin + v * across * cos) / 2,
  }));
}

/**
 * The part of a picture that holds a patch.
 * @param patch the patch
 * @param size size of the picture, px
 * @returns whole pixels within the picture; null where the patch lies outside of it altogether
 */
export function patchBounds(
  patch: Patch,
  { widthPx, heightPx }: { widthPx: number; heightPx: number },
): { leftPx: number; topPx: number; widthPx: number; heightPx: number } | null {
  const edge = Math.max(widthPx, heightPx);
  const corners = cornersOf(patch);
  const left = Math.max(0, Math.floor(Math.min(...corners.map(({ x }) => x)) * edge));
  const top = Math.max(0, Math.floor(Math.min(...corners.map(({ y }) => y)) * edge));
  const right = Math.min(widthPx, Math.ceil(Math.max(...corners.map(({ x }) => x)) * edge));
  const bottom = Math.min(heightPx, Math.ceil(Math.max(...corners.map(({ y }) => y)) * edge));
  return right > left && bottom > top
    ? { leftPx: left, topPx: top, widthPx: right - left, heightPx: bottom - top }
    : null;
}

/**
 * A row with some more patches at one end, at the same distance.
 * @param row the row; its count is 2 or more
 * @param end at which end
 * @param more how many; fewer where below 0
 * @example extendedRow({ first: { x: 0.4, y: 0 }, last: { x: 0.6, y: 0 }, count: 3, … }, 'first', 1).first.x // 0.3
 */
export function extendedRow(row: PatchRow, end: 'first' | 'last', more: number): PatchRow {
  const [from, to] = end === 'first' ? [row.last, row.first] : [row.first, row.last];
  const share = more / (row.count - 1);
  const moved = { x: to.x + (to.x - from.x) * share, y: to.y + (to.y - from.y) * share };
  return { ...row, [end]: moved, count: row.count + more };
}

/**
 * The first piece of clear film that no patch of a row covers.
 * @param row the row
 * @param clear pieces of clear film, the best first
 * @returns null where all are covered
 */
export function clearBeside(row: PatchRow, clear: readonly Patch[]): Patch | null {
  const patches = patchesOf(row);
  return (
    clear.find((piece) =>
      patches.every(({ x, y, along }) => Math.hypot(x - piece.x, y - piece.y) > (along + piece.along) / 2),
    ) ?? null
  );
}

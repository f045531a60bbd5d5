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
  /**
   * How much farther from the camera the last patch lies than the first, as a share; above −1. 0 or missing for a picture that was
   * taken squarely.
   */
  perspective?: number;
}

/** How long a lone patch is beside its edge across. */
const LONE = 1;

/**
 * The patches of a row, first to last, along the line between its ends, whatever its direction. Seen at an angle they follow each
 * other as the projection of equal steps does, the far ones smaller.
 * @param row the row; its count is 1 or more
 * @returns one patch for each place. Source: projection of a line onto a line (homography in one dimension, textbook)
 * @example patchesOf({ first: { x: 0.1, y: 0.5 }, last: { x: 0.9, y: 0.5 }, count: 5, fill: 0.6, across: 0.1 })[1].x // 0.3
 */
export function patchesOf({ first, last, count, fill, across, perspective = 0 }: PatchRow): Patch[] {
  const [dx, dy] = [last.x - first.x, last.y - first.y];
  const turn = Math.atan2(dy, dx);
  const pitch = count > 1 ? Math.hypot(dx, dy) / (count - 1) : across * LONE;
  return Array.from({ length: count }, (_, index) => {
    const share = count > 1 ? index / (count - 1) : 0;
    const depth = 1 + perspective * share;
    const place = projected(share, perspective);
    return {
      x: first.x + place * dx,
      y: first.y + place * dy,
      along: (pitch * fill * (1 + perspective)) / depth ** 2,
      across: (across * (1 + perspective / 2)) / depth,
      turn,
    };
  });
}

/**
 * Where a share of a length is seen at an angle.
 * @param share share of the true length, 0 to 1, or a little beyond
 * @param perspective how much farther its end lies than its beginning, as a share
 * @returns share of the length as seen
 */
export function projected(share: number, perspective: number): number {
  return (share * (1 + perspective)) / (1 + perspective * share);
}

/** A row from its other end. */
export function turnedRow<R extends Pick<PatchRow, 'first' | 'last' | 'perspective'>>(row: R): R {
  const { perspective = 0 } = row;
  return {
    ...row,
    first: row.last,
    last: row.first,
    ...(perspective === 0 ? {} : { perspective: -perspective / (1 + perspective) }),
  };
}

/** How far the middle of a row may be slid, as a share of its length. */
const MIDDLE = [0.25, 0.75] as const;

/**
 * A row whose middle was slid along it, as a picture taken at an angle has it.
 * @param row the row
 * @param by how far the middle was moved, in the picture's shares; across the row it goes nowhere
 * @returns the row with the perspective that puts its middle there
 * Source: the middle of a length is seen at (1 + p) / (2 + p) of it, `projected(1 / 2, p)`.
 */
export function slidMiddle<R extends Pick<PatchRow, 'first' | 'last' | 'perspective'>>(row: R, by: Place): R {
  const { first, last, perspective = 0 } = row;
  const [dx, dy] = [last.x - first.x, last.y - first.y];
  const long = Math.max(1e-6, dx * dx + dy * dy);
  const place = projected(0.5, perspective) + (by.x * dx + by.y * dy) / long;
  const held = Math.min(MIDDLE[1], Math.max(MIDDLE[0], place));
  return { ...row, perspective: (2 * held - 1) / (1 - held) };
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
  const share = more / (row.count - 1);
  const turned = (perspective: number): number => -perspective / (1 + perspective);
  const { perspective: seen = 0 } = row;
  const [from, to] = end === 'first' ? [row.last, row.first] : [row.first, row.last];
  const perspective = end === 'first' ? turned(seen) : seen;
  const place = projected(1 + share, perspective);
  const moved = { x: from.x + (to.x - from.x) * place, y: from.y + (to.y - from.y) * place };
  const longer = perspective * (1 + share);
  return {
    ...row,
    [end]: moved,
    count: row.count + more,
    ...(seen === 0 ? {} : { perspective: end === 'first' ? turned(longer) : longer }),
  };
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

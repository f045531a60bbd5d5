import type { Place } from './patch';
import { channelShares, type ChannelId, type PixelGrid } from './pixelGrid';
import { lightOfCodes, type Transfer } from './transfer';

/** Light of a picture, pixel by pixel, for what is asked of many places. Places are shares of the longest edge. */
export interface LightPlane {
  /** Longest edge of the picture, px. */
  edgePx: number;
  /** Mean linear light of the pixel at a place and its neighbours, as a share of white; null outside of the picture. */
  around: (x: number, y: number) => number | null;
  /** Mean light of a small rectangle, and how uneven it is, as a share of the mean; null where it reaches out of the picture. */
  cell: (place: Place, size: CellSize) => { linear: number; spread: number } | null;
  /** Mean light within a reach to all sides, as far as the picture goes. */
  neighbourhood: (place: Place, reach: number) => number;
}

/** Edges of a small rectangle, px, and its direction, radians. */
export interface CellSize {
  alongPx: number;
  acrossPx: number;
  turn: number;
}

/** Fewest pixels along an edge of a rectangle. */
const LEAST_PX = 3;

/**
 * Works out the light of all pixels once.
 * @param grid the whole picture, best reduced to under 1000 px
 * @param channel what is measured
 * @param transfer how code values stand for light
 * @returns the plane. Source: definition; sums over rectangles by a table of sums (Crow 1984)
 */
export function lightPlane(grid: PixelGrid, channel: ChannelId, transfer: Transfer): LightPlane {
  const { data, channels, widthPx, heightPx } = grid;
  const edgePx = Math.max(widthPx, heightPx);
  const shares = channels < 3 ? [1] : channelShares[channel];
  const linear = lightOfCodes(grid.maximum, transfer);
  const light = new Float64Array(widthPx * heightPx);
  shares.forEach((share, index) => {
    if (share === 0) return;
    for (let pixel = 0, from = index; pixel < light.length; pixel++, from += channels)
      light[pixel] = (light[pixel] as number) + share * linear(data[from] as number);
  });
  const sums = sumsOf(light, widthPx, heightPx);
  /** Mean of a rectangle that is held within the picture, its right and lower edges left out. */
  const meanOf = (left: number, top: number, right: number, bottom: number): number => {
    const [l, r] = [Math.max(0, left), Math.min(widthPx, right)];
    const [t, b] = [Math.max(0, top), Math.min(heightPx, bottom)];
    const sum = (x: number, y: number): number => sums[y * (widthPx + 1) + x] as number;
    return (sum(r, b) - sum(l, b) - sum(r, t) + sum(l, t)) / Math.max(1, (r - l) * (b - t));
  };
  return {
    edgePx,
    around: (x, y) => {
      const [column, row] = [Math.floor(x * edgePx), Math.floor(y * edgePx)];
      if (column < 0 || row < 0 || column >= widthPx || row >= heightPx) return null;
      return meanOf(column - 1, row - 1, column + 2, row + 2);
    },
    cell: ({ x, y }, { alongPx, acrossPx, turn }) => {
      const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
      const [nu, nv] = [alongPx, acrossPx].map((px) => Math.max(LEAST_PX, Math.round(px))) as [number, number];
      let [sum, squares] = [0, 0];
      for (let j = 0; j < nv; j++)
        for (let i = 0; i < nu; i++) {
          const [u, v] = [i - (nu - 1) / 2, j - (nv - 1) / 2];
          const px = Math.floor(x * edgePx + u * cos - v * sin);
          const py = Math.floor(y * edgePx + u * sin + v * cos);
          if (px < 0 || py < 0 || px >= widthPx || py >= heightPx) return null;
          const one = light[py * widthPx + px] as number;
          sum += one;
          squares += one * one;
        }
      const mean = sum / (nu * nv);
      const variance = Math.max(0, squares / (nu * nv) - mean * mean);
      return { linear: mean, spread: Math.sqrt(variance) / Math.max(1e-9, mean) };
    },
    neighbourhood: ({ x, y }, reach) =>
      meanOf(
        Math.round((x - reach) * edgePx),
        Math.round((y - reach) * edgePx),
        Math.round((x + reach) * edgePx),
        Math.round((y + reach) * edgePx),
      ),
  };
}

/** Sums of all that lies above and to the left of each corner between pixels. */
function sumsOf(light: Float64Array, widthPx: number, heightPx: number): Float64Array {
  const sums = new Float64Array((widthPx + 1) * (heightPx + 1));
  for (let y = 0; y < heightPx; y++)
    for (let x = 0, row = 0; x < widthPx; x++) {
      row += light[y * widthPx + x] as number;
      sums[(y + 1) * (widthPx + 1) + x + 1] = (sums[y * (widthPx + 1) + x + 1] as number) + row;
    }
  return sums;
}

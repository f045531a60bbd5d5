import { medianOf } from '../inference/median';
import type { Patch } from './patch';
import { channelShares, type ChannelId, type PixelGrid } from './pixelGrid';
import { encodedOf, lightOfCodes, linearOf, type Transfer } from './transfer';

/** What a patch of a picture shows. */
export interface PatchSample {
  /** Mean of the linear light, as a share of white. */
  linear: number;
  /** Standard error of that mean. */
  linearSe: number;
  /** Spread between pixels: grain, noise and unevenness together. */
  linearSd: number;
  /** Share of the pixels that stand at the largest code value, or within half a per cent of it. */
  clippedShare: number;
  /** Share of the pixels that stand at black. */
  blackShare: number;
  /** Share of the pixels that were left out: dust, scratches. */
  leftOutShare: number;
  /** Light of one step of the code at this tone. */
  stepLinear: number;
  /** Pixels that were looked at. */
  count: number;
}

/** Pixels looked at along each edge at the most: more tell nothing new. Source: our choice. */
const MOST_ALONG = 96;

/** Cells along each edge whose means tell the standard error: neighbouring pixels of a lens or a JPEG are not independent. Source: our choice. */
const CELLS = 4;

/** How far from the median a pixel may lie, in standard deviations as the median deviation tells them. Source: common practice, no source. */
const FAR = 4;

/** Median deviation of a normal spread, as a share of its standard deviation. Source: definition, Φ⁻¹(3/4). */
const MAD_PER_SD = 0.674_49;

/** Code values that count as clipped: cameras often stop a little short of the largest. Source: our choice. */
const CLIPPED_FROM = 0.995;

/**
 * Measures a patch: a mean of linear light that dust and scratches do not move.
 * @param grid pixels that hold the patch; what of the patch lies outside of them is passed over
 * @param patch where to measure, in shares of the picture's longest edge
 * @param edgePx longest edge of the whole picture, px
 * @param channel what is measured
 * @param transfer how code values stand for light
 * @returns the sample; null where fewer than nine pixels lie within
 * Source: D is defined by the mean of the light (ISO 5 series); trimming by the median deviation is common practice.
 */
export function samplePatch(
  grid: PixelGrid,
  patch: Patch,
  edgePx: number,
  channel: ChannelId,
  transfer: Transfer,
): PatchSample | null {
  const nAlong = Math.max(3, Math.min(MOST_ALONG, Math.round(patch.along * edgePx)));
  const nAcross = Math.max(3, Math.min(MOST_ALONG, Math.round(patch.across * edgePx)));
  const cos = Math.cos(patch.turn);
  const sin = Math.sin(patch.turn);
  const { leftPx, topPx, widthPx, heightPx } = grid;
  const light = lightOf(grid, channel, transfer);
  const room = nAlong * nAcross;
  const inOrder = new Float64Array(room);
  const cells = new Uint8Array(room);
  let [count, clipped, black] = [0, 0, 0];
  for (let j = 0; j < nAcross; j++) {
    const v = (j + 0.5) / nAcross - 0.5;
    const row = CELLS * Math.floor((v + 0.5) * CELLS);
    const fromX = patch.x - v * patch.across * sin;
    const fromY = patch.y + v * patch.across * cos;
    for (let i = 0; i < nAlong; i++) {
      const u = (i + 0.5) / nAlong - 0.5;
      const x = Math.floor((fromX + u * patch.along * cos) * edgePx) - leftPx;
      const y = Math.floor((fromY + u * patch.along * sin) * edgePx) - topPx;
      if (x < 0 || y < 0 || x >= widthPx || y >= heightPx) continue;
      const pixel = light(y * widthPx + x);
      inOrder[count] = pixel.linear;
      cells[count] = row + Math.floor((u + 0.5) * CELLS);
      count += 1;
      if (pixel.atTop) clipped += 1;
      if (pixel.atBottom) black += 1;
    }
  }
  if (count < 9) return null;
  const values = inOrder.subarray(0, count);
  const middle = medianOf(values);
  const stepLinear = stepAt(middle, grid.maximum, transfer);
  const spread = medianOf(values.map((value) => Math.abs(value - middle))) / MAD_PER_SD;
  const far = FAR * Math.max(spread, stepLinear / 2);
  const sums = new Float64Array(CELLS * CELLS);
  const counts = new Float64Array(CELLS * CELLS);
  let [kept, sum, squares] = [0, 0, 0];
  for (let index = 0; index < count; index++) {
    const value = values[index] as number;
    const off = value - middle;
    if (Math.abs(off) > far) continue;
    const cell = cells[index] as number;
    sums[cell] = (sums[cell] as number) + value;
    counts[cell] = (counts[cell] as number) + 1;
    kept += 1;
    sum += value;
    squares += off * off;
  }
  const linear = sum / kept;
  const linearSd = Math.sqrt(Math.max(0, squares / kept - (linear - middle) ** 2));
  const means = [...sums].flatMap((total, cell) => ((counts[cell] as number) > 0 ? [total / (counts[cell] ?? 1)] : []));
  // A tone without noise stays within its step, wherever in it the truth lies.
  const rounding = linearSd < stepLinear / 2 ? stepLinear / Math.sqrt(12) : 0;
  return {
    linear,
    linearSe: Math.hypot(standardErrorOf(means), rounding),
    linearSd,
    clippedShare: clipped / count,
    blackShare: black / count,
    leftOutShare: 1 - kept / count,
    stepLinear,
    count,
  };
}

/** One pixel after the other: its light, and whether it stands at white or at black. */
interface PixelLight {
  linear: number;
  atTop: boolean;
  atBottom: boolean;
}

/** Reads pixels of a picture; the answer is one object, filled anew each time. */
function lightOf(
  { data, channels, maximum }: PixelGrid,
  channel: ChannelId,
  transfer: Transfer,
): (pixel: number) => PixelLight {
  const shares = channels < 3 ? [1] : channelShares[channel];
  const linear = lightOfCodes(maximum, transfer);
  const top = CLIPPED_FROM * maximum;
  const found: PixelLight = { linear: 0, atTop: false, atBottom: false };
  return (pixel) => {
    found.linear = 0;
    found.atTop = false;
    found.atBottom = true;
    for (let index = 0; index < shares.length; index++) {
      const share = shares[index] as number;
      if (share === 0) continue;
      const code = data[pixel * channels + index] as number;
      found.linear += share * linear(code);
      if (code >= top) found.atTop = true;
      if (code > 0) found.atBottom = false;
    }
    return found;
  };
}

/** Light of one code step at a tone. */
function stepAt(linear: number, maximum: number, transfer: Transfer): number {
  const code = Math.round(encodedOf(linear, transfer) * maximum);
  return (
    linearOf(Math.min(1, (code + 0.5) / maximum), transfer) - linearOf(Math.max(0, (code - 0.5) / maximum), transfer)
  );
}

/** Standard error of the mean of some means. Source: GUM (JCGM 100:2008), 4.2.3. */
function standardErrorOf(means: readonly number[]): number {
  const count = means.length;
  if (count < 2) return 0;
  const mean = means.reduce((sum, one) => sum + one, 0) / count;
  return Math.sqrt(means.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (count - 1) / count);
}

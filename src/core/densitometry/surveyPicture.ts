import type { LightBlock } from './lightSurface';
import { samplePatch } from './samplePatch';
import type { ChannelId, PixelGrid } from './pixelGrid';
import { channelShares } from './pixelGrid';
import { lightOfCodes, type Transfer } from './transfer';

/** A picture as a whole: where its bare light may be, and of what tones it is made. */
export interface PictureSurvey {
  blocks: LightBlock[];
  /** Shares of the picture by ln of their value. */
  tones: { lnValue: number; share: number }[];
  /** Shares of the pixels at black and at white. */
  blackShare: number;
  whiteShare: number;
}

/** Blocks along the longest edge. Source: our choice. */
const BLOCKS = 30;

/** Bins of tones, and the darkest that is kept apart. */
const BINS = 32;
const LN_DARKEST = -8;

/** Share of clipped pixels from which a block no longer tells its level. */
const MOST_CLIPPED = 0.02;

/**
 * Looks at a whole picture.
 * @param grid the whole picture, best reduced to under 1000 px
 * @param channel what is measured
 * @param transfer how code values stand for light
 */
export function surveyPicture(grid: PixelGrid, channel: ChannelId, transfer: Transfer): PictureSurvey {
  const edge = Math.max(grid.widthPx, grid.heightPx);
  const size = edge / BLOCKS;
  const blocks: LightBlock[] = [];
  for (let y = size / 2; y < grid.heightPx; y += size)
    for (let x = size / 2; x < grid.widthPx; x += size) {
      const place = { x: x / edge, y: y / edge };
      const patch = { ...place, along: (0.8 * size) / edge, across: (0.8 * size) / edge, turn: 0 };
      const sample = samplePatch(grid, patch, edge, channel, transfer);
      if (sample === null || sample.linear <= 0) continue;
      blocks.push({
        ...place,
        lnValue: Math.log(sample.linear),
        spread: sample.linearSd / sample.linear + sample.leftOutShare,
        clipped: sample.clippedShare > MOST_CLIPPED,
      });
    }
  return { blocks, ...tonesOf(grid, channel, transfer) };
}

function tonesOf(
  { data, channels, maximum, widthPx, heightPx }: PixelGrid,
  channel: ChannelId,
  transfer: Transfer,
): Omit<PictureSurvey, 'blocks'> {
  const shares = channels < 3 ? [1] : channelShares[channel];
  const linear = lightOfCodes(maximum, transfer);
  const sums = new Float64Array(BINS);
  const counts = new Float64Array(BINS);
  const pixels = widthPx * heightPx;
  const every = Math.max(1, Math.floor(pixels / 60_000));
  let [black, white, looked] = [0, 0, 0];
  for (let pixel = 0; pixel < pixels; pixel += every) {
    let value = 0;
    let code = 0;
    for (let index = 0; index < shares.length; index++) {
      const share = shares[index] as number;
      if (share === 0) continue;
      code = data[pixel * channels + index] as number;
      value += share * linear(code);
    }
    looked += 1;
    if (value <= linear(1)) black += 1;
    if (code >= 0.995 * maximum) white += 1;
    const bin = Math.min(BINS - 1, Math.max(0, Math.floor(BINS * (1 - Math.log(Math.max(value, 1e-9)) / LN_DARKEST))));
    sums[bin] = (sums[bin] as number) + value;
    counts[bin] = (counts[bin] as number) + 1;
  }
  const tones = [...counts].flatMap((count, bin) =>
    count === 0 ? [] : [{ lnValue: Math.log(Math.max(1e-6, (sums[bin] as number) / count)), share: count / looked }],
  );
  return { tones, blackShare: black / looked, whiteShare: white / looked };
}

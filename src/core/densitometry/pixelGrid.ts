/** Pixels of a picture, or of a part of it, as code values. */
export interface PixelGrid {
  /** Place of the first pixel in the whole picture, px. */
  leftPx: number;
  topPx: number;
  widthPx: number;
  heightPx: number;
  /** Values for each pixel: 1 grey, 2 grey and alpha, 3 red, green and blue, 4 with alpha. */
  channels: number;
  data: ArrayLike<number>;
  /** Code value of white: 255 for 8 bits, 65 535 for 16. */
  maximum: number;
}

/** What of a picture is measured. */
export const channelIds = ['visual', 'red', 'green', 'blue'] as const;
export type ChannelId = (typeof channelIds)[number];

/** Shares of red, green and blue in a channel. Source: luminance of linear sRGB, IEC 61966-2-1, for the visual mix. */
export const channelShares: Record<ChannelId, readonly [red: number, green: number, blue: number]> = {
  visual: [0.2126, 0.7152, 0.0722],
  red: [1, 0, 0],
  green: [0, 1, 0],
  blue: [0, 0, 1],
};

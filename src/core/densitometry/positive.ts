import { BLACKEST_D, WHITEST_D } from './scene';
import { encodedOf, linearOf, type Transfer } from './transfer';

/** What a negative is turned into a positive by, for red, green and blue alike. */
export interface PositiveLevels {
  /** Bare light of the picture by channel, linear. */
  light: readonly [red: number, green: number, blue: number];
  /** Density that becomes black, by channel: base, fog and mask or stain, D. */
  blackD: readonly [red: number, green: number, blue: number];
  /** Density above that which becomes white, D; above 0. */
  rangeD: number;
}

/** Code value of white on a screen. */
const WHITE = 255;

/**
 * A table from code values of a negative to grey values of its positive, for one channel.
 * @param maximum largest code value, 255 for 8 bits
 * @param transfer how the negative's code values stand for light
 * @param levels black and white points
 * @param channel 0 red, 1 green, 2 blue
 * @returns a grey of 0 to 255 for each code value. Source: D = −log10(T), ISO 5 series; the print's range as in the scene's positives.
 */
export function positiveTable(
  maximum: number,
  transfer: Transfer,
  { light, blackD, rangeD }: PositiveLevels,
  channel: 0 | 1 | 2,
): Uint8ClampedArray {
  return Uint8ClampedArray.from({ length: maximum + 1 }, (_, code) => {
    const linear = Math.max(linearOf(code / maximum, transfer), 1e-6);
    const image = Math.log10(light[channel] / linear) - blackD[channel];
    const share = Math.min(1, Math.max(0, image / rangeD));
    return Math.round(WHITE * encodedOf(10 ** -(BLACKEST_D + share * (WHITEST_D - BLACKEST_D)), { id: 'srgb' }));
  });
}

/**
 * Levels for a picture of a negative from the spread of its densities.
 * @param densities some densities of the film by channel, D, in any order; at least one each
 * @param light bare light by channel, linear
 * @param base density of clear film by channel, D; null where none was marked: then the thinnest hundredth stands for it
 * @returns black at clear film, white where a hundredth of the picture is denser. Source: common practice, no source.
 */
export function positiveLevels(
  densities: readonly [readonly number[], readonly number[], readonly number[]],
  light: PositiveLevels['light'],
  base: PositiveLevels['blackD'] | null,
): PositiveLevels {
  const at = (channel: number, share: number): number => {
    const sorted = [...(densities[channel] ?? [])].sort((a, b) => a - b);
    return sorted[Math.round(share * (sorted.length - 1))] as number;
  };
  const blackD: [number, number, number] = base === null ? [at(0, 0.01), at(1, 0.01), at(2, 0.01)] : [...base];
  const rangeD = Math.max(
    LEAST_RANGE_D,
    ...[0, 1, 2].map((channel) => at(channel, 0.99) - (blackD[channel] as number)),
  );
  return { light, blackD, rangeD };
}

/** Narrowest range that is spread from black to white: less would be noise alone, D. Source: our choice. */
const LEAST_RANGE_D = 0.15;

import { patchGrey } from '../densitometry/patchGrey';
import type { PaperBase } from './wetPrint';

/** Density that coffee leaves in bare paper, by its base, in blue light, after the usual time in the tray, D. Source: our estimate. */
const blueD: Record<PaperBase, readonly [low: number, high: number]> = {
  coated: [0.01, 0.06],
  fibre: [0.05, 0.2],
};

/** Time in the tray that the table is for, min. Source: common practice, no source. */
const USUAL_MIN = 4.5;

/** What a brown stain takes of green and red light, as shares of blue. Source: our estimate, from the look of coffee on paper. */
const GREEN_SHARE = 0.5;
const RED_SHARE = 0.15;

/** Bare paper that took colour. */
export interface StainedPaper {
  /** Density in blue light, D. */
  blueD: number;
  /** Light that it gives back in red, green and blue, as shares. */
  reflected: readonly [red: number, green: number, blue: number];
  /** The same on a screen: codes of sRGB, 0 to 255. */
  screen: readonly number[];
}

/**
 * How warm coffee leaves the white of a print.
 * @param base what the paper is made on
 * @param minutes time in the tray, min; above 0
 * @returns the least and the most that is to be expected; nobody can say closer
 * Source: the densities are our estimate; that a stain goes in with the square root of the time is diffusion, textbook
 */
export function coffeeWarmth(base: PaperBase, minutes: number): { least: StainedPaper; most: StainedPaper } {
  const grown = Math.sqrt(Math.max(0, minutes) / USUAL_MIN);
  const stained = (densityD: number): StainedPaper => {
    const channelsD = [RED_SHARE * densityD, GREEN_SHARE * densityD, densityD] as const;
    const [red, green, blue] = channelsD;
    return {
      blueD: densityD,
      reflected: [10 ** -red, 10 ** -green, 10 ** -blue],
      screen: channelsD.map((one) => patchGrey(one)),
    };
  };
  const [low, high] = blueD[base];
  return { least: stained(low * grown), most: stained(high * grown) };
}

import { interpolate } from '../inference/interpolate';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import { patchGrey } from './patchGrey';

/**
 * Tones of the scene at the hut, as stops above the fresh film's speed point when it is exposed at its index: the meter's grey lies
 * 3.3 stops above it. Source: ISO 6:1993 for the grey (8/S over 0.8/S is a factor of ten); luminances of the scene are our choice.
 */
export const sceneTones = {
  doorway: 0,
  rock: 0.9,
  roof: 1.5,
  shadedWall: 2.1,
  forest: 2.6,
  meadow: 3.3,
  path: 4.1,
  farMountain: 4.4,
  wall: 4.9,
  sky: 5.6,
  cloud: 6.4,
  snow: 7.1,
} as const;

export type ToneId = keyof typeof sceneTones;
export const toneIds = Object.keys(sceneTones) as ToneId[];

/** A grey for each tone of the scene, 0 to 255. */
export type SceneGreys = Record<ToneId, number>;

/** Density range that a scanner or a normal paper spreads from white to black. Source: common practice (a normal paper takes about 1.2). */
const SCANNED_RANGE_D = 1.25;

/** Density of the deepest black of the positive, and of its white, D. Source: our choice. */
export const BLACKEST_D = 1.9;
export const WHITEST_D = 0.05;

/**
 * A negative as it lies on a light table.
 * @param densityAt density by log10 of the exposure relative to the fresh film's speed point, D
 * @returns greys, 255 where the bare light would be
 */
export function negativeGreys(densityAt: (logH: number) => number): SceneGreys {
  return greys((stops) => patchGrey(densityAt(stops * LOG_EXPOSURE_PER_STOP)));
}

/**
 * The same, scanned as a positive: base and fog are taken off, and a fixed range of densities is spread from black to white, so that
 * contrast and lost shadows show.
 * @param densityAt density by log10 of the exposure, D
 * @param baseFogD density of base and fog, D
 * @returns greys of the positive
 */
export function positiveGreys(densityAt: (logH: number) => number, baseFogD: number): SceneGreys {
  return greys((stops) => {
    const image = densityAt(stops * LOG_EXPOSURE_PER_STOP) - baseFogD;
    const share = Math.min(1, Math.max(0, image / SCANNED_RANGE_D));
    return patchGrey(BLACKEST_D + share * (WHITEST_D - BLACKEST_D));
  });
}

function greys(of: (stops: number) => number): SceneGreys {
  return Object.fromEntries(toneIds.map((id) => [id, of(sceneTones[id])])) as SceneGreys;
}

/**
 * Densities between samples of a characteristic curve.
 * @param logH exposures of the samples, ascending
 * @param densities densities at them, D
 * @returns density at any exposure, by straight lines; the ends go on level
 */
export function curveBetween(logH: readonly number[], densities: readonly number[]): (at: number) => number {
  return (at) =>
    interpolate(
      logH.length,
      (index) => logH[index] as number,
      (index) => densities[index] as number,
      at,
    );
}

import { LOG_EXPOSURE_PER_STOP } from '../units/stops';

/** Width of the toe, log10 H. Source: our estimate. */
const TOE_WIDTH = 0.16;

/** How sharply the shoulder bends. Source: our estimate. */
const SHOULDER_POWER = 6;

/** Density above base + fog at the speed point. Source: ISO 6:1993. */
export const SPEED_POINT_D = 0.1;

/** Span of log10 H over which the average gradient is taken, from the speed point. Source: ISO 6:1993. */
export const CONTRAST_SPAN = 1.3;

/** Average gradient at which the speed of film is stated: 0.80 in 1.30. Source: ISO 6:1993. */
export const ISO_GRADIENT = 0.8 / CONTRAST_SPAN;

/** A developed film. */
export interface DevelopedFilm {
  /** Average gradient before fog takes its share. */
  gradient: number;
  /** Density of base and fog altogether, D. */
  baseFogD: number;
  /** Age fog alone, D: what it takes from the image. */
  fogD: number;
  /** Largest density, D. */
  maximumDensityD: number;
  /** Speed lost, stops. */
  lossStops: number;
  /** Share of the image's density range that highlights can use; 1, or less where they are held back. */
  highlightShare: number;
}

/**
 * Density after an exposure: a toe, a straight part, a shoulder.
 * @param film the developed film
 * @param logH log10 of the exposure relative to the speed point of the fresh film
 * @returns density, D; rises with exposure, between base + fog and the largest density
 * Source: shape our estimate; it meets the contrast condition of ISO 6:1993 for fresh film at its stated speed.
 */
export function characteristicDensity(film: DevelopedFilm, logH: number): number {
  return film.baseFogD + imageDensity(film, logH);
}

/**
 * Density of the image alone, above base + fog.
 * @param film the developed film
 * @param logH log10 of the exposure relative to the speed point of the fresh film
 * @returns density, D; 0 or more
 */
export function imageDensity(film: DevelopedFilm, logH: number): number {
  const room = film.maximumDensityD - film.fogD;
  if (room <= 0) return 0;
  const left = room / film.maximumDensityD;
  const straight =
    film.gradient *
    STRAIGHT_PER_AVERAGE *
    TOE_WIDTH *
    softPlus((logH - LOG_EXPOSURE_PER_STOP * film.lossStops - TOE_START) / TOE_WIDTH) *
    left;
  return softLimit(straight, room * film.highlightShare);
}

/**
 * Separation of the two darkest usable zones: the first whole stop above the speed point of the fresh film with at least
 * 0.10 D of image, and the next.
 * @param film the developed film
 * @returns the zone as stops above the fresh film's speed point, and the difference of density to the next; null where no zone within ten stops is usable
 * Source: usable from 0.10 D after ISO 6:1993; the rest is our choice.
 */
export function shadowSeparation(film: DevelopedFilm): { zoneStops: number; separationD: number } | null {
  for (let zone = 0; zone <= 10; zone++) {
    const density = imageDensity(film, zone * LOG_EXPOSURE_PER_STOP);
    // A thousandth of tolerance: the fresh film stands at 0.10 exactly.
    if (density >= SPEED_POINT_D - 1e-3)
      return { zoneStops: zone, separationD: imageDensity(film, (zone + 1) * LOG_EXPOSURE_PER_STOP) - density };
  }
  return null;
}

function softPlus(x: number): number {
  return x > 30 ? x : Math.log1p(Math.exp(x));
}

/** Grows like the density at first and levels off at a limit. */
function softLimit(density: number, limit: number): number {
  return density / (1 + (density / limit) ** SHOULDER_POWER) ** (1 / SHOULDER_POWER);
}

/** Where the toe begins and how much steeper the straight part is than the average, so that ISO 6 holds at the ISO gradient. */
const { start: TOE_START, steepness: STRAIGHT_PER_AVERAGE } = fitToIso();

function fitToIso(): { start: number; steepness: number } {
  let start = 0;
  let steepness = 1;
  for (let round = 0; round < 200; round++) {
    const scale = ISO_GRADIENT * steepness * TOE_WIDTH;
    start = -TOE_WIDTH * Math.log(Math.expm1(SPEED_POINT_D / scale));
    const rise = scale * (softPlus((CONTRAST_SPAN - start) / TOE_WIDTH) - softPlus(-start / TOE_WIDTH));
    steepness *= 0.8 / rise;
  }
  return { start, steepness };
}

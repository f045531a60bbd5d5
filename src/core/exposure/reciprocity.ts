import { failure, success, type Result } from '../schema/result';
import type { StockFamilyId } from '../films/stockFamilies';

/** Metered time from which reciprocity fails, s. Source: common practice, no source. */
export const RECIPROCITY_FROM_S = 1;

/** Exponent p for film of which nothing is known. Source: common practice, no source. */
export const UNKNOWN_EXPONENT = 1.3;

/** Exponents by kind of film: tabular grain holds better, old thick emulsions worse. Source: our estimate around the common 1.3. */
const exponents: Partial<Record<StockFamilyId, number>> = {
  'pan-tabular-medium': 1.2,
  'pan-tabular-fast': 1.2,
  'chromogenic-monochrome': 1.25,
  'colour-negative-obsolete': 1.4,
  orthochromatic: 1.35,
  'x-ray': 1.4,
};

/**
 * Reciprocity exponent to start from.
 * @param familyId stock family
 * @returns p. Source: common practice for unknown film (1.3); departures are our estimate.
 */
export function usualExponent(familyId: StockFamilyId): number {
  return exponents[familyId] ?? UNKNOWN_EXPONENT;
}

/**
 * Exposure time with reciprocity failure: t_c = t_m^p beyond one second.
 * @param meteredS metered time, s; above 0
 * @param exponent p; 1 to 2
 * @returns corrected time, s; the metered time up to one second
 * Source: power law, common practice; of the form of Schwarzschild 1900.
 * @example correctedTime(10, 1.3) // 19.95
 */
export function correctedTime(meteredS: number, exponent: number): number {
  return meteredS <= RECIPROCITY_FROM_S ? meteredS : meteredS ** exponent;
}

/** A frame of one's own: what the meter said, and the time that came out right. */
export interface ReciprocityFrame {
  meteredS: number;
  rightS: number;
}

/**
 * Exponent from one's own frames: the slope through the origin of ln(right) on ln(metered), by least squares.
 * @param frames frames metered beyond one second; one gives p, two and more average it
 * @returns p, or why the frames say nothing
 * Source: least squares on the power law.
 * @example fitExponent([{ meteredS: 10, rightS: 20 }, { meteredS: 100, rightS: 400 }]) // p = 1.301
 */
export function fitExponent(frames: readonly ReciprocityFrame[]): Result<number> {
  const used = frames.filter(({ meteredS, rightS }) => meteredS > RECIPROCITY_FROM_S && rightS > 0);
  if (used.length === 0)
    return failure({ path: 'frames', message: 'Give a frame that was metered at more than one second.' });
  const xy = used.reduce((sum, { meteredS, rightS }) => sum + Math.log(meteredS) * Math.log(rightS), 0);
  const xx = used.reduce((sum, { meteredS }) => sum + Math.log(meteredS) ** 2, 0);
  const exponent = xy / xx;
  if (exponent < 1)
    return failure({
      path: 'frames',
      message:
        'By these frames long exposures would need less light than metered. Swap metered and right time, or look at the frames again.',
    });
  return success(exponent);
}

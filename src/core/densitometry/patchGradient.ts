import { failure, success, type Result } from '../schema/result';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';

/** Stops between the darkest and the lightest tone of an ordinary scene that still show detail. Source: common practice, no source. */
export const SCENE_STOPS = 7;

/**
 * Average gradient between two tones of one strip.
 * @param shadowD density of the thinner tone, D; 0 or more
 * @param highlightD density of the denser tone, D; 0 or more
 * @param stopsBetween difference of their exposures, stops; above 0
 * @returns ΔD / Δlog H; a problem when the tones are the wrong way round
 * Source: definition of an average gradient.
 * @example patchGradient(0.4, 1.6, 7) // 0.569
 */
export function patchGradient(shadowD: number, highlightD: number, stopsBetween: number): Result<number> {
  if (!(stopsBetween > 0))
    return failure({ path: 'stopsBetween', message: 'Stops between the two tones: give a number above 0.' });
  if (highlightD < shadowD) {
    return failure({
      path: 'highlightD',
      message:
        'The denser tone is thinner than the thin one: on a negative, bright parts of the scene are dense. Exchange the two.',
    });
  }
  return success((highlightD - shadowD) / (stopsBetween * LOG_EXPOSURE_PER_STOP));
}

/** Densities of the patches that are drawn to compare with by eye, D above clear film. Source: our choice. */
export const EYE_PATCHES_D = [0.1, 0.2, 0.3, 0.45, 0.6, 0.8, 1, 1.25, 1.5, 1.8, 2.2] as const;

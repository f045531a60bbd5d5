import type { PatchSample } from './samplePatch';

/** Why a patch has no density. */
export type PatchFault = 'clipped' | 'black' | 'small';

/** Density of one patch. */
export interface PatchDensity {
  densityD: number;
  /** Standard error, D. */
  seD: number;
  fault: PatchFault | null;
}

/** Share of clipped pixels from which the mean is no longer true. Source: our choice. */
const MOST_CLIPPED = 0.01;

/** Steps of the code below which a tone is lost between black and noise. Source: our choice. */
const LEAST_STEPS = 3;

/** No picture tells a density better than this, for flare and the light's own drift, D. Source: our estimate. */
const LEAST_SE_D = 0.005;

/**
 * Density of a patch against the bare light.
 * @param sample the patch; null where it is too small
 * @param light the bare light at the same place
 * @returns density with its standard error; a fault in place of a number that would be false
 * Source: D = −log10(transmittance), ISO 5 series; spread by first order, GUM (JCGM 100:2008), 5.1.2.
 * @example patchDensity({ linear: 0.09, … }, { linear: 0.9, linearSe: 0.001 }).densityD // 1
 */
export function patchDensity(sample: PatchSample | null, light: { linear: number; linearSe: number }): PatchDensity {
  const none = (fault: PatchFault): PatchDensity => ({ densityD: Number.NaN, seD: Number.NaN, fault });
  if (sample === null) return none('small');
  if (sample.clippedShare > MOST_CLIPPED) return none('clipped');
  if (sample.linear < LEAST_STEPS * sample.stepLinear || sample.blackShare > MOST_CLIPPED) return none('black');
  return {
    densityD: Math.log10(light.linear / sample.linear),
    seD: Math.hypot(Math.hypot(sample.linearSe / sample.linear, light.linearSe / light.linear) / Math.LN10, LEAST_SE_D),
    fault: null,
  };
}

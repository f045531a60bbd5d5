import * as z from 'zod';
import { within } from '../schema/within';
import type { PatchSample } from './samplePatch';

/** Why a patch has no density. */
export const patchFaults = ['clipped', 'black', 'small'] as const;
export type PatchFault = (typeof patchFaults)[number];

/** Density of one patch. */
export interface PatchDensity {
  /** Not a number where there is a fault. */
  densityD: number;
  /** Standard error, D. */
  seD: number;
  fault: PatchFault | null;
}

/** A patch as it is kept: without numbers where it could not be read. */
export const measuredPatchSchema = z.strictObject({
  densityD: within('Density', -1, 6, 'D').nullable(),
  seD: within('Standard error', 0, 6, 'D').nullable(),
  fault: z.enum(patchFaults).nullable(),
});

export type MeasuredPatch = z.infer<typeof measuredPatchSchema>;

/** A density as it is kept, to ten-thousandths. */
export function keptPatch({ densityD, seD, fault }: PatchDensity): MeasuredPatch {
  if (fault !== null) return { densityD: null, seD: null, fault };
  return { densityD: Number(densityD.toFixed(4)), seD: Number(seD.toFixed(4)), fault };
}

/** The way back: a patch that was kept. */
export function patchOfKept({ densityD, seD, fault }: MeasuredPatch): PatchDensity {
  return {
    densityD: densityD ?? Number.NaN,
    seD: seD ?? Number.NaN,
    fault: densityD === null ? (fault ?? 'small') : fault,
  };
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

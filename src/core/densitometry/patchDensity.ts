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
  /** Glare or doubt rules it: it has this density or more, nine times in ten. */
  atLeast?: boolean;
}

/** A patch as it is kept: without numbers where it could not be read. */
export const measuredPatchSchema = z.strictObject({
  densityD: within('Density', -1, 6, 'D').nullable(),
  seD: within('Standard error', 0, 6, 'D').nullable(),
  fault: z.enum(patchFaults).nullable(),
  atLeast: z.boolean().optional(),
});

export type MeasuredPatch = z.infer<typeof measuredPatchSchema>;

/** A density as it is kept, to ten-thousandths. */
export function keptPatch({ densityD, seD, fault, atLeast }: PatchDensity): MeasuredPatch {
  if (fault !== null) return { densityD: null, seD: null, fault };
  const numbers = { densityD: Number(densityD.toFixed(4)), seD: Number(seD.toFixed(4)), fault };
  return atLeast === true ? { ...numbers, atLeast } : numbers;
}

/** The way back: a patch that was kept. */
export function patchOfKept({ densityD, seD, fault, atLeast }: MeasuredPatch): PatchDensity {
  return {
    densityD: densityD ?? Number.NaN,
    seD: seD ?? Number.NaN,
    fault: densityD === null ? (fault ?? 'small') : fault,
    ...(atLeast === true ? { atLeast } : {}),
  };
}

/** Share of clipped pixels from which the mean is no longer true. Source: our choice. */
export const MOST_CLIPPED = 0.01;

/** Steps of the code below which a tone is lost between black and noise. Source: our choice. */
export const LEAST_STEPS = 3;

/**
 * Why a patch has no density in a picture; null where it has one.
 * @param sample the patch; null where it is too small
 */
export function patchFault(sample: PatchSample | null): PatchFault | null {
  if (sample === null) return 'small';
  if (sample.clippedShare > MOST_CLIPPED) return 'clipped';
  return sample.linear < LEAST_STEPS * sample.stepLinear || sample.blackShare > MOST_CLIPPED ? 'black' : null;
}

/** A patch that no picture could read: why, by the first of them. */
export function lostPatch(faults: readonly (PatchFault | null)[]): PatchDensity {
  return { densityD: Number.NaN, seD: Number.NaN, fault: faults.find((fault) => fault !== null) ?? 'small' };
}

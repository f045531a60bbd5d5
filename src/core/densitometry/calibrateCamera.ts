import { keptBelief, unknownCamera } from './cameraBelief';
import { readStrip, type PictureSamples, type StripFault } from './readStrip';
import type { CameraBelief } from './cameraUnknowns';
import type { KnownDensity } from './pictureRead';
import type { Transfer } from './transfer';

/** A camera that was held against known densities. */
export interface CameraCalibration {
  belief: CameraBelief;
  /** How far each step is off from what the other steps say of it, D; null for one that no picture reads. */
  leftOutD: (number | null)[];
  /** Root mean square of these, D. */
  rmsD: number;
}

export type CalibrationAnswer = { ok: true; calibration: CameraCalibration } | { ok: false; fault: StripFault };

/** Fewest steps that calibrate a camera. */
export const LEAST_STEPS = 3;

/** What a step of a bought wedge and one of layers are good to, D. Source: our estimate. */
export const WEDGE_STEP_SD_D = 0.01;
export const LAYER_SD_D = 0.003;

/** Layers of one even film, thin to dense: one, two, three … Their densities add up; what one has is not known. */
export function layersOf(count: number): KnownDensity[] {
  return Array.from({ length: count }, (_, patch) => ({ patch, unitShare: patch + 1, offsetD: 0, sdD: LAYER_SD_D }));
}

/** Steps of known densities. */
export function stepsOf(densitiesD: readonly number[]): KnownDensity[] {
  return densitiesD.map((offsetD, patch) => ({ patch, unitShare: 0, offsetD, sdD: WEDGE_STEP_SD_D }));
}

/**
 * Calibrates a camera by a strip whose densities are known or add up.
 * @param pictures one or more exposures; layers tell the shape of the response alone, and its scale with a second exposure
 * @param known what is known of each step
 * @param transfer how its pictures are encoded
 * @returns what is believed of the camera then, and each step held against the fit without it
 * Source: `fitStrip`; leave-one-out residuals (textbook): a fit always looks good on what it was fitted to.
 */
export function calibrateCamera(
  pictures: readonly PictureSamples[],
  known: readonly KnownDensity[],
  transfer: Transfer,
): CalibrationAnswer {
  const before = unknownCamera(transfer);
  const whole = readStrip(pictures, before, known);
  if (!whole.ok) return whole;
  const leftOutD = known.map((one) => {
    const others = known.filter((other) => other !== one);
    const read = readStrip(pictures, before, others);
    const patch = read.ok ? read.read.patches[one.patch] : undefined;
    if (patch === undefined || patch.fault !== null) return null;
    const unit = unitOf(others, read.ok ? read.read.patches : []);
    return one.unitShare * unit + one.offsetD - patch.densityD;
  });
  const sound = leftOutD.flatMap((off) => off ?? []);
  return {
    ok: true,
    calibration: {
      belief: keptBelief(whole.read.camera),
      leftOutD,
      rmsD: Math.sqrt(sound.reduce((sum, off) => sum + off * off, 0) / Math.max(1, sound.length)),
    },
  };
}

/** Density of one layer, by the other stacks as the fit has them. */
function unitOf(known: readonly KnownDensity[], patches: readonly { densityD: number; fault: unknown }[]): number {
  let [sum, weights] = [0, 0];
  for (const { patch, unitShare } of known) {
    const read = patches[patch];
    if (unitShare === 0 || read === undefined || read.fault !== null) continue;
    sum += unitShare * read.densityD;
    weights += unitShare ** 2;
  }
  return weights === 0 ? 0 : sum / weights;
}

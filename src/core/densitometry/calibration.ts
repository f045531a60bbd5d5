import * as z from 'zod';
import { isotonic } from '../inference/isotonic';
import { monotoneCurve } from '../inference/monotoneCurve';
import { within } from '../schema/within';

/** One step of a wedge: what the camera read, and what is known of it. */
export const calibrationPairSchema = z.strictObject({
  readD: within('Density as read', -0.2, 5, 'D'),
  knownD: within('Known density', 0, 5, 'D'),
});

/** What a camera or scanner is corrected by. */
export const calibrationSchema = z
  .array(calibrationPairSchema)
  .min(3, 'A camera is calibrated by three steps of a wedge at least.')
  .max(60, 'A calibration takes 60 steps at most.');

export type CalibrationPair = z.infer<typeof calibrationPairSchema>;

/** A camera's correction. */
export interface Calibration {
  /** True density for a density as read. */
  correct: (readD: number) => number;
  /** How much a change of the reading changes the truth at a density. */
  slopeAt: (readD: number) => number;
  /** What is left over at each step, D: known less corrected. */
  residualsD: number[];
  /** Root mean square of what is left over, D. */
  rmsD: number;
}

/**
 * Corrects a camera against a wedge of known densities: flare, lens and processing bend its densities, but never turn them round.
 * @param pairs densities as read and as known, at least three with different readings
 * @returns the correction; null where fewer than three readings differ
 * Source: nearest rising curve (isotonic regression), smoothed after Steffen 1990; ends go on with their own slope.
 */
export function calibrationFrom(pairs: readonly CalibrationPair[]): Calibration | null {
  const sorted = [...pairs].sort((a, b) => a.readD - b.readD);
  const steps: { readD: number; knownD: number; count: number }[] = [];
  for (const { readD, knownD } of sorted) {
    const last = steps.at(-1);
    if (last !== undefined && readD - last.readD < 1e-4) {
      last.knownD = (last.knownD * last.count + knownD) / (last.count + 1);
      last.count += 1;
    } else steps.push({ readD, knownD, count: 1 });
  }
  if (steps.length < 3) return null;
  const curve = monotoneCurve(
    steps.map(({ readD }) => readD),
    isotonic(
      steps.map(({ knownD }) => knownD),
      steps.map(({ count }) => count),
    ),
  );
  const residualsD = pairs.map(({ readD, knownD }) => knownD - curve.at(readD));
  return {
    correct: curve.at,
    slopeAt: curve.slopeAt,
    residualsD,
    rmsD: Math.sqrt(residualsD.reduce((sum, one) => sum + one * one, 0) / residualsD.length),
  };
}

import * as z from 'zod';
import { within } from '../schema/within';

/** One step of a wedge: what the camera read, and what is known of it. */
export const calibrationPairSchema = z.strictObject({
  readD: within('Density as read', -0.2, 5, 'D'),
  knownD: within('Known density', 0, 5, 'D'),
});

/** A camera held against a wedge, as it was kept before responses were. */
export const calibrationSchema = z
  .array(calibrationPairSchema)
  .min(3, 'A camera is calibrated by three steps of a wedge at least.')
  .max(60, 'A calibration takes 60 steps at most.');

export type CalibrationPair = z.infer<typeof calibrationPairSchema>;

import * as z from 'zod';
import { within } from '../schema/within';
import { RESPONSE_SIZE } from './cameraResponse';

const lnSlope = z.number().min(-6).max(6);

/** What is believed of a camera, as it is kept. */
export const cameraBeliefSchema = z.strictObject({
  response: z.strictObject({
    mean: z.array(lnSlope).length(RESPONSE_SIZE),
    covariance: z.array(z.array(z.number().min(-36).max(36)).length(RESPONSE_SIZE)).length(RESPONSE_SIZE),
  }),
  lnGlare: z.strictObject({ mean: z.number().min(-20).max(0), sd: within('Spread of the glare', 0.001, 5) }),
  local: z
    .strictObject({ mean: z.number().min(-1).max(1), sd: within('Spread of the local tones', 0.0001, 1) })
    .optional(),
});

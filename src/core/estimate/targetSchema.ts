import * as z from 'zod';
import { purposeIds } from '../kinetics/targets';
import { oneOf, within } from '../schema/within';

/** What the negative is for. */
export const targetSchema = z.strictObject({
  purpose: oneOf('Purpose', purposeIds),
  pushStops: within('Push', -3, 3, 'stops').default(0),
});

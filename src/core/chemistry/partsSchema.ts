import * as z from 'zod';
import { within } from '../schema/within';

/** A dilution in parts by volume. */
export const partsSchema = z.strictObject({
  concentrate: within('Parts of concentrate', 0.1, 100),
  water: within('Parts of water', 0, 1000),
});

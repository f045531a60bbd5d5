import * as z from 'zod';
import { evidenceSchema } from '../estimate/evidenceSchema';
import { situationSchema } from '../estimate/situationSchema';
import { stockFamilyIds } from '../films/stockFamilies';
import { nameField } from '../schema/fields';

/** Most pieces of one log that are kept: the last ones of a longer log. Source: our choice: beyond it they say the same again. */
export const MOST_GUEST_PIECES = 400;

/** A stock of somebody else: by its name it is found among one’s own. */
const guestStockSchema = z.strictObject({
  id: z.string().min(1).max(200),
  name: z.string().max(400),
  familyId: z.enum(stockFamilyIds),
});

/** Somebody’s log as evidence: what their runs and tests say, in their own names. */
export const guestShape = {
  /** Whose it is, in one’s own words. */
  name: nameField('Whose log it is', 80),
  stocks: z.array(guestStockSchema).max(2000),
  pieces: z
    .array(z.strictObject({ evidence: evidenceSchema, setting: situationSchema }))
    .min(1)
    .max(MOST_GUEST_PIECES),
};
export const guestLogSchema = z.strictObject(guestShape);
export type GuestLog = z.infer<typeof guestLogSchema>;

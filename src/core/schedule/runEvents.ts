import * as z from 'zod';
import { instantMs, limited } from '../schema/fields';

/** What happened at the tank, in order. Everything that the run screen shows follows from these and the time of day. */
export const runEventSchema = z.discriminatedUnion('kind', [
  /** A step's bath went in; this ends the step before. */
  z.strictObject({ kind: z.literal('begin'), stepIndex: z.number().int().min(0).max(199), atMs: instantMs }),
  /** The clock of the step at hand was started late or early: its start moves by so many seconds. */
  z.strictObject({ kind: z.literal('shift'), seconds: limited('shiftS'), atMs: instantMs }),
  /** The computer's clock was found wrong by so many seconds: everything before moves along. */
  z.strictObject({ kind: z.literal('clock'), seconds: limited('clockS'), atMs: instantMs }),
  /** The last begin, shift or finish was a slip and does not count. */
  z.strictObject({ kind: z.literal('undo'), atMs: instantMs }),
  z.strictObject({ kind: z.literal('note'), text: z.string().min(1).max(2000), atMs: instantMs }),
  /** The film hangs. */
  z.strictObject({ kind: z.literal('finish'), atMs: instantMs }),
]);

export type RunEvent = z.infer<typeof runEventSchema>;

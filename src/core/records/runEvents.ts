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
  /** A thermometer reading: of the bath of a step, or of the room where the step is null. */
  z.strictObject({
    kind: z.literal('temperature'),
    stepIndex: z.number().int().min(0).max(199).nullable(),
    celsius: limited('waterC'),
    atMs: instantMs,
  }),
  /** The clock rests, or goes on: only where the film may wait. */
  z.strictObject({ kind: z.literal('pause'), atMs: instantMs }),
  z.strictObject({ kind: z.literal('resume'), atMs: instantMs }),
  /** A scrap of film cleared in the fixer after so many seconds; the film is fixed for so many times that. */
  z.strictObject({
    kind: z.literal('clearing'),
    seconds: limited('clearingS'),
    factor: z.union([z.literal(2), z.literal(3)]),
    atMs: instantMs,
  }),
  z.strictObject({ kind: z.literal('note'), text: z.string().min(1).max(2000), atMs: instantMs }),
  /** The film hangs. */
  z.strictObject({ kind: z.literal('finish'), atMs: instantMs }),
]);

export type RunEvent = z.infer<typeof runEventSchema>;

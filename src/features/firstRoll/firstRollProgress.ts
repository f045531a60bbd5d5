import * as z from 'zod';

/** Key under which the way through the first roll is kept. */
export const FIRST_ROLL_DRAFT = 'first-roll';

/** Steps that are done, and how long loading took with the eyes shut, s. */
export const progressSchema = z.object({
  done: z.array(z.string()).default([]),
  blind: z.array(z.number()).default([]),
});
export type Progress = z.infer<typeof progressSchema>;

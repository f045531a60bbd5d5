import * as z from 'zod';

const short = z.string().max(60, 'Keep it under 60 characters.');

/** One frame as noted: free text, since notebooks differ. */
export const frameSchema = z.strictObject({
  /** Number or letter on the edge. */
  frame: short,
  metered: short,
  given: short,
  remark: z.string().max(200, 'Keep the remark under 200 characters.'),
});

export type Frame = z.infer<typeof frameSchema>;

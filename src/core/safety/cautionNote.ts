import * as z from 'zod';

/** Where in the work a caution is shown: at the step where it bites. */
export const cautionPlaces = ['identify', 'choose', 'mix', 'run', 'after'] as const;

export const cautionNoteSchema = z.object({
  id: z.string(),
  at: z.enum(cautionPlaces),
  /** `stop` forbids, `warn` concerns people or the film, `note` is good to know. */
  severity: z.enum(['stop', 'warn', 'note']),
  text: z.string(),
});

export type CautionNote = z.infer<typeof cautionNoteSchema>;
export type CautionPlace = CautionNote['at'];

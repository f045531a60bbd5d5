import * as z from 'zod';

/** What the thin plan needs to know about a film format. */
export const filmFormatSchema = z.object({
  name: z.string(),
  /** Liquid that covers one piece on its reel or in its tray, ml. */
  coverVolumeMl: z.number().positive(),
  /** Area of one usual piece in units of 80 square inches, the area of one 36-exposure 35 mm film. */
  filmEquivalents: z.number().positive(),
  /** 35 mm cine stock before the mid-1950s may be on nitrate base. */
  mayBeNitrate: z.boolean(),
  /** How people cope when no usual reel fits; empty where one does. */
  coping: z.string(),
});

export type FilmFormat = z.infer<typeof filmFormatSchema>;

import * as z from 'zod';

/** A film format: its size, when it was made, and how to get developer over it. */
export const filmFormatSchema = z.object({
  name: z.string(),
  /** Width of the film, mm. */
  widthMm: z.number().positive(),
  /** Usual length of one piece, mm. */
  lengthMm: z.number().positive(),
  /** What a piece usually holds. */
  frames: z.string(),
  /** First and last year of manufacture; null while it is still made. */
  yearsMade: z.object({ from: z.number().int(), to: z.number().int().nullable() }),
  /** Liquid that covers one piece on its reel or in its tray, ml. */
  coverVolumeMl: z.number().positive(),
  /** Film made before this year may be on nitrate base; null for a format that always came on safety base. */
  nitrateBefore: z.number().int().nullable(),
  /** Paper that lies on the film and may stick to it. */
  paperBacked: z.boolean(),
  /** How people cope when no usual reel takes it; empty where one does. */
  coping: z.string(),
});

export type FilmFormat = z.infer<typeof filmFormatSchema>;

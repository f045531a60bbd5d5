import * as z from 'zod';

/** A class of bought developer. */
export const developerFamilySchema = z.object({
  name: z.string(),
  /** Dilution at which the time factor holds: parts of concentrate and parts of water. */
  referenceParts: z.object({ concentrate: z.number().positive(), water: z.number().nonnegative() }),
  /** Time at the reference dilution ÷ the stock family's reference time. */
  timeFactor: z.number().positive(),
  /** Exponent n of the rate's dependence on concentration. */
  dilutionExponent: z.number().positive(),
  /** Rate at 30 °C ÷ rate at 20 °C. */
  q10: z.number().positive(),
  /** Least concentrate for one film of 80 square inches, ml; null where none is known. */
  leastConcentrateMl: z.number().positive().nullable(),
  /** Cautions that its bottle calls for, by id of the caution table. */
  alkaline: z.boolean(),
});

export type DeveloperFamily = z.infer<typeof developerFamilySchema>;

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

function developer(
  name: string,
  concentrate: number,
  water: number,
  timeFactor: number,
  dilutionExponent: number,
  q10: number,
  leastConcentrateMl: number | null = null,
  alkaline = false,
): DeveloperFamily {
  return {
    name,
    referenceParts: { concentrate, water },
    timeFactor,
    dilutionExponent,
    q10,
    leastConcentrateMl,
    alkaline,
  };
}

/**
 * The classes of bought developer. Columns: name, reference parts of concentrate and water, time × t_ref, dilution exponent, Q10,
 * least concentrate per film (ml). Source: our estimate for times, exponents and Q10; least concentrate is common practice, no source.
 */
export const developerFamilies = {
  'mq-borax': developer('Metol–hydroquinone borax powder', 1, 0, 1.0, 0.42, 2.3),
  'phenidone-ascorbate': developer('Phenidone–ascorbate powder', 1, 0, 1.0, 0.42, 2.2),
  'pq-liquid': developer('Phenidone–hydroquinone liquid', 1, 4, 0.95, 0.55, 2.3),
  'pq-liquid-high-dilution': developer('Phenidone–hydroquinone liquid, high dilution', 1, 9, 1.1, 0.55, 2.3),
  'hydroquinone-syrup': developer('Hydroquinone syrup concentrate', 1, 31, 0.75, 0.8, 2.1, 6),
  'p-aminophenol': developer('p-Aminophenol concentrate', 1, 25, 0.85, 0.85, 2.2, 3.5, true),
  staining: developer('Staining developer (pyrogallol, catechol)', 1, 0, 1.2, 0.7, 2.0, null, true),
} as const satisfies Record<string, DeveloperFamily>;

export type DeveloperFamilyId = keyof typeof developerFamilies;
export const developerFamilyIds = Object.keys(developerFamilies) as [DeveloperFamilyId, ...DeveloperFamilyId[]];

/** Prior spread of the dilution exponent. Source: our estimate. */
export const DILUTION_EXPONENT_SD = 0.12;

/** Prior spread of ln Q10. Source: our estimate. */
export const Q10_LN_SD = 0.1;

/** Time of the 54/16/40 coffee brew ÷ the stock family's reference time. Source: our estimate. */
export const COFFEE_TIME_FACTOR = 1.6;

/** Q10 of organic brews. Source: our estimate. */
export const IMPROVISED_Q10 = 2.2;

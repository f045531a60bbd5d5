import type { DeveloperFamily } from './developerFamilySchema';

type Row = Omit<DeveloperFamily, 'leastConcentrateMl' | 'alkaline'> & { leastConcentrateMl?: number; alkaline?: true };

function developer(row: Row): DeveloperFamily {
  return { leastConcentrateMl: null, alkaline: false, ...row };
}

/**
 * The classes of bought developer. Source: our estimate for times, exponents and Q10; least concentrate is common practice, no source.
 */
export const developerFamilies = {
  'mq-borax': developer({
    name: 'Metol–hydroquinone borax powder',
    referenceParts: { concentrate: 1, water: 0 },
    timeFactor: 1,
    dilutionExponent: 0.42,
    q10: 2.3,
  }),
  'phenidone-ascorbate': developer({
    name: 'Phenidone–ascorbate powder',
    referenceParts: { concentrate: 1, water: 0 },
    timeFactor: 1,
    dilutionExponent: 0.42,
    q10: 2.2,
  }),
  'pq-liquid': developer({
    name: 'Phenidone–hydroquinone liquid',
    referenceParts: { concentrate: 1, water: 4 },
    timeFactor: 0.95,
    dilutionExponent: 0.55,
    q10: 2.3,
  }),
  'pq-liquid-high-dilution': developer({
    name: 'Phenidone–hydroquinone liquid, high dilution',
    referenceParts: { concentrate: 1, water: 9 },
    timeFactor: 1.1,
    dilutionExponent: 0.55,
    q10: 2.3,
  }),
  'hydroquinone-syrup': developer({
    name: 'Hydroquinone syrup concentrate',
    referenceParts: { concentrate: 1, water: 31 },
    timeFactor: 0.75,
    dilutionExponent: 0.8,
    q10: 2.1,
    leastConcentrateMl: 6,
  }),
  'p-aminophenol': developer({
    name: 'p-Aminophenol concentrate',
    referenceParts: { concentrate: 1, water: 25 },
    timeFactor: 0.85,
    dilutionExponent: 0.85,
    q10: 2.2,
    leastConcentrateMl: 3.5,
    alkaline: true,
  }),
  staining: developer({
    name: 'Staining developer (pyrogallol, catechol)',
    referenceParts: { concentrate: 1, water: 0 },
    timeFactor: 1.2,
    dilutionExponent: 0.7,
    q10: 2,
    alkaline: true,
  }),
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

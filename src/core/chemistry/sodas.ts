import { molesIn, substances, type SubstanceId } from './substances';

/** The four powders that are sold as soda, and how to tell them apart. */
export interface SodaForm {
  name: string;
  substanceId: SubstanceId;
  /** How to tell it from the others. */
  tell: string;
}

/** The look-alikes. Source for telling them: common practice, no source; densities of a spoon differ too little to help. */
export const sodaForms = {
  anhydrous: {
    name: 'Washing soda, anhydrous',
    substanceId: 'soda-anhydrous',
    tell: 'A fine dry powder, also called soda ash. A spoonful warms a little water and cakes.',
  },
  monohydrate: {
    name: 'Washing soda, monohydrate',
    substanceId: 'soda-monohydrate',
    tell: 'A free-flowing powder; the label names one water. It does not cake when it gets damp.',
  },
  crystals: {
    name: 'Soda crystals',
    substanceId: 'soda-crystals',
    tell: 'Clear lumps like coarse salt that turn white and floury in dry air. They melt in their own water when warmed and cool a glass of water.',
  },
  baking: {
    name: 'Baking soda',
    substanceId: 'baking-soda',
    tell: 'From the baking shelf; tastes mild, where washing soda feels slippery and burns. It fizzes with vinegar as the others do, so that proves nothing.',
  },
} as const satisfies Record<string, SodaForm>;

export type SodaFormId = keyof typeof sodaForms;
export const sodaFormIds = Object.keys(sodaForms) as [SodaFormId, ...SodaFormId[]];

/** Forms that are sodium carbonate already: they stand in for each other mole for mole. */
export type CarbonateFormId = Exclude<SodaFormId, 'baking'>;

/**
 * Mass of one form of sodium carbonate that brings as much carbonate as another.
 * @param massG mass of the form at hand, g; 0 or more
 * @param from form at hand
 * @param to form wanted
 * @returns g. Source: molar masses; one mole of carbonate for one.
 * @example sameCarbonate(10, 'anhydrous', 'crystals') // 27.0
 */
export function sameCarbonate(massG: number, from: CarbonateFormId, to: CarbonateFormId): number {
  const perGram = (form: CarbonateFormId): number => molesIn(sodaForms[form].substanceId, 1);
  return (massG * perGram(from)) / perGram(to);
}

/**
 * Washing soda that is left when baking soda was heated dry: 2 NaHCO3 → Na2CO3 + H2O + CO2.
 * @param bakingSodaG baking soda, g; 0 or more
 * @returns anhydrous washing soda, g: 0.631 of it. Source: stoichiometry and molar masses.
 * @example ovenSoda(100) // 63.1
 */
export function ovenSoda(bakingSodaG: number): number {
  return (molesIn('baking-soda', bakingSodaG) / 2) * (substances['soda-anhydrous'].molarMassG ?? 0);
}

/**
 * Baking soda to heat for an amount of washing soda.
 * @param sodaG anhydrous washing soda, g; 0 or more
 * @returns baking soda, g. Source: stoichiometry and molar masses.
 * @example bakingSodaForOven(54) // 85.6
 */
export function bakingSodaForOven(sodaG: number): number {
  return sodaG / ovenSoda(1);
}

/** How to heat it. Source: common practice, no source; decomposition sets in above about 80 °C and is quick at 200 °C. */
export const OVEN_RECIPE =
  'Spread it thinly on a tray and heat it at 200 °C for an hour, stirring once. It is done when it weighs 0.63 of the original and stops losing weight. Let it cool and close the jar.';

import { ML_PER_US_FLUID_OUNCE } from './volume';

/** What a measure counts in. */
export type MeasureOf = 'mass' | 'volume' | 'teaspoon' | 'tablespoon' | 'tablet' | 'packet';

/** A measure that people name. */
export interface Measure {
  of: MeasureOf;
  /** In g, ml, or pieces. */
  size: number;
  /** Another size that the same word may mean, where there is one. */
  otherSize?: number;
  /** How the other size is called. */
  otherName?: string;
  /** As it is written back. */
  name: string;
}

const mass = (name: string, size: number): Measure => ({ of: 'mass', size, name });
const volume = (name: string, size: number): Measure => ({ of: 'volume', size, name });

/** Millilitres of a drop from a dropper: twenty make one. Source: common practice, no source. */
export const DROP_ML = 0.05;

/** A can of beer, ml: 440 or 330. Source: common practice, no source. */
const CAN_ML = { usual: 440, other: 330 };

/** Masses and volumes: NIST Handbook 44 (2023), appendix C; drops and cans: common practice, no source. */
const measures = {
  mg: mass('mg', 0.001),
  g: mass('g', 1),
  kg: mass('kg', 1000),
  lb: mass('lb', 453.59237),
  ml: volume('ml', 1),
  cl: volume('cl', 10),
  dl: volume('dl', 100),
  l: volume('l', 1000),
  floz: volume('fl oz', ML_PER_US_FLUID_OUNCE),
  cup: volume('cup', 8 * ML_PER_US_FLUID_OUNCE),
  pint: volume('pint', 16 * ML_PER_US_FLUID_OUNCE),
  quart: volume('quart', 32 * ML_PER_US_FLUID_OUNCE),
  gal: volume('gal', 128 * ML_PER_US_FLUID_OUNCE),
  drop: volume('drops', DROP_ML),
  can: {
    of: 'volume',
    size: CAN_ML.usual,
    otherSize: CAN_ML.other,
    otherName: `a can of ${CAN_ML.other} ml`,
    name: 'can',
  },
  tsp: { of: 'teaspoon', size: 1, name: 'tsp' },
  tbsp: { of: 'tablespoon', size: 1, name: 'tbsp' },
  tablet: { of: 'tablet', size: 1, name: 'tablets' },
  packet: { of: 'packet', size: 1, name: 'packets' },
} as const satisfies Record<string, Measure>;

export type MeasureId = keyof typeof measures;

/** Words that name each measure in English and Spanish, in lower case, in the singular where a plural only adds an s. */
const WORDS: Record<MeasureId, readonly string[]> = {
  mg: ['mg', 'milligram', 'milligramme'],
  g: ['g', 'gr', 'gm', 'gram', 'gramme', 'gramo'],
  kg: ['kg', 'kilo', 'kilogram', 'kilogramme'],
  lb: ['lb', 'pound'],
  ml: ['ml', 'cc', 'millilitre', 'milliliter'],
  cl: ['cl', 'centilitre', 'centiliter'],
  dl: ['dl', 'decilitre', 'deciliter'],
  l: ['l', 'lt', 'ltr', 'litre', 'liter', 'litro'],
  floz: ['fl oz', 'floz', 'fl. oz', 'fl. oz.', 'fluid ounce', 'oz', 'oz.', 'ounce'],
  cup: ['cup'],
  pint: ['pint', 'pt'],
  quart: ['quart', 'qt'],
  gal: ['gal', 'gal.', 'gallon'],
  drop: ['drop', 'gtt', 'gota'],
  can: ['can', 'tin', 'lata'],
  tsp: ['tsp', 'tsp.', 'teaspoon', 'tea spoon', 'cdta', 'cdta.', 'cucharadita'],
  tbsp: ['tbsp', 'tbsp.', 'tbs', 'tablespoon', 'table spoon', 'cda', 'cda.', 'cucharada'],
  tablet: ['tablet', 'tab', 'pill', 'tableta', 'pastilla'],
  packet: ['packet', 'sachet', 'pack', 'pouch', 'sobre'],
};

const byWord: ReadonlyMap<string, Measure> = new Map(
  Object.entries(WORDS).flatMap(([id, words]) =>
    words.flatMap((word): [string, Measure][] => [
      [word, measures[id as MeasureId]],
      [`${word}s`, measures[id as MeasureId]],
    ]),
  ),
);

/** Grams of an ounce by weight. Source: NIST Handbook 44 (2023), appendix C. */
const OUNCE_G = 28.349523125;

/**
 * The measure that a word names.
 * @param word in any case, singular or plural; "oz" is a fluid ounce
 * @returns null for a word that names none
 * @example measureOf('tablespoons') // { of: 'tablespoon', size: 1, name: 'tbsp' }
 */
export function measureOf(word: string): Measure | null {
  return byWord.get(word.trim().toLowerCase()) ?? null;
}

/** The ounce by weight, for what is weighed: the word is the same. */
export function weighed(measure: Measure): Measure {
  return measure === measures.floz ? mass('oz', OUNCE_G) : measure;
}

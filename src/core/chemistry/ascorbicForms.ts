import { molesIn, type SubstanceId } from './substances';

/** In what shape ascorbic acid lies in the cupboard. */
export const ascorbicForms = {
  powder: { name: 'Ascorbic acid powder', hint: 'pure, without sugar or flavour' },
  erythorbic: { name: 'Erythorbic acid powder', hint: 'an isomer of vitamin C: use the same mass' },
  ascorbate: { name: 'Sodium ascorbate', hint: 'already neutral: more mass, uses up less soda' },
  tablets: { name: 'Plain tablets', hint: 'crush them; fillers stay cloudy' },
  effervescent: { name: 'Effervescent tablets', hint: 'they add citric acid and bicarbonate' },
} as const;

export type AscorbicFormId = keyof typeof ascorbicForms;
export const ascorbicFormIds = Object.keys(ascorbicForms) as [AscorbicFormId, ...AscorbicFormId[]];

/** The powder that a form is; null for tablets. */
export const ascorbicPowder: Record<AscorbicFormId, SubstanceId | null> = {
  powder: 'ascorbic-acid',
  erythorbic: 'erythorbic-acid',
  ascorbate: 'sodium-ascorbate',
  tablets: null,
  effervescent: null,
};

/** A kind of tablet: what the tube declares. */
export interface Tablet {
  /** Ascorbic acid that one tablet declares, mg; above 0. */
  activeMg: number;
  /** What one tablet weighs, g. */
  massG: number;
}

/** What else an effervescent tablet is made of: shares of its mass without the active part. Source: our estimate. */
export const EFFERVESCENT_SHARES = { 'citric-acid': 0.4, 'baking-soda': 0.35 } as const;

/** Tablets of tablets: what a number of them brings, g. */
export interface TabletContents {
  ascorbicG: number;
  citricG: number;
  bicarbonateG: number;
  /** Sugar, flavour and fillers. */
  restG: number;
}

/**
 * What tablets bring.
 * @param count number of tablets; 0 or more, halves allowed
 * @param tablet what the tube declares
 * @param effervescent whether they fizz
 * @returns masses that add up to count × tablet mass, g. Source: the declared active mass; the rest of an effervescent tablet is our estimate.
 */
export function tabletContents(count: number, tablet: Tablet, effervescent: boolean): TabletContents {
  const ascorbicG = (count * tablet.activeMg) / 1000;
  const otherG = Math.max(0, count * tablet.massG - ascorbicG);
  const citricG = effervescent ? otherG * EFFERVESCENT_SHARES['citric-acid'] : 0;
  const bicarbonateG = effervescent ? otherG * EFFERVESCENT_SHARES['baking-soda'] : 0;
  return { ascorbicG, citricG, bicarbonateG, restG: otherG - citricG - bicarbonateG };
}

/**
 * Bicarbonate that is left in the glass when the tablets have fizzed out in plain water: as gas leaves, each proton of the
 * acids takes one bicarbonate with it.
 * @param contents what the tablets brought
 * @returns moles of carbonate that stay, and moles of sodium, which stay whole. Source: stoichiometry; that all the gas leaves is our choice.
 */
export function afterFizz({ ascorbicG, citricG, bicarbonateG }: TabletContents): {
  carbonateMol: number;
  sodiumMol: number;
} {
  const sodiumMol = molesIn('baking-soda', bicarbonateG);
  const protonsMol = 3 * molesIn('citric-acid', citricG) + molesIn('ascorbic-acid', ascorbicG);
  return { carbonateMol: Math.max(0, sodiumMol - protonsMol), sodiumMol };
}

/**
 * Anhydrous washing soda that the tablets' own citric acid takes up beyond what their bicarbonate has neutralised already.
 * @param contents what the tablets brought
 * @returns g; 0 or more. Source: stoichiometry, one mole of carbonate for each proton as in sodaForAcid.
 */
export function sodaEatenByTablets({ citricG, bicarbonateG }: TabletContents): number {
  const protonsMol = Math.max(0, 3 * molesIn('citric-acid', citricG) - molesIn('baking-soda', bicarbonateG));
  return protonsMol / molesIn('soda-anhydrous', 1);
}

/**
 * Tablets for a mass of ascorbic acid, in halves.
 * @param ascorbicG ascorbic acid wanted, g; 0 or more
 * @param tablet what the tube declares
 * @returns the nearest number of half tablets
 * @example tabletsFor(8, { activeMg: 1000, massG: 4.5 }) // 8
 */
export function tabletsFor(ascorbicG: number, tablet: Tablet): number {
  return Math.round((ascorbicG * 1000 * 2) / tablet.activeMg) / 2;
}

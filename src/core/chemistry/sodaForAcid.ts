import { molesIn } from './substances';

/** Titratable acid of instant coffee, mol per g. Source: our estimate. */
export const COFFEE_ACID_MOL_PER_G = 0.0011;

/**
 * Anhydrous washing soda that the acids of a brew take up while carbonate goes to bicarbonate. A brew with no more
 * than this stays near pH 8.3 and hardly develops.
 * @param ascorbicGPerL ascorbic acid, g/l; 0 or more
 * @param coffeeEquivalentGPerL organic agent in instant-coffee equivalents, g/l; 0 or more
 * @returns washing soda, g/l. Source: stoichiometry, one mole of carbonate per mole of acid; coffee's acid is our estimate.
 * @example sodaForAcid(16, 40) // 14.3
 */
export function sodaForAcid(ascorbicGPerL: number, coffeeEquivalentGPerL: number): number {
  const acidMolPerL = molesIn('ascorbic-acid', ascorbicGPerL) + coffeeEquivalentGPerL * COFFEE_ACID_MOL_PER_G;
  return acidMolPerL / molesIn('soda-anhydrous', 1);
}

import { substanceOf, type SubstanceId } from '../chemistry/substances';
import { spoonSets, type SpoonSetId } from '../kit/kit';

/** Volume of the teaspoon for which masses are tabulated, ml. Source: NIST Handbook 44: one sixth of a US fluid ounce. */
const TABULATED_TEASPOON_ML = 4.93;

/** Smallest part of a teaspoon that people measure. Source: common practice. */
const PART = 0.25;

/** An amount in level spoons. */
export interface Spoonful {
  tablespoons: number;
  /** In quarters. */
  teaspoons: number;
  /** What these spoons hold, g. */
  massG: number;
  /** Sd of ln(mass): between brands, packings and hands. */
  lnSd: number;
}

/**
 * Mass of a level teaspoon of a set.
 * @param id the substance
 * @param set which country's spoons
 * @returns g, or null for what nobody spoons. Source: see the table of substances; scaled with the volume of the spoon.
 */
export function teaspoonG(id: SubstanceId, set: SpoonSetId): number | null {
  const { teaspoon } = substanceOf(id);
  return teaspoon === null ? null : (teaspoon.massG * spoonSets[set].teaspoonMl) / TABULATED_TEASPOON_ML;
}

/**
 * A mass in level spoons.
 * @param id the substance
 * @param massG mass, g; 0 or more
 * @param set which country's spoons
 * @returns tablespoons and quarter teaspoons, and what they hold; null for what nobody spoons
 * @example inSpoons('ammonium-chloride', 50, 'us') // 4 tablespoons and half a teaspoon
 */
export function inSpoons(id: SubstanceId, massG: number, set: SpoonSetId): Spoonful | null {
  const perTeaspoon = teaspoonG(id, set);
  const lnSd = substanceOf(id).teaspoon?.lnSd;
  if (perTeaspoon === null || lnSd === undefined) return null;
  const { teaspoonMl, tablespoonMl } = spoonSets[set];
  const perTablespoon = (perTeaspoon * tablespoonMl) / teaspoonMl;
  let tablespoons = Math.floor(massG / perTablespoon + 1e-9);
  let teaspoons = Math.round((massG - tablespoons * perTablespoon) / perTeaspoon / PART) * PART;
  if (teaspoons * perTeaspoon > perTablespoon - 1e-9) {
    tablespoons += 1;
    teaspoons = 0;
  }
  return { tablespoons, teaspoons, massG: tablespoons * perTablespoon + teaspoons * perTeaspoon, lnSd };
}

/**
 * Mass of an amount in spoons.
 * @param id the substance
 * @param spoons tablespoons and teaspoons
 * @param set which country's spoons
 * @returns g, or null for what nobody spoons
 * @example spoonsToG('metabisulfite', { tablespoons: 0, teaspoons: 2 }, 'us') // 10
 */
export function spoonsToG(
  id: SubstanceId,
  { tablespoons, teaspoons }: { tablespoons: number; teaspoons: number },
  set: SpoonSetId,
): number | null {
  const perTeaspoon = teaspoonG(id, set);
  if (perTeaspoon === null) return null;
  const { teaspoonMl, tablespoonMl } = spoonSets[set];
  return (teaspoons + (tablespoons * tablespoonMl) / teaspoonMl) * perTeaspoon;
}

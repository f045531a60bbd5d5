import { substanceOf, type SubstanceId } from '../chemistry/substances';
import { spoonSets, type CoffeeSpoonId, type SpoonSetId } from '../kit/kit';

/** Volume of the teaspoon for which masses are tabulated, ml. Source: NIST Handbook 44: one sixth of a US fluid ounce. */
const TABULATED_TEASPOON_ML = 4.93;

/**
 * Instant coffee by how the teaspoon is filled, g, and the spread that is left. Source: masses common practice, no source;
 * the spread is our estimate.
 */
const COFFEE_SPOON_G: Readonly<Record<CoffeeSpoonId, number>> = { level: 1.0, rounded: 1.8, heaped: 2.2 };
const COFFEE_SPOON_LN_SD = 0.15;

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

/** Spread of ln(mass) of a teaspoon that its owner has weighed: the same spoon, hand and packet. Source: our estimate. */
const OWN_SPOON_LN_SD = 0.06;

/** What a level teaspoon of the user's own holds, g, by substance, where it was weighed. */
export type OwnTeaspoons = Readonly<Record<string, number>>;

/**
 * A teaspoon of a set: level, but coffee as it is filled; the user's own where it was weighed.
 * @param id the substance
 * @param set which country's spoons
 * @param coffee how a spoon of instant coffee is filled; left out, anything from level powder to heaped granules
 * @param own what the user's own teaspoon holds, g; it goes before the tables
 * @returns g and the sd of its ln, or null for what nobody spoons. Source: see the table of substances; scaled with the volume
 * of the spoon.
 */
export function teaspoonOf(
  id: SubstanceId,
  set: SpoonSetId,
  coffee?: CoffeeSpoonId,
  own: OwnTeaspoons = {},
): { massG: number; lnSd: number } | null {
  const weighed = Object.hasOwn(own, id) ? own[id] : undefined;
  if (weighed !== undefined) return { massG: weighed, lnSd: OWN_SPOON_LN_SD };
  const tabulated =
    id === 'instant-coffee' && coffee !== undefined
      ? { massG: COFFEE_SPOON_G[coffee], lnSd: COFFEE_SPOON_LN_SD }
      : substanceOf(id).teaspoon;
  if (tabulated === null) return null;
  return { ...tabulated, massG: (tabulated.massG * spoonSets[set].teaspoonMl) / TABULATED_TEASPOON_ML };
}

/**
 * A mass in level spoons.
 * @param id the substance
 * @param massG mass, g; 0 or more
 * @param set which country's spoons
 * @param coffee how a spoon of instant coffee is filled, where it was said
 * @param own what the user's own teaspoon holds, g
 * @returns tablespoons and quarter teaspoons, and what they hold; null for what nobody spoons
 * @example inSpoons('ammonium-chloride', 50, 'us') // 4 tablespoons and half a teaspoon
 */
export function inSpoons(
  id: SubstanceId,
  massG: number,
  set: SpoonSetId,
  coffee?: CoffeeSpoonId,
  own: OwnTeaspoons = {},
): Spoonful | null {
  const teaspoon = teaspoonOf(id, set, coffee, own);
  if (teaspoon === null) return null;
  const { massG: perTeaspoon, lnSd } = teaspoon;
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
 * @param coffee how a spoon of instant coffee is filled, where it was said
 * @param own what the user's own teaspoon holds, g
 * @returns g, or null for what nobody spoons
 * @example spoonsToG('metabisulfite', { tablespoons: 0, teaspoons: 2 }, 'us') // 10
 */
export function spoonsToG(
  id: SubstanceId,
  { tablespoons, teaspoons }: { tablespoons: number; teaspoons: number },
  set: SpoonSetId,
  coffee?: CoffeeSpoonId,
  own: OwnTeaspoons = {},
): number | null {
  const teaspoon = teaspoonOf(id, set, coffee, own);
  if (teaspoon === null) return null;
  const { teaspoonMl, tablespoonMl } = spoonSets[set];
  return (teaspoons + (tablespoons * tablespoonMl) / teaspoonMl) * teaspoon.massG;
}

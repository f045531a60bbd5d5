import type { BottlePrice } from './bottleSchema';
import { paidFor } from './changeJug';
import { jugState, type Jug } from './keeping';
import { amountOf, type BrewPart } from './part';

/** A jug as its money is asked for. */
export type PricedJug = Jug & { parts: readonly BrewPart[]; price?: BottlePrice | undefined };

/**
 * What is in a jug, in money: its own price for what is left in it, or its share of the bottle that it was made from.
 * @param jug the jug
 * @param parent the bottle that it was made from; undefined where it stands there no more, or where nobody said
 * @returns null where no bottle has a price
 * @example jugMoney(halfALitreOf1Plus9, aLitreFor20) // 1: a twentieth of the bottle
 */
export function jugMoney(jug: PricedJug, parent: PricedJug | undefined): number | null {
  if (jug.price !== undefined) return paidFor(jug.price, jug.volumeMl);
  return parent?.price === undefined ? null : paidFor(parent.price, fromParentMl(jug));
}

/** Of a jug that was made from a bottle, what came out of that bottle, ml. */
function fromParentMl({ parts, developer, volumeMl }: PricedJug): number {
  const part = parts.find(({ makeup }) => makeup.kind === 'concentrate');
  if (part !== undefined) return amountOf(part);
  if (developer?.kind !== 'concentrate') return volumeMl;
  const { concentrate, water } = developer.parts;
  return (volumeMl * concentrate) / (concentrate + water);
}

/**
 * Money of one film in a jug that has a price.
 * @param jug the jug
 * @param parent the bottle that it was made from
 * @param filmsPerL films that a litre does where nobody counts them, as in a stop; null where it is those that went through it
 * @param nowMs this instant, ms since the epoch
 * @returns null where no bottle has a price. A film that is to come counts as well as one that went through: in a fixer for twelve,
 *   each costs a twelfth
 */
export function jugMoneyPerFilm(
  jug: PricedJug,
  parent: PricedJug | undefined,
  filmsPerL: number | null,
  nowMs: number,
): number | null {
  const money = jugMoney(jug, parent);
  if (money === null) return null;
  const { filmsLeft } = jugState({ ...jug, spentMs: undefined }, nowMs);
  const inAll =
    filmsLeft === null && filmsPerL !== null ? (filmsPerL * jug.volumeMl) / 1000 : jug.films + (filmsLeft ?? 0);
  return money / Math.max(1, inAll);
}

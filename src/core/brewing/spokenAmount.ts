import type { SubstanceId } from '../chemistry/substances';
import type { Kit } from '../kit/kit';
import { spoonSets, type CoffeeSpoonId } from '../kit/kit';
import { failure, success, type Result } from '../schema/result';
import { spoonsToG } from './spoons';

/** Powder of a spoon by how it is filled, against a level one. Coffee has its own. Source: our estimate. */
const FILLED: Record<CoffeeSpoonId, number> = { level: 1, rounded: 1.6, heaped: 2.1 };

const FRACTIONS: Record<string, number> = { '¼': 0.25, '½': 0.5, '¾': 0.75, '⅓': 1 / 3, '⅔': 2 / 3, '⅛': 0.125 };

const PATTERN =
  /^\s*(\d+(?:[.,]\d+)?)?\s*(?:(\d+)\s*\/\s*(\d+)|([¼½¾⅓⅔⅛]))?\s*(level|rounded|heaped)?\s*(g|grams?|ml|millilitres?|tsp|teaspoons?|tbsp|tablespoons?|tablets?)?\s*$/i;

/** What an amount is said of. */
export interface SaidOf {
  /** Null for something of one's own. */
  substanceId: SubstanceId | null;
  unit: 'g' | 'ml';
  kit: Pick<Kit, 'spoons' | 'coffeeSpoon' | 'teaspoons'>;
  /** What one tablet holds, mg; null where tablets are not at hand. */
  tabletMg: number | null;
}

/**
 * Reads an amount as people say it: grams, millilitres, spoons or tablets.
 * @param text for example `18 tsp`, `1½ tbsp`, `2 heaped tsp`, `3 tablets`, `9,6 g`
 * @param said what it is said of
 * @returns the amount in the unit of its line, g or ml; else what is wrong
 * Source: spoons as tabulated; a rounded spoon of other powders is taken as 1.6, a heaped one as 2.1 level ones (our estimate).
 * @example spokenAmount('2 tsp', { substanceId: 'metabisulfite', unit: 'g', kit: { spoons: 'us' }, tabletMg: null }) // 10
 */
export function spokenAmount(text: string, { substanceId, unit, kit, tabletMg }: SaidOf): Result<number> {
  const bad = (message: string): Result<number> => failure({ path: '', message });
  const match = PATTERN.exec(text);
  const [, whole, over, under, sign, fill, said] = match ?? [];
  if (match === null || (whole === undefined && over === undefined && sign === undefined))
    return bad(`Give an amount such as 12 ${unit}${unit === 'g' ? ', 3 tsp, 1½ tbsp or 2 tablets' : ''}.`);
  const count =
    Number((whole ?? '0').replace(',', '.')) +
    (over === undefined ? 0 : Number(over) / Math.max(1, Number(under))) +
    (sign === undefined ? 0 : (FRACTIONS[sign] ?? 0));
  const measure = (said ?? unit).toLowerCase();
  if (measure.startsWith('tablet')) {
    if (tabletMg === null) return bad('Say first what one tablet holds: choose tablets under the recipe.');
    return success((count * tabletMg) / 1000);
  }
  if (measure.startsWith('ml') || measure.startsWith('milli'))
    return unit === 'ml' ? success(count) : bad('This one is weighed: give grams or spoons.');
  if (measure.startsWith('g')) return unit === 'g' ? success(count) : bad('This one is poured: give millilitres.');
  const tablespoons = measure.startsWith('tb') ? count : 0;
  const teaspoons = count - tablespoons;
  const { teaspoonMl, tablespoonMl } = spoonSets[kit.spoons];
  if (unit === 'ml') return success(teaspoons * teaspoonMl + tablespoons * tablespoonMl);
  const how = fill?.toLowerCase() as CoffeeSpoonId | undefined;
  const coffee = substanceId === 'instant-coffee';
  const levelG =
    substanceId === null
      ? null
      : spoonsToG(
          substanceId,
          { tablespoons, teaspoons },
          kit.spoons,
          coffee ? (how ?? kit.coffeeSpoon) : undefined,
          // Coffee that was said to be filled otherwise is no spoon that was weighed.
          coffee && how !== undefined ? {} : kit.teaspoons,
        );
  if (levelG === null) return bad('Nobody has written down what a spoon of this weighs: give grams.');
  return success(levelG * (coffee ? 1 : FILLED[how ?? 'level']));
}

/**
 * An amount of one jug, in a litre of it.
 * @param amount g or ml; 0 or more
 * @param volumeMl volume of the jug, ml; above 0
 * @returns g or ml in a litre, to a ten-thousandth
 * @example inALitre(9.6, 400) // 24
 */
export function inALitre(amount: number, volumeMl: number): number {
  return Number(((amount * 1000) / volumeMl).toFixed(4));
}

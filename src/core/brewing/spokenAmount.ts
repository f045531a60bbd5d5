import type { SubstanceId } from '../chemistry/substances';
import type { Kit } from '../kit/kit';
import { spoonSets } from '../kit/kit';
import { failure, success, type Result } from '../schema/result';
import { weighed, type Measure } from '../units/measures';
import { inAJug, inALitre } from '../units/perLitre';
import { readSaid, type Said, type SpoonFill } from '../units/said';
import { spoonsToG } from './spoons';

/** Powder of a spoon by how it is filled, against a level one. Coffee has its own. Source: our estimate. */
const FILLED: Record<SpoonFill, number> = { level: 1, rounded: 1.6, heaped: 2.1 };

/** What an amount is said of. */
export interface SaidOf {
  /** Null for something of one's own. */
  substanceId: SubstanceId | null;
  unit: 'g' | 'ml';
  /** Something of one's own takes the unit that it is said in. */
  anyUnit?: boolean;
  kit: Pick<Kit, 'spoons' | 'coffeeSpoon' | 'teaspoons'>;
  /** What one tablet holds, mg; null where tablets are not at hand. */
  tabletMg: number | null;
  /** What the whole packet weighs, g; null or left out where it is no packet. */
  packetG?: number | null;
  /** Volume of the jug, ml; above 0. */
  volumeMl: number;
  /** What an amount is for where it does not say so: this jug, or a litre. */
  usual: 'jug' | 'litre';
}

/** An amount as it was understood. */
export interface SpokenAmount {
  /** In this jug, g or ml. */
  amount: number;
  /** In a litre of it, g or ml. */
  perL: number;
  unit: 'g' | 'ml';
  /** What it was said for. */
  for: 'jug' | 'litre';
  /** Whether it was said otherwise than as a plain number of the field's own. */
  said: boolean;
  /** The other thing that the same words may mean, and how that is said; null where they mean one. */
  other: { amount: number; perL: number; says: string } | null;
}

/**
 * Reads an amount as people say it: grams, millilitres, spoons, tablets, cans, drops, for this jug or for so many millilitres.
 * @param text for example `18 tsp`, `1½ tbsp`, `2 heaped tsp`, `3 tablets`, `half a can`, `9.6 g in 400 ml`, `40 g/l`
 * @param said what it is said of
 * @returns what goes into this jug; else what is wrong
 * Source: spoons as tabulated; a rounded spoon of other powders is taken as 1.6, a heaped one as 2.1 level ones (our estimate).
 * @example spokenAmount('2 tsp', { substanceId: 'metabisulfite', unit: 'g', … }) // { amount: 10, … }
 */
export function spokenAmount(text: string, said: SaidOf): Result<SpokenAmount> {
  const { unit, anyUnit = false, volumeMl, usual } = said;
  const read = readSaid(text);
  if (read === null)
    return failure({
      path: '',
      message: /\bspoons?\b/i.test(text)
        ? 'Say whether it is a teaspoon or a tablespoon: 2 tsp, 1½ tbsp.'
        : `Give an amount such as ${unit === 'ml' ? '440 ml, half a can, 20 drops' : '12 g, 3 tsp, 1½ tbsp, 2 tablets'} or ${unit === 'ml' ? '100 ml' : '9.6 g'} in 400 ml.`,
    });
  const { measure, inMl, count } = read;
  // A can goes into the jug that it is poured into, whatever other amounts are for.
  const isFor = inMl !== null ? 'litre' : measure !== null && isContainer(measure) ? 'jug' : usual;
  const ownUnit = anyUnit ? unitSaid(measure, unit) : unit;
  const one = basicAmount(read, { ...said, unit: ownUnit });
  if (!one.ok) return one;
  const both = (amount: number): { amount: number; perL: number } => {
    if (isFor === 'jug') return { amount, perL: inALitre(amount, volumeMl) };
    const perL = inALitre(amount, inMl ?? A_LITRE_ML);
    return { amount: inAJug(perL, volumeMl), perL };
  };
  return success({
    ...both(count.value * one.value),
    unit: ownUnit,
    for: isFor,
    said: measure !== null || inMl !== null || count.other !== null || !/^[\d.,\s]*$/.test(text),
    other: otherOf(read, one.value, both, { usual, isFor, unit: ownUnit, volumeMl }),
  });
}

const A_LITRE_ML = 1000;

/** A can or a packet: a whole thing that is emptied. */
function isContainer({ name, of }: Measure): boolean {
  return name === 'can' || of === 'packet';
}

function unitSaid(measure: Measure | null, unit: 'g' | 'ml'): 'g' | 'ml' {
  if (measure === null) return unit;
  return measure.of === 'volume' && measure.name !== 'fl oz' ? 'ml' : measure.of === 'mass' ? 'g' : unit;
}

/** The other reading of the same words: other figures, another can, or this jug in place of a litre. */
function otherOf(
  { count, measure, inMl }: Said,
  one: number,
  both: (amount: number) => { amount: number; perL: number },
  around: Pick<SaidOf, 'usual' | 'unit' | 'volumeMl'> & { isFor: 'jug' | 'litre' },
): SpokenAmount['other'] {
  const { usual, isFor, unit, volumeMl } = around;
  if (count.other !== null) return { ...both(count.other * one), says: `${count.other} ${measure?.name ?? unit}` };
  if (measure?.otherSize !== undefined)
    return {
      ...both((count.value * one * measure.otherSize) / measure.size),
      says: measure.otherName ?? String(measure.otherSize),
    };
  // Grams in a field that counts by the litre are often those of the jug in hand.
  if (usual === 'litre' && inMl === null && isFor === 'litre' && measure !== null) {
    const amount = count.value * one;
    return { amount, perL: inALitre(amount, volumeMl), says: `${count.value} ${measure.name} in this jug` };
  }
  return null;
}

/** One of what was said, g or ml. */
function basicAmount({ measure, fill }: Said, { substanceId, unit, kit, tabletMg, packetG }: SaidOf): Result<number> {
  const bad = (message: string): Result<number> => failure({ path: '', message });
  if (measure === null) return success(1);
  switch (measure.of) {
    case 'mass':
      return unit === 'g' ? success(measure.size) : bad('This one is poured: give millilitres, cans or drops.');
    case 'volume':
      if (unit === 'ml') return success(measure.size);
      return measure.name === 'fl oz'
        ? success(weighed(measure).size)
        : bad('This one is weighed: give grams or spoons.');
    case 'tablet':
      return tabletMg === null
        ? bad('Say first what one tablet holds: choose tablets under the recipe.')
        : success(tabletMg / 1000);
    case 'packet':
      return packetG == null ? bad('Give the weight of the packet first.') : success(packetG);
    case 'teaspoon':
    case 'tablespoon':
      return spoonAmount(measure.of, fill, { substanceId, unit, kit });
  }
}

function spoonAmount(
  spoon: 'teaspoon' | 'tablespoon',
  fill: SpoonFill | null,
  { substanceId, unit, kit }: Pick<SaidOf, 'substanceId' | 'unit' | 'kit'>,
): Result<number> {
  const { teaspoonMl, tablespoonMl } = spoonSets[kit.spoons];
  if (unit === 'ml') return success(spoon === 'teaspoon' ? teaspoonMl : tablespoonMl);
  const coffee = substanceId === 'instant-coffee';
  const levelG =
    substanceId === null
      ? null
      : spoonsToG(
          substanceId,
          { tablespoons: spoon === 'tablespoon' ? 1 : 0, teaspoons: spoon === 'teaspoon' ? 1 : 0 },
          kit.spoons,
          coffee ? (fill ?? kit.coffeeSpoon) : undefined,
          // Coffee that was said to be filled otherwise is no spoon that was weighed.
          coffee && fill !== null ? {} : kit.teaspoons,
        );
  if (levelG === null)
    return failure({ path: '', message: 'Nobody has written down what a spoon of this weighs: give grams.' });
  return success(levelG * (coffee ? 1 : FILLED[fill ?? 'level']));
}

import { failure, success, type Result } from '../schema/result';
import { ML_PER_US_FLUID_OUNCE } from '../units/volume';
import { concentrateFraction, type Parts } from './dilution';

/** How a written dilution was understood. */
export type DilutionNotation = 'added' | 'in-total' | 'reversed' | 'strength' | 'undiluted';

/** A dilution that somebody wrote, and what it may mean. */
export interface DilutionReading {
  parts: Parts;
  notation: DilutionNotation;
  /** The other reading, where the notation is used for both; null where it means one thing. */
  other: { parts: Parts; notation: DilutionNotation } | null;
}

const words: Record<string, number> = {
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  twenty: 20,
  fifty: 50,
  hundred: 100,
};
const strengths: Record<string, number> = { full: 1, half: 1 / 2, third: 1 / 3, quarter: 1 / 4, double: 2 };

const NUMBER = '(\\d+(?:[.,]\\d+)?)';
const UNIT = '(?:\\s*(ml|l|lit(?:er|re)s?|parts?|g|(?:fl ?)?oz))?';
const pair = (between: string): RegExp => new RegExp(`^${NUMBER}${UNIT}\\s*${between}\\s*${NUMBER}${UNIT}$`);
const notations = { plus: pair('(?:\\+|plus|and)'), colon: pair(':'), to: pair('to'), within: pair('(?:in|/|of)') };
/** Millilitres of the units of volume, by how they begin. */
const unitMl: readonly (readonly [begin: string, ml: number])[] = [
  ['ml', 1],
  ['l', 1000],
  ['oz', ML_PER_US_FLUID_OUNCE],
  ['fl', ML_PER_US_FLUID_OUNCE],
];
const percent = new RegExp(`^${NUMBER}\\s*(?:%|per ?cent)$`);
const strength = new RegExp(`^(?:(${Object.keys(strengths).join('|')})|${NUMBER}\\s*(?:x|×|times))(?:[ -]*strength)?$`);
const shareOfStrength = new RegExp(`^${NUMBER}\\s*(%|per ?cent|/\\s*${NUMBER})[ -]*strength$`);
const fractions: Record<string, string> = { '½': '1/2', '⅓': '1/3', '⅔': '2/3', '¼': '1/4', '¾': '3/4' };

/**
 * Reads a dilution as people write it: 1+9, 1:9, one to ten, 15 in 500, 1:31, 4 to 1, 3 %, half strength, ¾ strength, 50 % strength, undiluted.
 * @param text what was typed
 * @param usual the developer's usual dilution: what full strength means
 * @returns parts of concentrate and water, how that was read, and the other reading where notations disagree
 * Source: common practice, no source: a plus adds parts; a colon and “to” are used for added parts by most and for parts in the whole by some.
 * @example readDilution('1:9', usual) // 1 + 9 parts; or 1 in 9, which is 1 + 8
 */
export function readDilution(text: string, usual: Parts): Result<DilutionReading> {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/[½⅓⅔¼¾]/g, (sign) => fractions[sign] ?? sign)
    .replace(/\b[a-z]+\b/g, (word) => String(words[word] ?? word));
  if (plain === '')
    return failure({
      path: 'dilution',
      message: 'Write the dilution as it stands on the bottle or in the recipe: 1+9, 1:31, 15 in 500.',
    });
  if (/^(undiluted|stock|neat|straight)$/.test(plain))
    return success({ parts: { concentrate: 1, water: 0 }, notation: 'undiluted', other: null });
  const share = percent.exec(plain);
  if (share !== null)
    return number(share[1]) > 100
      ? failure({
          path: 'dilution',
          message: `${share[1] ?? ''} % is more than the whole: undiluted concentrate is 100 %.`,
        })
      : whole(number(share[1]), 100, null);
  const relative = strength.exec(plain);
  if (relative !== null)
    return ofUsual(relative[1] === undefined ? number(relative[2]) : (strengths[relative[1]] ?? 1), usual);
  const part = shareOfStrength.exec(plain);
  if (part !== null) return ofUsual(number(part[1]) / (part[3] === undefined ? 100 : number(part[3])), usual);
  const plus = notations.plus.exec(plain);
  if (plus !== null) return added(...amounts(plus), null);
  const within = notations.within.exec(plain);
  if (within !== null) return whole(...amounts(within), 'added');
  const either = notations.colon.exec(plain) ?? notations.to.exec(plain);
  if (either !== null) return ambiguous(...amounts(either));
  return failure({
    path: 'dilution',
    message: `“${text.trim()}” does not read as a dilution. Write 1+9, 1:9, 1 to 10, 15 in 500, 3 % or half strength.`,
  });
}

function number(text: string | undefined): number {
  return Number((text ?? '').replace(',', '.'));
}

/** The two amounts of a pair; in ml, to the hundredth, where they are written in different units of volume. */
function amounts([, first, firstUnit, second, secondUnit]: RegExpExecArray): [number, number] {
  const [a, b] = [mlOf(firstUnit), mlOf(secondUnit)];
  return a === null || b === null || a === b
    ? [number(first), number(second)]
    : [toHundredth(number(first) * a), toHundredth(number(second) * b)];
}

function toHundredth(ml: number): number {
  return Math.round(ml * 100) / 100;
}

function mlOf(unit: string | undefined): number | null {
  return unitMl.find(([begin]) => unit?.startsWith(begin))?.[1] ?? null;
}

/** Added parts: so much concentrate and so much water. */
function added(concentrate: number, water: number, other: DilutionReading['other']): Result<DilutionReading> {
  if (!(concentrate > 0))
    return failure({ path: 'dilution', message: 'A dilution needs more than 0 parts of concentrate.' });
  return success({ parts: { concentrate, water }, notation: 'added', other });
}

/** So much concentrate in the whole. */
function whole(concentrate: number, total: number, otherwise: 'added' | null): Result<DilutionReading> {
  if (!(concentrate > 0))
    return failure({ path: 'dilution', message: 'A dilution needs more than 0 parts of concentrate.' });
  if (total < concentrate)
    return failure({
      path: 'dilution',
      message: `${concentrate} does not fit into ${total}: the whole holds the concentrate too. Exchange the two, or write ${concentrate}+${total}.`,
    });
  return success({
    parts: { concentrate, water: total - concentrate },
    notation: 'in-total',
    other: otherwise === null ? null : { parts: { concentrate, water: total }, notation: otherwise },
  });
}

/** A colon or “to”: added parts to most, parts of the whole to some; with the larger number first, water is named first. */
function ambiguous(first: number, second: number): Result<DilutionReading> {
  if (first > second && second > 0)
    return success({
      parts: { concentrate: second, water: first },
      notation: 'reversed',
      other: { parts: { concentrate: first, water: second }, notation: 'added' },
    });
  return added(
    first,
    second,
    second > first ? { parts: { concentrate: first, water: second - first }, notation: 'in-total' } : null,
  );
}

/** A share of the usual strength. */
function ofUsual(factor: number, usual: Parts): Result<DilutionReading> {
  const fraction = concentrateFraction(usual) * factor;
  if (!(factor > 0)) return failure({ path: 'dilution', message: 'A strength must be more than 0.' });
  if (fraction > 1 + 1e-9)
    return failure({
      path: 'dilution',
      message: `That is stronger than the concentrate itself: the usual dilution is ${usual.concentrate}+${usual.water}.`,
    });
  const { concentrate } = usual;
  return success({
    parts: { concentrate, water: Math.max(0, Math.round((concentrate / fraction - concentrate) * 10) / 10) },
    notation: 'strength',
    other: null,
  });
}

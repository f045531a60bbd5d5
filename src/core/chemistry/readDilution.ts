import { failure, success, type Result } from '../schema/result';
import { measureOf } from '../units/measures';
import { NUMBER_WORDS, readNumber } from '../units/readNumber';
import { concentrateFraction, type Parts } from './dilution';

/** How a written dilution was understood. */
export type DilutionNotation =
  'added' | 'in-total' | 'reversed' | 'strength' | 'undiluted' | 'two-part' | 'named' | 'water-first';

/** A dilution that somebody wrote, and what it may mean. */
export interface DilutionReading {
  parts: Parts;
  notation: DilutionNotation;
  /** The other reading, where the notation is used for both; null where it means one thing. */
  other: { parts: Parts; notation: DilutionNotation } | null;
  /** Parts of A, of B and of water, where two bottles make it. */
  twoPart?: { a: number; b: number; water: number };
}

/** Dilutions that somebody gave a name, by that name in lower case. */
export type NamedDilutions = Readonly<Record<string, Parts>>;

/** The working solution that a two-part developer is reckoned by, where it is used as mixed: 1+1+100. Source: our choice. */
const USUAL_TWO_PART_SHARE = 2 / 102;

const strengths: Record<string, number> = { full: 1, half: 1 / 2, third: 1 / 3, quarter: 1 / 4, double: 2 };

const NUMBER = '(\\d+(?:[.,]\\d+)?)';
const percent = new RegExp(`^${NUMBER}\\s*(?:%|per ?cent)$`);
const strength = new RegExp(`^(?:(${Object.keys(strengths).join('|')})|${NUMBER}\\s*(?:x|×|times))(?:[ -]*strength)?$`);
const shareOfStrength = new RegExp(`^${NUMBER}\\s*(%|per ?cent|/\\s*${NUMBER})[ -]*strength$`);
const fractions: Record<string, string> = { '½': '1/2', '⅓': '1/3', '⅔': '2/3', '¼': '1/4', '¾': '3/4' };

/** What stands between two amounts, and what it means. The first that parts the text decides. */
const separators = [
  ['plus', /\s*(?:\+|\bplus\b|\band\b(?!\s+(?:a\s+)?half))\s*/],
  ['within', /\s+(?:in|per|into|of|en)\s+(?=[\d½]|an?\b|half|lit)|\s*\/\s*/],
  ['colon', /\s*:\s*/],
  ['to', /\s+(?:to|a(?=\s+\d))\s+/],
] as const;

/** Words beside an amount that only say what it is of. */
const OF_WATER = /\s*\b(?:of\s+|de\s+)?(?:water|agua)\b/;
const OF_CONCENTRATE =
  /\s*\b(?:of\s+|de\s+)?(?:concentrate|developer|dev|stock|syrup|parts?|bottle|concentrado|revelador|partes?)\b/g;

/** A name that a bottle gives one of its dilutions. */
const NAME = /^(?:dil(?:ution)?\.?\s+)?([a-z]\d?)$/;

/**
 * Reads a dilution as people write it: 1+9, 1:9, one to ten, 15 in 500, 1:31, 4 to 1, 3 %, half strength, ¾ strength, 50 % strength,
 * undiluted, 100 ml + 400 ml water, 1 oz in 10 oz, 1 ml per 100 ml, 1+1+100, dilution B.
 * @param text what was typed
 * @param usual the developer's usual dilution: what full strength means
 * @param names dilutions of this bottle that somebody gave a name
 * @returns parts of concentrate and water, how that was read, and the other reading where notations disagree
 * Source: common practice, no source: a plus adds parts; a colon and “to” are used for added parts by most and for parts in the whole by some.
 * @example readDilution('1:9', usual) // 1 + 9 parts; or 1 in 9, which is 1 + 8
 */
export function readDilution(text: string, usual: Parts, names: NamedDilutions = {}): Result<DilutionReading> {
  const plain = text
    .trim()
    .toLowerCase()
    .replace(/(?<!\d)[½⅓⅔¼¾]/g, (sign) => fractions[sign] ?? sign)
    .replace(/\b[a-z]+\b/g, (word) => String(NUMBER_WORDS[word] ?? word));
  if (plain === '')
    return wrong('Write the dilution as it stands on the bottle or in the recipe: 1+9, 1:31, 15 in 500.');
  const own = namedDilution(text, names);
  if (own !== null) return success({ parts: own, notation: 'named', other: null });
  const name = NAME.exec(text.trim().toLowerCase());
  if (name !== null)
    return failure({
      path: 'dilutionName',
      message: `“${text.trim()}” is a name on your bottle. Say once what it is there, such as 1+31, and it is known from then on.`,
    });
  if (/^(undiluted|stock|neat|straight|as mixed)$/.test(plain))
    return success({ parts: { concentrate: 1, water: 0 }, notation: 'undiluted', other: null });
  const share = percent.exec(plain);
  if (share !== null)
    return number(share[1]) > 100
      ? wrong(`${share[1] ?? ''} % is more than the whole: undiluted concentrate is 100 %.`)
      : whole(number(share[1]), 100, null);
  const relative = strength.exec(plain);
  if (relative !== null)
    return ofUsual(relative[1] === undefined ? number(relative[2]) : (strengths[relative[1]] ?? 1), usual);
  const part = shareOfStrength.exec(plain);
  if (part !== null) return ofUsual(number(part[1]) / (part[3] === undefined ? 100 : number(part[3])), usual);
  const unreadable = wrong<DilutionReading>(
    `“${text.trim()}” does not read as a dilution. Write 1+9, 1:9, 1 to 10, 15 in 500, 100 ml + 400 ml, 3 % or half strength.`,
  );
  for (const [meaning, between] of separators) {
    const sides = plain.split(between);
    if (sides.length < 2) continue;
    const read = sides.map(sideOf);
    if (read.some((side) => side === null)) return unreadable;
    const [first, second, third, ...more] = read as Side[];
    if (first === undefined || second === undefined || more.length > 0) return unreadable;
    if (third !== undefined) return meaning === 'plus' ? twoParts(first, second, third, usual) : unreadable;
    const [a, b] = inOneUnit(first, second);
    if (first.water && !second.water)
      return meaning === 'plus' || meaning === 'to' || meaning === 'colon'
        ? added(b, a, null, 'water-first')
        : unreadable;
    if (meaning === 'plus' || second.water) return added(a, b, null);
    return meaning === 'within' ? whole(a, b, 'added') : ambiguous(a, b);
  }
  return unreadable;
}

/**
 * The name that a text gives a dilution: one letter, or a letter and a figure, as bottles have them.
 * @returns the name in lower case; null for anything else
 * @example dilutionName('Dilution B') // 'b'
 */
export function dilutionName(text: string): string | null {
  return NAME.exec(text.trim().toLowerCase())?.[1] ?? null;
}

function namedDilution(text: string, names: NamedDilutions): Parts | null {
  const name = dilutionName(text);
  return name !== null && Object.hasOwn(names, name) ? (names[name] ?? null) : null;
}

function wrong<T>(message: string): Result<T> {
  return failure({ path: 'dilution', message });
}

function number(text: string | undefined): number {
  return Number((text ?? '').replace(',', '.'));
}

/** One amount of a dilution: its figures, and its ml where it has a unit of volume. */
interface Side {
  count: number;
  unitMl: number | null;
  water: boolean;
}

function sideOf(text: string): Side | null {
  const water = OF_WATER.test(text);
  const bare = text.replace(OF_WATER, '').trim();
  const read = readNumber(bare) ?? (measureOf(bare) === null ? null : { value: 1, rest: bare });
  if (read === null) return null;
  const unit = read.rest.replace(OF_CONCENTRATE, '').trim();
  if (unit === '') return { count: read.value, unitMl: null, water };
  const measure = measureOf(unit);
  if (measure === null) return null;
  if (measure.of === 'volume') return { count: read.value, unitMl: measure.size, water };
  if (measure.of === 'teaspoon') return { count: read.value, unitMl: TEASPOON_ML, water };
  if (measure.of === 'tablespoon') return { count: read.value, unitMl: TABLESPOON_ML, water };
  return null;
}

/** Spoons of a liquid, ml. Source: metric spoons, common practice. */
const TEASPOON_ML = 5;
const TABLESPOON_ML = 15;

/** Two amounts as they stand; in ml, to the hundredth, where they are written in different units of volume. */
function inOneUnit(first: Side, second: Side): [number, number] {
  if (first.unitMl === null || second.unitMl === null || first.unitMl === second.unitMl)
    return [first.count, second.count];
  return [toHundredth(first.count * first.unitMl), toHundredth(second.count * second.unitMl)];
}

function toHundredth(ml: number): number {
  return Math.round(ml * 100) / 100;
}

/** Parts of A, of B and of water. Where a developer is reckoned as mixed, 1+1+100 is its full strength. */
function twoParts(first: Side, second: Side, third: Side, usual: Parts): Result<DilutionReading> {
  const [a, b, water] = [first, second, third].map(({ count, unitMl }) => count * (unitMl ?? 1)) as [
    number,
    number,
    number,
  ];
  const concentrate = a + b;
  if (!(concentrate > 0) || !(water >= 0)) return wrong('A dilution needs more than 0 parts of concentrate.');
  const twoPart = { a, b, water };
  if (usual.water > 0) return success({ parts: { concentrate, water }, notation: 'two-part', other: null, twoPart });
  const share = concentrate / (concentrate + water) / USUAL_TWO_PART_SHARE;
  if (share > 1 + 1e-9)
    return wrong(
      'That is stronger than 1+1+100, which counts as its full strength here: Aetas does not follow it further.',
    );
  const parts = { concentrate: 1, water: Math.max(0, toHundredth(1 / share - 1)) };
  return success({ parts, notation: 'two-part', other: null, twoPart });
}

/** Added parts: so much concentrate and so much water. */
function added(
  concentrate: number,
  water: number,
  other: DilutionReading['other'],
  notation: DilutionNotation = 'added',
): Result<DilutionReading> {
  if (!(concentrate > 0)) return wrong('A dilution needs more than 0 parts of concentrate.');
  return success({ parts: { concentrate, water }, notation, other });
}

/** So much concentrate in the whole. */
function whole(concentrate: number, total: number, otherwise: 'added' | null): Result<DilutionReading> {
  if (!(concentrate > 0)) return wrong('A dilution needs more than 0 parts of concentrate.');
  if (total < concentrate)
    return wrong(
      `${concentrate} does not fit into ${total}: the whole holds the concentrate too. Exchange the two, or write ${concentrate}+${total}.`,
    );
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
  if (!(factor > 0)) return wrong('A strength must be more than 0.');
  if (fraction > 1 + 1e-9)
    return wrong(
      `That is stronger than the concentrate itself: the usual dilution is ${usual.concentrate}+${usual.water}.`,
    );
  const { concentrate } = usual;
  return success({
    parts: { concentrate, water: Math.max(0, Math.round((concentrate / fraction - concentrate) * 10) / 10) },
    notation: 'strength',
    other: null,
  });
}

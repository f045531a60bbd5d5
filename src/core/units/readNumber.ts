/** A number at the beginning of a text. */
export interface NumberReading {
  value: number;
  /** The other number that the same figures may mean, as 1.600 does; null where there is but one. */
  other: number | null;
  /** What follows it, without leading space. */
  rest: string;
}

const SIGNS: Record<string, number> = {
  '½': 1 / 2,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅕': 1 / 5,
};

/** Whole numbers in words, as people write small ones. */
export const NUMBER_WORDS: Readonly<Record<string, number>> = {
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
  eleven: 11,
  twelve: 12,
  fifteen: 15,
  twenty: 20,
  thirty: 30,
  forty: 40,
  fifty: 50,
  sixty: 60,
  hundred: 100,
};

/** Parts by their names, in the singular. */
const PARTS: Record<string, number> = { half: 1 / 2, third: 1 / 3, quarter: 1 / 4, eighth: 1 / 8 };

const SIGN_CLASS = `[${Object.keys(SIGNS).join('')}]`;
const PART = `(${Object.keys(PARTS).join('|')})s?`;
const COUNT = `(${Object.keys(NUMBER_WORDS).join('|')}|an?)`;

/** Three figures behind one separator: thousands to some, decimals to others. */
const EITHER = /^(\d{1,3})([.,])(\d{3})(?![\d.,])/;
const GROUPED = /^\d{1,3}(?:([.,' ])\d{3})(?:\1\d{3})*(?:[.,]\d+)?(?![\d.,])/;

/**
 * Reads the number that a text begins with, as people write and say it: `2.5`, `2,5`, `.5`, `1 1/2`, `2½`, `3/4`, `two and a half`,
 * `half a`, `a`, `1 000`.
 * @param text what was typed, in any case
 * @returns the number and what follows it; null where the text does not begin with one. `1,600` is 1600 and may be 1.6; `1.600`
 *   is 1.6 and may be 1600: English usage leads, and the other is told.
 * Source: common practice, no source.
 * @example readNumber('2½ tsp') // { value: 2.5, other: null, rest: 'tsp' }
 */
export function readNumber(text: string): NumberReading | null {
  const plain = text.trim().toLowerCase();
  return figures(plain) ?? words(plain);
}

function after(plain: string, length: number): string {
  return plain.slice(length).trim();
}

function figures(plain: string): NumberReading | null {
  const fraction = /^(\d+)\s*\/\s*(\d+)(?![\d.,])/.exec(plain);
  if (fraction !== null) {
    const under = Number(fraction[2]);
    return under === 0
      ? null
      : { value: Number(fraction[1]) / under, other: null, rest: after(plain, fraction[0].length) };
  }
  const mixed = /^(\d+)(?:\s+|-)(\d+)\s*\/\s*(\d+)(?![\d.,])/.exec(plain);
  if (mixed !== null && Number(mixed[3]) > 0 && Number(mixed[2]) < Number(mixed[3]))
    return {
      value: Number(mixed[1]) + Number(mixed[2]) / Number(mixed[3]),
      other: null,
      rest: after(plain, mixed[0].length),
    };
  const signed = new RegExp(`^(\\d+)?\\s*(${SIGN_CLASS})`).exec(plain);
  if (signed !== null)
    return {
      value: Number(signed[1] ?? 0) + (SIGNS[signed[2] ?? ''] ?? 0),
      other: null,
      rest: after(plain, signed[0].length),
    };
  const either = EITHER.exec(plain);
  // A leading nought groups nothing: 0,125 is an eighth.
  if (either !== null && !(either[1] ?? '').startsWith('0')) {
    const decimal = Number(`${either[1] ?? ''}.${either[3] ?? ''}`);
    const whole = Number(`${either[1] ?? ''}${either[3] ?? ''}`);
    return {
      value: either[2] === ',' ? whole : decimal,
      other: either[2] === ',' ? decimal : whole,
      rest: after(plain, either[0].length),
    };
  }
  const grouped = GROUPED.exec(plain);
  if (grouped !== null && !plain.startsWith('0')) {
    const separator = grouped[1] ?? '';
    const [wholes = '', decimals] = splitDecimals(grouped[0], separator);
    return {
      value: Number(`${wholes.replace(/[.,' ]/g, '')}.${decimals ?? '0'}`),
      other: null,
      rest: after(plain, grouped[0].length),
    };
  }
  const decimal = /^(?:\d+(?:[.,]\d+)?|[.,]\d+)/.exec(plain);
  if (decimal === null) return null;
  const value = Number(decimal[0].replace(',', '.'));
  const rest = after(plain, decimal[0].length);
  const half = /^and a half\b/.exec(rest);
  return half === null
    ? { value, other: null, rest }
    : { value: value + 0.5, other: null, rest: after(rest, half[0].length) };
}

/** Parts a grouped number at its decimal mark, the one that is not the separator. */
function splitDecimals(number: string, separator: string): [string, string?] {
  const mark = separator === ',' ? '.' : ',';
  const parts = number.split(separator === ' ' || separator === "'" ? /[.,]/ : mark);
  return [parts[0] ?? '', parts[1]];
}

function words(plain: string): NumberReading | null {
  const partOf = new RegExp(`^(?:${COUNT}[ -]+)?${PART}\\b(?:\\s+of)?(?:\\s+an?\\b)?`).exec(plain);
  if (partOf !== null) {
    const count = partOf[1] === undefined ? 1 : countOf(partOf[1]);
    return { value: count * (PARTS[partOf[2] ?? ''] ?? 0), other: null, rest: after(plain, partOf[0].length) };
  }
  const andPart = new RegExp(`^${COUNT}(?:\\s+and\\s+(?:${COUNT}\\s+)?${PART})?\\b`).exec(plain);
  if (andPart === null) return null;
  const more = andPart[3] === undefined ? 0 : countOf(andPart[2] ?? 'a') * (PARTS[andPart[3]] ?? 0);
  return { value: countOf(andPart[1] ?? 'a') + more, other: null, rest: after(plain, andPart[0].length) };
}

function countOf(word: string): number {
  return NUMBER_WORDS[word] ?? 1;
}

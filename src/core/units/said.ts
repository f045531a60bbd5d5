import { measureOf, type Measure } from './measures';
import { readNumber, type NumberReading } from './readNumber';

/** How a spoon is filled. */
export type SpoonFill = 'level' | 'rounded' | 'heaped';

/** An amount as somebody said it. */
export interface Said {
  count: Omit<NumberReading, 'rest'>;
  /** Null where a number stands alone. */
  measure: Measure | null;
  fill: SpoonFill | null;
  /** What it is said to go into, ml: `9.6 g in 400 ml`, `40 g/l`; null where nothing was said. */
  inMl: number | null;
}

const FILLS: Record<string, SpoonFill> = {
  level: 'level',
  flat: 'level',
  rounded: 'rounded',
  heaped: 'heaped',
  heaping: 'heaped',
};

/**
 * Reads an amount as people say it: a number, how a spoon is filled, a measure, and what it goes into.
 * @param text for example `2½ heaped tsp`, `half a can`, `20 drops`, `9.6 g in 400 ml`, `40 g/l`, `1 gal`
 * @returns its parts; null where it does not read as an amount
 * @example readSaid('9.6 g in 400 ml') // count 9.6, measure g, inMl 400
 */
export function readSaid(text: string): Said | null {
  const [said = '', into, ...more] = text
    .trim()
    .toLowerCase()
    .split(/\s+(?:in|per|for|to)\s+|\s*\/\s*(?=l\b|lit|ml\b|gal)|(?<=\b(?:g|ml|tsp|tbsp)) a (?=lit)/);
  if (more.length > 0) return null;
  const inMl = into === undefined ? null : volumeMl(into);
  if (into !== undefined && inMl === null) return null;
  const number = readNumber(said);
  if (number === null) return null;
  const { value, other, rest } = number;
  const [first = '', ...tail] = rest.split(/\s+/);
  const fill = FILLS[first] ?? null;
  const word = (fill === null ? rest : tail.join(' ')).replace(/\s+of\s+.*$/, '');
  const measure = word === '' ? null : measureOf(word);
  if (word !== '' && measure === null) return null;
  return { count: { value, other }, measure, fill, inMl };
}

/** A volume that something goes into: `400 ml`, `a litre`, `litre`; null for anything else. */
function volumeMl(text: string): number | null {
  const bare = measureOf(text);
  if (bare?.of === 'volume') return bare.size;
  const number = readNumber(text);
  const measure = number === null ? null : measureOf(number.rest);
  return number === null || measure?.of !== 'volume' || !(number.value > 0) ? null : number.value * measure.size;
}

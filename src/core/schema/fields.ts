import * as z from 'zod';
import { limits, type Limit, type LimitId } from './limits';
import { within } from './within';

/** Last instant that a record may carry: the end of the year 2199, ms since the epoch. */
const LAST_INSTANT_MS = 7_258_118_400_000;

/** Deepest nesting of a value whose shape is free. */
const DEEPEST = 24;

/** Largest value whose shape is free, as JSON text, characters. */
const LARGEST_FREE = 400_000;

/** A number within a range of the table of limits. */
export function limited(id: LimitId, what?: string): z.ZodNumber {
  const limit: Limit = limits[id];
  return within(what ?? limit.what, limit.min, limit.max, limit.unit ?? '');
}

/** An identity: it stands in addresses, so it holds no slash, space or mark. */
export const idField = z
  .string('Id: give a text.')
  .min(1, 'Id: give at least one letter.')
  .max(100, 'Id: give 100 letters at most.')
  .regex(/^[\w.:-]+$/, 'Id: use letters, digits, dots, colons, dashes and underscores only.');

/** An instant, ms since the epoch. */
export const instantMs = z
  .number('Instant: give milliseconds since 1970.')
  .int('Instant: give whole milliseconds.')
  .min(0, 'Instant: give one after 1970.')
  .max(LAST_INSTANT_MS, 'Instant: give one before the year 2200.');

/** A calendar year. */
export const yearField = limited('year').int('Year: give a whole year.');

/** A text of limited length; empty is allowed. */
export function text(what: string, most: number): z.ZodString {
  return z.string(`${what}: give a text.`).max(most, `${what}: give ${most} letters at most.`);
}

/** A name: at least one letter. */
export function nameField(what: string, most = 120): z.ZodString {
  return text(what, most).min(1, `${what}: give at least one letter.`);
}

/**
 * Whether a value of free shape is plain, shallow and small enough to be kept.
 * @param value anything
 * @example plainValue({ note: 'half typed' }) // true
 */
export function plainValue(value: unknown): boolean {
  let level: unknown[] = [value];
  for (let depth = 0; level.length > 0; depth++) {
    if (depth > DEEPEST) return false;
    level = level.flatMap((one) => (typeof one === 'object' && one !== null ? Object.values(one) : []));
  }
  return (JSON.stringify(value) ?? '').length <= LARGEST_FREE;
}

/** A value of free shape. */
export const freeValue = z
  .unknown()
  .refine(plainValue, 'This value is nested too deeply, or it is too large to be kept.');

import * as z from 'zod';

/** A number within a range, with one sentence that says what it is and which range it has. */
export function within(what: string, min: number, max: number, unit = ''): z.ZodNumber {
  const sentence = `${what}: give a number from ${min} to ${max}${unit === '' ? '' : ` ${unit}`}.`;
  return z.number(sentence).min(min, sentence).max(max, sentence);
}

/** One of a list, with one sentence that names them. */
export const oneOf = <const T extends readonly [string, ...string[]]>(what: string, values: T) =>
  z.enum(values, `${what}: choose one of ${values.join(', ')}.`);

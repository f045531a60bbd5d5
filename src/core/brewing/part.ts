import * as z from 'zod';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { substanceIds } from '../chemistry/substances';
import { limited } from '../schema/fields';
import { threeFigures } from '../units/threeFigures';
import { packetFamilyIds } from './recipe';

/** What a part of a batch is made of. */
export const makeupSchema = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('substance'), substanceId: z.enum(substanceIds) }),
  z.strictObject({
    kind: z.literal('tablets'),
    activeMg: z.number().positive().max(100_000),
    massG: z.number().positive().max(200_000),
    effervescent: z.boolean(),
  }),
  z.strictObject({ kind: z.literal('concentrate'), familyId: z.enum(developerFamilyIds).nullable() }),
  z.strictObject({
    kind: z.literal('packet'),
    familyId: z.enum(packetFamilyIds).nullable(),
    packetG: z.number().positive().max(200_000),
    makesMl: z.number().positive().max(200_000),
  }),
  z.strictObject({ kind: z.literal('own') }),
]);

export type Makeup = z.infer<typeof makeupSchema>;

export const partUnits = ['g', 'ml', 'tablets'] as const;
export type PartUnit = (typeof partUnits)[number];

/** How an amount came about. `target` is one that nobody checked. */
export const measuredBy = ['scale', 'typed', 'spoons', 'target'] as const;

/** One thing that goes into a jug: what was wanted, and what went in. */
export const brewPartSchema = z.strictObject({
  key: z.string().min(1).max(60),
  name: z.string().min(1).max(160),
  unit: z.enum(partUnits),
  target: limited('amount'),
  /** Null until it is in. */
  actual: limited('amount').nullable(),
  how: z.enum(measuredBy),
  /** Sd of ln(actual). */
  lnSd: limited('lnSd'),
  makeup: makeupSchema,
});

export type BrewPart = z.infer<typeof brewPartSchema>;

/** What went in, or what was wanted while it has not. */
export function amountOf(part: Pick<BrewPart, 'target' | 'actual'>): number {
  return part.actual ?? part.target;
}

/**
 * Digits after the point that tell an amount on a label: whole or half tablets, tenths, and hundredths below one.
 * @example amountDigits(0.55, 'g') // 2
 */
export function amountDigits(amount: number, unit: PartUnit): number {
  if (unit === 'tablets') return Number.isInteger(amount) ? 0 : 1;
  return Math.min(amount < 1 ? 2 : 1, threeFigures(amount));
}

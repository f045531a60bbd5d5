import * as z from 'zod';
import { developerFamilyIds } from '../chemistry/developerFamilies';
import { substanceIds, substanceOf } from '../chemistry/substances';
import { limited } from '../schema/fields';
import { oneOf, within } from '../schema/within';
import { partsSchema } from '../chemistry/partsSchema';

/** What a recipe makes: the name of one, and of all of them together. */
export const recipeUses = {
  'film-developer': { name: 'Film developer', group: 'Film developers' },
  'paper-developer': { name: 'Paper developer', group: 'For paper' },
  stop: { name: 'Stop', group: 'Stop' },
  fixer: { name: 'Fixer', group: 'Fixers' },
  'pre-bath': { name: 'Pre-bath', group: 'Before the developer' },
  wetting: { name: 'Wetting bath', group: 'Last bath' },
} as const;

export type RecipeUse = keyof typeof recipeUses;
export const recipeUseIds = Object.keys(recipeUses) as [RecipeUse, ...RecipeUse[]];

const nameSchema = z
  .string('Name: give a text.')
  .trim()
  .min(1, 'Name: give at least one letter.')
  .max(120, 'Name: give 120 letters at most.');

/** What a powder packet or a kit stands for in the estimator; null for one that it does not follow. */
export const packetFamilyIds = [...developerFamilyIds, 'one-bath'] as const;

/** One thing that goes in. Amounts of substances are per litre of the finished bath. */
export const recipeLineSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('substance'),
    substanceId: oneOf('Substance', substanceIds),
    perL: within('Amount per litre', 0, 1000),
  }),
  /** A concentrate that is diluted; `familyId` is null for stop, fixer and other baths. */
  z.strictObject({
    kind: z.literal('concentrate'),
    name: nameSchema,
    familyId: oneOf('Developer family', developerFamilyIds).nullable(),
    parts: partsSchema,
  }),
  /** A packet or one part of a kit, of which a share is taken. */
  z.strictObject({
    kind: z.literal('packet'),
    name: nameSchema,
    familyId: oneOf('Developer family', packetFamilyIds).nullable(),
    /** Null until somebody reads it off the packet. */
    packetG: within('Weight of the packet', 0.1, 50000, 'g').nullable(),
    makesMl: within('What the packet makes', 50, 100000, 'ml'),
  }),
  /** Something that Aetas does not know: it is weighed, and counts for nothing else. */
  z.strictObject({
    kind: z.literal('own'),
    name: nameSchema,
    unit: z.enum(['g', 'ml']),
    perL: within('Amount per litre', 0, 1000),
  }),
]);

/** A recipe as it is kept. */
export const recipeShape = {
  name: nameSchema,
  use: z.enum(recipeUseIds, 'Use: choose what it is for.'),
  lines: z.array(recipeLineSchema).max(12, 'Ingredients: give 12 at most.'),
  note: z.string().max(2000, 'Note: give 2000 letters at most.'),
  /** What one jug of it makes, ml, where it is mixed by the jug: one can and what goes into it. Missing for any volume. */
  makesMl: limited('sheetMl').optional(),
};

export type RecipeLine = z.infer<typeof recipeLineSchema>;

/** A recipe without its identity in the records. */
export interface Recipe {
  name: string;
  use: RecipeUse;
  lines: RecipeLine[];
  note: string;
  makesMl?: number | undefined;
}

/**
 * Amount of a line in a litre of the finished bath.
 * @param line a recipe's line
 * @returns g or ml, in the line's own unit
 * @example amountPerL({ kind: 'concentrate', name: 'Stop', familyId: null, parts: { concentrate: 1, water: 19 } }) // 50
 */
export function amountPerL(line: RecipeLine): number {
  switch (line.kind) {
    case 'substance':
    case 'own':
      return line.perL;
    case 'concentrate':
      return (1000 * line.parts.concentrate) / (line.parts.concentrate + line.parts.water);
    case 'packet':
      return (1000 * (line.packetG ?? 0)) / line.makesMl;
  }
}

/** What a line is called. */
export function lineName(line: RecipeLine): string {
  return line.kind === 'substance' ? substanceOf(line.substanceId).name : line.name;
}

/** Unit in which a line is measured. */
export function unitOf(line: RecipeLine): 'g' | 'ml' {
  switch (line.kind) {
    case 'substance':
      return substanceOf(line.substanceId).unit;
    case 'own':
      return line.unit;
    case 'concentrate':
      return 'ml';
    case 'packet':
      return 'g';
  }
}

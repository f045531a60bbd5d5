import * as z from 'zod';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Result } from '../schema/result';
import { recipeShape, type Recipe } from './recipe';

/** What a file of recipes says that it is. */
export const RECIPE_FORMAT = 'aetas-recipes';
const RECIPE_VERSION = 1;

const fileSchema = z.object({
  format: z.literal(RECIPE_FORMAT, 'This is not a recipe file from Aetas. Choose one made with “Save my recipes”.'),
  version: z.literal(
    RECIPE_VERSION,
    `This file is of another version of Aetas; this one reads version ${RECIPE_VERSION}.`,
  ),
  recipes: z
    .array(z.strictObject(recipeShape))
    .min(1, 'There is no recipe in this file.')
    .max(500, 'There are more than 500 recipes in this file.'),
});

/** A recipe as it is given to others: without the stamps of the bench that it is from. */
export function plainRecipe({ name, use, lines, note, makesMl }: Recipe): Recipe {
  return { ...{ name, use, lines, note }, ...(makesMl === undefined ? {} : { makesMl }) };
}

/**
 * Writes recipes as a file that people and programs can read.
 * @param recipes the recipes
 * @returns JSON text
 */
export function writeRecipes(recipes: readonly Recipe[]): string {
  const plain = recipes.map(plainRecipe);
  return `${JSON.stringify({ format: RECIPE_FORMAT, version: RECIPE_VERSION, recipes: plain }, null, 2)}\n`;
}

/**
 * Reads a file of recipes; taken whole or not at all.
 * @param text the file
 * @returns recipes, or every fault with its path
 */
export function readRecipes(text: string): Result<Recipe[]> {
  let raw: unknown;
  try {
    raw = JSON.parse(text);
  } catch {
    return failure({
      path: '',
      message: 'The file is not JSON, or it was cut off. Save it again where it comes from.',
    });
  }
  const parsed = fileSchema.safeParse(raw);
  return parsed.success ? success(parsed.data.recipes) : failure(...problemsFromZod(parsed.error.issues));
}

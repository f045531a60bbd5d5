import type { Recipe } from '@/core/brewing/recipe';
import type { RecipeRecord } from '@/core/records/records';
import { database } from './database';
import { putRecord } from './putRecord';
import { keepSafe } from './safekeeping';
import { guardedWrite, newStamps } from './write';

/**
 * Keeps a recipe as the user's own.
 * @param recipe the recipe
 * @param id the one that it replaces; left out for a new one
 * @returns its id
 */
export async function keepRecipe(recipe: Recipe, id?: string): Promise<string> {
  return guardedWrite(async () => {
    const { name, use, lines, note } = recipe;
    const before = id === undefined ? undefined : await database().recipes.get(id);
    const kept: RecipeRecord = { ...(before ?? newStamps()), name, use, lines, note, updatedMs: Date.now() };
    await putRecord('recipes', kept);
    return kept.id;
  });
}

/** Takes in recipes of a file, all or none. */
export async function addRecipes(recipes: readonly Recipe[]): Promise<void> {
  await guardedWrite(async () => {
    const db = database();
    await db.transaction('rw', db.recipes, async () => {
      for (const recipe of recipes) await putRecord('recipes', { ...newStamps(), ...recipe });
    });
  });
}

/** Takes a recipe out; it can be undone. */
export async function removeRecipe(recipe: RecipeRecord): Promise<void> {
  await guardedWrite(async () => {
    await keepSafe(`taking out the recipe “${recipe.name}”`);
    await database().recipes.delete(recipe.id);
  });
}

import type { Recipe } from '@/core/brewing/recipe';
import type { RecipeRecord } from '@/core/records/records';
import { act, newStamps } from './act';

/**
 * Keeps a recipe as the user's own.
 * @param recipe the recipe
 * @param id the one that it replaces; left out for a new one
 * @returns its id
 */
export function keepRecipe(recipe: Recipe, id?: string): Promise<string> {
  return act(`recipe:${id ?? 'new'}`, async (writer) => {
    const { name, use, lines, note, makesMl } = recipe;
    const before = id === undefined ? undefined : await writer.db.recipes.get(id);
    const { id: keptId, createdMs } = before ?? newStamps();
    const kept: RecipeRecord = { id: keptId, createdMs, updatedMs: Date.now(), name, use, lines, note };
    if (makesMl !== undefined) kept.makesMl = makesMl;
    await writer.put('recipes', kept);
    return kept.id;
  });
}

/** Takes in recipes of a file, all or none. */
export function addRecipes(recipes: readonly Recipe[]): Promise<void> {
  return act('recipes', async (writer) => {
    for (const recipe of recipes) await writer.put('recipes', { ...newStamps(), ...recipe });
  });
}

/** Deletes a recipe; it can be undone. */
export function removeRecipe(recipe: RecipeRecord): Promise<void> {
  return act(`recipe:${recipe.id}`, (writer) => writer.remove('recipes', recipe.id), {
    undo: `deleting the recipe “${recipe.name}”`,
  });
}

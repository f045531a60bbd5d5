'use client';

import { useMemo } from 'react';
import { formulary, formularyRecipe } from '@/core/brewing/formulary';
import type { Recipe } from '@/core/brewing/recipe';
import { workbench, type Sheet, type Workbench } from '@/core/brewing/workbench';
import {
  recipeOfDeveloper,
  reopenedWorkbench,
  workbenchFormSchema,
  type SheetFor,
  type WorkbenchForm,
} from '@/core/brewing/workbenchForm';
import { filmFormats } from '@/core/films/filmFormats';
import type { RecipeRecord } from '@/core/records/records';
import type { Kit } from '@/core/kit/kit';
import type { Problem } from '@/core/schema/result';
import { readPlanForm } from '@/core/plan/planForm';
import { currentPlanForm } from '@/core/plan/planInHand';
import { developerName } from '@/core/plan/developerName';
import type { Bench, RollDossier } from '@/data/queries';
import { useDraft, type DraftForm } from '@/features/drafts/useDraft';
import { useLast } from '@/ui/useLast';

/** What a workbench is opened for: a recipe, and the roll that it serves. */
export interface WorkbenchStart {
  /** Under which its form is kept. */
  key: string;
  recipe: Recipe;
  sheetFor: SheetFor | null;
  /** Id of the user's own recipe, if it is one. */
  ownId: string | null;
}

/** The recipe with nothing in it. */
const empty: Recipe = { name: '', use: 'film-developer', lines: [], note: '' };

/**
 * What a workbench starts from.
 * @param recipeId id of the formulary or of an own recipe, `new` for an empty one, null for the developer of the roll's plan
 * @param rollId the roll that it serves; null for none
 * @returns null when there is no such recipe
 */
export function workbenchStart(
  recipeId: string | null,
  rollId: string | null,
  bench: Bench,
  recipes: readonly RecipeRecord[],
): WorkbenchStart | null {
  const dossier = bench.dossiers.find(({ roll }) => roll.id === rollId);
  const own = recipes.find(({ id }) => id === recipeId);
  if (recipeId === null && dossier !== undefined) {
    const planned = plannedDeveloper(dossier, bench);
    return {
      key: `workbench:roll:${dossier.roll.id}`,
      recipe: planned.recipe,
      sheetFor: { ...tankOf(dossier), ...planned.sheet },
      ownId: null,
    };
  }
  const recipe = recipeId === 'new' ? empty : (own ?? formularyRecipe(recipeId ?? 'coffee-standard'));
  if (recipe === undefined) return null;
  return {
    key: `workbench:${recipeId ?? 'coffee-standard'}`,
    recipe,
    // The volume that somebody has decided for the roll goes before what covers it.
    sheetFor:
      dossier === undefined
        ? null
        : { ...tankOf(dossier), ...(hasOwnVolume(dossier) ? plannedDeveloper(dossier, bench).sheet : {}) },
    ownId: own?.id ?? null,
  };
}

/** Whether a plan of the roll, pinned or typed, names a volume. */
function hasOwnVolume({ plan, planDraft }: RollDossier): boolean {
  return plan !== undefined || (typeof planDraft === 'object' && planDraft !== null && 'volumeMl' in planDraft);
}

/** The tank of a roll before anything is planned. */
export function tankOf({ roll }: Pick<RollDossier, 'roll'>): SheetFor {
  return { rollId: roll.id, coverMl: filmFormats[roll.formatId].coverVolumeMl, targetC: 20 };
}

/** The developer that a roll's plan asks for, with its volume and temperature; the standard coffee while it does not read. */
function plannedDeveloper(
  { roll, stock, plan, planDraft }: RollDossier,
  bench: Bench,
): { recipe: Recipe; sheet: Partial<SheetFor> } {
  const choices = readPlanForm(currentPlanForm(roll, stock, plan, planDraft), roll, bench.brews);
  if (!choices.ok) return { recipe: formulary['coffee-standard'], sheet: {} };
  const { developer, bromideGPerL, volumeMl, temperatureC } = choices.value;
  return {
    recipe: recipeOfDeveloper(developerName(developer), developer, bromideGPerL),
    sheet: { volumeMl, targetC: temperatureC },
  };
}

/** The workbench while it is being filled in. */
export interface WorkbenchInHand extends DraftForm<WorkbenchForm> {
  result: Workbench | null;
  /** The sheet; while something that was typed is wrong, the one before it, so that nothing jumps under the hands. */
  shown: Sheet | null;
  /** Whether the sheet on show is the one before. */
  mending: boolean;
  /** What is wrong, by field; a field that is still empty is not marked. */
  errors: Partial<Record<string, string>>;
  /** What the first empty field asks for; null when none is empty. */
  asked: string | null;
}

/** What stands in the field of a path: `targetC`, or `lines.KEY.perL`. */
function valueAt(form: WorkbenchForm, path: string): unknown {
  const [head = '', key, field = ''] = path.split('.');
  if (head !== 'lines') return form[head as keyof WorkbenchForm];
  return form.lines.find((line) => line.key === key)?.[field as 'perL'];
}

/** Keeps the workbench's form as typed, and works it out anew on every change. */
export function useWorkbench({ key, recipe, sheetFor }: WorkbenchStart, kit: Kit): WorkbenchInHand {
  const kept = useDraft(key, workbenchFormSchema, (before) => reopenedWorkbench(before, recipe, sheetFor));
  const result = useMemo(() => (kept.form === null ? null : workbench(kept.form, kit)), [kept.form, kit]);
  const { form } = kept;
  const { errors, asked } = useMemo(() => {
    const [empty, wrong] = [[], []] as [Problem[], Problem[]];
    for (const problem of result?.problems ?? [])
      (form !== null && valueAt(form, problem.path) === '' ? empty : wrong).push(problem);
    return {
      errors: Object.fromEntries([...wrong].reverse().map(({ path, message }) => [path, message])),
      asked: empty[0]?.message ?? null,
    };
  }, [result, form]);
  const sheet = result?.sheet ?? null;
  const shown = useLast(sheet);
  return { ...kept, result, shown, mending: sheet === null && shown !== null, errors, asked };
}

'use client';

import { useRouter } from 'next/navigation';
import { readLines } from '@/core/brewing/readLines';
import { recipeUseIds, recipeUses, type Recipe, type RecipeUse } from '@/core/brewing/recipe';
import { fingerprint } from '@/core/brewing/workbenchForm';
import { formatQuantity } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { keepDraft } from '@/data/drafts';
import { keepRecipe } from '@/data/recipes';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Tick } from '@/ui/Tick';
import type { WorkbenchStart } from './useWorkbench';
import type { BenchPart } from './Workbench';

const useOptions = recipeUseIds.map((value) => ({ value, name: recipeUses[value].name }));

/** The sheet as a recipe of one's own. */
export function KeepRecipe({
  inHand: { form, change, result },
  start: { ownId, recipe: kept },
}: Pick<BenchPart, 'inHand'> & { start: Pick<WorkbenchStart, 'ownId' | 'recipe'> }) {
  const router = useRouter();
  const units = useSettings();
  const lines = readLines(form);
  const name = form.name.trim();
  const able = lines.ok && name !== '';
  const volumeMl = result?.volumeMl ?? null;
  const now: Recipe = {
    ...{ name, use: form.use, note: form.note },
    lines: lines.ok ? lines.value.map(({ line }) => line) : [],
    ...(form.oneJug && volumeMl !== null ? { makesMl: volumeMl } : {}),
  };
  const same = lines.ok && now.use === kept.use && now.note === kept.note && fingerprint(now) === fingerprint(kept);
  const keep = (id?: string): void => {
    void keepRecipe(now, id)
      .then(async (kept) => {
        if (kept === ownId) return;
        // What is on the workbench goes along: saving a recipe changes neither its volume nor the kitchen around it.
        const here = { ...form, from: fingerprint(now) };
        await keepDraft(`workbench:${kept}`, here, here);
        router.replace(`/brews/workbench?recipe=${kept}${form.rollId === '' ? '' : `&roll=${form.rollId}`}`);
      })
      .catch(() => undefined);
  };
  return (
    <section aria-labelledby="keep">
      <h2 id="keep">Save as your own recipe</h2>
      <div className="mt-2 grid gap-x-6 gap-y-4 sm:grid-cols-2">
        <Field id="recipeName" label="Name" error={name === '' ? 'Give it a name to save it.' : undefined}>
          <input
            id="recipeName"
            className="box"
            autoComplete="off"
            maxLength={120}
            value={form.name}
            onChange={(event) => change({ name: event.target.value })}
          />
        </Field>
        <Choice
          id="recipeUse"
          label="It is"
          value={form.use}
          options={useOptions}
          onChange={(use: RecipeUse) => change({ use })}
        />
        <div className="sm:col-span-2">
          <Field id="recipeNote" label="Note">
            <textarea
              id="recipeNote"
              className="box min-h-[64px]"
              maxLength={2000}
              value={form.note}
              onChange={(event) => change({ note: event.target.value })}
            />
          </Field>
        </div>
      </div>
      <div className="mt-3">
        <Tick
          id="recipeJug"
          label={
            volumeMl === null
              ? 'For one jug of this volume'
              : `For one jug of ${formatQuantity(volumeMl, 'volume', units)}`
          }
          checked={form.oneJug}
          onChange={(oneJug) => change({ oneJug })}
        />
        <p className="text-[14px] text-ink2">
          It opens at this volume again, with the amounts as they are here: one can and what goes into it.
        </p>
      </div>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {ownId !== null && (
          <button type="button" className="act" disabled={!able} onClick={() => keep(ownId)}>
            Save changes
          </button>
        )}
        <button type="button" className="act" disabled={!able} onClick={() => keep()}>
          {ownId === null ? 'Save recipe' : 'Save as another recipe'}
        </button>
        <span role="status" className="text-[14px]">
          {ownId === null ? '' : same ? `“${name}” is saved among your recipes.` : 'Changed since it was saved.'}
        </span>
      </div>
    </section>
  );
}

'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { readLines } from '@/core/brewing/readLines';
import { recipeUseIds, recipeUses, type RecipeUse } from '@/core/brewing/recipe';
import { keepRecipe } from '@/data/recipes';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import type { BenchPart } from './Workbench';

const useOptions = recipeUseIds.map((value) => ({ value, name: recipeUses[value].name }));

/** The sheet as a recipe of one's own. */
export function KeepRecipe({ inHand: { form, change }, ownId }: Pick<BenchPart, 'inHand'> & { ownId: string | null }) {
  const router = useRouter();
  const [said, setSaid] = useState('');
  const lines = readLines(form);
  const name = form.name.trim();
  const able = lines.ok && name !== '';
  const keep = (id?: string): void => {
    if (!lines.ok) return;
    void keepRecipe({ name, use: form.use, note: form.note, lines: lines.value.map(({ line }) => line) }, id).then(
      (kept) => {
        setSaid(`“${name}” is saved among your recipes.`);
        if (kept !== ownId)
          router.replace(`/brews/workbench?recipe=${kept}${form.rollId === '' ? '' : `&roll=${form.rollId}`}`);
      },
    );
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
          {said}
        </span>
      </div>
    </section>
  );
}

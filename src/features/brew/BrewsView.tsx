'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useState } from 'react';
import { formulary, formularyIds, type FormularyId } from '@/core/brewing/formulary';
import { recipeUseIds, recipeUses } from '@/core/brewing/recipe';
import { plainRecipe, readRecipes, writeRecipes } from '@/core/brewing/recipeFile';
import { mixProgress } from '@/core/brewing/mixRun';
import { mixSteps } from '@/core/brewing/mixSteps';
import type { Mix, RecipeRecord } from '@/core/records/records';
import type { Problem } from '@/core/schema/result';
import { addRecipes, keepRecipe, removeRecipe } from '@/data/recipes';
import { useBrews, useOpenMixes, useRecipes } from '@/data/queries';
import { download } from '@/ui/download';
import { FileButton } from '@/features/files/FileButton';
import { Refused } from '@/features/files/Refused';
import { useNow } from '@/ui/useNow';
import { GiveButton } from '@/features/offline/GiveButton';
import { recipeContents } from '@/features/words/recipeContents';
import { Shelf } from './Shelf';
import { ShoppingList } from './ShoppingList';
import { JugsPicture } from '@/ui/emptyPictures';

/** Largest file of recipes that is read, bytes. */
const LARGEST_FILE_BYTES = 4 * 1024 * 1024;

/** The formulary, the user's own recipes, what is being mixed, and what stands in jugs. */
export function BrewsView() {
  const recipes = useRecipes();
  const mixes = useOpenMixes();
  const brews = useBrews();
  const nowMs = useNow(60_000);
  if (recipes === undefined || mixes === undefined || brews === undefined)
    return <p aria-busy="true">Opening the formulary.</p>;
  return (
    <div className="grid gap-x-12 gap-y-8 lg:grid-cols-[1fr_330px]">
      <div className="min-w-0">
        <div className="flex flex-wrap items-baseline justify-between gap-x-6 gap-y-2">
          <h1>What are you mixing?</h1>
          <p className="text-[13px] text-ink2">
            Amounts per litre, g or ml.{' '}
            <Link href="/brews/kit" className="act-plain ms-3 text-[15px]">
              Kit and devices
            </Link>
            <Link href="/trials" className="act-plain ms-4 text-[15px]">
              Trials
            </Link>
          </p>
        </div>
        {mixes.length > 0 && <OpenMixes mixes={mixes} />}
        <OwnRecipes recipes={recipes} />
        {recipeUseIds.map((use) => (
          <section key={use} aria-labelledby={`use-${use}`} className="mt-7">
            <h2 id={`use-${use}`}>{recipeUses[use].group}</h2>
            <ul className="mt-1">
              {formularyIds
                .filter((id) => formulary[id].use === use)
                .map((id) => (
                  <FormularyLine key={id} id={id} />
                ))}
            </ul>
          </section>
        ))}
      </div>
      <aside className="min-w-0">
        <section aria-labelledby="jugs">
          <div className="flex items-baseline justify-between gap-4">
            <h2 id="jugs">Jugs</h2>
            <Link href="/brews/standing" className="act-plain text-[14px]">
              One that stands there already
            </Link>
          </div>
          {brews.length === 0 && (
            <div className="rule-row mt-2 text-ink2">
              <span aria-hidden>
                <JugsPicture />
              </span>
              <p>No jugs yet. Take a recipe to the workbench and weigh it out: what is left in it will stand here.</p>
            </div>
          )}
          <Shelf brews={brews} nowMs={nowMs} first={FIRST_JUGS} />
          <ShoppingList brews={brews} nowMs={nowMs} />
          <Link href="/brews/waste" className="act-plain mt-2 inline-block">
            Waste bottles
          </Link>
        </section>
      </aside>
    </div>
  );
}

/** Jugs that are shown at first. Source: our choice; more than a screen holds. */
const FIRST_JUGS = 24;

function FormularyLine({ id }: { id: FormularyId }) {
  const recipe = formulary[id];
  return (
    <li className="rule-row grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-6">
      <div className="min-w-0">
        <Link href={`/brews/workbench?recipe=${id}`} className="num text-[17px] text-ink no-underline hover:underline">
          {recipe.name}
        </Link>
        <p className="text-[13px] text-ink2">
          {recipeContents(recipe)}{' '}
          <span className="whitespace-nowrap">
            ({recipe.source === 'practice' ? 'common practice' : 'our estimate'})
          </span>
        </p>
      </div>
      <button
        type="button"
        className="act-plain text-[13px] text-ink2"
        onClick={() => void keepRecipe({ ...recipe, lines: [...recipe.lines], name: `${recipe.name}, mine` })}
      >
        Duplicate<span className="sr-only"> {recipe.name}</span>
      </button>
    </li>
  );
}

function OpenMixes({ mixes }: { mixes: readonly Mix[] }) {
  return (
    <section aria-labelledby="open-mixes" className="mt-5">
      <h2 id="open-mixes">In progress</h2>
      <ul className="mt-1">
        {mixes.map((mix) => {
          const steps = mixSteps(mix.batch);
          const { stepIndex, step } = mixProgress(steps, mix.events);
          return (
            <li key={mix.id} className="rule-row flex flex-wrap items-center justify-between gap-x-6 gap-y-2">
              <span>
                <b>{mix.batch.recipeName}</b>{' '}
                <span className="text-[14px] text-ink2">
                  begun {format(mix.createdMs, 'd MMM, HH:mm')} ·{' '}
                  {step === null ? 'everything added' : `${stepIndex} of ${steps.length} done`}
                </span>
              </span>
              <Link href={`/brews/mix/${encodeURIComponent(mix.id)}`} className="act act-primary" data-next-step>
                Go on
              </Link>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

function OwnRecipes({ recipes }: { recipes: readonly RecipeRecord[] }) {
  const [refused, setRefused] = useState<{ name: string; problems: Problem[] } | null>(null);
  const [said, setSaid] = useState('');
  const open = async (chosen: File): Promise<void> => {
    setRefused(null);
    setSaid('');
    if (chosen.size > LARGEST_FILE_BYTES) {
      setRefused({
        name: chosen.name,
        problems: [{ path: '', message: 'The file is larger than 4 MB, so it is not a recipe file.' }],
      });
      return;
    }
    const read = readRecipes(await chosen.text());
    if (!read.ok) {
      setRefused({ name: chosen.name, problems: read.problems });
      return;
    }
    await addRecipes(read.value);
    setSaid(`${read.value.length} ${read.value.length === 1 ? 'recipe' : 'recipes'} taken in.`);
  };
  return (
    <section aria-labelledby="own-recipes" className="mt-5">
      <h2 id="own-recipes">Your own</h2>
      {recipes.length === 0 && (
        <p className="rule-row mt-1 text-ink2">None yet. Duplicate one below, or start from scratch.</p>
      )}
      <ul className="mt-1">
        {recipes.map((recipe) => (
          <li key={recipe.id} className="rule-row grid grid-cols-[minmax(0,1fr)_auto] items-baseline gap-x-6">
            <div className="min-w-0">
              <Link
                href={`/brews/workbench?recipe=${recipe.id}`}
                className="num text-[17px] text-ink no-underline hover:underline"
              >
                {recipe.name}
              </Link>
              <p className="text-[13px] text-ink2">{recipeContents(recipe)}</p>
            </div>
            <span className="flex gap-4">
              <button
                type="button"
                className="act-plain text-[13px] text-ink2"
                onClick={() => void keepRecipe({ ...recipe, name: `${recipe.name}, again` })}
              >
                Duplicate<span className="sr-only"> {recipe.name}</span>
              </button>
              <GiveButton
                name={recipe.name}
                className="act-plain text-[13px] text-ink2"
                gift={{ kind: 'recipe', recipe: plainRecipe(recipe) }}
              />
              <button
                type="button"
                className="act-plain text-[13px] text-ink2"
                onClick={() => void removeRecipe(recipe)}
              >
                Delete<span className="sr-only"> {recipe.name}</span>
              </button>
            </span>
          </li>
        ))}
      </ul>
      <div className="rule-row flex flex-wrap gap-x-6 gap-y-2">
        <Link href="/brews/workbench?recipe=new" className="act-plain">
          Start from scratch
        </Link>
        <FileButton label="File with recipes" className="act-plain" onFile={(chosen) => void open(chosen)}>
          Import recipes
        </FileButton>
        {recipes.length > 0 && (
          <button
            type="button"
            className="act-plain"
            onClick={() => download(writeRecipes(recipes), `aetas-recipes-${format(Date.now(), 'yyyy-MM-dd')}.json`)}
          >
            Save my recipes
          </button>
        )}
        <span role="status" className="text-[14px]">
          {said}
        </span>
      </div>
      {refused !== null && <Refused {...refused} />}
    </section>
  );
}

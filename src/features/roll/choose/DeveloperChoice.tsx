'use client';

import { useMemo } from 'react';
import { developerFamilies, developerFamilyIds } from '@/core/chemistry/developerFamilies';
import { organicAgentIds, organicAgents } from '@/core/chemistry/organicAgents';
import { workbench } from '@/core/brewing/workbench';
import { initialWorkbench } from '@/core/brewing/workbenchForm';
import { developerFields, type PlanForm } from '@/core/plan/planForm';
import { useRecipes, useSettings } from '@/data/queries';
import type { Brew } from '@/core/records/records';
import type { UnitChoice } from '@/core/units/quantity';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { FieldError } from '@/ui/Field';
import { Segments } from '@/ui/Segments';
import { Term } from '@/ui/Term';
import { jugState } from '@/core/brewing/keeping';
import { jugWords } from '@/features/words/jugWords';
import { WhichBottle } from './WhichBottle';

const agentOptions = organicAgentIds.map((value) => ({
  value: value as string,
  name: organicAgents[value].name as string,
}));
const concentrateOptions = developerFamilyIds.map((value) => {
  const { name, referenceParts } = developerFamilies[value];
  return { value, name, hint: `Usually ${referenceParts.concentrate}+${referenceParts.water}` };
});

/** What the film is developed in: the first thing that anybody decides. */
export function DeveloperChoice({
  plan,
  jugs,
  units,
}: {
  plan: CurrentPlan;
  jugs: readonly Brew[];
  units: UnitChoice;
}) {
  const { form, change, errors } = plan;
  const kinds = [
    { value: 'improvised', name: 'Kitchen brew' },
    { value: 'concentrate', name: 'Concentrate' },
    { value: 'one-bath', name: 'One-bath' },
    ...(jugs.length > 0 ? [{ value: 'jug', name: 'From a jug' } as const] : []),
    { value: 'other', name: 'My own, no estimate' },
  ] as const;
  const takeFamily = (id: PlanForm['concentrateFamilyId']): void => {
    const { concentrate, water } = developerFamilies[id].referenceParts;
    change({ concentrateFamilyId: id, concentrateParts: concentrate, waterParts: water, dilutionText: '' });
  };
  return (
    <div className="space-y-2">
      <Segments
        id="developerKind"
        label="What will you develop it in?"
        value={form.developerKind}
        options={kinds}
        onChange={(developerKind) =>
          change({
            developerKind,
            ...(developerKind === 'jug' && form.brewId === '' ? { brewId: jugs[0]?.id ?? '' } : {}),
          })
        }
        error={errors.developer}
      />
      <div className="flex flex-wrap items-start gap-x-5 gap-y-1.5">
        {form.developerKind === 'improvised' && <BrewChoice plan={plan} />}
        {form.developerKind === 'concentrate' && (
          <Choice
            id="concentrateFamilyId"
            label="Kind of developer"
            value={form.concentrateFamilyId}
            options={concentrateOptions}
            onChange={takeFamily}
            inline
          />
        )}
        {form.developerKind === 'jug' && (
          <Choice
            id="brewId"
            label="Jug"
            value={form.brewId}
            options={jugs.map((jug) => ({ value: jug.id, name: `${jug.name} · ${jug.code}`, hint: jugHint(jug) }))}
            onChange={(brewId) => change({ brewId })}
            error={errors.brewId}
            inline
          />
        )}
        {form.developerKind === 'other' && (
          <div className="min-w-0">
            <div className="flex items-center gap-1.5">
              <label htmlFor="otherName" className="text-[14px]">
                What is it
              </label>
              <input
                id="otherName"
                className="box min-h-[34px] w-[260px] max-w-full py-1"
                value={form.otherName}
                maxLength={120}
                aria-invalid={errors.otherName !== undefined || undefined}
                aria-describedby={errors.otherName === undefined ? undefined : 'otherName-error'}
                onChange={(event) => change({ otherName: event.target.value })}
              />
            </div>
            <FieldError id="otherName" error={errors.otherName} />
          </div>
        )}
        <Quantity
          id="volumeMl"
          label="In the tank"
          kind="volume"
          units={units}
          value={form.volumeMl}
          onChange={(volumeMl) => change({ volumeMl })}
          error={errors.volumeMl}
          inline
        />
      </div>
      {form.developerKind === 'concentrate' && <WhichBottle chosen={form.concentrateFamilyId} onChoose={takeFamily} />}
      {form.developerKind === 'other' && (
        <p className="max-w-[60ch] text-[14px] text-ink2">
          Aetas knows no time for it: yours decides, and is logged. Once you have judged a roll or two in it, it gets an
          estimate of its own.
        </p>
      )}
      {form.developerKind === 'one-bath' && (
        <p className="max-w-[60ch] text-[14px] text-ink2">
          A <Term id="one-bath">one-bath</Term>, mixed from its two-part kit. It runs to completion: temperature changes
          its time, the target does not.
        </p>
      )}
    </div>
  );
}

/** What must be known of a jug before it is chosen; nothing for one as good as fresh. */
function jugHint(jug: Brew): string {
  const words = jugWords(jugState(jug, Date.now()), Date.now());
  return jug.films > 0 ? `${Number(jug.films.toFixed(1))} through it · ${words}` : words;
}

const RECIPE = 'recipe:';

/** What a kitchen brew is made with: an agent, or one of the user’s own recipes, which fills all the fields. */
function BrewChoice({ plan: { form, change, errors } }: { plan: CurrentPlan }) {
  const { kit } = useSettings();
  const recipes = useRecipes();
  const known = useMemo(
    () =>
      (recipes ?? []).flatMap((recipe) => {
        if (recipe.use !== 'film-developer') return [];
        const { sheet } = workbench(initialWorkbench(recipe, null), kit);
        return sheet?.developer?.kind === 'improvised'
          ? [
              {
                recipe,
                fields: { ...developerFields(sheet.developer), bromideGPerL: sheet.composition.bromideGPerL },
              },
            ]
          : [];
      }),
    [recipes, kit],
  );
  const same = known.find(({ fields }) =>
    (Object.keys(fields) as (keyof typeof fields)[]).every(
      (field) => JSON.stringify(fields[field]) === JSON.stringify(form[field]),
    ),
  );
  return (
    <Choice
      id="agentId"
      label="Made with"
      value={same === undefined ? (form.agentId as string) : `${RECIPE}${same.recipe.id}`}
      options={[
        ...agentOptions,
        ...known.map(({ recipe }) => ({ value: `${RECIPE}${recipe.id}`, name: recipe.name, hint: 'Your recipe' })),
      ]}
      onChange={(next) => {
        const chosen = known.find(({ recipe }) => `${RECIPE}${recipe.id}` === next);
        if (chosen !== undefined) change(chosen.fields);
        else {
          const agentId = next as PlanForm['agentId'];
          change({ agentId, agentPerL: organicAgents[agentId].usualPerL });
        }
      }}
      error={errors.agents}
      inline
    />
  );
}

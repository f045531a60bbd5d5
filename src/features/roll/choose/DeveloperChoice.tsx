'use client';

import { useMemo, useState } from 'react';
import { developerFamilies, developerFamilyIds, type DeveloperFamilyId } from '@/core/chemistry/developerFamilies';
import { organicAgentIds, organicAgents } from '@/core/chemistry/organicAgents';
import { workbench } from '@/core/brewing/workbench';
import { initialWorkbench } from '@/core/brewing/workbenchForm';
import { isPourable } from '@/core/brewing/bottle';
import { jugState } from '@/core/brewing/keeping';
import { developerFields, type PlanForm } from '@/core/plan/planForm';
import { useRecipes, useSettings } from '@/data/queries';
import type { Brew } from '@/core/records/records';
import { partsWords } from '@/features/dilution/dilutionWords';
import { jugWords } from '@/features/words/jugWords';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { Choice, type Option } from '@/ui/Choice';
import { FieldError } from '@/ui/Field';
import { Term } from '@/ui/Term';
import { WhichBottle } from './WhichBottle';

/** Something to develop in: what the list says of it, and what choosing it fills in. */
interface Offer extends Option<string> {
  fills: Partial<PlanForm>;
}

/** What the film is developed in: one list, from what stands on the shelf to something that Aetas does not know. */
export function DeveloperChoice({ plan, jugs }: { plan: CurrentPlan; jugs: readonly Brew[] }) {
  const { form, change, errors } = plan;
  const offers = useOffers(jugs);
  const chosen = chosenOf(form, offers);
  return (
    <div className="w-full space-y-2">
      <Choice
        id="developer"
        label="Developer"
        quietLabel
        value={chosen}
        options={offers}
        onChange={(value) => {
          const offer = offers.find((one) => one.value === value);
          if (offer !== undefined) change(isKept(form, value) ? kindOnly(offer.fills) : offer.fills);
        }}
        error={errors.developer ?? errors.brewId ?? errors.agents}
      />
      {form.developerKind === 'concentrate' && (
        <WhichBottle chosen={form.concentrateFamilyId} onChoose={(id) => change(concentrateFields(id))} />
      )}
      {form.developerKind === 'other' && (
        <>
          <OtherName plan={plan} />
          <p className="text-[14px] text-ink2">
            Aetas knows no time for it: yours decides, and is logged. After a roll or two that you have judged, it gets
            an estimate of its own.
          </p>
        </>
      )}
      {form.developerKind === 'one-bath' && (
        <p className="text-[14px] text-ink2">
          A <Term id="one-bath">one-bath</Term>, mixed from its two-part kit. It runs to completion: temperature changes
          its time, the target does not.
        </p>
      )}
    </div>
  );
}

/** What a developer is called that Aetas does not know. Nothing is wrong with it before somebody was there. */
function OtherName({ plan: { form, change, errors } }: { plan: CurrentPlan }) {
  const [left, setLeft] = useState(false);
  const error = left || form.otherName !== '' ? errors.otherName : undefined;
  return (
    <div>
      <label htmlFor="otherName" className="text-[14px]">
        Developer’s name
      </label>
      <input
        id="otherName"
        className="box py-1"
        value={form.otherName}
        maxLength={120}
        aria-invalid={error !== undefined || undefined}
        aria-describedby={error === undefined ? undefined : 'otherName-error'}
        onChange={(event) => change({ otherName: event.target.value })}
        onBlur={() => setLeft(true)}
      />
      <FieldError id="otherName" error={error} />
    </div>
  );
}

/** Coming back to what the form still holds brings it back as it was typed. */
function isKept(form: PlanForm, value: string): boolean {
  return value === `agent:${form.agentId}` || value === `concentrate:${form.concentrateFamilyId}`;
}

function kindOnly({ developerKind }: Partial<PlanForm>): Partial<PlanForm> {
  return developerKind === undefined ? {} : { developerKind };
}

function useOffers(jugs: readonly Brew[]): Offer[] {
  const { kit } = useSettings();
  const recipes = useRecipes();
  return useMemo(
    () => [
      ...jugs.filter(isPourable).map((jug) => ({
        value: `jug:${jug.id}`,
        name: `${jug.name} · ${jug.code}`,
        hint: `In a jug · ${jugHint(jug)}`,
        fills: { developerKind: 'jug' as const, brewId: jug.id },
      })),
      ...jugs.flatMap(bottleOffers),
      ...(recipes ?? []).flatMap((recipe): Offer[] => {
        if (recipe.use !== 'film-developer') return [];
        const { sheet } = workbench(initialWorkbench(recipe, null), kit);
        return sheet?.developer?.kind === 'improvised'
          ? [
              {
                value: `recipe:${recipe.id}`,
                name: recipe.name,
                hint: 'Your recipe',
                fills: {
                  developerKind: 'improvised',
                  ...developerFields(sheet.developer),
                  bromideGPerL: sheet.composition.bromideGPerL,
                },
              },
            ]
          : [];
      }),
      ...organicAgentIds.map((agentId) => ({
        value: `agent:${agentId}`,
        name: organicAgents[agentId].name,
        hint: 'Kitchen brew',
        fills: { developerKind: 'improvised' as const, agentId, agentPerL: organicAgents[agentId].usualPerL },
      })),
      ...developerFamilyIds.map((id) => {
        const { name, referenceParts } = developerFamilies[id];
        return {
          value: `concentrate:${id}`,
          name,
          hint: `Concentrate, usually ${referenceParts.concentrate}+${referenceParts.water}`,
          fills: concentrateFields(id),
        };
      }),
      {
        value: 'one-bath',
        name: 'One-bath',
        hint: 'Developer and fixer in one, from a kit',
        fills: { developerKind: 'one-bath' as const },
      },
      {
        value: 'other',
        name: 'Something else',
        hint: 'With a time of your own',
        fills: { developerKind: 'other' as const },
      },
    ],
    [jugs, recipes, kit],
  );
}

/** A bottle of concentrate on the shelf, once for each dilution that is noted on it. */
function bottleOffers({ id, name, code, bottle, developer, ...rest }: Brew): Offer[] {
  if (bottle?.stage !== 'concentrate' || developer?.kind !== 'concentrate') return [];
  const { familyId } = developer;
  const usual = developerFamilies[familyId].referenceParts;
  const dilutions = bottle.dilutions.length > 0 ? bottle.dilutions : [{ letter: '', parts: usual }];
  return dilutions.map(({ letter, parts }) => ({
    value: `bottle:${id}:${letter}`,
    name: `${name} ${[letter, partsWords(parts)]
      .filter((word, index, all) => all.indexOf(word) === index)
      .join(' ')
      .trim()} · ${code}`,
    hint: `From your bottle · ${jugHint({ ...rest, id, name, code, bottle, developer })}`,
    fills: {
      ...concentrateFields(familyId),
      concentrateParts: parts.concentrate,
      waterParts: parts.water,
    },
  }));
}

function concentrateFields(id: DeveloperFamilyId): Partial<PlanForm> {
  const { concentrate, water } = developerFamilies[id].referenceParts;
  return {
    developerKind: 'concentrate',
    concentrateFamilyId: id,
    concentrateParts: concentrate,
    waterParts: water,
    dilutionText: '',
  };
}

/** The line of the list that says what the form holds: a recipe of one’s own where all its amounts are there. */
function chosenOf(form: PlanForm, offers: readonly Offer[]): string {
  switch (form.developerKind) {
    case 'jug':
      return `jug:${form.brewId}`;
    case 'concentrate': {
      const bottle = offers.find(
        ({ value, fills }) =>
          value.startsWith('bottle:') &&
          fills.concentrateFamilyId === form.concentrateFamilyId &&
          fills.concentrateParts === form.concentrateParts &&
          fills.waterParts === form.waterParts,
      );
      return bottle?.value ?? `concentrate:${form.concentrateFamilyId}`;
    }
    case 'one-bath':
    case 'other':
      return form.developerKind;
    case 'improvised': {
      const recipe = offers.find(
        ({ value, fills }) =>
          value.startsWith('recipe:') &&
          (Object.keys(fills) as (keyof PlanForm)[]).every(
            (field) => JSON.stringify(fills[field]) === JSON.stringify(form[field]),
          ),
      );
      return recipe?.value ?? `agent:${form.agentId}`;
    }
  }
}

/** What must be known of a jug before it is chosen. */
function jugHint(jug: Brew): string {
  const words = jugWords(jugState(jug, Date.now()), Date.now());
  return jug.films > 0 ? `${Number(jug.films.toFixed(1))} through it · ${words}` : words;
}

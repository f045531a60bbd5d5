'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo } from 'react';
import { differences } from '@/core/brewing/finishMix';
import type { Batch } from '@/core/brewing/batch';
import { mixSteps } from '@/core/brewing/mixSteps';
import type { Plan } from '@/core/records/records';
import type { Kit } from '@/core/kit/kit';
import { batchOfPlan } from '@/core/plan/batchOfPlan';
import { planFacts } from '@/core/plan/planFacts';
import { cautionsFor } from '@/core/safety/cautions';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { mixBrewOf, startMix } from '@/data/brews';
import { useOpenMixes, useSettings, type RollDossier } from '@/data/queries';
import { differenceWords } from '@/features/words/brewWords';
import { stepAmountWords } from '@/features/words/stepWords';
import { CautionList } from '@/ui/CautionList';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';

/** What goes into the jug, in order, and the ways to weigh it. */
export function MixStage({ dossier, inHand }: { dossier: RollDossier; inHand: CurrentPlan }) {
  const { roll, stock, plan, brew } = dossier;
  if (plan === undefined || plan.pinned === null) {
    return (
      <p className="pt-2 text-ink2">
        Set a time first to get the amounts. Or try the recipe{' '}
        <Link href={`/brews/workbench?roll=${roll.id}`} className="act-plain">
          on the workbench
        </Link>
        : its time follows the recipe.
      </p>
    );
  }
  const cautions = cautionsFor(
    planFacts({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition }, plan),
    'mix',
  );
  return (
    <div className="grid gap-x-12 gap-y-6 pt-3 lg:grid-cols-[minmax(0,600px)_minmax(0,1fr)]">
      <div>
        {brew === undefined ? (
          <ToMix dossier={dossier} plan={plan} inHand={inHand} />
        ) : (
          <Mixed brew={brew} plan={plan} inHand={inHand} />
        )}
      </div>
      <CautionList cautions={cautions} />
    </div>
  );
}

/** The plan's developer laid out for the plan's tank. */
function useBatch(plan: Plan, rollId: string, kit: Kit) {
  return useMemo(() => batchOfPlan(plan, rollId, kit), [plan, rollId, kit]);
}

function ToMix({ dossier: { roll }, plan, inHand }: { dossier: RollDossier; plan: Plan; inHand: CurrentPlan }) {
  const router = useRouter();
  const settings = useSettings();
  const batch = useBatch(plan, roll.id, settings.kit);
  const under = useOpenMixes()?.find(({ rollId }) => rollId === roll.id);
  const asWritten = (): void => void mixBrewOf(plan).then((brewId) => inHand.change({ developerKind: 'jug', brewId }));
  return (
    <>
      {batch === null ? (
        <p>
          Take the share of both parts that {formatQuantity(plan.volumeMl, 'volume', settings)} need: put in what your
          kit weighs and makes, and the amounts follow.
        </p>
      ) : (
        <Order batch={batch} settings={settings} />
      )}
      <div className="mt-4 flex flex-wrap items-center gap-4">
        {under !== undefined ? (
          <Link href={`/brews/mix/${encodeURIComponent(under.id)}`} className="act act-primary" data-next-step>
            Go on weighing
          </Link>
        ) : batch === null ? (
          <Link href={`/brews/workbench?roll=${roll.id}`} className="act act-primary" data-next-step>
            Enter the kit’s weights
          </Link>
        ) : (
          <button
            type="button"
            className="act act-primary"
            data-next-step
            onClick={() =>
              void startMix(batch, roll.id).then((id) => router.push(`/brews/mix/${encodeURIComponent(id)}`))
            }
          >
            Guide me through mixing
          </button>
        )}
        {batch !== null && (
          <Link href={`/brews/workbench?roll=${roll.id}`} className="act-plain">
            Change the recipe on the workbench
          </Link>
        )}
        <button type="button" className="act-plain" onClick={asWritten}>
          I’ve mixed this recipe
        </button>
      </div>
    </>
  );
}

/** What goes in, in order. */
function Order({ batch, settings }: { batch: Batch; settings: UnitChoice }) {
  return (
    <ol aria-label="What goes in, in order">
      {mixSteps(batch)
        .filter(({ kind }) => kind !== 'measure')
        .map((step) => (
          <li key={step.id} className="rule-row flex items-baseline justify-between gap-6">
            <span>
              {step.title}
              {step.say.length > 0 && <span className="block text-[13px] text-ink2">{step.say.join(' ')}</span>}
            </span>
            <span className="num text-[20px] whitespace-nowrap">{stepAmountWords(step, batch, settings)}</span>
          </li>
        ))}
    </ol>
  );
}

/** A difference between plan and jug that is told, °C. Source: our choice; it moves the time by about 2 %. */
const NOTICED_C = 0.25;

/** What stands in the jug, against what was wanted. */
function Mixed({ brew, plan, inHand }: { brew: NonNullable<RollDossier['brew']>; plan: Plan; inHand: CurrentPlan }) {
  const units = useSettings();
  const differing = differences(brew.parts);
  return (
    <>
      <p>
        <Link href={`/brews/${encodeURIComponent(brew.id)}`} className="act-plain">
          {brew.name}
        </Link>
        , {formatQuantity(brew.volumeMl, 'volume', units)}, mixed {format(brew.mixedMs, 'd MMM yyyy, HH:mm')}. It is
        among the jugs on the bench.
      </p>
      <p className="mt-2 text-[14px] text-ink2">
        {brew.parts.length === 0
          ? 'Not weighed here; assumed as planned.'
          : differing.length === 0
            ? 'Everything went in as planned.'
            : `The time above uses what went in: ${differing.map((difference) => differenceWords(difference, units)).join(', ')}.`}
        {brew.ph !== null && ` pH ${formatNumber(brew.ph, 1)}, worked out.`}
      </p>
      {brew.temperatureC !== null &&
        Math.abs(brew.temperatureC - plan.temperatureC) > NOTICED_C &&
        inHand.form.temperatureC !== brew.temperatureC && (
          <p className="mt-2 flex flex-wrap items-baseline gap-x-4 text-[14px]">
            It stood at {formatQuantity(brew.temperatureC, 'temperature', units)} when it was mixed, not at{' '}
            {formatQuantity(plan.temperatureC, 'temperature', units)}. Measure it again before you pour.
            <button
              type="button"
              className="act-plain"
              onClick={() => inHand.change({ temperatureC: brew.temperatureC ?? plan.temperatureC })}
            >
              Plan with {formatQuantity(brew.temperatureC, 'temperature', units)}
            </button>
          </p>
        )}
    </>
  );
}

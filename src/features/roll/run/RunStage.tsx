'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { planFacts } from '@/core/plan/planFacts';
import { stepsByKey } from '@/core/plan/runSteps';
import { cautionsFor } from '@/core/safety/cautions';
import { runProgress } from '@/core/run/runProgress';
import type { UnitChoice } from '@/core/units/quantity';
import { changeBaths } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { layOutRun } from '@/data/runs';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { CautionList } from '@/ui/CautionList';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { useNow } from '@/ui/useNow';
import { Term } from '@/ui/Term';
import { BathList } from './BathList';
import { SharedTank, useSharedTank } from './SharedTank';
import { WaysOfDoing } from './WaysOfDoing';

const clockOptions = [
  { value: 'full', name: 'when the tank is full' },
  { value: 'first-drop', name: 'with the first drop' },
] as const;

/** How often the age of the brew is looked at again, ms. */
const LOOK_AGAIN_MS = 5 * 60_000;

/** The baths around development, and the way to the tank. */
export function RunStage({ dossier, plan, units }: { dossier: RollDossier; plan: CurrentPlan; units: UnitChoice }) {
  const router = useRouter();
  const { roll, stock, run } = dossier;
  const pinnedPlan = dossier.plan;
  const nowMs = useNow(LOOK_AGAIN_MS);
  const mates = useSharedTank(
    roll,
    pinnedPlan?.pinned == null ? null : { ...pinnedPlan, pinned: pinnedPlan.pinned },
    dossier.brew ?? null,
    nowMs,
  );
  if (pinnedPlan?.pinned == null) return <p className="pt-2 text-ink2">Set a time first to get the steps.</p>;
  const { pinned } = pinnedPlan;
  const running = run !== undefined && runProgress(run.steps, run.events).phase === 'running';
  const { form, change, errors, choices } = plan;
  const process = choices ?? pinnedPlan;
  const { baths, pourIn } = process;
  const steps = stepsByKey(form.baths, { ...pinnedPlan, pourIn }, pinned);
  const oneBath = pinnedPlan.developer.kind === 'one-bath';
  const cautions = cautionsFor(
    planFacts(
      { familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition },
      { ...pinnedPlan, baths },
    ),
  );
  const start = async (): Promise<void> => {
    await changeBaths(pinnedPlan.id, { baths, pourIn });
    router.push(`/runs/${encodeURIComponent(await layOutRun({ ...pinnedPlan, baths, pourIn }, mates.alongside))}`);
  };
  if (running) {
    return (
      <button
        type="button"
        className="act act-primary mt-3"
        data-next-step
        onClick={() => router.push(`/runs/${encodeURIComponent(run.id)}`)}
      >
        Back to the tank
      </button>
    );
  }
  return (
    <div className="grid gap-x-12 gap-y-5 lg:grid-cols-[minmax(0,640px)_minmax(0,1fr)]">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2 lg:col-span-2">
        <button
          type="button"
          className="act act-primary"
          disabled={choices === null || mates.pending}
          data-next-step
          onClick={() => void start()}
        >
          {run === undefined || run.events.length === 0 ? 'Go to the tank' : 'Run it again'}
        </button>
        <Link href={`/rolls/${encodeURIComponent(roll.id)}/sheet`} className="act-plain">
          Print the run
        </Link>
        <Link href={`/rolls/${encodeURIComponent(roll.id)}/dark`} className="act-plain">
          Lights-out card
        </Link>
        <Link href={`/rolls/${encodeURIComponent(roll.id)}/along`} className="act-plain">
          Take it along
        </Link>
        <Link href="/practice" className="act-plain">
          Practise first
        </Link>
        <Link href="/evening" className="act-plain">
          Plan the evening
        </Link>
      </div>
      <div className="min-w-0">
        <BathList
          baths={form.baths}
          onChange={(next) => change({ baths: next })}
          errors={errors}
          units={units}
          steps={steps}
          oneBath={oneBath}
        />
        {errors.baths !== undefined && (
          <p role="alert" className="mt-2 border-s-4 border-danger ps-2 text-danger">
            {errors.baths}
          </p>
        )}
        <div className="mt-4 flex flex-wrap items-start gap-x-4 gap-y-2">
          <Choice
            id="pourClock"
            label="The clock starts"
            value={form.pourClock}
            options={clockOptions}
            onChange={(pourClock) => change({ pourClock })}
            inline
          />
          {form.pourClock === 'first-drop' && (
            <Quantity
              id="pourS"
              label="Pouring in takes"
              kind="seconds"
              units={units}
              value={form.pourS}
              onChange={(pourS) => change({ pourS })}
              error={errors.pourS}
              inline
            />
          )}
        </div>
      </div>
      <div className="min-w-0 space-y-6">
        <WaysOfDoing
          forms={form.baths}
          baths={choices?.baths ?? null}
          pourIn={choices?.pourIn ?? null}
          onChange={(next) => change({ baths: next })}
          onPourIn={({ clock, seconds }) => change({ pourClock: clock, pourS: seconds })}
        />
        <SharedTank mates={mates} roll={roll} plan={{ ...pinnedPlan, pinned }} units={units} />
        <p className="text-[13px] text-ink2">
          The fixing time is common practice for this class of film. Better: clear a scrap of the leader in your fixer,
          and fix for twice its <Term id="clearing-time">clearing time</Term>.
        </p>
        <CautionList cautions={cautions.filter(({ at }) => at === 'run' || at === 'after')} />
      </div>
    </div>
  );
}

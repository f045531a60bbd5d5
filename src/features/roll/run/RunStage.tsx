'use client';

import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { stopSchoolIds, stopSchools } from '@/core/fixing/stopSchools';
import { washSchoolIds, washSchools } from '@/core/fixing/washSchools';
import { wettingBathIds, wettingBaths } from '@/core/fixing/wettingBaths';
import { planFacts } from '@/core/plan/planFacts';
import { cautionsFor } from '@/core/safety/cautions';
import { preSoakIds, preSoaks } from '@/core/schedule/preSoaks';
import { runProgress } from '@/core/schedule/runState';
import { wetSteps } from '@/core/schedule/wetSteps';
import { formatDuration, roundToPourable } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import { changeWetSteps } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { layOutRun } from '@/data/runs';
import { CautionList } from '@/ui/CautionList';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import type { PlanInHand } from '@/features/roll/plan/usePlanForm';

const preSoakOptions = preSoakIds.map((value) => ({ value, name: preSoaks[value].name }));
const stopOptions = stopSchoolIds.map((value) => ({ value, name: stopSchools[value].name }));
const washOptions = washSchoolIds.map((value) => ({ value, name: washSchools[value].name }));
const wettingOptions = wettingBathIds.map((value) => ({ value, name: wettingBaths[value].name }));

/** The wet steps around development, and the way to the tank. */
export function RunStage({ dossier, plan, units }: { dossier: RollDossier; plan: PlanInHand; units: UnitChoice }) {
  const router = useRouter();
  const { roll, stock, run } = dossier;
  const pinnedPlan = dossier.plan;
  if (pinnedPlan?.pinned == null) return <p className="pt-2 text-ink2">Pin a time first to get the steps.</p>;
  const { pinned } = pinnedPlan;
  const running = run !== undefined && runProgress(run.steps, run.events).phase === 'running';
  const { form, change, errors, choices } = plan;
  const wet = choices?.wet ?? pinnedPlan.wet;
  const steps = wetSteps(
    roundToPourable(pinned.timeMin) * 60,
    pinnedPlan.agitationId,
    wet,
    pinnedPlan.developer.kind === 'one-bath',
  );
  const cautions = cautionsFor(
    planFacts({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition }, { ...pinnedPlan, wet }),
  );
  const start = async (): Promise<void> => {
    await changeWetSteps(pinnedPlan.id, wet);
    router.push(`/runs/${encodeURIComponent(await layOutRun({ ...pinnedPlan, wet }))}`);
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
    <div className="grid gap-x-12 gap-y-6 pt-3 lg:grid-cols-[minmax(0,600px)_minmax(0,1fr)]">
      <div>
        <ol aria-label="Wet steps">
          {steps.map((step, index) => (
            <li key={index} className="rule-row flex items-baseline justify-between gap-6">
              <span>
                {step.name}
                {step.instruction !== '' && <span className="block text-[13px] text-ink2">{step.instruction}</span>}
              </span>
              <span className="num text-[18px]">{formatDuration(step.durationS)}</span>
            </li>
          ))}
        </ol>
        <div className="mt-4 flex flex-wrap items-center gap-4">
          <button
            type="button"
            className="act act-primary"
            disabled={choices === null}
            data-next-step
            onClick={() => void start()}
          >
            {run === undefined || run.events.length === 0 ? 'Go to the tank' : 'Run it again'}
          </button>
          <Link href={`/rolls/${encodeURIComponent(roll.id)}/dark`} className="act">
            Lights-out card
          </Link>
        </div>
      </div>
      <div className="space-y-6">
        <div className="grid gap-x-5 gap-y-4 sm:grid-cols-2">
          <Choice
            id="preSoakId"
            label="Before"
            value={form.preSoakId}
            options={preSoakOptions}
            onChange={(preSoakId) => change({ preSoakId })}
          />
          <Choice
            id="stopId"
            label="After the developer"
            value={form.stopId}
            options={stopOptions}
            onChange={(stopId) => change({ stopId })}
          />
          <Quantity
            id="fixMin"
            label="Fix"
            kind="minutes"
            units={units}
            range={[0.5, 30]}
            value={form.fixMin}
            onChange={(fixMin) => change({ fixMin })}
            error={errors.fixMin}
          />
          <Choice
            id="washId"
            label="Wash"
            value={form.washId}
            options={washOptions}
            onChange={(washId) => change({ washId })}
          />
          <Choice
            id="wettingId"
            label="Last bath"
            value={form.wettingId}
            options={wettingOptions}
            onChange={(wettingId) => change({ wettingId })}
          />
        </div>
        <p className="text-[13px] text-ink2">
          The fixing time is common practice for this class of film. Better: clear a scrap of the leader in your fixer,
          and fix for twice that time.
        </p>
        <CautionList cautions={cautions.filter(({ at }) => at === 'run' || at === 'after')} />
      </div>
    </div>
  );
}

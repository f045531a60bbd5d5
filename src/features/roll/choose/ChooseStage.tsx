'use client';

import dynamic from 'next/dynamic';
import type { Brew, Plan, Roll } from '@/core/records/records';
import { planFacts } from '@/core/plan/planFacts';
import type { PlanChoices } from '@/core/plan/planForm';
import { cautionsFor } from '@/core/safety/cautions';
import { formatMinutes } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import { pinPlan, unpinPlan } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { CautionList } from '@/ui/CautionList';
import { classes } from '@/ui/classes';
import { MENDING } from '@/ui/mending';
import { EmptyChart } from '@/ui/EmptyChart';
import { PinNote } from '@/features/roll/plan/PinNote';
import { PlanChoicesForm } from './PlanChoices';
import { PlanLedger } from './PlanLedger';
import { Strategies, StrategyCurves } from './Strategies';
import { TimeHead } from '@/features/roll/plan/TimeHead';
import { useTrial } from '@/features/roll/plan/trial';
import type { PlanInHand } from '@/features/roll/plan/usePlanForm';
import { WhatIf } from './WhatIf';

const GradientChart = dynamic(() => import('./GradientChart'), {
  ssr: false,
  loading: () => <EmptyChart chart="gradient" />,
});

interface ChooseProps {
  dossier: RollDossier;
  plan: PlanInHand;
  jugs: readonly Brew[];
  /** Names of the rolls that the evidence comes from. */
  rolls: readonly Pick<Roll, 'id' | 'label'>[];
  units: UnitChoice;
}

/** One time, its band, its reasons, and everything that can change them. */
export function ChooseStage({ dossier, plan, jugs, rolls, units }: ChooseProps) {
  const { study, shown, state } = plan;
  const grey = classes(state === 'mending' && 'stale');
  return (
    <div className="grid gap-x-12 gap-y-8 pt-3 lg:grid-cols-[minmax(0,600px)_minmax(0,1fr)]">
      <div className="min-w-0">
        {study !== null && shown !== null ? (
          <>
            <LiveTime plan={plan} shown={shown} units={units} />
            <div className="mt-4">
              <CautionList cautions={[...study.estimate.cautions, ...chooseCautions(dossier, shown)]} />
            </div>
            <PinRow dossier={dossier} plan={plan} choices={shown} rolls={rolls} units={units} />
            <Strategies plan={plan} />
          </>
        ) : (
          <p aria-live="polite" className="text-ink2">
            {state === 'mending' ? MENDING : 'Calculating.'}
          </p>
        )}
      </div>
      <div className="min-w-0 space-y-7">
        <div>
          <div className={grey}>
            <LiveChart plan={plan} />
          </div>
          <WhatIf plan={plan} units={units} />
        </div>
        <PlanChoicesForm plan={plan} jugs={jugs} units={units} />
        {study !== null && shown !== null && (
          <div className={grey}>
            <StrategyCurves plan={plan} />
          </div>
        )}
      </div>
    </div>
  );
}

/** The time with its ledger, as it stands or as it is tried out. */
function LiveTime({ plan, shown, units }: { plan: PlanInHand; shown: PlanChoices; units: UnitChoice }) {
  const found = useTrial(plan.trials)?.found;
  const study = found?.glance ?? plan.study;
  const choices = found?.choices ?? shown;
  if (study === null) return null;
  return (
    <div className="contain-content">
      <TimeHead study={study} choices={choices} state={plan.state} units={units} />
      <div className="mt-3">
        <PlanLedger study={study} plan={plan} units={units} />
      </div>
    </div>
  );
}

/** The curve, as it stands or as it is tried out. */
function LiveChart({ plan }: { plan: PlanInHand }) {
  const study = useTrial(plan.trials)?.found?.glance ?? plan.study;
  return study === null ? <EmptyChart chart="gradient" /> : <GradientChart study={study} />;
}

/** Cautions that follow from the choices, beside those that follow from the estimate. */
function chooseCautions({ stock, roll }: RollDossier, choices: PlanChoices) {
  const { concentrate, oneBath, thickStand } = planFacts(
    { familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition },
    choices,
  );
  return cautionsFor({ concentrate, oneBath, thickStand }, 'choose');
}

/** What is pinned now, and the act that pins the time as it stands. */
function PinRow({ dossier, plan, choices, rolls, units }: Omit<ChooseProps, 'jugs'> & { choices: PlanChoices }) {
  const { study, state } = plan;
  if (study === null) return null;
  const pinnedPlan: Plan | undefined = dossier.plan?.pinned ? dossier.plan : undefined;
  const { timeMin, band, ledger } = study.estimate;
  const pin = (): void => {
    const evidenceIds = study.effects.map(({ pieceId }) => pieceId);
    void pinPlan(dossier.roll.id, choices, {
      atMs: Date.now(),
      timeMin,
      lowMin: band.lowMin,
      highMin: band.highMin,
      ledger,
      evidenceIds,
    });
  };
  const time = formatMinutes(timeMin);
  const bestTest = study.next.enough ? undefined : study.next.tests.find(({ id }) => id === 'clip' || id === 'drop');
  return (
    <div className="mt-5 space-y-4">
      {pinnedPlan?.pinned && <PinNote pinned={pinnedPlan.pinned} study={study} units={units} rolls={rolls} />}
      <div className="flex flex-wrap items-center gap-4">
        <button
          type="button"
          className={classes('act', !pinnedPlan && 'act-primary')}
          disabled={state !== 'current'}
          onClick={pin}
          data-next-step={pinnedPlan ? undefined : true}
        >
          {pinnedPlan ? `Use ${time} instead` : `Use ${time} and mix`}
        </button>
        {pinnedPlan && (
          <button type="button" className="act-plain" onClick={() => void unpinPlan(pinnedPlan.id)}>
            Unpin
          </button>
        )}
        {bestTest !== undefined && (
          <a href="#test" className={classes('text-[14px]', state === 'mending' && 'stale')}>
            Test first: it would leave {formatMinutes(bestTest.lowMin)} to {formatMinutes(bestTest.highMin)}
          </a>
        )}
      </div>
    </div>
  );
}

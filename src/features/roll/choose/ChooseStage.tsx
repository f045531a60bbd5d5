'use client';

import { format } from 'date-fns';
import dynamic from 'next/dynamic';
import type { Brew, Plan, Roll } from '@/core/records/records';
import type { StockFamilyId } from '@/core/films/stockFamilies';
import { isGuess } from '@/core/estimate/isGuess';
import { planFacts } from '@/core/plan/planFacts';
import { initialPlanForm, type PlanChoices } from '@/core/plan/planForm';
import type { CautionNote } from '@/core/safety/cautionNote';
import { cautionsFor } from '@/core/safety/cautions';
import { formatMinutes } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import { pinOf } from '@/core/plan/pinOf';
import { pinPlan, unpinPlan } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { CautionList } from '@/ui/CautionList';
import { EmptyChart } from '@/ui/EmptyChart';
import { stale } from '@/ui/stale';
import { Outlook } from '@/features/roll/plan/Outlook';
import { ownOutlookWords, ownTimeCaution } from '@/features/roll/plan/ownTimeWords';
import { PinNote } from '@/features/roll/plan/PinNote';
import { useTriedFound } from '@/features/roll/plan/trial';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { DeveloperChoice } from './DeveloperChoice';
import { PlanLedger } from './PlanLedger';
import { PredictedStrips } from './PredictedStrips';
import { StrategyCurves } from './StrategyCurves';
import { TimeStrip } from './TimeStrip';
import { WhatIf } from './WhatIf';

const GradientChart = dynamic(() => import('./GradientChart'), {
  ssr: false,
  loading: () => <EmptyChart chart="gradient" />,
});

const SHORT_TIME = 'short-time';

interface ChooseProps {
  dossier: RollDossier;
  plan: CurrentPlan;
  jugs: readonly Brew[];
  /** Names of the rolls that the evidence comes from. */
  rolls: readonly Pick<Roll, 'id' | 'label'>[];
  units: UnitChoice;
}

/** What it is developed in, how warm, how moved, and the time that comes of it: with its reasons, its band, and what it would give. */
export function ChooseStage({ dossier, plan, jugs, rolls, units }: ChooseProps) {
  const { analysis, shown, state } = plan;
  /** Nothing is drawn from a guess. */
  const guess = analysis !== null && isGuess(analysis.estimate);
  const pinnedPlan: Plan | undefined = dossier.plan?.pinned ? dossier.plan : undefined;
  return (
    <div className="pt-3">
      <div className="grid gap-x-11 gap-y-8 lg:grid-cols-[minmax(0,620px)_minmax(0,1fr)]">
        <div className="min-w-0">
          <SameAs plan={plan} dossier={dossier} />
          <DeveloperChoice plan={plan} jugs={jugs} units={units} />
          <div className="mt-3">
            <LiveLedger plan={plan} familyId={dossier.stock.familyId} units={units} />
          </div>
        </div>
        {/* What moves is painted apart from what stands. */}
        <div className="min-w-0 space-y-5 *:isolate [&>*>*]:isolate">
          {guess && shown !== null ? (
            <>
              <section aria-labelledby="unknown">
                <h2 id="unknown">What it would give</h2>
                <p className="mt-1 max-w-[56ch]">
                  Nobody knows yet how fast this develops, so there is no curve and no strategy to compare. A drop on
                  the leader beside a developer that you know tells most; a clip of the roll tells more.
                </p>
                <a href="#test" className="act-plain mt-2 inline-block">
                  Test first
                </a>
              </section>
              {pinnedPlan?.pinned && (
                <PinNote pinned={pinnedPlan.pinned} analysis={analysis} units={units} rolls={rolls} />
              )}
              <CautionList
                cautions={[
                  ...timeCautions(analysis.estimate.cautions, shown),
                  ...chooseCautions(dossier, shown, plan.jug),
                ]}
              />
            </>
          ) : analysis !== null && shown !== null ? (
            <>
              <Outlook estimate={analysis.estimate} stale={state === 'mending'} />
              {pinnedPlan?.pinned && (
                <PinNote pinned={pinnedPlan.pinned} analysis={analysis} units={units} rolls={rolls} />
              )}
              <PredictedStrips plan={plan} />
              <OwnOutlook plan={plan} />
              <CautionList
                cautions={[
                  ...timeCautions(analysis.estimate.cautions, shown),
                  ...chooseCautions(dossier, shown, plan.jug),
                ]}
              />
              <BestTest plan={plan} />
            </>
          ) : (
            <EmptyChart chart="strategies" />
          )}
          {!guess && (
            <div>
              <div {...stale(state === 'mending')}>
                <LiveChart plan={plan} />
              </div>
              <WhatIf plan={plan} units={units} />
            </div>
          )}
          {analysis !== null && shown !== null && !guess && (
            <div {...stale(state === 'mending')}>
              <StrategyCurves plan={plan} />
            </div>
          )}
        </div>
      </div>
      <TimeStrip
        plan={plan}
        units={units}
        pinned={pinnedPlan !== undefined}
        onPin={() => pin(dossier, plan)}
        onUnpin={() => {
          if (pinnedPlan !== undefined) void unpinPlan(pinnedPlan.id);
        }}
      />
    </div>
  );
}

/** Pins what was chosen, with the time as it stands: the user's own, else the estimate. */
function pin(dossier: RollDossier, { analysis, shown }: CurrentPlan): void {
  if (analysis === null || shown === null) return;
  const evidenceIds = analysis.effects.map(({ pieceId }) => pieceId);
  void pinPlan(dossier.roll.id, shown, pinOf(analysis, shown.ownTimeMin, evidenceIds, Date.now()));
}

/** Whose plan this one began with, and the way to begin afresh. */
function SameAs({ plan: { form, change }, dossier: { roll, stock } }: { plan: CurrentPlan; dossier: RollDossier }) {
  if (form.sameAs === null) return null;
  const { label, atMs } = form.sameAs;
  return (
    <p className="mb-3" data-testid="same-as">
      Same as <b>{label}</b>, {format(atMs, 'd MMM')}.{' '}
      <button
        type="button"
        className="act-plain"
        onClick={() => change(initialPlanForm({ familyId: stock.familyId, ...roll }))}
      >
        Start afresh
      </button>
    </p>
  );
}

/** The ledger, as it stands or as it is tried out. */
function LiveLedger({ plan, familyId, units }: { plan: CurrentPlan; familyId: StockFamilyId; units: UnitChoice }) {
  const analysis = useTriedFound(plan.trials)?.estimatePreview ?? plan.analysis;
  return (
    <div className="contain-layout">
      <PlanLedger analysis={analysis} plan={plan} familyId={familyId} units={units} />
    </div>
  );
}

/** The curve, as it stands or as it is tried out. */
function LiveChart({ plan }: { plan: CurrentPlan }) {
  const analysis = useTriedFound(plan.trials)?.estimatePreview ?? plan.analysis;
  return analysis === null ? <EmptyChart chart="gradient" /> : <GradientChart analysis={analysis} />;
}

/** What a time of one’s own would give, and a word where it lies outside of the band. */
function OwnOutlook({ plan }: { plan: CurrentPlan }) {
  const { analysis, state } = plan;
  if (analysis?.own == null) return null;
  const caution = ownTimeCaution(analysis.own);
  return (
    <div {...stale(state === 'mending', 'text-[14px]')} role="status">
      <p>
        <b>My time.</b> {ownOutlookWords(analysis.own, analysis.estimate.gradient.target)}
      </p>
      {caution !== null && <p className="mt-1 border-l-4 border-heat pl-3">{caution}</p>}
    </div>
  );
}

/** The test that would narrow the band most, in one line. */
function BestTest({ plan: { analysis, state } }: { plan: CurrentPlan }) {
  const best =
    analysis?.next.enough === true ? undefined : analysis?.next.tests.find(({ id }) => id === 'clip' || id === 'drop');
  if (best === undefined) return null;
  return (
    <a href="#test" {...stale(state === 'mending', 'block text-[14px]')}>
      Test first: it would leave {formatMinutes(best.lowMin)} to {formatMinutes(best.highMin)}
    </a>
  );
}

/** Cautions that follow from the choices, beside those that follow from the estimate. */
function chooseCautions({ stock, roll }: RollDossier, choices: PlanChoices, jug: Brew | null) {
  const { concentrate, oneBath, thickStand, oneShotAgain } = planFacts(
    { familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition },
    choices,
    jug,
  );
  return cautionsFor({ concentrate, oneBath, thickStand, oneShotAgain }, 'choose');
}

/** Cautions of the estimate, with those of a time by the time that goes to the tank: the user’s own, where there is one. */
function timeCautions(cautions: readonly CautionNote[], { ownTimeMin }: PlanChoices): CautionNote[] {
  if (ownTimeMin === null) return [...cautions];
  return [...cautions.filter(({ id }) => id !== SHORT_TIME), ...cautionsFor({ timeMin: ownTimeMin }, 'choose')];
}

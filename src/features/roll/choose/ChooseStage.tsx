'use client';

import { giftOfPlan } from '@/core/formats/gift';
import { GiveButton } from '@/features/offline/GiveButton';
import { format } from 'date-fns';
import type { Brew, Plan, Roll } from '@/core/records/records';
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
import { stale } from '@/ui/stale';
import { Outlook } from '@/features/roll/plan/Outlook';
import { ownOutlookWords, ownTimeCaution } from '@/features/roll/plan/ownTimeWords';
import { PinNote } from '@/features/roll/plan/PinNote';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { ChooseHead } from './ChooseHead';
import { PlanFields } from './PlanFields';
import { StrategyCards } from './StrategyCards';
import { WhyThisTime } from './WhyThisTime';

const SHORT_TIME = 'short-time';

interface ChooseProps {
  dossier: RollDossier;
  plan: CurrentPlan;
  jugs: readonly Brew[];
  /** Names of the rolls that the evidence comes from. */
  rolls: readonly Pick<Roll, 'id' | 'label'>[];
  units: UnitChoice;
}

/** The time with its range and the next act, the strategies as pictures, the fields that move it; behind them the reasons. */
export function ChooseStage({ dossier, plan, jugs, rolls, units }: ChooseProps) {
  const { analysis, shown, state, form } = plan;
  /** Nothing is drawn from a guess. */
  const guess = analysis !== null && isGuess(analysis.estimate);
  const setPlan: Plan | undefined = dossier.plan?.pinned ? dossier.plan : undefined;
  return (
    <div className="grid gap-x-10 gap-y-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,420px)] lg:grid-rows-[auto_1fr]">
      {/* What moves is painted apart from what stands. */}
      <div className="min-w-0 space-y-4 *:isolate">
        <div>
          {analysis !== null && <Outlook estimate={analysis.estimate} stale={state === 'mending'} />}
          <ChooseHead
            plan={plan}
            units={units}
            isSet={setPlan !== undefined}
            onSet={() => setTime(dossier, plan)}
            onClear={() => {
              if (setPlan !== undefined) void unpinPlan(setPlan.id);
            }}
          />
        </div>
        {setPlan?.pinned && analysis !== null && (
          <div>
            <PinNote pinned={setPlan.pinned} analysis={analysis} units={units} rolls={rolls} />
            <GiveButton
              gift={giftOfPlan(dossier.roll.label, setPlan)}
              name={`plan of ${dossier.roll.label}`}
              className="act-plain"
            />
          </div>
        )}
        {analysis !== null && shown !== null && (
          <CautionList
            cautions={[...timeCautions(analysis.estimate.cautions, shown), ...chooseCautions(dossier, shown, plan.jug)]}
          />
        )}
        <OwnOutlook plan={plan} />
        {form.developerKind !== 'other' && !guess && <StrategyCards plan={plan} />}
      </div>
      <div className="min-w-0 lg:row-span-2">
        <SameAs plan={plan} dossier={dossier} />
        <PlanFields plan={plan} jugs={jugs} film={dossier.stock.name} units={units} />
      </div>
      {form.developerKind !== 'other' && (
        <div className="min-w-0">
          <WhyThisTime plan={plan} units={units} />
          <BestTest plan={plan} />
        </div>
      )}
    </div>
  );
}

/** Sets what was chosen, with the time as it stands: the user's own, else the estimate. */
function setTime(dossier: RollDossier, { analysis, shown }: CurrentPlan): void {
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
      {caution !== null && <p className="mt-1 border-s-4 border-heat ps-3">{caution}</p>}
    </div>
  );
}

/** The test that would narrow the band most, in one line. */
function BestTest({ plan: { analysis, state } }: { plan: CurrentPlan }) {
  const best =
    analysis?.next.enough === true ? undefined : analysis?.next.tests.find(({ id }) => id === 'clip' || id === 'drop');
  if (best === undefined) return null;
  return (
    <p {...stale(state === 'mending', 'border-b border-hair py-2.5')}>
      <a href="#test">A {best.id} test would narrow it</a>{' '}
      <span className="text-[14px] text-ink2">
        to {formatMinutes(best.lowMin)} to {formatMinutes(best.highMin)}
      </span>
    </p>
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

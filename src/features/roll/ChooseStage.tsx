'use client';

import dynamic from 'next/dynamic';
import type { Brew, Plan } from '@/core/formats/records';
import { planFacts } from '@/core/plan/planFacts';
import { cautionsFor } from '@/core/safety/cautions';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { developerName } from '@/core/plan/mixSheet';
import { pinPlan, unpinPlan } from '@/data/plans';
import type { RollDossier } from '@/data/queries';
import { Band } from '@/ui/Band';
import { CautionList } from '@/ui/CautionList';
import { classes } from '@/ui/classes';
import { PlanChoicesForm } from './PlanChoices';
import { lowerFirst } from './ledgerWords';
import { PlanLedger } from './PlanLedger';
import type { PlanInHand } from './usePlanForm';

const GradientChart = dynamic(() => import('./GradientChart'), { ssr: false, loading: () => <div className="h-[280px] bg-sheet" /> });

/** One time, its band, its reasons, and everything that can change them. */
export function ChooseStage({ dossier, plan, jugs, units }: { dossier: RollDossier; plan: PlanInHand; jugs: readonly Brew[]; units: UnitChoice }) {
  const { study, choices, current } = plan;
  const pinnedPlan = dossier.plan?.pinned ? dossier.plan : undefined;
  return (
    <div className="grid gap-x-12 gap-y-8 pt-3 lg:grid-cols-[minmax(0,600px)_minmax(0,1fr)]">
      <div className="min-w-0">
        {study === null || choices === null ? (
          <p aria-live="polite" className="text-ink2">
            {study === null && choices !== null ? 'Working it out.' : 'Mend what is marked, and the time comes back.'}
          </p>
        ) : (
          <div aria-live="polite" className={classes(!current && 'opacity-60')}>
            <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
              <span className="num text-[64px] leading-none tracking-[-.03em] sm:text-[82px]" data-testid="time">
                {formatMinutes(study.estimate.timeMin)}
              </span>
              <div className="min-w-0">
                <div>
                  develop at {formatQuantity(study.request.temperatureC, 'temperature', units)} in {lowerFirst(developerName(choices.developer))}
                </div>
                <div className="text-[14px] text-ink2" data-testid="band">
                  four times in five between {formatMinutes(study.estimate.band.lowMin)} and {formatMinutes(study.estimate.band.highMin)}
                </div>
              </div>
            </div>
            <div className="mt-3">
              <Band timeMin={study.estimate.timeMin} lowMin={study.estimate.band.lowMin} highMin={study.estimate.band.highMin} />
            </div>
          </div>
        )}
        {study !== null && choices !== null && (
          <>
            <div className="mt-3">
              <PlanLedger study={study} units={units} />
            </div>
            <div className="mt-4">
              <CautionList cautions={[...study.estimate.cautions, ...cautionsFor({ concentrate: planFacts({ familyId: dossier.stock.familyId, formatId: dossier.roll.formatId, condition: dossier.roll.condition }, choices).concentrate }, 'choose')]} />
            </div>
            <PinRow dossier={dossier} plan={plan} pinnedPlan={pinnedPlan} />
          </>
        )}
      </div>
      <div className="min-w-0 space-y-8">
        <PlanChoicesForm plan={plan} jugs={jugs} units={units} />
        {study !== null && choices !== null && <GradientChart study={study} />}
      </div>
    </div>
  );
}

function PinRow({ dossier, plan, pinnedPlan }: { dossier: RollDossier; plan: PlanInHand; pinnedPlan: Plan | undefined }) {
  const { study, choices, current } = plan;
  if (study === null || choices === null) return null;
  const { timeMin, band, ledger } = study.estimate;
  const pin = (): void => {
    void pinPlan(dossier.roll.id, choices, { atMs: Date.now(), timeMin, lowMin: band.lowMin, highMin: band.highMin, ledger });
  };
  const time = formatMinutes(timeMin);
  return (
    <div className="mt-5 flex flex-wrap items-center gap-3">
      <button type="button" className={classes('act', !pinnedPlan && 'act-primary')} disabled={!current} onClick={pin} data-next-step={pinnedPlan ? undefined : true}>
        {pinnedPlan ? `Pin ${time} instead` : `Pin ${time} and mix`}
      </button>
      {pinnedPlan?.pinned && (
        <>
          <span>
            Pinned at <b className="num">{formatMinutes(pinnedPlan.pinned.timeMin)}</b>.
          </span>
          <button type="button" className="act-plain" onClick={() => void unpinPlan(pinnedPlan.id)}>
            Take the pin out
          </button>
        </>
      )}
    </div>
  );
}

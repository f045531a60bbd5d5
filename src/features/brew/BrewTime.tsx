'use client';

import { useEffect, useMemo, useState } from 'react';
import { isGuess } from '@/core/estimate/isGuess';
import type { Estimate } from '@/core/estimate/result';
import { brewTrial, type BrewTrial } from '@/core/plan/brewTrial';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import type { RollDossier } from '@/data/queries';
import { useLearned } from '@/features/learning/useLearned';
import { usePlanDraft } from '@/features/drafts/usePlanDraft';
import { Band } from '@/ui/Band';
import { classes } from '@/ui/classes';
import { MENDING } from '@/ui/mending';
import { useNow } from '@/ui/useNow';
import { stale } from '@/ui/stale';
import { coreWorker } from '@/workers/core';
import type { BenchPart } from './Workbench';

/** How often the age of the roll is looked at again, ms. */
const LOOK_AGAIN_MS = 60 * 60_000;

/** What stands in place of a time while a field is still empty. */
const FILLING = 'Fill in the empty field to see the time.';

/** The time that this brew would give the roll, with its band: it moves while the recipe is changed. */
export function BrewTime({
  inHand: { shown, mending, asked, errors },
  dossier,
  units,
}: Pick<BenchPart, 'inHand'> & { dossier: RollDossier | undefined; units: UnitChoice }) {
  const nowMs = useNow(LOOK_AGAIN_MS);
  const draft = usePlanDraft(dossier?.roll.id ?? '');
  const trial = useMemo(
    () =>
      shown === null || dossier === undefined || draft === null
        ? null
        : brewTrial({ ...dossier, planDraft: draft.values }, shown, nowMs),
    [shown, dossier, draft, nowMs],
  );
  const { estimate, current } = useTrialEstimate(trial);
  const mend = asked !== null && Object.keys(errors).length === 0 ? FILLING : MENDING;
  if (dossier === undefined)
    return <p className="border-b border-hair pb-4 text-[14px] text-ink2">Choose a roll to see its time here.</p>;
  if (trial === null || estimate === null) {
    return (
      <section aria-label="Time of the roll" aria-live="polite" className="min-h-[133px] border-b border-hair pb-4">
        <p className="flex flex-wrap items-baseline gap-x-4">
          <span aria-hidden className="num text-[56px] leading-none tracking-[-.03em] text-ink2">
            –
          </span>
          <span className="min-w-0 flex-1 text-[14px] text-ink2">
            {trial !== null
              ? 'Calculating.'
              : shown === null || shown.stopped !== null
                ? mend
                : 'No time for this one: it has no developing agent Aetas knows.'}
          </span>
        </p>
      </section>
    );
  }
  const { timeMin, band } = estimate;
  const guess = isGuess(estimate);
  return (
    <section aria-label="Time of the roll" className={classes('border-b border-hair pb-4', !current && 'following')}>
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span
          {...stale(mending, `num leading-none tracking-[-.03em] ${guess ? 'text-[28px]' : 'text-[56px]'}`)}
          data-testid="brew-time"
        >
          {guess ? 'no estimate' : formatMinutes(timeMin)}
        </span>
        <span className="min-w-0 flex-1 text-[14px]">
          {mending ? (
            mend
          ) : (
            <>
              for {dossier.roll.label}
              <span className="block text-ink2" data-testid="brew-band">
                {guess
                  ? 'nobody knows yet how fast this develops: drop a leader into it, at'
                  : `${formatMinutes(band.lowMin)} to ${formatMinutes(band.highMin)} at`}{' '}
                {formatQuantity(trial.request.temperatureC, 'temperature', units)}
              </span>
              <PlannedOtherwise planned={trial.planned} units={units} />
            </>
          )}
        </span>
      </div>
      <div {...stale(mending, 'mt-3')}>
        <Band timeMin={timeMin} lowMin={band.lowMin} highMin={band.highMin} />
      </div>
    </section>
  );
}

/** Why the roll's own page shows another time than the workbench. */
function PlannedOtherwise({ planned, units }: Pick<BrewTrial, 'planned'> & { units: UnitChoice }) {
  const { otherDeveloper, temperatureC } = planned;
  const at = temperatureC === null ? null : `at ${formatQuantity(temperatureC, 'temperature', units)}`;
  const ways = [otherDeveloper ? 'in another developer' : null, at].filter((way) => way !== null);
  if (ways.length === 0) return null;
  return <span className="block text-ink2">Its own page has another time: it is planned {ways.join(', ')}.</span>;
}

/** Asks the worker for the estimate of a trial; the last answer stays while the next is under way. */
function useTrialEstimate(trial: BrewTrial | null): { estimate: Estimate | null; current: boolean } {
  const learned = useLearned();
  const key = useMemo(
    () => (trial === null || learned === null ? null : JSON.stringify([trial, learned.revision])),
    [trial, learned],
  );
  const [answer, setAnswer] = useState<{ key: string; estimate: Estimate } | null>(null);
  useEffect(() => {
    if (key === null) return;
    let stale = false;
    const [{ request, muted }] = JSON.parse(key) as [BrewTrial, number];
    void coreWorker()
      .estimatePreview(request, muted)
      .then(({ estimate }) => {
        if (!stale) setAnswer({ key, estimate });
      })
      .catch(() => undefined);
    return () => {
      stale = true;
    };
  }, [key]);
  return { estimate: answer?.estimate ?? null, current: answer !== null && answer.key === key };
}

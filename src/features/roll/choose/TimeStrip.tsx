'use client';

import { formatDuration, formatMinutes, roundToPourable } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { developerName } from '@/core/plan/developerName';
import { lowerFirst } from '@/core/units/lowerFirst';
import { isGuess } from '@/core/estimate/isGuess';
import { developSeconds } from '@/core/plan/developSeconds';
import type { EstimatePreview } from '@/core/estimate/analysis';
import type { PlanChoices } from '@/core/plan/planForm';
import { ownTimeWords } from '@/features/roll/plan/ownTimeWords';
import { useTriedFound } from '@/features/roll/plan/trial';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { Band } from '@/ui/Band';
import { classes } from '@/ui/classes';
import { MENDING } from '@/ui/mending';
import { Quantity } from '@/ui/Quantity';
import { stale } from '@/ui/stale';

interface StripProps {
  plan: CurrentPlan;
  units: UnitChoice;
  /** Whether a time is pinned already. */
  pinned: boolean;
  /** Pins the time as it stands. */
  onPin: () => void;
  onUnpin: () => void;
}

/** The time, its band and the next act: in view while anything that moves them is changed. */
export function TimeStrip({ plan, units, pinned, onPin, onUnpin }: StripProps) {
  const { form, change, errors, state } = plan;
  const found = useTriedFound(plan.trials);
  const analysis: EstimatePreview | null = found?.estimatePreview ?? plan.analysis;
  const choices = found?.choices ?? plan.shown;
  const ready = analysis !== null && choices !== null;
  /** Nobody knows how fast it develops: there is no time to show, and none to take, but the user's own. */
  const unknown = ready && choices.ownTimeMin === null && isGuess(analysis.estimate);
  const time = !ready ? '' : unknown ? 'no estimate' : timeWords(analysis, choices);
  /** Where Aetas has no time, the user's own is the only one. */
  const noEstimate = form.developerKind === 'other' || (form.developerKind === 'jug' && plan.jug?.developer === null);
  return (
    <div className="sticky bottom-0 z-10 mt-6 border-t-2 border-ink bg-sheet">
      <div className="flex flex-wrap items-center gap-x-6 gap-y-1 px-3 py-2">
        {ready ? (
          <StripTime analysis={analysis} choices={choices} time={time} plan={plan} units={units} />
        ) : (
          <p aria-live="polite" className="min-h-[64px] flex-1 self-center text-ink2">
            {state === 'mending' ? MENDING : 'Calculating.'}
          </p>
        )}
        <div className="ml-auto flex w-full flex-wrap items-center justify-end gap-x-3 gap-y-2 sm:w-auto">
          {form.ownTimeOn || noEstimate ? (
            <div className="flex items-center gap-2">
              <Quantity
                id="ownTimeMin"
                label="My time"
                kind="minutes"
                units={units}
                value={form.ownTimeMin}
                onChange={(ownTimeMin) => change({ ownTimeMin })}
                error={errors.ownTimeMin}
                inline
              />
              {!noEstimate && (
                <button type="button" className="act-plain text-[14px]" onClick={() => change({ ownTimeOn: false })}>
                  Use the estimate
                </button>
              )}
            </div>
          ) : (
            <button
              type="button"
              className={classes('act', unknown && 'act-primary')}
              data-next-step={unknown ? true : undefined}
              // It begins with the estimate, where there is one, so that nothing is left empty.
              onClick={() =>
                change({
                  ownTimeOn: true,
                  ...(form.ownTimeMin === '' && analysis !== null && !unknown
                    ? { ownTimeMin: roundToPourable(analysis.estimate.timeMin) }
                    : {}),
                })
              }
            >
              My time
            </button>
          )}
          {!unknown && (
            <button
              type="button"
              className={classes('act', !pinned && 'act-primary')}
              disabled={state !== 'current'}
              onClick={onPin}
              data-next-step={pinned ? undefined : true}
            >
              {pinned ? `Use ${time} instead` : form.developerKind === 'jug' ? `Use ${time}` : `Use ${time} and mix`}
            </button>
          )}
          {pinned && (
            <button type="button" className="act-plain" onClick={onUnpin}>
              Unpin
            </button>
          )}
        </div>
      </div>
    </div>
  );
}

/** The time that goes to the tank, as it reads. */
function timeWords(analysis: EstimatePreview, choices: PlanChoices): string {
  const own = choices.ownTimeMin;
  const pinnedAt = own === null ? { timeMin: analysis.estimate.timeMin } : { timeMin: own, own: true };
  return formatDuration(developSeconds(pinnedAt));
}

function StripTime({
  analysis,
  choices,
  time,
  plan,
  units,
}: {
  analysis: EstimatePreview;
  choices: PlanChoices;
  time: string;
  plan: CurrentPlan;
  units: UnitChoice;
}) {
  const { timeMin, band } = analysis.estimate;
  const { own } = analysis;
  const guess = isGuess(analysis.estimate);
  const mending = plan.state === 'mending';
  return (
    <div
      aria-live="polite"
      className={classes(
        'flex min-w-0 basis-full flex-wrap items-center gap-x-4 gap-y-0 sm:gap-x-6 lg:flex-1 lg:basis-0 lg:flex-nowrap',
        plan.state === 'following' && 'following',
      )}
    >
      <span
        {...stale(
          mending,
          classes(
            'num leading-none tracking-[-.03em]',
            guess && own === null ? 'text-[28px]' : 'text-[44px] sm:text-[60px]',
          ),
        )}
        data-testid="time"
      >
        {time}
      </span>
      {!guess && (
        <div {...stale(mending, 'order-last w-full lg:order-none lg:w-[300px] lg:shrink-0')}>
          <Band timeMin={timeMin} lowMin={band.lowMin} highMin={band.highMin} ownMin={own?.timeMin ?? null} />
        </div>
      )}
      <div className="relative min-w-0 flex-1 text-[14px] leading-snug">
        {mending && <p className="absolute inset-x-0 top-0 min-w-[220px]">{MENDING}</p>}
        <div className={classes(mending && 'invisible')}>
          {guess && own === null ? (
            <span>
              nobody knows yet how fast this develops.{' '}
              <a href="#test" className="act-plain">
                Test first
              </a>
              , or give a time of your own.
            </span>
          ) : guess && own !== null ? (
            <span data-testid="own-time">my time; there is no estimate for this yet, so no band either.</span>
          ) : own === null ? (
            <span className="hidden sm:inline">
              at {formatQuantity(analysis.request.temperatureC, 'temperature', units)} in{' '}
              {lowerFirst(developerName(choices.developer))}
            </span>
          ) : (
            <span data-testid="own-time">
              my time; the estimate is {formatMinutes(timeMin)}. {ownTimeWords(own)}.
            </span>
          )}
          {!guess && (
            <div className="text-ink2" data-testid="band">
              four times in five between {formatMinutes(band.lowMin)} and {formatMinutes(band.highMin)}
            </div>
          )}
        </div>
      </div>
    </div>
  );
}

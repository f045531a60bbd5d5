'use client';

import { useEffect, useRef, useState } from 'react';
import { createPortal } from 'react-dom';
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

interface HeadProps {
  plan: CurrentPlan;
  units: UnitChoice;
  /** Whether a time is set already. */
  isSet: boolean;
  /** Sets the time as it stands. */
  onSet: () => void;
  onClear: () => void;
}

/** The time, its band and the next act. Where they have left the screen, the time is read out at its top. */
export function ChooseHead({ plan, units, isSet, onSet, onClear }: HeadProps) {
  const found = useTriedFound(plan.trials);
  const analysis: EstimatePreview | null = found?.estimatePreview ?? plan.analysis;
  const choices = found?.choices ?? plan.shown;
  const ready = analysis !== null && choices !== null;
  /** Where Aetas has no time, the user’s own is the only one. */
  const { developerKind, ownTimeMin } = plan.form;
  const noEstimate = developerKind === 'other' || (developerKind === 'jug' && plan.jug?.developer === null);
  const waits = noEstimate && typeof ownTimeMin !== 'number';
  /** Nobody knows how fast it develops: there is no time to show, and none to take, but the user’s own. */
  const unknown = waits || (ready && choices.ownTimeMin === null && isGuess(analysis.estimate));
  const time = !ready ? '' : unknown ? 'no estimate' : timeWords(analysis, choices);
  const [ref, inSight] = useInSight();
  const press = usePress(time, plan.state === 'current' && found === null, onSet);
  return (
    <div ref={ref}>
      {waits ? (
        <p className="text-[19px]">There is no estimate for this. Give a time of your own.</p>
      ) : ready ? (
        <HeadTime analysis={analysis} choices={choices} time={time} plan={plan} units={units} />
      ) : (
        <p aria-live="polite" className="flex min-h-[104px] items-center text-ink2">
          {plan.state === 'mending' ? MENDING : 'Calculating.'}
        </p>
      )}
      <Acts {...{ plan, units, isSet, onSet: press, onClear, noEstimate, unknown, time, analysis }} />
      {ready &&
        !unknown &&
        !inSight &&
        createPortal(<ReadOut analysis={analysis} time={time} state={plan.state} />, document.body)}
    </div>
  );
}

/**
 * Takes the time on the button. While the estimate is renewed, as when something else on the bench has changed, the press waits for it;
 * a time that comes out otherwise than it read when it was pressed is not taken.
 */
function usePress(time: string, stands: boolean, onSet: () => void): () => void {
  const pressed = useRef<string | null>(null);
  useEffect(() => {
    const before = pressed.current;
    if (!stands || before === null) return;
    pressed.current = null;
    if (before === time) onSet();
  }, [stands, time, onSet]);
  return () => {
    if (stands) onSet();
    else pressed.current = time;
  };
}

function Acts({
  plan: { form, change, errors, state },
  units,
  isSet,
  onSet,
  onClear,
  noEstimate,
  unknown,
  time,
  analysis,
}: HeadProps & { noEstimate: boolean; unknown: boolean; time: string; analysis: EstimatePreview | null }) {
  return (
    <div className="mt-3 flex flex-wrap items-start gap-x-3 gap-y-2">
      {!unknown && (
        <button
          type="button"
          className={classes('act max-sm:w-full', !isSet && 'act-primary')}
          disabled={state !== 'current' && state !== 'renewing'}
          onClick={onSet}
          data-next-step={isSet ? undefined : true}
        >
          {time === '' ? 'Use my time' : isSet ? `Use ${time} instead` : `Use ${time}`}
        </button>
      )}
      {form.ownTimeOn || noEstimate ? (
        <div className="flex items-center gap-2">
          <Quantity
            id="ownTimeMin"
            label="My time"
            kind="minutes"
            units={units}
            value={form.ownTimeMin}
            onChange={(ownTimeMin) => change({ ownTimeMin })}
            // An empty field is told by the button that waits for it.
            error={noEstimate && form.ownTimeMin === '' ? undefined : errors.ownTimeMin}
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
          className={classes('act max-sm:w-full', unknown && 'act-primary')}
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
      {isSet && (
        <button type="button" className="act-plain min-h-11" onClick={onClear}>
          Clear the time
        </button>
      )}
      {time !== '' && !unknown && analysis !== null && <CopyTime time={time} analysis={analysis} units={units} />}
    </div>
  );
}

/** The time with its range and what it is for, in a line to give to somebody. */
function CopyTime({ time, analysis, units }: { time: string; analysis: EstimatePreview; units: UnitChoice }) {
  const [copied, setCopied] = useState(false);
  const { request, estimate } = analysis;
  const words = [
    `Develop ${time} at ${formatQuantity(request.temperatureC, 'temperature', units)} in ${lowerFirst(developerName(request.developer))}`,
    ...(isGuess(estimate)
      ? []
      : [`80 % likely between ${formatMinutes(estimate.band.lowMin)} and ${formatMinutes(estimate.band.highMin)}`]),
  ].join('; ');
  return (
    <button
      type="button"
      className="act-plain min-h-11"
      onClick={() =>
        void navigator.clipboard.writeText(`${words}.`).then(
          () => setCopied(true),
          () => setCopied(false),
        )
      }
    >
      {copied ? 'Copied' : 'Copy'}
    </button>
  );
}

/** The time once more at the top of the screen, while fields or reasons are looked at. */
function ReadOut({ analysis, time, state }: { analysis: EstimatePreview; time: string; state: CurrentPlan['state'] }) {
  const { band } = analysis.estimate;
  return (
    <div
      aria-hidden
      data-testid="read-out"
      {...stale(
        state === 'mending',
        'fixed inset-x-0 top-0 z-10 flex items-baseline justify-center gap-x-4 border-b-2 border-ink bg-sheet px-4 py-1.5',
      )}
    >
      <span className="num text-[28px] leading-none">{time}</span>
      {!isGuess(analysis.estimate) && (
        <span className="text-[14px] text-ink2">
          likely {formatMinutes(band.lowMin)} to {formatMinutes(band.highMin)}
        </span>
      )}
    </div>
  );
}

/** Whether an element is on the screen, at least in part. */
function useInSight(): [React.RefObject<HTMLDivElement | null>, boolean] {
  const ref = useRef<HTMLDivElement>(null);
  const [inSight, setInSight] = useState(true);
  useEffect(() => {
    if (ref.current === null) return;
    const observer = new IntersectionObserver(([entry]) => setInSight(entry?.isIntersecting ?? true));
    observer.observe(ref.current);
    return () => observer.disconnect();
  }, []);
  return [ref, inSight];
}

/** The time that goes to the tank, as it reads. */
function timeWords(analysis: EstimatePreview, choices: PlanChoices): string {
  const own = choices.ownTimeMin;
  const pinnedAt = own === null ? { timeMin: analysis.estimate.timeMin } : { timeMin: own, own: true };
  return formatDuration(developSeconds(pinnedAt));
}

function HeadTime({
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
        'grid items-center gap-x-7 gap-y-1 sm:grid-cols-[minmax(0,auto)_minmax(220px,420px)] sm:justify-start',
        plan.state === 'following' && 'following',
      )}
    >
      <span
        {...stale(
          mending,
          classes(
            'num leading-none tracking-[-.03em]',
            guess && own === null ? 'text-[32px]' : 'text-[76px] sm:text-[92px]',
          ),
        )}
        data-testid="time"
      >
        {time}
      </span>
      <div className="min-w-0">
        {!guess && (
          <div {...stale(mending, 'w-full')}>
            <Band timeMin={timeMin} lowMin={band.lowMin} highMin={band.highMin} ownMin={own?.timeMin ?? null} />
          </div>
        )}
        <div className="relative mt-1 min-w-0 leading-snug">
          {mending && <p className="absolute inset-x-0 top-0 min-w-[220px]">{MENDING}</p>}
          <div className={classes(mending && 'invisible')}>
            {!guess && (
              <div data-testid="band">
                80 % likely between {formatMinutes(band.lowMin)} and {formatMinutes(band.highMin)}
                {plan.withoutLog && '; your log is still being read'}
              </div>
            )}
            <div className="text-[14px] text-ink2">
              {guess && own === null ? (
                <span className="text-[16px] text-ink">
                  Nobody knows yet how fast this develops.{' '}
                  <a href="#test" className="act-plain">
                    Test first
                  </a>
                  , or give a time of your own.
                </span>
              ) : guess && own !== null ? (
                <span data-testid="own-time">
                  My time; there is no estimate for this yet, so no likely range either.
                </span>
              ) : own === null ? (
                <span>
                  at {formatQuantity(analysis.request.temperatureC, 'temperature', units)} in{' '}
                  {lowerFirst(developerName(choices.developer))}
                </span>
              ) : (
                <span data-testid="own-time">
                  My time; the estimate is {formatMinutes(timeMin)}. {ownTimeWords(own)}.
                </span>
              )}
            </div>
          </div>
        </div>
      </div>
    </div>
  );
}

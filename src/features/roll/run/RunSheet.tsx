'use client';

import Link from 'next/link';
import { developerName } from '@/core/plan/developerName';
import { runSteps } from '@/core/plan/runSteps';
import type { WetStep } from '@/core/schedule/wetSteps';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatQuantity } from '@/core/units/quantity';
import { developSeconds } from '@/core/plan/developSeconds';
import { useDossier, useSettings } from '@/data/queries';
import { NotHere } from '@/features/shell/NotHere';
import { percentBetween } from '@/ui/rulerScale';

/** A run on one page, for somebody without a screen at hand: baths, when the hands move, and room to write. */
export function RunSheet({ rollId }: { rollId: string }) {
  const dossier = useDossier(rollId);
  const units = useSettings();
  if (dossier === undefined) return <p aria-busy="true">Opening the sheet.</p>;
  if (dossier === null) return <NotHere table="rolls" id={rollId} what="This roll" />;
  const { roll, plan } = dossier;
  const pinned = plan?.pinned ?? null;
  if (plan === undefined || pinned === null)
    return (
      <p>
        There is no time yet. <Link href={`/rolls/${encodeURIComponent(rollId)}#choose`}>Choose one</Link> first.
      </p>
    );
  const steps = runSteps(plan, pinned);
  return (
    <article className="measure print:text-[12px]">
      <p className="flex gap-x-6 print:hidden">
        <Link href={`/rolls/${encodeURIComponent(rollId)}#run`} className="act-plain min-h-11 content-center">
          Back to the roll
        </Link>
        <button type="button" className="act-plain min-h-11" onClick={() => window.print()}>
          Print this page
        </button>
      </p>
      <h1>{roll.label}</h1>
      <p className="mt-1">
        <b className="num text-[22px]">{formatDuration(developSeconds(pinned))}</b> in {developerName(plan.developer)},{' '}
        {formatQuantity(plan.volumeMl, 'volume', units)} at {formatQuantity(plan.temperatureC, 'temperature', units)};
        80 % likely between {formatMinutes(pinned.lowMin)} and {formatMinutes(pinned.highMin)}. Pour the same volume of
        each bath.
      </p>
      <ol className="mt-3">
        {steps.map((step, index) => (
          <li
            key={index}
            className="grid grid-cols-[1fr_74px_150px] gap-x-4 border-t border-hair py-2 break-inside-avoid print:py-1"
          >
            <div className="min-w-0">
              <b>
                {index + 1}. {step.name}
              </b>{' '}
              <span className="text-ink2">{step.instruction}</span>
              <StepRuler step={step} />
            </div>
            <span className="num text-end text-[19px]">{formatDuration(step.durationS)}</span>
            <span className="text-[13px] text-ink2">
              begun ______ : ______
              <br />
              read ________ °
            </span>
          </li>
        ))}
      </ol>
      <p className="mt-2 border-t-2 border-ink pt-2">
        Poured out at ______ : ______ . What was different: ______________________________________________
      </p>
      <p className="mt-1 text-[13px] text-ink2">
        The developer counts from its first contact with the film. Gloves, eye protection, fresh air; spent fixer holds
        silver and goes where local rules have it.
      </p>
    </article>
  );
}

/** When the hands move in a bath, to scale, with the minutes beneath. */
function StepRuler({ step }: { step: WetStep }) {
  const { durationS, cues } = step;
  const percent = (s: number): string => `${percentBetween(0, Math.max(1, durationS), s)}%`;
  if (cues.length === 0) return null;
  const every = Math.max(1, Math.ceil(durationS / 60 / 12));
  const minutes = Array.from({ length: Math.floor(durationS / 60 / every) + 1 }, (_, at) => at * every).filter(
    (minute) => minute * 60 < 0.97 * durationS,
  );
  return (
    <div aria-hidden className="relative mt-1.5 h-7">
      <div className="absolute inset-x-0 top-3 border-t border-ink" />
      {cues.map(({ startS, endS }) => (
        <span
          key={startS}
          className="absolute top-0 h-3 bg-ink [print-color-adjust:exact]"
          style={{ left: percent(startS), width: `max(2px, calc(${percent(endS)} - ${percent(startS)}))` }}
        />
      ))}
      {minutes.map((minute) => (
        <span key={minute} className="num absolute top-3 text-[11px]" style={{ left: percent(minute * 60) }}>
          {minute}
        </span>
      ))}
    </div>
  );
}

'use client';

import type { TankView } from '@/core/run/tankView';
import { formatNumber } from '@/core/units/quantity';
import { classes } from '@/ui/classes';
import { firstRunWords } from '@/core/practice/firstRunWords';
import { useFirstRun } from '@/features/firstRoll/useFirstRun';
import { Gesture } from './Gesture';
import { TankLine } from './TankLine';
import { clockWords, handsWords, nextWords, signalOf, slipWords } from './tankWords';
import type { TankControl } from './useTank';

interface TankMomentProps {
  tank: TankControl;
  at: TankView;
}

/** Figures that stand still while they change: each in a place of its own. */
function Digits({ text }: { text: string }) {
  return (
    <>
      {[...text].map((letter, at) => (
        <span key={at} className={/\d/.test(letter) ? 'inline-block w-[.6em] text-center' : undefined}>
          {letter}
        </span>
      ))}
    </>
  );
}

/** The clock, what the hands do, and their word: in fixed places, whatever they say. */
export function TankMoment({ tank: { phase, running }, at }: TankMomentProps) {
  const { step, view } = at;
  return (
    <>
      <div className="flex items-start justify-between gap-4">
        <p
          // Its letters reach beyond their line: clipped, they take no press from what stands above.
          className="num overflow-clip pe-[.1em] text-[clamp(44px,min(max(92px,19vw),24vh),190px)] leading-[.95] font-[600] tracking-[-.045em]"
          role="timer"
          aria-label={clockWords(at)}
          data-testid="clock"
        >
          <Digits text={clockWords(at)} />
        </p>
        {running && (
          <div className="mt-2 size-[76px] shrink-0 sm:size-[150px] short:hidden">
            <Gesture gesture={step.gesture} doing={view === null ? null : signalOf(step, view)} />
          </div>
        )}
      </div>
      <p
        className="num mt-2 flex min-h-[2.1em] items-start text-[clamp(19px,min(max(30px,5.6vw),9vh),62px)] leading-[1.05] font-[600] tracking-[-.02em] sm:min-h-[1.1em] short:mt-0 short:min-h-0"
        aria-live="assertive"
        data-testid="hands"
      >
        {phase === 'finished'
          ? 'Hung to dry'
          : view === null
            ? `Ready: ${step.name.toLowerCase()}`
            : at.paused
              ? 'The clock is paused'
              : handsWords(step, view)}
      </p>
    </>
  );
}

/** What comes next, what the film has got to, what is late, and the line of movements. */
export function TankOutlookLine({ tank: { run, running, over, phase }, at }: TankMomentProps) {
  const isFirst = useFirstRun();
  const { step, nextStep, view, slip, pastSlip, gradient } = at;
  return (
    <>
      <p className="mt-1 min-h-[3.2em] max-w-[70ch] text-[clamp(17px,2.2vw,21px)] sm:min-h-[1.6em]">
        {view === null ? `${step.instruction}. The clock starts when you press the button.` : nextWords(view, nextStep)}{' '}
        {gradient !== null && (
          <span data-testid="gradient-now">
            Gradient now about <b>{formatNumber(gradient.now, 2)}</b> of {formatNumber(gradient.target, 2)}.
          </span>
        )}
      </p>
      {isFirst && phase !== 'finished' && (
        <p className="max-w-[70ch] text-[17px]" data-testid="first-run">
          {firstRunWords[step.kind]}
        </p>
      )}
      {step.note !== undefined && <p className="max-w-[70ch] text-[17px]">Your note: {step.note}</p>}
      <p className={classes('text-[16px]', running && 'min-h-[1.5em]')} data-testid="slip">
        {over && slip !== null ? slipWords(slip, run.pinned) : ''}
        {step.kind === 'stop' && pastSlip !== null && Math.abs(pastSlip.seconds) >= 5
          ? slipWords(pastSlip, run.pinned)
          : ''}
      </p>
      {running && (
        <div className="mt-2 measure">
          <TankLine step={step} elapsedS={view?.elapsedS ?? 0} band={at.band} />
        </div>
      )}
    </>
  );
}

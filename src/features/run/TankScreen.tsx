'use client';

import { format } from 'date-fns';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { Roll, Run } from '@/core/records/records';
import { runProgress, tankView } from '@/core/schedule/runState';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import { formatQuantity } from '@/core/units/quantity';
import { useRun, useSettings } from '@/data/queries';
import { changeSettings } from '@/data/settings';
import { lights, nextLight, setLight, useLight } from '@/ui/light';
import { useLeadership } from '@/ui/useLeadership';
import { useTitle } from '@/ui/useTitle';
import { useInertBehind } from '@/ui/useInertBehind';
import { CueLine } from './CueLine';
import { NotHere } from '@/features/shell/NotHere';
import { NoteBox } from './NoteBox';
import { StepList } from './StepList';
import { handsWords, nextWords, signalOf } from './tankWords';
import { useTankClock } from './useTankClock';
import { useTankRun } from './useTankRun';
import { useTankSignals } from './useTankSignals';
import { useWakeLock } from './useWakeLock';

/** How often the screen looks at the clock, ms. The time itself comes from stored instants. */
const TICK_MS = 200;

/** A last step this far in the future means that the clock was set back meanwhile, ms. */
const CLOCK_SLACK_MS = 3000;

/** Seconds by which one press sets the start back. */
const SHIFT_S = 5;

/** The run, for wet hands. */
export function TankScreen({ runId }: { runId: string }) {
  const found = useRun(runId);
  if (found === undefined) return <p aria-busy="true">Opening the tank.</p>;
  if (found === null) return <NotHere table="runs" id={runId} what="This run" />;
  return <Tank run={found.run} roll={found.roll} />;
}

function Tank({ run, roll }: { run: Run; roll: Roll }) {
  const router = useRouter();
  const layer = useRef<HTMLDivElement>(null);
  useInertBehind(layer);
  useTitle(`At the tank: ${roll.label}`);
  const clock = useTankClock(TICK_MS);
  const { nowMs } = clock;
  const units = useSettings();
  const light = useLight();
  const { leads, takeOver } = useLeadership(`aetas-run-${run.id}`);
  const [noting, setNoting] = useState(false);
  const { events, record, unstored } = useTankRun(run);
  const progress = runProgress(run.steps, events);
  const awake = useWakeLock(progress.phase !== 'finished');
  const step = run.steps[progress.stepIndex];
  const nextStep = progress.phase === 'ready' ? step : run.steps[progress.stepIndex + 1];
  const running = progress.phase === 'running';
  const view = step !== undefined && progress.stepStartMs !== null ? tankView(step, progress.stepStartMs, nowMs) : null;
  useTankSignals(
    step !== undefined && view !== null && running ? signalOf(step, view) : null,
    progress.stepIndex,
    units.sound && leads === true,
  );
  // A page that was opened with the clock already set back finds its last step in the future.
  const behindMs = Math.max(0, (events.at(-1)?.atMs ?? 0) - nowMs);
  const jumpMs = running && clock.jumpMs !== 0 ? clock.jumpMs : running && behindMs > CLOCK_SLACK_MS ? -behindMs : 0;
  const advance = (): void => {
    const atMs = clock.read();
    if (progress.phase === 'finished') router.push(`/rolls/${encodeURIComponent(roll.id)}#judge`);
    else if (progress.phase === 'ready') void record({ kind: 'begin', stepIndex: 0, atMs });
    else if (progress.stepIndex + 1 < run.steps.length)
      void record({ kind: 'begin', stepIndex: progress.stepIndex + 1, atMs });
    else void record({ kind: 'finish', atMs });
  };
  /** The computer's clock was set: everything before moves along, so that the time that ran stays what it was. */
  const carryOut = (): void => {
    const seconds = Math.round(jumpMs / 1000);
    clock.agree();
    void record({ kind: 'clock', seconds, atMs: clock.read() });
  };
  // Until the browser has said who leads, a press counts: the database decides between two tabs.
  const mayAct = leads !== false;
  useSpaceBar(advance, mayAct && !noting);

  if (step === undefined) return null;
  const primary = primaryWords(progress.phase, nextStep?.name, view?.over === true);
  return (
    <div ref={layer} className="fixed inset-0 z-20 flex flex-col overflow-y-auto bg-ground">
      <header className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b border-hair px-4 py-3 text-ink2 sm:px-10">
        <h1 className="text-[18px] leading-tight">
          <Link href={`/rolls/${encodeURIComponent(roll.id)}`} className="text-ink no-underline hover:underline">
            {roll.label}
          </Link>
        </h1>
        <span>
          {run.developerName} · {formatQuantity(run.temperatureC, 'temperature', units)} ·{' '}
          {formatMinutes(run.pinned.timeMin)} planned
        </span>
        <span className="ml-auto flex flex-wrap items-baseline gap-x-4">
          {progress.startedMs !== null && <span>started {format(progress.startedMs, 'HH:mm:ss')}</span>}
          <span>{awake ? 'awake' : 'screen may sleep'}</span>
          <button type="button" className="act-plain" onClick={() => void changeSettings({ sound: !units.sound })}>
            sound {units.sound ? 'on' : 'off'}
          </button>
          <button type="button" className="act-plain" onClick={() => setLight(nextLight(light))}>
            light: {lights[light].toLowerCase()}
          </button>
        </span>
      </header>
      {unstored !== null && (
        <p role="alert" className="border-b-2 border-danger px-4 py-2 text-danger sm:px-10">
          <b>The clock goes on in this tab only.</b> {unstored} Leave this tab open: it tries again every few seconds.
        </p>
      )}
      {jumpMs !== 0 && (
        <div
          role="alert"
          className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hair px-4 py-2 sm:px-10"
        >
          <span className="max-w-[70ch]">
            This computer’s clock is {formatDuration(Math.abs(Math.round(jumpMs / 1000)))}{' '}
            {jumpMs > 0 ? 'ahead of' : 'behind'} the time that ran here. Was it set, or was the computer asleep?
          </span>
          <button type="button" className="act min-h-11" onClick={carryOut}>
            It was set: keep the time that ran
          </button>
          {jumpMs > 0 && (
            <button type="button" className="act min-h-11" onClick={clock.agree}>
              It was asleep: count that time
            </button>
          )}
        </div>
      )}
      {leads === false && (
        <p
          role="status"
          className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-hair px-4 py-2 sm:px-10"
        >
          Another tab controls this run; this one follows it.
          <button type="button" className="act" onClick={takeOver}>
            Control here
          </button>
        </p>
      )}
      <div className="grid flex-1 lg:grid-cols-[1fr_380px]">
        <div className="min-w-0 px-4 py-5 sm:px-10 sm:py-7">
          <p
            className="num text-[clamp(38px,8.2vw,104px)] leading-[1.02] font-[600] tracking-[-.03em]"
            aria-live="assertive"
            data-testid="hands"
          >
            {progress.phase === 'finished'
              ? 'Hung to dry'
              : view === null
                ? `Ready: ${step.name.toLowerCase()}`
                : handsWords(step, view)}
          </p>
          {progress.phase === 'finished' ? (
            <p className="mt-5 text-[20px]">
              Hanging since {format(progress.finishedMs ?? 0, 'HH:mm')}. Judge it when it is dry: wet negatives are
              misleading.
            </p>
          ) : (
            <>
              <p
                className="num mt-4 text-[clamp(96px,19vw,190px)] leading-[.95] font-[600] tracking-[-.045em]"
                role="timer"
                data-testid="clock"
              >
                {view === null
                  ? formatDuration(step.durationS)
                  : view.over
                    ? `+${formatDuration(-view.remainingS)}`
                    : formatDuration(Math.ceil(view.remainingS))}
              </p>
              <p className="mt-2 text-[clamp(17px,2.4vw,22px)]">
                {view === null
                  ? `${step.instruction}. The clock starts when you press the button.`
                  : nextWords(view, nextStep)}
              </p>
              <div className="mt-6 max-w-[790px]">
                <CueLine step={step} elapsedS={view?.elapsedS ?? 0} />
              </div>
            </>
          )}
        </div>
        <div className="border-hair px-4 py-4 sm:px-8 sm:py-6 lg:border-l">
          <StepList steps={run.steps} progress={progress} />
          {progress.notes.length > 0 && (
            <ul className="mt-4 space-y-1 text-[14px]" aria-label="Notes">
              {progress.notes.map(({ text, atMs }) => (
                <li key={atMs}>
                  {format(atMs, 'HH:mm')} {text}
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
      {noting && (
        <NoteBox
          runId={run.id}
          onKeep={(text) => record({ kind: 'note', text, atMs: clock.read() })}
          onClose={() => setNoting(false)}
        />
      )}
      <footer
        // A key held down repeats its press; a bath goes in once.
        onKeyDown={(event) => {
          if (event.repeat) event.preventDefault();
        }}
        className="sticky bottom-0 grid grid-cols-3 gap-2 border-t border-hair bg-ground px-4 py-3 sm:gap-3 sm:px-10 md:grid-cols-[1fr_1fr_1fr_2fr]"
      >
        <button
          type="button"
          className="act min-h-16 sm:min-h-[76px] sm:text-[18px]"
          disabled={!mayAct || progress.phase !== 'running'}
          onClick={() => void record({ kind: 'shift', seconds: -SHIFT_S, atMs: clock.read() })}
        >
          Started {SHIFT_S} s earlier
        </button>
        <button
          type="button"
          className="act min-h-16 sm:min-h-[76px] sm:text-[18px]"
          disabled={!mayAct || !progress.canUndo}
          onClick={() => void record({ kind: 'undo', atMs: clock.read() })}
        >
          Undo
        </button>
        <button
          type="button"
          className="act min-h-16 sm:min-h-[76px] sm:text-[18px]"
          disabled={!mayAct || noting}
          onClick={() => setNoting(true)}
        >
          Note
        </button>
        <button
          type="button"
          className="act act-primary col-span-3 min-h-[76px] text-[20px] md:col-span-1"
          disabled={!mayAct}
          onClick={advance}
        >
          {primary}
        </button>
      </footer>
    </div>
  );
}

function primaryWords(phase: 'ready' | 'running' | 'finished', nextName: string | undefined, over: boolean): string {
  if (phase === 'finished') return 'Go to the verdict';
  if (phase === 'ready') return `${nextName ?? 'It'} is in: start`;
  if (nextName === undefined) return over ? 'Hung to dry' : 'Hang it early';
  return over ? `${nextName}: it is in` : `${nextName}: in early`;
}

/** The space bar is the primary button, unless a field or another button has the focus. */
function useSpaceBar(act: () => void, enabled: boolean): void {
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  }, [act]);
  useEffect(() => {
    if (!enabled) return;
    const onKey = (event: KeyboardEvent): void => {
      if (event.key !== ' ' || event.repeat) return;
      if (event.target instanceof HTMLElement && event.target.closest('input, textarea, button, a') !== null) return;
      event.preventDefault();
      latest.current();
    };
    document.addEventListener('keydown', onKey);
    return () => document.removeEventListener('keydown', onKey);
  }, [enabled]);
}

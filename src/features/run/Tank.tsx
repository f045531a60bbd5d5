'use client';

import { format } from 'date-fns';
import { useRef, useState } from 'react';
import { bathJump, tankView, type TankView } from '@/core/run/tankView';
import { developSeconds } from '@/core/plan/developSeconds';
import type { Roll, Run } from '@/core/records/records';
import { formatDuration } from '@/core/units/duration';
import { formatNumber, formatQuantity } from '@/core/units/quantity';
import { useRollNames, useSettings } from '@/data/queries';
import { changeSettings } from '@/data/settings';
import { classes } from '@/ui/classes';
import { HoldButton } from '@/ui/HoldButton';
import { lights, setLight, useLight } from '@/ui/light';
import { useHold } from '@/ui/useHold';
import { useInertBehind } from '@/ui/useInertBehind';
import { useTitle } from '@/ui/useTitle';
import { AfterRun } from './AfterRun';
import { Checks } from './Checks';
import { ClearingTest } from './ClearingTest';
import { Gesture } from './Gesture';
import { NoteBox } from './NoteBox';
import { StepList } from './StepList';
import { TankLine } from './TankLine';
import { TankNotices } from './TankNotices';
import { TankTemperature } from './TankTemperature';
import { clockWords, handsWords, missedWords, nextWords, primaryWords, signalOf, slipWords } from './tankWords';
import { tankLight, useTankKeys } from './useTankKeys';
import type { TankClock } from './useTankClock';
import type { TankRun } from './useTankRun';
import { useProbe } from './useProbe';
import { useTankSignals } from './useTankSignals';
import { useWakeLock } from './useWakeLock';

/** A last step this far in the future means that the clock was set back meanwhile, ms. */
const CLOCK_SLACK_MS = 3000;

/** Seconds by which one press moves the start. */
const SHIFT_S = 5;

interface TankProps {
  run: Run;
  roll: Roll;
  clock: TankClock;
  /** Whether this tab gives the orders; null until the browser has said so. */
  leads: boolean | null;
  takeOver: () => void;
  kept: TankRun;
  /** Leaves the tank; to the verdict where the film hangs. */
  leave: (judge: boolean) => void;
  /** What practice has in the place of what belongs to a real film. */
  practice?: Practice;
}

/** What a practice tank brings along. */
export interface Practice {
  after: React.ReactNode;
  /** Something that goes wrong just now, and keeps the hands busy. */
  mishap: { what: string; act: string; onEnd: () => void } | null;
  /** What the thermometer shows; null while there is nothing to dip it into. */
  thermometer: () => number | null;
}

/** The tank, for wet hands: clock, the hands’ word and the line of movements have fixed places. */
export function Tank({ run, roll, clock, leads, takeOver, kept, leave, practice }: TankProps) {
  const layer = useRef<HTMLDivElement>(null);
  useInertBehind(layer);
  const mates = useRollNames(run.alongside?.map(({ rollId }) => rollId) ?? []);
  useTitle(practice === undefined ? `At the tank: ${roll.label}` : 'Practice tank');
  const { nowMs } = clock;
  const settings = useSettings();
  const light = useLight();
  const [noting, setNoting] = useState(false);
  const { events, record, unstored } = kept;
  const face = tankView(run, events, nowMs);
  const phase = face?.progress.phase ?? 'ready';
  const awake = useWakeLock(phase !== 'finished');
  const running = phase === 'running';
  // A page that was opened with the clock already set back finds its last step in the future.
  const behindMs = Math.max(0, (events.at(-1)?.atMs ?? 0) - nowMs);
  const jumpMs = !running ? 0 : clock.jumpMs !== 0 ? clock.jumpMs : behindMs > CLOCK_SLACK_MS ? -behindMs : 0;
  // Until the browser has said who leads, a press counts: the database decides between two tabs.
  const mayAct = leads !== false && (practice?.mishap ?? null) === null;
  const jump = face === null ? null : bathJump(run, face.progress);
  const stopped = jump?.level === 'stop';
  const advance = (): void => {
    if (!mayAct || face === null || stopped) return;
    const atMs = clock.read();
    const { progress } = face;
    if (progress.phase === 'finished') leave(true);
    else if (progress.phase === 'ready') {
      // What the computer slept before the first bath is nobody's.
      clock.settle();
      void record({ kind: 'begin', stepIndex: 0, atMs });
    } else if (progress.stepIndex + 1 < run.steps.length)
      void record({ kind: 'begin', stepIndex: progress.stepIndex + 1, atMs });
    else void record({ kind: 'finish', atMs });
  };
  const early = running && face?.view?.over === false && face.step.untilClear !== true;
  const hold = useHold(advance);
  useTankKeys({ advance, hold, early, light });
  const { asleep, missed } = useTankSignals({
    step: face?.step ?? NO_STEP,
    startMs: running && face?.paused === false ? face.progress.stepStartMs : null,
    clock,
    leads: leads === true,
    sound: settings.sound,
    voice: settings.voice === true,
  });
  useProbe({
    run,
    face,
    clock,
    on: practice === undefined && leads === true && settings.kit.probe === 'simulated',
    record,
  });

  if (face === null) return null;
  const { progress, step, nextStep, view } = face;
  const over = running && view?.over === true;
  return (
    <div
      ref={layer}
      className={classes(
        'fixed inset-0 z-20 flex flex-col overflow-y-auto bg-ground text-ink',
        over && 'tank-negative',
      )}
      data-testid="tank"
      data-over={over || undefined}
    >
      <header className="flex flex-wrap items-baseline gap-x-6 gap-y-1 border-b border-hair px-4 py-3 text-ink2 sm:px-10">
        <h1 className="text-[18px] leading-tight text-ink">{[roll, ...mates].map(({ label }) => label).join(' + ')}</h1>
        <span className="max-sm:hidden">
          {run.developerName} · {formatQuantity(run.temperatureC, 'temperature', settings)} ·{' '}
          {formatDuration(developSeconds(run.pinned))} planned
        </span>
        <span className="ml-auto flex flex-wrap items-baseline gap-x-4">
          {progress.startedMs !== null && (
            <span className="max-sm:hidden">started {format(progress.startedMs, 'HH:mm:ss')}</span>
          )}
          <span>{awake ? 'awake' : 'screen may sleep'}</span>
          <button type="button" className="act-plain" onClick={() => void changeSettings({ sound: !settings.sound })}>
            sound {settings.sound ? (asleep ? 'asleep: touch the screen' : 'on') : 'off'}
          </button>
          <button
            type="button"
            className="act-plain"
            onClick={() => void changeSettings({ voice: settings.voice !== true })}
          >
            voice {settings.voice === true ? 'on' : 'off'}
          </button>
          <button type="button" className="act-plain" onClick={() => setLight(tankLight(light))}>
            light: {lights[light].toLowerCase()}
          </button>
          {!running && (
            <button type="button" className="act-plain" onClick={() => leave(false)}>
              leave the tank
            </button>
          )}
        </span>
      </header>
      <TankNotices
        unstored={unstored}
        jumpMs={jumpMs}
        sleptMs={running ? clock.sleptMs : 0}
        missed={missedWords(missed)}
        leads={leads}
        takeOver={takeOver}
        jump={jump}
        units={settings}
        // The computer's clock was set: everything before moves along, so that the time that ran stays what it was.
        onSet={(ms) => {
          clock.agree();
          clock.settle();
          void record({ kind: 'clock', seconds: Math.round(ms / 1000), atMs: clock.read() });
        }}
        onSlept={clock.settle}
        onAnyway={(why) => {
          const next = progress.stepIndex + 1;
          void record({ kind: 'note', text: why, atMs: clock.read() }).then((taken) => {
            if (taken && next < run.steps.length) void record({ kind: 'begin', stepIndex: next, atMs: clock.read() });
          });
        }}
      />
      {practice?.mishap != null && (
        <p
          role="alert"
          className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b-2 border-ink px-4 py-2 sm:px-10"
        >
          <b>{practice.mishap.what}</b>
          <button type="button" className="act min-h-16" onClick={practice.mishap.onEnd}>
            {practice.mishap.act}
          </button>
        </p>
      )}
      <div className="grid flex-1 content-start lg:grid-cols-[1fr_360px] lg:content-stretch">
        <div className="min-w-0 px-4 pt-3 pb-4 sm:px-10 sm:pt-5">
          <div className="flex items-start justify-between gap-4">
            <p
              // Its letters reach beyond their line: clipped, they take no press from what stands above.
              className="num overflow-clip pr-[.1em] text-[clamp(92px,19vw,190px)] leading-[.95] font-[600] tracking-[-.045em]"
              role="timer"
              data-testid="clock"
            >
              {clockWords(face)}
            </p>
            {running && (
              <div className="mt-2 size-[76px] shrink-0 sm:size-[150px]">
                <Gesture gesture={step.gesture} doing={view === null ? null : signalOf(step, view)} />
              </div>
            )}
          </div>
          <p
            className="num mt-2 flex min-h-[2.1em] items-start text-[clamp(30px,5.6vw,62px)] leading-[1.05] font-[600] tracking-[-.02em] sm:min-h-[1.1em]"
            aria-live="assertive"
            data-testid="hands"
          >
            {phase === 'finished'
              ? 'Hung to dry'
              : view === null
                ? `Ready: ${step.name.toLowerCase()}`
                : face.paused
                  ? 'The clock is paused'
                  : handsWords(step, view)}
          </p>
          {phase === 'finished' ? (
            (practice?.after ?? <AfterRun run={run} mates={mates} hungMs={progress.finishedMs ?? nowMs} />)
          ) : (
            <>
              <p className="mt-1 min-h-[3.2em] max-w-[70ch] text-[clamp(17px,2.2vw,21px)] sm:min-h-[1.6em]">
                {view === null
                  ? `${step.instruction}. The clock starts when you press the button.`
                  : nextWords(view, nextStep)}{' '}
                <GradientNow face={face} />
              </p>
              {step.note !== undefined && <p className="max-w-[70ch] text-[17px]">Your note: {step.note}</p>}
              <p className={classes('text-[16px]', running && 'min-h-[1.5em]')} data-testid="slip">
                {over && face.slip !== null ? slipWords(face.slip, run.pinned) : ''}
                {step.kind === 'stop' && face.pastSlip !== null && Math.abs(face.pastSlip.seconds) >= 5
                  ? slipWords(face.pastSlip, run.pinned)
                  : ''}
              </p>
              {running && (
                <div className="mt-2 max-w-[820px]">
                  <TankLine step={step} elapsedS={view?.elapsedS ?? 0} band={face.band} />
                </div>
              )}
            </>
          )}
          {running && step.kind === 'fix' && practice === undefined && (
            <div className="mt-4 max-w-[820px]">
              <ClearingTest
                runId={run.id}
                fixerId={run.jugs?.fix ?? null}
                clearing={progress.clearing}
                clock={clock}
                disabled={!mayAct}
                onKeep={(seconds, factor) => void record({ kind: 'clearing', seconds, factor, atMs: clock.read() })}
              />
            </div>
          )}
          {phase === 'ready' && practice === undefined && (
            <Checks
              run={run}
              roll={roll}
              mates={mates}
              progress={progress}
              clockIsRight={clock.jumpMs === 0}
              nowMs={nowMs}
            />
          )}
        </div>
        <div className="flex flex-col gap-5 border-hair px-4 pb-4 sm:px-8 lg:border-l lg:pt-5">
          <StepList steps={run.steps} progress={progress} inHand={step} />
          {phase !== 'finished' && (
            <TankTemperature
              face={face}
              run={run}
              settings={settings}
              disabled={!mayAct}
              onRead={record}
              clock={clock}
              dip={practice?.thermometer}
            />
          )}
          {progress.notes.length > 0 && (
            <ul className="space-y-1 text-[14px]" aria-label="Notes">
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
        className="sticky bottom-0 grid grid-cols-4 gap-2 border-t border-hair bg-ground px-4 py-3 sm:gap-3 sm:px-10 md:grid-cols-[1fr_1fr_1fr_1fr_2.4fr]"
      >
        <Small disabled={!mayAct || !running} onPress={() => shift(-SHIFT_S)}>
          Started {SHIFT_S} s earlier
        </Small>
        <Small disabled={!mayAct || !running} onPress={() => shift(SHIFT_S)}>
          Started {SHIFT_S} s later
        </Small>
        <Small
          disabled={!mayAct || !progress.canUndo}
          onPress={() => void record({ kind: 'undo', atMs: clock.read() })}
        >
          Undo
        </Small>
        <Small disabled={!mayAct || noting} onPress={() => setNoting(true)}>
          Note
        </Small>
        {early ? (
          <HoldButton
            hold={hold}
            onPress={advance}
            disabled={!mayAct || stopped}
            className="col-span-4 min-h-[76px] text-[20px] md:col-span-1"
          >
            {nextStep === undefined ? 'Hold to hang it early' : 'Hold to pour out early'}
          </HoldButton>
        ) : (
          <button
            type="button"
            className="act act-primary col-span-4 min-h-[76px] text-[20px] md:col-span-1"
            disabled={!mayAct || stopped}
            onClick={advance}
          >
            {primaryWords(phase, nextStep?.name, practice !== undefined)}
          </button>
        )}
        {running && (
          <p
            className={classes(
              'col-span-4 flex flex-wrap gap-x-3 text-[14px] text-ink2 md:col-span-5',
              !face.pausing.may && 'max-sm:hidden',
            )}
          >
            {face.paused ? (
              <button
                type="button"
                className="act-plain"
                disabled={!mayAct}
                onClick={() => void record({ kind: 'resume', atMs: clock.read() })}
              >
                Start the clock again
              </button>
            ) : face.pausing.may ? (
              <button
                type="button"
                className="act-plain"
                disabled={!mayAct}
                onClick={() => void record({ kind: 'pause', atMs: clock.read() })}
              >
                Pause the clock
              </button>
            ) : (
              <span>The clock cannot be paused here.</span>
            )}
            <span>{face.pausing.why}</span>
          </p>
        )}
      </footer>
    </div>
  );

  function shift(seconds: number): void {
    void record({ kind: 'shift', seconds, atMs: clock.read() });
  }
}

const NO_STEP: Run['steps'][number] = { kind: 'wash', name: '', instruction: '', durationS: 0, cues: [] };

function Small({ disabled, onPress, children }: { disabled: boolean; onPress: () => void; children: React.ReactNode }) {
  return (
    <button
      type="button"
      className="act min-h-16 px-2 leading-tight sm:min-h-[76px] sm:text-[18px]"
      disabled={disabled}
      onClick={onPress}
    >
      {children}
    </button>
  );
}

function GradientNow({ face: { gradient } }: { face: TankView }) {
  if (gradient === null) return null;
  return (
    <span data-testid="gradient-now">
      Gradient now about <b>{formatNumber(gradient.now, 2)}</b> of {formatNumber(gradient.target, 2)}.
    </span>
  );
}

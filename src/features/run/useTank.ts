'use client';

import { bathJump, tankView, type BathJump, type TankView } from '@/core/run/tankView';
import type { RunEvent } from '@/core/records/runEvents';
import type { Run, Settings } from '@/core/records/records';
import type { TankSignal } from '@/core/run/tankSignals';
import { useSettings } from '@/data/queries';
import { useLight, type Light } from '@/ui/light';
import { useHold, type Hold } from '@/ui/useHold';
import { useProbe } from './useProbe';
import type { TankClock } from './useTankClock';
import { useTankKeys } from './useTankKeys';
import type { TankRun } from './useTankRun';
import { useTankSignals } from './useTankSignals';
import { useWakeLock } from './useWakeLock';

/** A last step this far in the future means that the clock was set back meanwhile, ms. */
const CLOCK_SLACK_MS = 3000;

const NO_STEP: Run['steps'][number] = { kind: 'wash', name: '', instruction: '', durationS: 0, cues: [] };

/** What the tank is told besides its run. */
interface TankWiring {
  run: Run;
  clock: TankClock;
  /** Whether this tab gives the orders; null until the browser has said so. */
  leads: boolean | null;
  kept: TankRun;
  /** Leaves the tank; to the verdict where the film hangs. */
  leave: (judge: boolean) => void;
  /** Whether it is a practice tank, and whether something keeps its hands busy just now. */
  practice: boolean;
  mishap: boolean;
}

/** The tank as its views take it: what is, and every transition that hands can make. */
export interface TankControl {
  run: Run;
  clock: TankClock;
  settings: Settings;
  light: Light;
  /** Null for a run without steps. */
  view: TankView | null;
  phase: 'ready' | 'running' | 'finished';
  running: boolean;
  /** Whether the step at hand is over. */
  over: boolean;
  /** Whether the primary act would pour out before its time. */
  early: boolean;
  /** Whether this tab may act at all. */
  mayAct: boolean;
  /** Whether the next bath is so far from this one that the hand is stopped. */
  stopped: boolean;
  jump: BathJump | null;
  /** By how much the computer's clock was set back, ms, below 0; 0 while it was not. */
  jumpMs: number;
  sleptMs: number;
  awake: boolean;
  asleep: boolean;
  missed: readonly TankSignal[];
  unstored: string | null;
  hold: Hold;
  advance: () => void;
  record: (event: RunEvent) => Promise<boolean>;
  /** Records that a kind of thing happened now. */
  note: (text: string) => Promise<boolean>;
  shift: (seconds: number) => void;
  undo: () => void;
  pause: () => void;
  resume: () => void;
  cleared: (seconds: number, factor: 2 | 3) => void;
  /** The computer's clock was set by so much: everything before moves along, so that the time that ran stays what it was. */
  clockWasSet: (ms: number) => void;
  /** Pours the next bath in although it is far from this one, for a reason. */
  pourAnyway: (why: string) => void;
}

/** Holds the transitions of a tank, its keys, signals, probe and wake lock. */
export function useTank({ run, clock, leads, kept, leave, practice, mishap }: TankWiring): TankControl {
  const settings = useSettings();
  const light = useLight();
  const { events, record, unstored } = kept;
  const view = tankView(run, events, clock.nowMs);
  const phase = view?.progress.phase ?? 'ready';
  const running = phase === 'running';
  const awake = useWakeLock(phase !== 'finished');
  // A page that was opened with the clock already set back finds its last step in the future.
  const behindMs = Math.max(0, (events.at(-1)?.atMs ?? 0) - clock.nowMs);
  const jumpMs = !running ? 0 : clock.jumpMs !== 0 ? clock.jumpMs : behindMs > CLOCK_SLACK_MS ? -behindMs : 0;
  // Until the browser has said who leads, a press counts: the database decides between two tabs.
  const mayAct = leads !== false && !mishap;
  const jump = view === null ? null : bathJump(run, view.progress);
  const stopped = jump?.level === 'stop';
  const next = (view?.progress.stepIndex ?? 0) + 1;
  const now = (): number => clock.read();
  const advance = (): void => {
    if (!mayAct || view === null || stopped) return;
    if (phase === 'finished') leave(true);
    else if (phase === 'ready') {
      // What the computer slept before the first bath is nobody's.
      clock.settle();
      void record({ kind: 'begin', stepIndex: 0, atMs: now() });
    } else if (next < run.steps.length) void record({ kind: 'begin', stepIndex: next, atMs: now() });
    else void record({ kind: 'finish', atMs: now() });
  };
  const early = running && view?.view?.over === false && view.step.untilClear !== true;
  const hold = useHold(advance);
  useTankKeys({ advance, hold, early, light });
  const { asleep, missed } = useTankSignals({
    step: view?.step ?? NO_STEP,
    startMs: running && view?.paused === false ? view.progress.stepStartMs : null,
    clock,
    leads: leads === true,
    sound: settings.sound,
    voice: settings.voice === true,
  });
  const probed = !practice && leads === true && settings.kit.probe === 'simulated';
  useProbe({ run, face: view, clock, on: probed, record });
  const note = (text: string): Promise<boolean> => record({ kind: 'note', text, atMs: now() });
  return {
    run,
    clock,
    settings,
    light,
    view,
    phase,
    running,
    over: running && view?.view?.over === true,
    early,
    mayAct,
    stopped,
    jump,
    jumpMs,
    sleptMs: running ? clock.sleptMs : 0,
    awake,
    asleep,
    missed,
    unstored,
    hold,
    advance,
    record,
    note,
    shift: (seconds) => void record({ kind: 'shift', seconds, atMs: now() }),
    undo: () => void record({ kind: 'undo', atMs: now() }),
    pause: () => void record({ kind: 'pause', atMs: now() }),
    resume: () => void record({ kind: 'resume', atMs: now() }),
    cleared: (seconds, factor) => void record({ kind: 'clearing', seconds, factor, atMs: now() }),
    clockWasSet: (ms) => {
      clock.agree();
      clock.settle();
      void record({ kind: 'clock', seconds: Math.round(ms / 1000), atMs: now() });
    },
    pourAnyway: (why) => {
      void note(why).then((taken) => {
        if (taken && next < run.steps.length) void record({ kind: 'begin', stepIndex: next, atMs: now() });
      });
    },
  };
}

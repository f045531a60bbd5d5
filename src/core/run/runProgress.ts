import { POUR_OUT_S, handsAt, type HandsState } from '../schedule/agitationCues';
import type { RunEvent } from '../records/runEvents';
import type { WetStep } from '../schedule/wetSteps';

/** Where a run stands, from its stored events alone. */
export interface RunProgress {
  phase: 'ready' | 'running' | 'finished';
  /** Index of the step at hand; of the first step while nothing has begun. */
  stepIndex: number;
  /** Instant at which the step at hand began, ms since the epoch; null before the first. */
  stepStartMs: number | null;
  /** How long each step took, s; null for those not ended. */
  tookS: (number | null)[];
  startedMs: number | null;
  finishedMs: number | null;
  notes: { text: string; atMs: number }[];
  /** Since when the clock rests, ms since the epoch; null while it goes. */
  pausedMs: number | null;
  readings: TemperatureReading[];
  /** The last clearing test, and how many seconds after its fixer went in; null while there was none. */
  clearing: { seconds: number; factor: 2 | 3; elapsedS: number } | null;
  /** Whether there is something to undo. */
  canUndo: boolean;
}

/** A thermometer reading of a run. */
export interface TemperatureReading {
  /** Step whose bath was measured; null for the room. */
  stepIndex: number | null;
  celsius: number;
  atMs: number;
  /** Seconds since that bath went in; null before it did, and for the room. */
  elapsedS: number | null;
}

/**
 * Replays the events of a run.
 * @param steps the wet steps of the run
 * @param events what happened, in order
 * @returns where the run stands; the same for the same events at any time
 */
export function runProgress(steps: readonly WetStep[], events: readonly RunEvent[]): RunProgress {
  const settled = settledEvents(events);
  const tookS: (number | null)[] = steps.map(() => null);
  const begunMs: (number | null)[] = steps.map(() => null);
  let stepIndex = 0;
  let stepStartMs: number | null = null;
  let startedMs: number | null = null;
  let finishedMs: number | null = null;
  let pausedMs: number | null = null;
  for (const event of settled) {
    if (!isAct(event) || event.kind === 'clock') continue;
    if (event.kind === 'shift') {
      if (stepStartMs !== null) stepStartMs += event.seconds * 1000;
      begunMs[stepIndex] = stepStartMs;
      continue;
    }
    if (event.kind === 'pause') {
      pausedMs ??= event.atMs;
      continue;
    }
    // A rest does not count: the step begins so much later. The next bath ends a rest as well.
    if (pausedMs !== null && stepStartMs !== null) stepStartMs += Math.max(0, event.atMs - pausedMs);
    pausedMs = null;
    begunMs[stepIndex] = stepStartMs;
    if (event.kind === 'resume') continue;
    if (stepStartMs !== null) tookS[stepIndex] = Math.max(0, (event.atMs - stepStartMs) / 1000);
    if (event.kind === 'begin') {
      stepIndex = event.stepIndex;
      stepStartMs = event.atMs;
      begunMs[stepIndex] = stepStartMs;
      startedMs ??= event.atMs;
    } else {
      finishedMs = event.atMs;
    }
  }
  /** Seconds since the bath of a step went in; null before it did. */
  const elapsedS = (index: number | null, atMs: number): number | null => {
    const begun = index === null ? null : (begunMs[index] ?? null);
    return begun === null || atMs < begun ? null : (atMs - begun) / 1000;
  };
  const fixAt = steps.findIndex(({ kind }) => kind === 'fix');
  const clearing = settled.findLast((event) => event.kind === 'clearing');
  return {
    phase: finishedMs !== null ? 'finished' : stepStartMs === null ? 'ready' : 'running',
    stepIndex,
    stepStartMs,
    tookS,
    startedMs,
    finishedMs,
    notes: settled.flatMap((event) => (event.kind === 'note' ? [{ text: event.text, atMs: event.atMs }] : [])),
    pausedMs,
    readings: settled.flatMap((event): TemperatureReading[] =>
      event.kind === 'temperature'
        ? [
            {
              stepIndex: event.stepIndex,
              celsius: event.celsius,
              atMs: event.atMs,
              elapsedS: elapsedS(event.stepIndex, event.atMs),
            },
          ]
        : [],
    ),
    clearing:
      clearing === undefined
        ? null
        : {
            seconds: clearing.seconds,
            factor: clearing.factor,
            elapsedS: elapsedS(fixAt < 0 ? null : fixAt, clearing.atMs) ?? 0,
          },
    canUndo: settled.some(isAct),
  };
}

type Act = Extract<RunEvent, { kind: 'begin' | 'shift' | 'clock' | 'finish' | 'pause' | 'resume' }>;

/** Whether an event is an act that an undo takes back. */
function isAct(event: RunEvent): event is Act {
  return event.kind !== 'undo' && event.kind !== 'note' && event.kind !== 'temperature' && event.kind !== 'clearing';
}

/**
 * The events that count, each at its instant by the computer's clock as it stands now: an undo takes the last act away with all
 * that it did, and a clock that was set moves everything before it along.
 * @param events what happened, in order
 * @returns the events without those undone and their undoing
 */
function settledEvents(events: readonly RunEvent[]): RunEvent[] {
  const kept: RunEvent[] = [];
  for (const event of events) {
    if (event.kind !== 'undo') kept.push(event);
    else {
      const last = kept.findLastIndex(isAct);
      if (last >= 0) kept.splice(last, 1);
    }
  }
  let laterMs = 0;
  for (let index = kept.length - 1; index >= 0; index--) {
    const event = kept[index] as RunEvent;
    kept[index] = { ...event, atMs: event.atMs + laterMs };
    if (event.kind === 'clock') laterMs += event.seconds * 1000;
  }
  return kept;
}

/** Kinds of bath in which the film may wait, and why it may not in the others. Source: common practice, no source. */
export const pausing: Record<WetStep['kind'], { may: boolean; why: string }> = {
  'pre-soak': { may: true, why: 'Water does no harm: the film may wait in it.' },
  develop: { may: false, why: 'The developer goes on working, whether the clock goes or not.' },
  stop: { may: false, why: 'What is left of the developer still works until the fixer is in.' },
  fix: { may: false, why: 'The fixer goes on working, whether the clock goes or not.' },
  wash: { may: true, why: 'Water does no harm: the film may wait in it.' },
  wetting: { may: true, why: 'The film may wait in it.' },
};

/** After a bath went in, presses within this time are the same press felt twice, ms. Source: our choice. */
export const SAME_PRESS_MS = 1500;

/**
 * Whether a press is the last one felt twice: a double tap, or a key held down.
 * @param events what happened, in order
 * @param event what the press would record
 * @returns true for a begin or a finish within a second and a half of the last one
 * @example isSamePress([{ kind: 'begin', stepIndex: 0, atMs: 0 }], { kind: 'begin', stepIndex: 1, atMs: 300 }) // true
 */
export function isSamePress(events: readonly RunEvent[], event: RunEvent): boolean {
  if (event.kind !== 'begin' && event.kind !== 'finish') return false;
  const last = settledEvents(events).findLast((act) => act.kind === 'begin' || act.kind === 'finish');
  return last !== undefined && Math.abs(event.atMs - last.atMs) < SAME_PRESS_MS;
}

/** What the screen at the tank shows at one moment. */
export interface StepView {
  elapsedS: number;
  /** Seconds to the end of the step; negative once it is over. */
  remainingS: number;
  over: boolean;
  /** Time to pour out, so that the tank is empty in time. */
  pourOut: boolean;
  hands: HandsState;
  /** Seconds to the next movement of the hands; null when none comes. */
  nextTurnS: number | null;
}

/**
 * The step at hand at a moment.
 * @param step the step at hand
 * @param stepStartMs instant at which it began, ms since the epoch
 * @param nowMs this moment, ms since the epoch
 */
export function stepView(step: WetStep, stepStartMs: number, nowMs: number): StepView {
  const elapsedS = Math.max(0, (nowMs - stepStartMs) / 1000);
  // A bath that ends when the water runs clear has no end of its own: its clock counts up.
  const remainingS = step.untilClear === true ? Infinity : step.durationS - elapsedS;
  const hands = handsAt(step.cues, elapsedS);
  return {
    elapsedS,
    remainingS,
    over: remainingS <= 0,
    pourOut: remainingS <= POUR_OUT_S && step.durationS > 2 * POUR_OUT_S,
    hands,
    nextTurnS: hands.next === null ? null : hands.next.startS - elapsedS,
  };
}

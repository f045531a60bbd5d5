import { POUR_OUT_S, handsAt, type HandsState } from './agitationCues';
import type { RunEvent } from './runEvents';
import type { WetStep } from './wetSteps';

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
  /** Whether there is something to undo. */
  canUndo: boolean;
}

/**
 * Replays the events of a run.
 * @param steps the wet steps of the run
 * @param events what happened, in order
 * @returns where the run stands; the same for the same events at any time
 */
export function runProgress(steps: readonly WetStep[], events: readonly RunEvent[]): RunProgress {
  const acts = effectiveActs(events);
  const tookS: (number | null)[] = steps.map(() => null);
  let stepIndex = 0;
  let stepStartMs: number | null = null;
  let startedMs: number | null = null;
  let finishedMs: number | null = null;
  for (const act of acts) {
    if (act.kind === 'shift' || act.kind === 'clock') {
      if (stepStartMs !== null) stepStartMs += act.seconds * 1000;
      // A clock that was set moves everything before it along; a late start moves only its own step.
      if (act.kind === 'clock' && startedMs !== null) startedMs += act.seconds * 1000;
      continue;
    }
    if (stepStartMs !== null) tookS[stepIndex] = Math.max(0, (act.atMs - stepStartMs) / 1000);
    if (act.kind === 'begin') {
      stepIndex = act.stepIndex;
      stepStartMs = act.atMs;
      startedMs ??= act.atMs;
    } else {
      finishedMs = act.atMs;
    }
  }
  return {
    phase: finishedMs !== null ? 'finished' : stepStartMs === null ? 'ready' : 'running',
    stepIndex,
    stepStartMs,
    tookS,
    startedMs,
    finishedMs,
    notes: events.flatMap((event) => (event.kind === 'note' ? [{ text: event.text, atMs: event.atMs }] : [])),
    canUndo: acts.length > 0,
  };
}

type Act = Extract<RunEvent, { kind: 'begin' | 'shift' | 'clock' | 'finish' }>;

function effectiveActs(events: readonly RunEvent[]): Act[] {
  const acts: Act[] = [];
  for (const event of events) {
    if (event.kind === 'undo') acts.pop();
    else if (event.kind !== 'note') acts.push(event);
  }
  return acts;
}

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
  const last = effectiveActs(events).findLast((act) => act.kind === 'begin' || act.kind === 'finish');
  return last !== undefined && Math.abs(event.atMs - last.atMs) < SAME_PRESS_MS;
}

/** What the screen at the tank shows at one moment. */
export interface TankView {
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
export function tankView(step: WetStep, stepStartMs: number, nowMs: number): TankView {
  const elapsedS = Math.max(0, (nowMs - stepStartMs) / 1000);
  const remainingS = step.durationS - elapsedS;
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

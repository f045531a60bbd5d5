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
  /** Since when the clock rests, ms since the epoch; null while it goes. */
  pausedMs: number | null;
  readings: TemperatureReading[];
  /** The last clearing test; null while there was none. */
  clearing: { seconds: number; factor: 2 | 3 } | null;
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
  const acts = effectiveActs(events);
  const tookS: (number | null)[] = steps.map(() => null);
  let stepIndex = 0;
  let stepStartMs: number | null = null;
  let startedMs: number | null = null;
  let finishedMs: number | null = null;
  let pausedMs: number | null = null;
  const begunMs: (number | null)[] = steps.map(() => null);
  const movedMs = clockMoves(events);
  for (const act of acts) {
    if (act.kind === 'shift' || act.kind === 'clock') {
      if (stepStartMs !== null) stepStartMs += act.seconds * 1000;
      // A clock that was set moves everything before it along; a late start moves only its own step.
      if (act.kind === 'clock' && startedMs !== null) startedMs += act.seconds * 1000;
      if (act.kind === 'clock' && pausedMs !== null) pausedMs += act.seconds * 1000;
      begunMs[stepIndex] = stepStartMs;
      continue;
    }
    if (act.kind === 'pause') {
      pausedMs ??= act.atMs;
      continue;
    }
    // A rest does not count: the step begins so much later. The next bath ends a rest as well.
    if (pausedMs !== null && stepStartMs !== null) stepStartMs += Math.max(0, act.atMs - pausedMs);
    pausedMs = null;
    begunMs[stepIndex] = stepStartMs;
    if (act.kind === 'resume') continue;
    if (stepStartMs !== null) tookS[stepIndex] = Math.max(0, (act.atMs - stepStartMs) / 1000);
    if (act.kind === 'begin') {
      stepIndex = act.stepIndex;
      stepStartMs = act.atMs;
      begunMs[stepIndex] = stepStartMs;
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
    pausedMs,
    readings: events.flatMap((event, index): TemperatureReading[] => {
      if (event.kind !== 'temperature') return [];
      const atMs = event.atMs + (movedMs[index] ?? 0);
      const begun = event.stepIndex === null ? null : (begunMs[event.stepIndex] ?? null);
      const elapsedS = begun === null || atMs < begun ? null : (atMs - begun) / 1000;
      return [{ stepIndex: event.stepIndex, celsius: event.celsius, atMs, elapsedS }];
    }),
    clearing: events.reduce<RunProgress['clearing']>(
      (last, event) => (event.kind === 'clearing' ? { seconds: event.seconds, factor: event.factor } : last),
      null,
    ),
    canUndo: acts.length > 0,
  };
}

type Act = Extract<RunEvent, { kind: 'begin' | 'shift' | 'clock' | 'finish' | 'pause' | 'resume' }>;

function effectiveActs(events: readonly RunEvent[]): Act[] {
  const acts: Act[] = [];
  for (const event of events) {
    if (event.kind === 'undo') acts.pop();
    else if (event.kind !== 'note' && event.kind !== 'temperature' && event.kind !== 'clearing') acts.push(event);
  }
  return acts;
}

/** By how much each event moves along with a clock that was set after it, ms. */
function clockMoves(events: readonly RunEvent[]): number[] {
  const moves = events.map(() => 0);
  let later = 0;
  for (let index = events.length - 1; index >= 0; index--) {
    moves[index] = later;
    const event = events[index];
    if (event?.kind === 'clock') later += event.seconds * 1000;
  }
  return moves;
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

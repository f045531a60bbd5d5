import * as z from 'zod';
import type { PrintStep } from './printPlan';
import type { StripPatch } from './testStrip';

/** One time that the lamp is on, and what the hands do before it. */
export const lampStepSchema = z.strictObject({
  words: z.string().max(200),
  seconds: z.number().positive().max(36_000),
  /** When hands begin to hold something back within it, s from its end; missing for none. */
  holds: z
    .array(z.strictObject({ where: z.string().max(80), seconds: z.number().positive() }))
    .max(12)
    .optional(),
});
export type LampStep = z.infer<typeof lampStepSchema>;

/** A row of exposures under way: kept, so that a reload in the dark goes on. */
export const exposingSchema = z.strictObject({
  steps: z.array(lampStepSchema).max(40),
  /** Which one is next or on. */
  at: z.number().int().min(0).max(40),
  /** When the lamp went on, ms since the epoch; null while it is off. */
  onSinceMs: z.number().nullable(),
});
export type Exposing = z.infer<typeof exposingSchema>;
export const notExposing: Exposing = { steps: [], at: 0, onSinceMs: null };

/** The lamp of a test strip: once for each patch. */
export function stripSteps(patches: readonly StripPatch[]): LampStep[] {
  return patches.map(({ addedS }, patch) => ({
    words: patch === 0 ? 'The whole paper' : `Patch ${patch} covered`,
    seconds: addedS,
  }));
}

/**
 * The lamp of a print: the base with what is held back in it, each area that is burnt in, and the same paper through a hard filter
 * where there are two.
 * @param plan what the hands do
 * @param hardS the exposure through the hard filter, s; null where one filter does
 */
export function printSteps(plan: readonly PrintStep[], hardS: number | null = null): LampStep[] {
  const holds = plan.filter(({ kind }) => kind === 'dodge').map(({ where, seconds }) => ({ where, seconds }));
  const words = hardS === null ? 'The whole paper' : 'Soft filter: the whole paper';
  const soft = plan
    .filter(({ kind }) => kind !== 'dodge')
    .map(({ kind, where, seconds }) =>
      kind === 'base'
        ? { words, seconds, ...(holds.length > 0 ? { holds } : {}) }
        : { words: `Burn in: ${where}`, seconds },
    );
  // Areas are told in stops of the first exposure, so they are burnt in before the filter is changed.
  return hardS === null ? soft : [...soft, { words: 'Hard filter in: the whole paper', seconds: hardS }];
}

/** Where a row of exposures stands at an instant. */
export interface ExposingNow {
  /** The step that is next or on; null when all are done. */
  step: LampStep | null;
  on: boolean;
  /** Seconds left of it. */
  leftS: number;
  /** What is held back just now. */
  holding: string[];
}

/**
 * Where a row of exposures stands: it follows from when the lamp went on, so a page that was reloaded finds it again.
 * @param nowMs this instant, ms since the epoch
 */
export function exposingNow({ steps, at, onSinceMs }: Exposing, nowMs: number): ExposingNow {
  const step = steps[at] ?? null;
  if (step === null || onSinceMs === null) return { step, on: false, leftS: step?.seconds ?? 0, holding: [] };
  const leftS = step.seconds - (nowMs - onSinceMs) / 1000;
  if (leftS <= 0) {
    const next = steps[at + 1] ?? null;
    return { step: next, on: false, leftS: next?.seconds ?? 0, holding: [] };
  }
  const holding = (step.holds ?? []).filter(({ seconds }) => leftS <= seconds).map(({ where }) => where);
  return { step, on: true, leftS, holding };
}

/** The same once the lamp has gone off by itself: the next step waits. */
export function settled(exposing: Exposing, nowMs: number): Exposing {
  const { steps, at, onSinceMs } = exposing;
  const step = steps[at];
  return onSinceMs !== null && step !== undefined && nowMs - onSinceMs >= step.seconds * 1000
    ? { ...exposing, at: at + 1, onSinceMs: null }
    : exposing;
}

/**
 * What is said of a step before the lamp goes on: what the hands do, and how long.
 * @param step the step that is next; null when all are done
 * @example spokenStep({ words: 'Burn in: corner', seconds: 4 }) // 'Burn in: corner. 4 seconds.'
 */
export function spokenStep(step: LampStep | null): string {
  if (step === null) return 'Lamp off. Into the tray.';
  const holds = (step.holds ?? []).map(({ where, seconds }) => `Hold back ${where} for the last ${spokenS(seconds)}.`);
  return [`${step.words}. ${spokenS(step.seconds)}.`, ...holds].join(' ');
}

function spokenS(seconds: number): string {
  const rounded = Number(seconds.toFixed(1));
  return rounded === 1 ? '1 second' : `${rounded} seconds`;
}

/** Sounds of a step from when the lamp goes on: a beat each second, and its end. */
export function beatsOf(step: LampStep, last: boolean): { kind: 'ready' | 'move' | 'over' | 'pour'; inS: number }[] {
  const holds = (step.holds ?? []).map(({ seconds }) => ({
    kind: 'pour' as const,
    inS: Math.max(0, step.seconds - seconds),
  }));
  const beats = Array.from({ length: Math.ceil(step.seconds) - 1 }, (_, second) => ({
    kind: 'ready' as const,
    inS: second + 1,
  }));
  return [...beats, ...holds, { kind: last ? ('over' as const) : ('move' as const), inS: step.seconds }];
}

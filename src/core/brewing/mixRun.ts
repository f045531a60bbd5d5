import * as z from 'zod';
import { instantMs, limited, text } from '../schema/fields';
import { measuredBy, type BrewPart } from './part';
import type { MixStep } from './mixSteps';

const atMs = instantMs;

/** What happens while a batch is mixed. */
export const mixEventSchema = z.discriminatedUnion('kind', [
  /** The step is done; with the amount that went in, or the temperature that was read, where there is one. */
  z.strictObject({
    kind: z.literal('done'),
    stepId: text('Step', 200),
    amount: limited('amount').nullable(),
    how: z.enum(measuredBy),
    atMs,
  }),
  z.strictObject({ kind: z.literal('undo'), atMs }),
]);

export type MixEvent = z.infer<typeof mixEventSchema>;
type Done = Extract<MixEvent, { kind: 'done' }>;

/** Where a mixing stands. */
export interface MixProgress {
  /** Steps done, in order; what was undone is gone. */
  done: Done[];
  /** The step at hand; null when all are done. */
  step: MixStep | null;
  stepIndex: number;
  /** Instant since which the step at hand is at hand, ms since the epoch; null before the first is done. */
  sinceMs: number | null;
}

/**
 * Replays a mixing.
 * @param steps its steps
 * @param events what happened, oldest first
 */
export function mixProgress(steps: readonly MixStep[], events: readonly MixEvent[]): MixProgress {
  const done: Done[] = [];
  for (const event of events) {
    if (event.kind === 'undo') done.pop();
    // An event for another step is a second tap on one that was done: it counts for nothing.
    else if (event.stepId === steps[done.length]?.id) done.push(event);
  }
  return { done, step: steps[done.length] ?? null, stepIndex: done.length, sinceMs: done.at(-1)?.atMs ?? null };
}

/**
 * Time left of a standing.
 * @param step the step at hand
 * @param sinceMs since when it is at hand
 * @param nowMs this instant
 * @returns ms, 0 when it is over; null for a step that does not wait
 */
export function standingLeftMs(step: MixStep, sinceMs: number | null, nowMs: number): number | null {
  return step.standMin === null || sinceMs === null ? null : Math.max(0, sinceMs + step.standMin * 60_000 - nowMs);
}

/**
 * The parts with what went in.
 * @param parts as they were laid out
 * @param progress what was done
 * @param lnSdOf spread of an amount that was measured
 */
export function partsAsMixed(
  parts: readonly BrewPart[],
  progress: MixProgress,
  lnSdOf: (part: BrewPart, amount: number, how: BrewPart['how']) => number,
): BrewPart[] {
  return parts.map((part) => {
    const event = progress.done.find(({ stepId }) => stepId === `part:${part.key}`);
    if (event === undefined || event.amount === null) return part;
    return { ...part, actual: event.amount, how: event.how, lnSd: lnSdOf(part, event.amount, event.how) };
  });
}

/** How far an amount lies from what was wanted. */
export type Closeness = 'good' | 'under' | 'over';

/** Compares an amount with the tolerance of its step. */
export function closeness(step: MixStep, amount: number): Closeness {
  if (step.tolerance === null || (amount >= step.tolerance.low - 1e-9 && amount <= step.tolerance.high + 1e-9))
    return 'good';
  return amount < step.tolerance.low ? 'under' : 'over';
}

import type { Plan, Roll, Run, Stock, Verdict } from '../records/records';
import { nitrateRisk } from '../safety/nitrate';
import { runProgress } from '../run/runProgress';

/** The seven stages of a roll, in the order of work. */
export const stages = {
  identify: 'Identify',
  expose: 'Expose',
  choose: 'Choose',
  test: 'Test',
  mix: 'Mix',
  run: 'Run',
  judge: 'Judge',
} as const;

export type StageId = keyof typeof stages;
export const stageIds = Object.keys(stages) as StageId[];

/** `skipped` was passed without being done; `forbidden` stops all work on the roll. */
export type StageState = 'done' | 'skipped' | 'at-hand' | 'waiting' | 'forbidden';

/** Where a roll stands. */
export interface RollStanding {
  states: Record<StageId, StageState>;
  /** The stage at hand; null once everything is done. */
  atHand: StageId | null;
  /** Likely nitrate: it cannot be planned here. */
  forbidden: boolean;
}

/**
 * Where a roll stands, from its records alone.
 * @param roll the roll
 * @param stock its stock
 * @param plan its plan, if one was begun
 * @param run its last run, if any
 * @param verdict the verdict of that run, if any
 * @param tested whether a test of this roll stands in the evidence
 */
export function rollStanding(
  roll: Roll,
  stock: Pick<Stock, 'familyId'>,
  plan: Plan | undefined,
  run: Run | undefined,
  verdict: Verdict | undefined,
  tested = false,
): RollStanding {
  if (rollForbidden(roll, stock)) {
    const states = Object.fromEntries(
      stageIds.map((id) => [id, id === 'identify' ? 'forbidden' : 'waiting']),
    ) as Record<StageId, StageState>;
    return { states, atHand: 'identify', forbidden: true };
  }
  const pinned = plan !== undefined && plan.pinned !== null;
  const started = run !== undefined;
  const finished = started && runProgress(run.steps, run.events).phase === 'finished';
  const past: Record<StageId, 'done' | 'skipped' | null> = {
    identify: roll.hints.length > 0 ? 'done' : pinned ? 'skipped' : null,
    expose: roll.exposure.state !== 'unexposed' ? 'done' : started ? 'skipped' : null,
    choose: pinned ? 'done' : null,
    test: tested ? 'done' : pinned ? 'skipped' : null,
    mix: pinned && plan.brewId !== null ? 'done' : started ? 'skipped' : null,
    run: finished ? 'done' : null,
    judge: verdict !== undefined ? 'done' : null,
  };
  const atHand = stageIds.find((id) => past[id] === null) ?? null;
  const states = Object.fromEntries(
    stageIds.map((id) => [id, past[id] ?? (id === atHand ? 'at-hand' : 'waiting')]),
  ) as Record<StageId, StageState>;
  return { states, atHand, forbidden: false };
}

/**
 * Whether a roll is likely on nitrate base, and so may not be planned.
 * @param roll format, hints and condition of the roll
 * @param stock family of its stock
 */
export function rollForbidden(
  roll: Pick<Roll, 'formatId' | 'hints' | 'condition'>,
  stock: Pick<Stock, 'familyId'>,
): boolean {
  return nitrateRisk({ ...roll, familyId: stock.familyId }) === 'likely';
}

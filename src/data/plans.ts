import type { Plan, Pinned } from '@/core/records/records';
import type { PlanChoices } from '@/core/plan/planForm';
import { database } from './database';
import { putRecord } from './putRecord';
import { guardedWrite, newStamps } from './write';

/** Key of the draft of a roll's plan. */
export function planDraftKey(rollId: string): string {
  return `plan:${rollId}`;
}

/**
 * Pins the plan of a roll: what was chosen, and the time as it stood.
 * @returns the plan's id
 */
export async function pinPlan(rollId: string, choices: PlanChoices, pinned: Pinned): Promise<string> {
  return guardedWrite(async () => {
    const db = database();
    return db.transaction('rw', db.plans, async () => {
      const before = await db.plans.where({ rollId }).first();
      const plan: Plan = { ...(before ?? newStamps()), rollId, ...choices, pinned, updatedMs: Date.now() };
      await putRecord('plans', plan);
      return plan.id;
    });
  });
}

/** Takes the pin out, so that the plan can be chosen again. */
export async function unpinPlan(planId: string): Promise<void> {
  await guardedWrite(() => database().plans.update(planId, { pinned: null, updatedMs: Date.now() }));
}

/** Changes the wet steps of a plan; the pinned time stays. */
export async function changeWetSteps(planId: string, wet: Plan['wet']): Promise<void> {
  await guardedWrite(() => database().plans.update(planId, { wet, updatedMs: Date.now() }));
}

import type { Plan, Pinned } from '@/core/records/records';
import type { PlanChoices } from '@/core/plan/planForm';
import { act, newStamps } from './act';
import { markDraftsDone } from './drafts';

/** Key of the draft of a roll's plan. */
export function planDraftKey(rollId: string): string {
  return `plan:${rollId}`;
}

/**
 * Pins the plan of a roll: what was chosen, and the time as it stood.
 * @returns the plan's id
 */
export function pinPlan(rollId: string, choices: PlanChoices, pinned: Pinned): Promise<string> {
  return act(`plan:${rollId}`, async (writer) => {
    const before = await writer.db.plans.where({ rollId }).first();
    const plan: Plan = { ...(before ?? newStamps()), rollId, ...choices, pinned, updatedMs: Date.now() };
    await writer.put('plans', plan);
    return plan.id;
  });
}

/** Takes the pin out, so that the plan can be chosen again. */
export function unpinPlan(planId: string): Promise<void> {
  return act(`plan:${planId}`, (writer) => writer.change('plans', planId, { pinned: null, updatedMs: Date.now() }));
}

/** Changes the wet steps of a plan; the pinned time stays. */
export function changeWetSteps(planId: string, wet: Plan['wet']): Promise<void> {
  return act(`plan:${planId}`, (writer) => writer.change('plans', planId, { wet, updatedMs: Date.now() }));
}

/** Takes a roll's plan apart: what was typed and what was pinned. For a plan whose page cannot be shown any more. */
export function takePlanApart(rollId: string): Promise<void> {
  return act(
    `plan:${rollId}`,
    async (writer) => {
      const plan = await writer.db.plans.where({ rollId }).first();
      const used = plan !== undefined && (await writer.db.runs.where({ planId: plan.id }).count()) > 0;
      if (plan !== undefined && used) await writer.change('plans', plan.id, { pinned: null, brewId: null });
      else if (plan !== undefined) await writer.remove('plans', plan.id);
      await markDraftsDone(writer.db, planDraftKey(rollId));
    },
    { undo: 'taking the plan apart' },
  );
}

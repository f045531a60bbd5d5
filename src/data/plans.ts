import type { Plan, Pinned } from '@/core/records/records';
import { initialPlanForm, planFormOf, type PlanChoices } from '@/core/plan/planForm';
import type { PlanChange } from '@/core/diagnosis/causes';
import { currentPlanForm } from '@/core/plan/planInHand';
import { takeAdvice } from '@/core/plan/takeAdvice';
import { planOfRoll } from './planOfRoll';
import { act, newStamps } from './act';
import { database } from './database';
import { keepDraft, markDraftsDone, readDraft, setDraftAside } from './drafts';

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
    const before = await planOfRoll(writer.db, rollId);
    const plan: Plan = { ...(before ?? newStamps()), rollId, ...choices, pinned, updatedMs: Date.now() };
    await writer.put('plans', plan);
    return plan.id;
  });
}

/** Takes the pin out, so that the plan can be chosen again. */
export function unpinPlan(planId: string): Promise<void> {
  return act(`plan:${planId}`, (writer) => writer.change('plans', planId, { pinned: null, updatedMs: Date.now() }));
}

/** Changes the baths of a plan; the pinned time stays. */
export function changeBaths(planId: string, process: Pick<Plan, 'baths' | 'pourIn'>): Promise<void> {
  return act(`plan:${planId}`, (writer) => writer.change('plans', planId, { ...process, updatedMs: Date.now() }));
}

/** Takes a roll's plan apart: what was typed and what was pinned. For a plan whose page cannot be shown any more. */
export function takePlanApart(rollId: string): Promise<void> {
  return act(
    `plan:${rollId}`,
    async (writer) => {
      const plan = await planOfRoll(writer.db, rollId);
      const runs = await writer.db.runs.where({ rollId }).toArray();
      const used = runs.some(({ planId }) => planId === plan?.id);
      if (plan !== undefined && used) await writer.change('plans', plan.id, { pinned: null, brewId: null });
      else if (plan !== undefined) await writer.remove('plans', plan.id);
      await markDraftsDone(writer.db, planDraftKey(rollId));
    },
    { undo: 'taking the plan apart' },
  );
}

/**
 * Puts somebody's way of developing into the plan of a roll, as if it had been typed there. What was typed there before is set aside; a
 * time that was taken already stays until another is.
 * @returns whether there was such a roll
 */
export async function takePlanInto(rollId: string, choices: PlanChoices): Promise<boolean> {
  const db = database();
  const roll = await db.rolls.get(rollId);
  const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
  if (roll === undefined || stock === undefined) return false;
  const initial = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
  // A tank that does not cover this film is none for it.
  const volumeMl = Math.max(choices.volumeMl, Number(initial.volumeMl));
  const before = await readDraft(planDraftKey(rollId));
  const why = `Somebody’s plan took the place of what was typed for “${roll.label}”.`;
  if (before !== undefined) await setDraftAside(planDraftKey(rollId), before, why);
  await keepDraft(planDraftKey(rollId), planFormOf({ ...choices, volumeMl }, initial));
  return true;
}

/**
 * Takes a piece of advice into the plan of a roll, as if it had been typed there.
 * @returns whether there was such a roll
 */
export async function takeAdviceInto(rollId: string, change: PlanChange): Promise<boolean> {
  const db = database();
  const roll = await db.rolls.get(rollId);
  const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
  if (roll === undefined || stock === undefined) return false;
  const [plan, draft] = await Promise.all([planOfRoll(db, rollId), readDraft(planDraftKey(rollId))]);
  const form = currentPlanForm(roll, stock, plan, draft, Date.now());
  const part = takeAdvice(form, change, await db.brews.toArray());
  await keepDraft(planDraftKey(rollId), { ...form, ...part }, part);
  return true;
}

import type { Brew, Pinned, Plan, Roll, Stock } from '../formats/records';
import type { EstimateRequest } from '../estimate/request';
import { estimateRequestFor } from './estimateRequestFor';
import { initialPlanForm, planFormOf, planFormSchema, readPlanForm, type PlanForm } from './planForm';

/** What there is to say about a roll's time: pinned, still to be estimated, or nothing. */
export type TimeInHand = { kind: 'pinned'; pinned: Pinned } | { kind: 'request'; request: EstimateRequest } | null;

/**
 * The plan's form as it stands: as last typed, else as last decided, else as it first opens.
 * @param roll the roll
 * @param stock its stock
 * @param plan its plan, if any
 * @param draft the form as last typed, if any; one that does not read as a form is passed over
 */
export function planFormInHand(roll: Roll, stock: Stock, plan: Plan | undefined, draft: unknown): PlanForm {
  const initial = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId });
  const decided = plan === undefined ? initial : planFormOf(plan, initial);
  const kept = planFormSchema.partial().safeParse(draft);
  return kept.success ? { ...decided, ...kept.data } : decided;
}

/**
 * What there is to say about a roll's time on the bench.
 * @param dossier the roll and what hangs on it
 * @param jugs brews on the bench
 * @param nowMs this instant, ms since the epoch
 */
export function timeInHand(
  dossier: { roll: Roll; stock: Stock; plan: Plan | undefined; planDraft: unknown },
  jugs: readonly Brew[],
  nowMs: number,
): TimeInHand {
  const { roll, stock, plan, planDraft } = dossier;
  if (plan?.pinned) return { kind: 'pinned', pinned: plan.pinned };
  const choices = readPlanForm(planFormInHand(roll, stock, plan, planDraft), roll, jugs);
  if (!choices.ok) return null;
  const brew = jugs.find((jug) => jug.id === choices.value.brewId) ?? null;
  return { kind: 'request', request: estimateRequestFor(roll, stock, choices.value, brew, nowMs) };
}

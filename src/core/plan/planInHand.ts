import type { Plan, Roll, Stock } from '../records/records';
import { initialPlanForm, planFormOf, planFormSchema, type PlanForm } from './planForm';

/**
 * The plan's form as it stands: as last typed, else as last decided, else as it first opens.
 * @param roll the roll
 * @param stock its stock
 * @param plan its plan, if any
 * @param draft the form as last typed, if any; one that does not read as a form is passed over
 */
export function planFormInHand(roll: Roll, stock: Stock, plan: Plan | undefined, draft: unknown): PlanForm {
  const initial = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
  const decided = plan === undefined ? initial : planFormOf(plan, initial);
  const kept = planFormSchema.partial().safeParse(draft);
  return kept.success ? { ...decided, ...kept.data } : decided;
}

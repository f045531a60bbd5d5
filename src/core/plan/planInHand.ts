import { recommendedStrategy } from '../estimate/strategies';
import type { Plan, Roll, Stock } from '../records/records';
import { estimateRequestFor } from './estimateRequestFor';
import { initialPlanForm, planFormOf, planFormSchema, readPlanForm, type PlanForm } from './planForm';
import { withStrategy } from './withStrategy';

/**
 * The plan's form as it stands: as last typed, else as last decided, else as it first opens.
 * @param roll the roll
 * @param stock its stock
 * @param plan its plan, if any
 * @param draft the form as last typed, if any; one that does not read as a form is passed over
 * @param nowMs this instant, ms since the epoch; where it is given, a form that nobody has touched opens with the strategy that
 * is recommended, else with Hold
 */
export function currentPlanForm(
  roll: Roll,
  stock: Stock,
  plan: Plan | undefined,
  draft: unknown,
  nowMs?: number,
): PlanForm {
  const initial = initialPlanForm({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition });
  const kept = planFormSchema.partial().safeParse(draft).data;
  if (plan !== undefined) return { ...planFormOf(plan, initial), ...kept };
  const chosen = kept?.strategyId !== undefined || nowMs === undefined;
  return { ...(chosen ? initial : asRecommended(initial, roll, stock, nowMs)), ...kept };
}

function asRecommended(initial: PlanForm, roll: Roll, stock: Stock, nowMs: number): PlanForm {
  const choices = readPlanForm(initial, roll, []);
  if (!choices.ok) return initial;
  try {
    const request = estimateRequestFor(roll, stock, choices.value, null, nowMs);
    return withStrategy(initial, recommendedStrategy(request), []);
  } catch {
    // Records that make no request are told on the roll’s own page.
    return initial;
  }
}

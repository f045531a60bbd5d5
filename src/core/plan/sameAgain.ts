import { filmFormats } from '../films/filmFormats';
import { jugState } from '../brewing/keeping';
import type { Brew, Habit, Plan, Roll, Stock } from '../records/records';
import { bathFormsOf } from '../schedule/bathForm';
import { initialPlanForm, planFormOf, type PlanForm } from './planForm';

/**
 * The plan of a new roll as its stock was done last: developer, movement, baths, temperature and the user's own time. A jug of then
 * that is used again and still stands is taken with the films through it; what was switched off then may count now.
 * @param last the last pinned plan of the stock, with the roll that it was for
 * @param roll the new roll
 * @param stock their stock
 * @param jugs brews on the bench
 * @param nowMs this instant, ms since the epoch
 * @returns the whole form, with what it was taken from
 */
export function formLike(
  last: { plan: Plan; roll: Pick<Roll, 'label'> },
  roll: Pick<Roll, 'formatId' | 'condition'>,
  stock: Pick<Stock, 'familyId'>,
  jugs: readonly Brew[],
  nowMs: number,
): PlanForm {
  const initial = initialPlanForm({ familyId: stock.familyId, ...roll });
  const jug = jugs.find(({ id }) => id === last.plan.brewId);
  const state = jug === undefined ? null : jugState(jug, nowMs);
  const usable = state !== null && !state.spent && !(state.oneShot && (jug?.films ?? 0) > 0);
  const form = planFormOf({ ...last.plan, brewId: usable ? last.plan.brewId : null }, initial);
  const coverMl = filmFormats[roll.formatId].coverVolumeMl;
  return {
    ...form,
    volumeMl: typeof form.volumeMl === 'number' && form.volumeMl >= coverMl ? form.volumeMl : initial.volumeMl,
    muted: [],
    sameAs: { label: last.roll.label, atMs: last.plan.pinned?.atMs ?? last.plan.updatedMs },
  };
}

/** The baths that somebody usually takes, as fields of a form. */
export function usualBaths(habits: readonly Habit[]): Pick<PlanForm, 'baths' | 'pourClock' | 'pourS'> | null {
  const usual = habits.find((habit) => habit.kind === 'baths' && habit.usual);
  if (usual?.kind !== 'baths') return null;
  return { baths: bathFormsOf(usual.baths), pourClock: usual.pourIn.clock, pourS: usual.pourIn.seconds };
}

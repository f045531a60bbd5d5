import type { Plan } from '../records/records';

/**
 * The plan of a roll: a merged bench may hold two, and the one changed last counts, everywhere.
 * @param plans the plans of one roll, in any order
 * @returns undefined for a roll without a plan
 */
export function planOf<P extends Pick<Plan, 'id' | 'updatedMs'>>(plans: readonly P[]): P | undefined {
  return plans.reduce<P | undefined>(
    (last, plan) => (last === undefined || isLater(plan, last) ? plan : last),
    undefined,
  );
}

function isLater(a: Pick<Plan, 'id' | 'updatedMs'>, b: Pick<Plan, 'id' | 'updatedMs'>): boolean {
  return a.updatedMs !== b.updatedMs ? a.updatedMs > b.updatedMs : a.id > b.id;
}

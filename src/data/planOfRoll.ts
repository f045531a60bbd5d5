import type { Plan } from '@/core/records/records';
import { planOf } from '@/core/plan/planOf';
import type { AetasDatabase } from './database';

/** The plan of a roll; undefined while it has none. */
export async function planOfRoll(db: Pick<AetasDatabase, 'plans'>, rollId: string): Promise<Plan | undefined> {
  return planOf(await db.plans.where({ rollId }).toArray());
}

import type { Brew, Plan } from '@/core/formats/records';
import { developerName } from '@/core/plan/mixSheet';
import { database } from './database';
import { keepSafe } from './safekeeping';
import { putRecord } from './putRecord';
import { guardedWrite, newStamps } from './write';

/**
 * Records that the brew of a plan was mixed now, and ties it to the plan.
 * @returns the brew's id
 */
export async function mixBrewOf(plan: Plan): Promise<string> {
  return guardedWrite(async () => {
    const db = database();
    const stamps = newStamps();
    const brew: Brew = {
      ...stamps,
      name: developerName(plan.developer),
      developer: plan.developer,
      bromideGPerL: plan.bromideGPerL,
      volumeMl: plan.volumeMl,
      mixedMs: stamps.createdMs,
      films: 0,
    };
    await db.transaction('rw', db.brews, db.plans, async () => {
      await putRecord('brews', brew);
      await db.plans.update(plan.id, { brewId: brew.id, updatedMs: stamps.createdMs });
    });
    return brew.id;
  });
}

/** Pours a brew away: it leaves the bench. Plans and runs that used it keep their own copy of what it was. */
export async function pourAway(brew: Brew): Promise<void> {
  await guardedWrite(async () => {
    await keepSafe(`pouring away “${brew.name}”`);
    const db = database();
    await db.transaction('rw', db.brews, db.plans, db.runs, async () => {
      await db.plans.filter((plan) => plan.brewId === brew.id).modify({ brewId: null });
      await db.runs.filter((run) => run.brewId === brew.id).modify({ brewId: null });
      await db.brews.delete(brew.id);
    });
  });
}

import type { Batch } from '@/core/brewing/batch';
import { brewCode, finishMix } from '@/core/brewing/finishMix';
import { mixProgress, type MixEvent } from '@/core/brewing/mixRun';
import { mixSteps } from '@/core/brewing/mixSteps';
import type { Brew, Mix, Plan } from '@/core/records/records';
import { developerName } from '@/core/plan/developerName';
import { database } from './database';
import { planDraftKey } from './plans';
import { keepSafe } from './safekeeping';
import { putRecord } from './putRecord';
import { guardedWrite, newStamps } from './write';

/**
 * Records that the brew of a plan was mixed now, as planned and without weighing here, and ties it to the plan.
 * @returns the brew's id
 */
export async function mixBrewOf(plan: Plan): Promise<string> {
  return guardedWrite(async () => {
    const db = database();
    const stamps = newStamps();
    const brew: Brew = {
      ...stamps,
      name: developerName(plan.developer),
      code: brewCode(stamps.id),
      use: 'film-developer',
      developer: plan.developer,
      bromideGPerL: plan.bromideGPerL,
      volumeMl: plan.volumeMl,
      mixedMs: stamps.createdMs,
      parts: [],
      temperatureC: null,
      ph: null,
      mixingLnSd: null,
      films: 0,
    };
    await db.transaction('rw', db.brews, db.plans, async () => {
      await putRecord('brews', brew);
      await db.plans.update(plan.id, { brewId: brew.id, updatedMs: stamps.createdMs });
    });
    return brew.id;
  });
}

/** How the drafts of a mixing's typed amounts begin. */
export function mixDraftPrefix(mixId: string): string {
  return `mix:${mixId}:`;
}

/**
 * Begins to mix a batch.
 * @param batch as it was laid out
 * @param rollId the roll that it is for; null for none
 * @returns the mixing's id
 */
export async function startMix(batch: Batch, rollId: string | null): Promise<string> {
  return guardedWrite(async () => {
    const mix: Mix = { ...newStamps(), rollId, batch, events: [], brewId: null };
    await putRecord('mixes', mix);
    return mix.id;
  });
}

/**
 * Adds an event to a mixing, unless another tab or a second tap was faster.
 * @param mixId the mixing
 * @param seen number of events that this tab saw when the user acted
 * @param event what happened
 * @returns whether the event was taken
 */
export async function recordMixEvent(mixId: string, seen: number, event: MixEvent): Promise<boolean> {
  return guardedWrite(async () => {
    const db = database();
    return db.transaction('rw', db.mixes, async () => {
      const mix = await db.mixes.get(mixId);
      if (mix === undefined || mix.events.length !== seen || mix.brewId !== null) return false;
      await putRecord('mixes', { ...mix, events: [...mix.events, event], updatedMs: event.atMs });
      return true;
    });
  });
}

/**
 * Makes the brew of a mixing that is done, from what really went in, and ties it to the plan of its roll.
 * @param mixId the mixing
 * @returns the brew's id; the same one when it was made before
 */
export async function bottleMix(mixId: string): Promise<string> {
  return guardedWrite(async () => {
    const db = database();
    return db.transaction('rw', db.mixes, db.brews, db.plans, db.drafts, async () => {
      const mix = await db.mixes.get(mixId);
      if (mix === undefined) throw new Error('There is no such mixing.');
      if (mix.brewId !== null) return mix.brewId;
      const stamps = newStamps();
      const progress = mixProgress(mixSteps(mix.batch), mix.events);
      const made = finishMix(mix.batch, progress);
      const brew: Brew = {
        ...stamps,
        ...made,
        code: brewCode(stamps.id),
        mixedMs: progress.sinceMs ?? stamps.createdMs,
        films: 0,
      };
      await putRecord('brews', brew);
      await putRecord('mixes', { ...mix, brewId: brew.id, updatedMs: stamps.createdMs });
      await db.drafts.where('id').startsWith(mixDraftPrefix(mixId)).delete();
      if (mix.rollId !== null && brew.developer !== null) await giveToRoll(brew, mix.rollId);
      return brew.id;
    });
  });
}

/** Ties a brew to the plan of a roll, and turns the plan's form as typed to the jug, with everything else in it left alone. */
async function giveToRoll(brew: Brew, rollId: string): Promise<void> {
  const db = database();
  const plan = await db.plans.where({ rollId }).first();
  if (plan !== undefined) await putRecord('plans', { ...plan, brewId: brew.id, updatedMs: brew.createdMs });
  const draft = await db.drafts.get(planDraftKey(rollId));
  if (draft !== undefined)
    await db.drafts.put({ ...draft, values: { ...(draft.values as object), developerKind: 'jug', brewId: brew.id } });
}

/** Gives up a mixing; it can be undone. */
export async function dropMix(mix: Mix): Promise<void> {
  await guardedWrite(async () => {
    await keepSafe(`giving up the mixing of “${mix.batch.recipeName}”`);
    await database().mixes.delete(mix.id);
    await database().drafts.where('id').startsWith(mixDraftPrefix(mix.id)).delete();
  });
}

/** Counts films through a brew by hand: 1 more, or 1 less. */
export async function countFilms(brewId: string, change: number): Promise<void> {
  await guardedWrite(async () => {
    const db = database();
    await db.transaction('rw', db.brews, async () => {
      const brew = await db.brews.get(brewId);
      if (brew !== undefined)
        await putRecord('brews', { ...brew, films: Math.max(0, brew.films + change), updatedMs: Date.now() });
    });
  });
}

/** Pours a brew away: it leaves the bench. Plans and runs that used it keep their own copy of what it was. */
export async function pourAway(brew: Brew): Promise<void> {
  await guardedWrite(async () => {
    await keepSafe(`pouring away “${brew.name}”`);
    const db = database();
    await db.transaction('rw', db.brews, db.plans, db.runs, db.mixes, async () => {
      await db.plans.filter((plan) => plan.brewId === brew.id).modify({ brewId: null });
      await db.runs.filter((run) => run.brewId === brew.id).modify({ brewId: null });
      await db.mixes.where({ brewId: brew.id }).delete();
      await db.brews.delete(brew.id);
    });
  });
}

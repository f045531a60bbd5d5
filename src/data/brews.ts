import { bottleFor, fromBottle, partOfBottle } from '@/core/brewing/bottle';
import type { LeafletTime } from '@/core/brewing/leaflet';
import { amountOf } from '@/core/brewing/part';
import type { DeveloperFamilyId } from '@/core/chemistry/developerFamilies';
import type { Batch } from '@/core/brewing/batch';
import { changedJug, joined, takenFrom, type JugChange, type OneJugChange } from '@/core/brewing/changeJug';
import { success, type Result } from '@/core/schema/result';
import type { StandingBottle } from '@/core/brewing/standing';
import { brewCode, finishMix } from '@/core/brewing/finishMix';
import { mixProgress, type MixEvent } from '@/core/brewing/mixRun';
import { mixSteps } from '@/core/brewing/mixSteps';
import type { Brew, Mix, Plan } from '@/core/records/records';
import { developerName } from '@/core/plan/developerName';
import { planOfRoll } from './planOfRoll';
import { act, newStamps, type Writer } from './act';
import { dropDraft, markDraftsDone } from './drafts';
import { planDraftKey } from './plans';
import { Refusal } from './trouble';
import { pourIntoWaste } from './waste';

/**
 * Records that the brew of a plan was mixed now, as planned and without weighing here, and ties it to the plan.
 * @returns the brew's id
 */
export function mixBrewOf(plan: Plan): Promise<string> {
  return act(`mix:${plan.id}`, async (writer) => {
    const stamps = newStamps();
    const brew: Brew = {
      ...stamps,
      name: developerName(plan.developer).slice(0, 120),
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
    const { developer, volumeMl } = plan;
    const parent =
      developer.kind === 'concentrate'
        ? await takeFromShelf(writer, developer.familyId, fromBottle(volumeMl, developer.parts).takeMl)
        : {};
    await writer.put('brews', { ...brew, ...parent });
    await writer.change('plans', plan.id, { brewId: brew.id, updatedMs: stamps.createdMs });
    return brew.id;
  });
}

/** Takes a concentrate out of its bottle, where one with enough in it stands on the shelf. */
async function takeFromShelf(writer: Writer, familyId: DeveloperFamilyId, ml: number): Promise<Pick<Brew, 'from'>> {
  const bottle = bottleFor(await writer.db.brews.toArray(), familyId, ml);
  if (bottle === null) return {};
  const atMs = Date.now();
  await writer.put('brews', {
    ...bottle,
    volumeMl: Math.max(1, bottle.volumeMl - ml),
    changes: [...(bottle.changes ?? []), { kind: 'gone', atMs, ml }],
    updatedMs: atMs,
  });
  return { from: { id: bottle.id, name: bottle.name, code: bottle.code } };
}

/** How the drafts of a mixing's typed amounts begin. */
export function mixDraftPrefix(mixId: string): string {
  return `mix:${mixId}:`;
}

/**
 * Begins to mix a batch. For a roll that was taken off meanwhile, it is mixed for none.
 * @param batch as it was laid out
 * @param rollId the roll that it is for; null for none
 * @returns the mixing's id
 */
export function startMix(batch: Batch, rollId: string | null): Promise<string> {
  return act('mix', async (writer) => {
    const mix: Mix = { ...newStamps(), rollId, batch, events: [], brewId: null };
    await writer.put('mixes', mix);
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
export function recordMixEvent(mixId: string, seen: number, event: MixEvent): Promise<boolean> {
  return act(`mix:${mixId}`, async (writer) => {
    const mix = await writer.db.mixes.get(mixId);
    if (mix === undefined || mix.events.length !== seen || mix.brewId !== null) return false;
    await writer.put('mixes', { ...mix, events: [...mix.events, event], updatedMs: event.atMs });
    return true;
  });
}

/**
 * Makes the brew of a mixing that is done, from what really went in, and ties it to the plan of its roll.
 * @param mixId the mixing
 * @returns the brew's id; the same one when it was made before
 */
export function bottleMix(mixId: string): Promise<string> {
  return act(`mix:${mixId}`, async (writer) => {
    const mix = await writer.db.mixes.get(mixId);
    if (mix === undefined) throw new Refusal('This mix was discarded meanwhile.');
    if (mix.brewId !== null) return mix.brewId;
    const stamps = newStamps();
    const progress = mixProgress(mixSteps(mix.batch), mix.events);
    const made = finishMix(mix.batch, progress);
    const mixedMs = progress.sinceMs ?? stamps.createdMs;
    const concentrate = made.parts.find(({ makeup }) => makeup.kind === 'concentrate');
    const familyId = concentrate?.makeup.kind === 'concentrate' ? concentrate.makeup.familyId : null;
    const parent =
      concentrate === undefined || familyId === null
        ? {}
        : await takeFromShelf(writer, familyId, amountOf(concentrate));
    const brew: Brew = { ...stamps, ...made, ...parent, code: brewCode(stamps.id), mixedMs, films: 0 };
    await writer.put('brews', brew);
    await writer.put('mixes', { ...mix, brewId: brew.id, updatedMs: stamps.createdMs });
    await markDraftsDone(writer.db, mixDraftPrefix(mixId));
    // A brew without an estimate goes to the tank only when somebody chooses it, with a time of their own.
    if (mix.rollId !== null && brew.developer !== null) await giveToRoll(writer, brew, mix.rollId);
    return brew.id;
  });
}

/** Ties a brew to the plan of a roll, and turns the plan's form as typed to the jug, with everything else in it left alone. */
async function giveToRoll(writer: Writer, brew: Brew, rollId: string): Promise<void> {
  const { db } = writer;
  const plan = await planOfRoll(db, rollId);
  if (plan !== undefined) await writer.put('plans', { ...plan, brewId: brew.id, updatedMs: brew.createdMs });
  const draft = await db.drafts.get(planDraftKey(rollId));
  // A plan that reads the jug needs no draft; a roll that nobody has planned yet begins one with it.
  if (draft === undefined && plan !== undefined) return;
  const before = typeof draft?.values === 'object' ? (draft.values as object) : {};
  const values = { ...before, developerKind: 'jug', brewId: brew.id };
  const updatedMs = Math.max((draft?.updatedMs ?? 0) + 1, Date.now());
  await db.drafts.put({ id: planDraftKey(rollId), ...draft, values, updatedMs });
}

/** Discards a mixing; it can be undone. */
export function dropMix(mix: Mix): Promise<void> {
  return act(
    `mix:${mix.id}`,
    async (writer) => {
      await writer.remove('mixes', mix.id);
      await markDraftsDone(writer.db, mixDraftPrefix(mix.id));
    },
    { undo: `discarding the mix of “${mix.batch.recipeName}”` },
  );
}

/** Counts films through a brew by hand: 1 more, or 1 less. */
export function countFilms(brewId: string, change: number): Promise<void> {
  return act(`brew:${brewId}`, async (writer) => {
    const brew = await writer.db.brews.get(brewId);
    if (brew === undefined) return;
    await writer.put('brews', { ...brew, films: Math.max(0, brew.films + change), updatedMs: Date.now() });
  });
}

/**
 * Changes what stands in a jug, and writes down what was done.
 * @returns the jug as it stands then, or why that cannot be; then nothing has changed
 */
export function changeJug(brewId: string, change: OneJugChange): Promise<Result<Brew>> {
  return act(`brew:${brewId}`, async (writer): Promise<Result<Brew>> => {
    const brew = await writer.db.brews.get(brewId);
    if (brew === undefined) throw new Refusal('This jug was poured away meanwhile.');
    const changed = changedJug(brew, change);
    if (changed.ok)
      await writer.put('brews', {
        ...changed.value,
        changes: [...(brew.changes ?? []), change],
        updatedMs: change.atMs,
      });
    return changed;
  });
}

/**
 * Puts a bottle on the bench that stood there already, with its past.
 * @returns its id
 */
export function standBottle(bottle: StandingBottle): Promise<string> {
  return act('brew:standing', async (writer) => {
    const stamps = newStamps();
    await writer.put('brews', {
      ...stamps,
      ...bottle,
      code: brewCode(stamps.id),
      bromideGPerL: 0,
      parts: [],
      temperatureC: null,
      ph: null,
      mixingLnSd: null,
    });
    await dropDraft(STANDING_DRAFT);
    return stamps.id;
  });
}

/** Key of what is typed of a bottle that stands there already. */
export const STANDING_DRAFT = 'standing';

/**
 * Makes a working solution from a part of a jug.
 * @param takeMl what is taken, ml
 * @param waterMl water that thins it, ml
 * @returns the new jug's id, or why it cannot be made; then nothing has changed
 */
export function makeWorking(brewId: string, takeMl: number, waterMl: number): Promise<Result<string>> {
  return act(`brew:${brewId}`, async (writer): Promise<Result<string>> => {
    const brew = await writer.db.brews.get(brewId);
    if (brew === undefined) throw new Refusal('This jug was poured away meanwhile.');
    const made = takenFrom(brew, takeMl, waterMl);
    if (!made.ok) return made;
    const stamps = newStamps();
    const gone: JugChange = { kind: 'gone', atMs: stamps.createdMs, ml: takeMl };
    await writer.put('brews', {
      ...made.value.left,
      changes: [...(brew.changes ?? []), gone],
      updatedMs: stamps.createdMs,
    });
    const taken: Brew = {
      ...made.value.taken,
      ...stamps,
      code: brewCode(stamps.id),
      mixedMs: waterMl > 0 ? stamps.createdMs : brew.mixedMs,
      from: { id: brew.id, name: brew.name, code: brew.code },
    };
    // What was done to the stock, and what it takes, are its own.
    delete taken.changes;
    delete taken.clearings;
    delete taken.takesFilms;
    delete taken.bottle;
    delete taken.price;
    if (brew.bottle?.stage === 'concentrate' && brew.parts.length === 0) taken.parts = [partOfBottle(brew, takeMl)];
    await writer.put('brews', taken);
    return success(stamps.id);
  });
}

/**
 * Pours one jug into another: the first keeps its name, and is as old as the older of the two.
 * @returns the jug with both, or why they stay apart; then nothing has changed
 */
export function joinJugs(intoId: string, fromId: string): Promise<Result<Brew>> {
  return act(
    `brew:${intoId}`,
    async (writer): Promise<Result<Brew>> => {
      const [into, from] = await writer.db.brews.bulkGet([intoId, fromId]);
      if (into === undefined || from === undefined) throw new Refusal('One of these jugs was poured away meanwhile.');
      const together = joined(into, from);
      if (!together.ok) return together;
      const updatedMs = Date.now();
      const kept: Brew = {
        ...together.value,
        mixedMs: Math.min(into.mixedMs, from.mixedMs),
        changes: [...(into.changes ?? []), { kind: 'joined', atMs: updatedMs, ml: from.volumeMl, name: from.name }],
        updatedMs,
      };
      await writer.remove('brews', intoId);
      await writer.bring('brews', kept);
      await takeOffBench(writer, fromId);
      return success(kept);
    },
    { undo: 'pouring two jugs together' },
  );
}

/** Mixes the powder of a bottle, which is its stock from now on. */
export function mixPowder(brewId: string): Promise<void> {
  return act(`brew:${brewId}`, async (writer) => {
    const brew = await writer.db.brews.get(brewId);
    if (brew?.bottle === undefined) throw new Refusal('This bottle was taken away meanwhile.');
    const mixedMs = Date.now();
    await writer.put('brews', {
      ...brew,
      bottle: { ...brew.bottle, stage: 'stock', opened: true },
      mixedMs,
      updatedMs: mixedMs,
    });
  });
}

/** Keeps what a bottle cost; null takes it back. */
export function tellPrice(brewId: string, amount: number | null): Promise<void> {
  return act(`brew:${brewId}`, async (writer) => {
    const brew = await writer.db.brews.get(brewId);
    if (brew === undefined) throw new Refusal('This bottle was taken away meanwhile.');
    const next: Brew = { ...brew, updatedMs: Date.now() };
    if (amount === null) delete next.price;
    else next.price = { amount, forMl: brew.price?.forMl ?? brew.bottle?.holdsMl ?? brew.volumeMl };
    await writer.put('brews', next);
  });
}

/** Opens a sealed bottle: from now on it keeps as an open one. */
export function openBottle(brewId: string): Promise<void> {
  return act(`brew:${brewId}`, async (writer) => {
    const brew = await writer.db.brews.get(brewId);
    if (brew?.bottle === undefined) throw new Refusal('This bottle was taken away meanwhile.');
    const mixedMs = Date.now();
    await writer.put('brews', { ...brew, bottle: { ...brew.bottle, opened: true }, mixedMs, updatedMs: mixedMs });
  });
}

/** Keeps the times of a bottle's leaflet. */
export function keepLeafletTimes(brewId: string, times: LeafletTime[]): Promise<void> {
  return act(`brew:${brewId}`, async (writer) => {
    const brew = await writer.db.brews.get(brewId);
    if (brew?.bottle === undefined) throw new Refusal('This bottle was taken away meanwhile.');
    await writer.put('brews', { ...brew, bottle: { ...brew.bottle, times }, updatedMs: Date.now() });
  });
}

/** Keeps clearing times that scraps took in some fixers. */
export function keepScraps(readings: readonly { brewId: string; seconds: number }[]): Promise<void> {
  return act('brew:scraps', async (writer) => {
    const atMs = Date.now();
    for (const { brewId, seconds } of readings) {
      const brew = await writer.db.brews.get(brewId);
      if (brew === undefined) throw new Refusal('One of these jugs was poured away meanwhile.');
      const clearings = [...(brew.clearings ?? []), { seconds, atMs, films: brew.films }].slice(-MOST_CLEARINGS);
      await writer.put('brews', { ...brew, clearings, updatedMs: atMs });
    }
  });
}

/** Clearing tests that a jug keeps. */
export const MOST_CLEARINGS = 500;

/** What its owner may say of a jug that was mixed earlier: when, how many films went through it, and how many it takes. */
export type JugFacts = Partial<Pick<Brew, 'mixedMs' | 'films' | 'takesFilms'>>;

/** Changes what is told of a jug. */
export function tellJug(brewId: string, facts: JugFacts): Promise<void> {
  return act(`brew:${brewId}`, async (writer) => {
    const brew = await writer.db.brews.get(brewId);
    if (brew !== undefined) await writer.put('brews', { ...brew, ...facts, updatedMs: Date.now() });
  });
}

/** Calls a jug spent, or takes that back: it stays on the bench to be handed in, and is offered no more. */
export function callSpent(brewId: string, spent: boolean): Promise<void> {
  return act(`brew:${brewId}`, async (writer) => {
    const brew = await writer.db.brews.get(brewId);
    if (brew !== undefined) await markSpent(writer, brew, spent);
  });
}

/** Marks a jug as spent, or as in use. */
export async function markSpent(writer: Writer, brew: Brew, spent: boolean): Promise<void> {
  const next: Brew = { ...brew, updatedMs: Date.now() };
  if (spent) next.spentMs = next.updatedMs;
  else delete next.spentMs;
  await writer.put('brews', next);
}

/** Takes a brew off the bench. Plans and runs that used it keep their own copy of what it was. */
export async function takeOffBench(writer: Writer, brewId: string): Promise<void> {
  await writer.unlink('plans', 'brewId', brewId);
  await writer.unlink('runs', 'brewId', brewId);
  await writer.removeAll('mixes', 'brewId', brewId);
  await writer.remove('brews', brewId);
}

/** Pours a brew away, into the waste bottle of its kind where it has one; it can be undone. */
export function pourAway(brew: Brew): Promise<void> {
  return act(
    `brew:${brew.id}`,
    async (writer) => {
      await takeOffBench(writer, brew.id);
      await pourIntoWaste(writer, brew);
    },
    { undo: `pouring away “${brew.name}”` },
  );
}

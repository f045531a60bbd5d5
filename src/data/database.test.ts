import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeEach, describe, expect, test } from 'vitest';
import { rollOfVersion1 } from '@/core/testing/rollOfVersion1';
import { plainFile, readWhole } from '@/core/testing/wholeFile';
import { failure, success } from '@/core/schema/result';
import { planSchema, rollSchema, type Plan } from '@/core/records/records';
import { settingRecordFor } from '@/core/plan/settingRecordFor';
import { latestVersion, migrations } from '@/core/formats/migrations';
import { evidence as evidenceStep } from '@/core/formats/migrations/evidence';
import { runProgress } from '@/core/run/runProgress';
import { guardedFile, importBench, mergeBench, openBenchSource, wipeRecords } from './benchFiles';
import { bottleMix, countFilms, dropMix, mixBrewOf, pourAway, recordMixEvent, startMix } from './brews';
import { formulary } from '@/core/brewing/formulary';
import { mixSteps } from '@/core/brewing/mixSteps';
import { sheetFor } from '@/core/testing/sampleBrew';
import { planDraftKey } from './plans';
import { addRecipes, keepRecipe, removeRecipe } from './recipes';
import { countLines, linesWith } from './shards';
import { AetasDatabase, database, type Kept } from './database';
import { onUpgradeProgress } from './upgrade';
import { asStored, rebuildLines } from './lines';
import { pack } from './packing';
import { demoRecords } from './demo/demoRecords';
import { seedDemo } from './demo/seedDemo';
import { dropDraft, keepDraft, readDraft } from './drafts';
import { dropEvidence, evidenceDraftKey, keepEvidence, restoreEvidence } from './evidence';
import { dropPhoto, keepPhoto, restorePhoto } from './photos';
import { noOwnPriors } from '@/core/plan/rollForm';
import { stayAt } from '@/core/films/storageStay';
import { addRoll, changeDossier, changeRoll, removeRoll, rollFormOf } from './rolls';
import { RecordCheck } from '@/core/formats/checkRecords';
import { tableNames } from '@/core/records/tables';
import type { RunEvent } from '@/core/records/runEvents';
import { layOutRun, recordEvents } from './runs';
import { allRecords, replaceRecords, undoAct } from './undo';
import { Refusal, forgetTrouble, guardedWrite, storageTrouble } from './trouble';

const countRollLines = async (): Promise<number> =>
  (await countLines(database(), 'open')) + (await countLines(database(), 'finished'));

const NOW = Date.UTC(2026, 10, 24, 12);

beforeEach(async () => {
  for (const name of ['photo:tin-3', 'import', 'recipes']) forgetTrouble(name);
  await Promise.all(database().tables.map((table) => table.clear()));
});

async function planOfPortraits(): Promise<Plan> {
  await replaceRecords(demoRecords(NOW));
  const plan = await database().plans.get('plan-portraits');
  if (plan === undefined) throw new Error('The demo has no plan for the portraits.');
  return plan;
}

describe('rolls', () => {
  const form = {
    label: 'Tin 9',
    stockName: 'Larkholm Pan 200',
    familyId: 'pan-cubic-fast',
    iso: 200,
    formatId: '120',
    expiredYear: 1971,
    dateSlackYears: 0,
    storageId: 'room',
    exposureState: 'unknown',
    exposedYear: null,
    exposureIndex: null,
    note: '',
    own: noOwnPriors,
  } as const;
  test('a new roll brings its stock once, and its draft goes', async () => {
    await keepDraft('roll:new', { label: 'Tin' });
    const first = await addRoll(form);
    await addRoll({ ...form, label: 'Tin 10' });
    expect(await database().stocks.count()).toBe(1);
    expect(await readDraft('roll:new')).toBeUndefined();
    expect(await database().rolls.get(first)).toMatchObject({
      label: 'Tin 9',
      hints: [{ kind: 'stamp', year: 1971, slackYears: 0 }],
      storage: [{ placeId: 'room' }],
    });
  });
  test('names may stay empty, and own numbers go with the stock', async () => {
    const id = await addRoll({ ...form, label: '', stockName: '', own: { ...noOwnPriors, referenceTimeMin: 11 } });
    const roll = await database().rolls.get(id);
    const stock = await database().stocks.get(roll?.stockId ?? '');
    expect(roll?.label).toBe('A roll of 120 (roll film)');
    expect(stock).toMatchObject({ name: 'Unknown film', own: { referenceTimeMin: 11 } });
  });
  test('a change keeps the identity, and reads back as the form', async () => {
    const id = await addRoll(form);
    await changeRoll(id, { label: 'Tin 9, dusted', exposureState: 'known' });
    await changeDossier(id, { storage: [stayAt('room', 1990), stayAt('cellar')] });
    const roll = await database().rolls.get(id);
    const stock = await database().stocks.get(roll?.stockId ?? '');
    if (roll === undefined || stock === undefined) throw new Error('lost');
    expect(rollFormOf(roll, stock)).toEqual({
      ...form,
      label: 'Tin 9, dusted',
      exposureState: 'known',
      expiredYear: null,
    });
    expect(roll.hints).toEqual([{ kind: 'stamp', year: 1971, slackYears: 0 }]);
    expect(roll.storage.map(({ untilYear }) => untilYear)).toEqual([1990, null]);
  });
  test('taking a roll off is undone with all that hangs on it', async () => {
    await replaceRecords(demoRecords(NOW));
    const before = await allRecords();
    await removeRoll('past-01');
    expect(
      await database()
        .verdicts.filter(({ rollId }) => rollId === 'past-01')
        .count(),
    ).toBe(0);
    await undoAct();
    expect(await allRecords()).toEqual(before);
  });
});

describe('runs', () => {
  test('an event counts only for a tab that has seen all the others', async () => {
    const runId = await layOutRun(await planOfPortraits());
    expect(await recordEvents(runId, 0, [{ kind: 'begin', stepIndex: 0, atMs: NOW }])).toBe(true);
    const both = await Promise.all(
      [1, 1].map((seen) => recordEvents(runId, seen, [{ kind: 'begin', stepIndex: 1, atMs: NOW + 60_000 }])),
    );
    expect(both.filter(Boolean)).toHaveLength(1);
    expect((await database().runs.get(runId))?.events).toHaveLength(2);
  });
  test('presses that were written down together are stored once, whichever of them got there before the page went', async () => {
    const runId = await layOutRun(await planOfPortraits());
    const [first, second, third] = [0, 1, 2].map((stepIndex) => ({
      kind: 'begin' as const,
      stepIndex,
      atMs: NOW + 60_000 * stepIndex,
    })) as [RunEvent, RunEvent, RunEvent];
    const stored = async () => (await database().runs.get(runId))?.events;
    await recordEvents(runId, 0, [first]);
    expect(await recordEvents(runId, 0, [first, second, third])).toBe(true);
    expect(await stored()).toEqual([first, second, third]);
    expect(await recordEvents(runId, 0, [first, second, third])).toBe(false);
    // Another tab did something else meanwhile.
    expect(await recordEvents(runId, 1, [{ ...second, atMs: 1 }, third])).toBe(false);
    expect(await recordEvents(runId, 9, [third])).toBe(false);
    expect(await stored()).toEqual([first, second, third]);
  });
  test('the film counts against its brew once the developer is in, and not when that is undone', async () => {
    const plan = await planOfPortraits();
    const runId = await layOutRun(plan);
    const films = async () => (await database().brews.get(plan.brewId ?? ''))?.films;
    await recordEvents(runId, 0, [{ kind: 'begin', stepIndex: 0, atMs: NOW }]);
    expect(await films()).toBe(0);
    await recordEvents(runId, 1, [{ kind: 'begin', stepIndex: 1, atMs: NOW }]);
    expect(await films()).toBe(1);
    await recordEvents(runId, 2, [{ kind: 'undo', atMs: NOW }]);
    expect(await films()).toBe(0);
    await recordEvents(runId, 3, [{ kind: 'begin', stepIndex: 1, atMs: NOW }]);
    await recordEvents(runId, 4, [{ kind: 'begin', stepIndex: 2, atMs: NOW }]);
    expect(await films()).toBe(1);
  });
  test('rolls in one tank share its clock: nothing of theirs is touched before the first bath, and each has a run of its own', async () => {
    const plan = await planOfPortraits();
    if (plan.pinned === null) throw new Error('no pin');
    const mate = (rollId: string) => ({
      rollId,
      estimateMin: 20,
      pinned: { ...(plan.pinned as NonNullable<typeof plan.pinned>), timeMin: 12, own: true, lowMin: 9, highMin: 17 },
    });
    const runId = await layOutRun(plan, [mate('tin-3'), mate('mast')]);
    const runsOf = (rollId: string) => database().runs.where({ rollId }).toArray();
    expect(await runsOf('tin-3')).toEqual([]);
    const begin = (stepIndex: number) => ({ kind: 'begin', stepIndex, atMs: NOW + stepIndex * 60_000 }) as const;
    await recordEvents(runId, 0, [begin(0)]);
    await recordEvents(runId, 1, [begin(1)]);
    const [shared, ...more] = await runsOf('tin-3');
    expect(more).toEqual([]);
    expect(shared).toMatchObject({
      tankRunId: runId,
      pinned: { timeMin: 12, own: true },
      events: [begin(0), begin(1)],
    });
    const plans = await database().plans.where({ rollId: 'tin-3' }).toArray();
    expect(plans).toHaveLength(1);
    expect(shared?.planId).toBe(plans[0]?.id);
    // Three films went through the jug.
    const films = async () => (await database().brews.get(plan.brewId ?? ''))?.films ?? 0;
    const before = await films();
    expect(before).toBeGreaterThan(2);
    await recordEvents(runId, 2, [{ kind: 'undo', atMs: NOW }]);
    expect(await films()).toBe(0);
    // One that was taken off meanwhile is left out, and the tank goes on.
    await removeRoll('mast');
    expect(await recordEvents(runId, 3, [begin(1)])).toBe(true);
    expect((await runsOf('tin-3'))[0]?.events).toHaveLength(4);
    expect(await runsOf('mast')).toEqual([]);
    // What was written reads back from a file of our own.
    const check = new RecordCheck(NOW);
    for (const table of tableNames) check.take(table, await database().table(table).toArray());
    expect(check.problems).toEqual([]);
    expect(check.aside).toEqual([]);
  });
  test('laying out twice does not double a run that has not begun', async () => {
    const plan = await planOfPortraits();
    expect(await layOutRun(plan)).toBe(await layOutRun(plan));
  });
  test('a run keeps its steps when the plan changes later', async () => {
    const plan = await planOfPortraits();
    const runId = await layOutRun(plan);
    await database().plans.update(plan.id, { temperatureC: 24 });
    const run = await database().runs.get(runId);
    expect(run?.temperatureC).toBe(20);
    expect(run && runProgress(run.steps, run.events).phase).toBe('ready');
  });
});

describe('brews', () => {
  test('mixing ties a brew to its plan; pouring away leaves the plan without one', async () => {
    await replaceRecords(demoRecords(NOW));
    const plan = await database().plans.get('plan-instruments');
    if (plan === undefined) throw new Error('lost');
    const brewId = await mixBrewOf(plan);
    expect((await database().plans.get(plan.id))?.brewId).toBe(brewId);
    const brew = await database().brews.get(brewId);
    if (brew === undefined) throw new Error('lost');
    await pourAway(brew);
    expect((await database().plans.get(plan.id))?.brewId).toBeNull();
  });
});

describe('mixing', () => {
  const batch = sheetFor('coffee-standard').batch;
  const steps = mixSteps(batch);
  /** Takes every step as written, except the parts that are given. */
  async function mixAll(mixId: string, amounts: Record<string, number> = {}): Promise<void> {
    for (const [seen, step] of steps.entries()) {
      const amount = step.partKey === null ? step.target : (amounts[step.partKey] ?? step.target);
      expect(
        await recordMixEvent(mixId, seen, { kind: 'done', stepId: step.id, amount, how: 'typed', atMs: NOW + seen }),
      ).toBe(true);
    }
  }
  test('an event counts only for a tab that has seen all the others', async () => {
    const mixId = await startMix(batch, null);
    const event = { kind: 'done', stepId: 'water', amount: 375, how: 'target', atMs: NOW } as const;
    const both = await Promise.all([recordMixEvent(mixId, 0, event), recordMixEvent(mixId, 0, event)]);
    expect(both.filter(Boolean)).toHaveLength(1);
    expect((await database().mixes.get(mixId))?.events).toHaveLength(1);
  });
  test('what went in becomes the brew, is tied to the plan, and turns the plan’s form to the jug', async () => {
    await replaceRecords(demoRecords(NOW));
    await keepDraft(planDraftKey('instruments'), { agentPerL: 'half typed' });
    const mixId = await startMix(batch, 'instruments');
    await mixAll(mixId, { 'line-2': 18 });
    const brewId = await bottleMix(mixId);
    const brew = await database().brews.get(brewId);
    expect(brew).toMatchObject({
      use: 'film-developer',
      volumeMl: 500,
      films: 0,
      mixedMs: NOW + steps.length - 1,
      developer: { agents: [{ agentId: 'instant-coffee', amountPerL: 36 }] },
    });
    expect(brew?.code).toHaveLength(4);
    expect((await database().plans.get('plan-instruments'))?.brewId).toBe(brewId);
    expect(await readDraft(planDraftKey('instruments'))).toEqual({
      agentPerL: 'half typed',
      developerKind: 'jug',
      brewId,
    });
    expect(await bottleMix(mixId)).toBe(brewId);
    expect(await recordMixEvent(mixId, steps.length, { kind: 'undo', atMs: NOW })).toBe(false);
    if (brew !== undefined) await pourAway(brew);
    expect(await database().mixes.get(mixId)).toBeUndefined();
  });
  test('a roll whose plan was only typed turns to the jug as well', async () => {
    await replaceRecords(demoRecords(NOW));
    const before = (await readDraft(planDraftKey('tin-3'))) as object;
    const mixId = await startMix(batch, 'tin-3');
    await mixAll(mixId);
    const brewId = await bottleMix(mixId);
    expect(await readDraft(planDraftKey('tin-3'))).toEqual({ ...before, developerKind: 'jug', brewId });
  });
  test('a brew that came out without alkali is kept for what it is, and no plan takes it', async () => {
    await replaceRecords(demoRecords(NOW));
    const mixId = await startMix(batch, 'instruments');
    await mixAll(mixId, { 'line-0': 0 });
    const brew = await database().brews.get(await bottleMix(mixId));
    expect(brew?.developer).toBeNull();
    expect(brew?.ph).toBeLessThan(5);
    expect((await database().plans.get('plan-instruments'))?.brewId).toBeNull();
  });
  test('films are counted by hand, never below none; giving up and removing a roll can be undone', async () => {
    await replaceRecords(demoRecords(NOW));
    await countFilms('brew-fixer', 1);
    expect((await database().brews.get('brew-fixer'))?.films).toBe(5);
    for (let less = 0; less < 9; less++) await countFilms('brew-fixer', -1);
    expect((await database().brews.get('brew-fixer'))?.films).toBe(0);
    const mixId = await startMix(batch, 'tin-3');
    await removeRoll('tin-3');
    expect((await database().mixes.get(mixId))?.rollId).toBeNull();
    const mix = await database().mixes.get(mixId);
    if (mix === undefined) throw new Error('lost');
    await dropMix(mix);
    expect(await database().mixes.get(mixId)).toBeUndefined();
    await undoAct();
    expect(await database().mixes.get(mixId)).toEqual(mix);
  });
  test('own recipes are kept, changed in place, taken in whole and taken out with undo', async () => {
    const id = await keepRecipe(formulary.tea);
    await keepRecipe({ ...formulary.tea, name: 'Tea, strong' }, id);
    expect(await database().recipes.toArray()).toMatchObject([{ id, name: 'Tea, strong' }]);
    await expect(
      addRecipes([formulary.beer, { ...formulary.wine, lines: [{ kind: 'own', name: '', unit: 'g', perL: 1 }] }]),
    ).rejects.toThrow();
    expect(await database().recipes.count()).toBe(1);
    const recipe = await database().recipes.get(id);
    if (recipe === undefined) throw new Error('lost');
    await removeRecipe(recipe);
    expect(await database().recipes.count()).toBe(0);
    await undoAct();
    expect(await database().recipes.get(id)).toEqual(recipe);
  });
});

describe('drafts', () => {
  test('fast typing is kept to the last letter, in few writes', async () => {
    const text = 'Behind the barograph';
    await Promise.all([...text].map((_, index) => keepDraft('roll:new', { note: text.slice(0, index + 1) })));
    expect(await readDraft('roll:new')).toEqual({ note: text });
  });
  test('a form that was finished does not come back', async () => {
    await keepDraft('note:a', 'late');
    await dropDraft('note:a');
    expect(await readDraft('note:a')).toBeUndefined();
  });
});

describe('photographs', () => {
  const jpeg = new Blob([Uint8Array.of(0xff, 0xd8, 0xff)], { type: 'image/jpeg' });
  test('kept with the roll, taken away and put back, and gone with the roll', async () => {
    await replaceRecords(demoRecords(NOW));
    await keepPhoto('tin-3', { name: 'box.jpg', widthPx: 1600, heightPx: 1200, jpeg });
    const [photo] = await database().photos.toArray();
    const gone = await dropPhoto(photo?.id ?? '');
    expect(await database().photos.count()).toBe(0);
    if (gone === undefined) throw new Error('lost');
    await restorePhoto(gone);
    expect(await database().photos.toArray()).toEqual([photo]);
    await removeRoll('tin-3');
    expect(await database().photos.count()).toBe(0);
    await undoAct();
    expect(await database().photos.toArray()).toEqual([photo]);
  });
  test('what is no JPEG is not stored', async () => {
    await expect(
      keepPhoto('tin-3', {
        name: 'x',
        widthPx: 10,
        heightPx: 10,
        jpeg: new Blob(['<svg/>'], { type: 'image/svg+xml' }),
      }),
    ).rejects.toThrow();
    expect(await database().photos.count()).toBe(0);
  });
});

describe('large acts', () => {
  test('wipe and undo, drafts included', async () => {
    await replaceRecords(demoRecords(NOW));
    const before = await allRecords();
    await wipeRecords();
    expect((await allRecords()).rolls).toEqual([]);
    await undoAct();
    expect(await allRecords()).toEqual(before);
  });
  test('an import of many batches that wait for nothing stays one transaction', async () => {
    const BATCHES = 400;
    const rows = (batch: number) =>
      Array.from({ length: 3 }, (_, index) => ({
        id: `typed-${batch}-${index}`,
        values: { note: 'x' },
        updatedMs: NOW,
      }));
    const counts = Object.fromEntries(tableNames.map((table) => [table, 0])) as never;
    const answer = await importBench(
      asStored(async (sink) => {
        for (let batch = 0; batch < BATCHES; batch++) await sink('drafts', rows(batch));
        return success({ counts, setAside: 0, cleared: 0, redated: 0 });
      }),
    );
    expect(answer.ok).toBe(true);
    expect(await database().drafts.count()).toBe(3 * BATCHES);
    // One that is refused at its end leaves nothing of all that was stored on the way.
    const refused = await importBench(
      asStored(async (sink) => {
        for (let batch = 0; batch < BATCHES; batch++) await sink('drafts', rows(BATCHES + batch));
        return failure({ path: '', message: 'the last line is missing' });
      }),
    );
    expect(refused.ok).toBe(false);
    expect(await database().drafts.count()).toBe(3 * BATCHES);
    expect(await database().drafts.get('typed-0-0')).toBeDefined();
  });

  test('a file takes the place of everything in one act, and undoing it keeps the present first', async () => {
    await replaceRecords(demoRecords(NOW));
    const before = await allRecords();
    const source = await openBenchSource();
    expect(source.total).toBe(Object.values(before).reduce((sum, rows) => sum + rows.length, 0));
    const stock = before.stocks[0];
    await importBench(
      asStored(async (sink) => {
        await sink('stocks', before.stocks.slice(0, 1));
        await sink('rolls', before.rolls.filter(({ stockId }) => stockId === stock?.id).slice(0, 1));
        return success(null);
      }),
    );
    expect(await database().rolls.count()).toBe(1);
    expect(await countRollLines()).toBe(1);
    await changeRoll((await database().rolls.toArray())[0]?.id ?? '', { note: 'since' });
    const since = await allRecords();
    await undoAct();
    expect(await allRecords()).toEqual(before);
    expect(await countLines(database(), 'runs')).toBe(before.runs.filter(({ events }) => events.length > 0).length);
    await undoAct();
    expect(await allRecords()).toEqual(since);
  });
  test('merging adds what is new, takes what is newer, leaves what is newer here, and is undone whole', async () => {
    await replaceRecords(demoRecords(NOW));
    const file = await allRecords();
    await removeRoll('past-02');
    await changeRoll('tin-3', { note: 'written here since' });
    const before = await allRecords();
    const roll = file.rolls.find(({ id }) => id === 'portraits');
    if (roll === undefined) throw new Error('lost');
    const newer = { ...roll, note: 'written on the other device', updatedMs: roll.updatedMs + 1 };
    const merged = await mergeBench(async (sink) => {
      for (const table of tableNames)
        await sink(
          table,
          (table === 'rolls' ? [...file.rolls.filter((one) => one !== roll), newer] : file[table]) as never,
        );
      return success({ redated: 0 });
    });
    if (!merged.ok) throw new Error('refused');
    const { added, updated, kept } = merged.value;
    expect(added).toMatchObject({ rolls: 1, plans: 1, runs: 1, verdicts: 1 });
    expect(updated).toMatchObject({ rolls: 1, settings: 0 });
    expect(kept).toBe(Object.values(file).reduce((sum, rows) => sum + rows.length, 0) - 4 - 1);
    const notes = async (id: string) => (await database().rolls.get(id))?.note;
    expect(await notes('portraits')).toBe('written on the other device');
    expect(await notes('tin-3')).toBe('written here since');
    expect(await countRollLines()).toBe(file.rolls.length);
    await undoAct();
    expect(await allRecords()).toEqual(before);
  });
  test('a file that fails half way merges nothing', async () => {
    await replaceRecords(demoRecords(NOW));
    const before = await allRecords();
    const answer = await mergeBench(async (sink) => {
      await sink('rolls', [{ ...(before.rolls[0] as (typeof before.rolls)[number]), id: 'foreign' }]);
      return failure({ path: 'records', message: 'Its end is missing.' });
    });
    expect(answer.ok).toBe(false);
    expect(await allRecords()).toEqual(before);
  });
  test('a file that fails at its end changes nothing, and trouble belongs to its act', async () => {
    await replaceRecords(demoRecords(NOW));
    const before = await allRecords();
    const refused = await guardedFile(() =>
      importBench(
        asStored(async (sink) => {
          await sink('stocks', before.stocks);
          return failure({ path: 'records', message: 'Its end is missing.' });
        }),
      ),
    );
    expect(refused.ok).toBe(false);
    expect(await allRecords()).toEqual(before);
    expect(storageTrouble()).toBeNull();
    const doubled = guardedFile(() =>
      importBench(
        asStored(async (sink) => {
          await sink('rolls', [...before.rolls, ...before.rolls]);
          return success(null);
        }),
      ),
    );
    await expect(doubled).rejects.toThrow();
    expect(await allRecords()).toEqual(before);
    expect(storageTrouble()).toMatch(/could not store/);
    await guardedWrite('something else', async () => undefined);
    expect(storageTrouble()).toMatch(/could not store/);
    await guardedWrite('import', async () => undefined);
    expect(storageTrouble()).toBeNull();
  });
  test('undoing a removal leaves alone what was done since', async () => {
    const plan = await planOfPortraits();
    await removeRoll('past-01');
    const runId = await layOutRun(plan);
    await recordEvents(runId, 0, [{ kind: 'begin', stepIndex: 0, atMs: NOW }]);
    await undoAct();
    expect((await database().runs.get(runId))?.events).toHaveLength(1);
    expect(
      await database()
        .verdicts.filter(({ rollId }) => rollId === 'past-01')
        .count(),
    ).toBe(1);
    expect((await linesWith(database(), 'finished', ['past-01']))[0]?.finished).toBe(1);
  });
  test('what belongs to something that was taken off meanwhile is refused or cut loose, and files stay whole', async () => {
    await replaceRecords(demoRecords(NOW));
    await removeRoll('tin-3');
    const jpeg = new Blob([Uint8Array.of(0xff, 0xd8, 0xff)], { type: 'image/jpeg' });
    await expect(keepPhoto('tin-3', { name: 'late', widthPx: 1, heightPx: 1, jpeg })).rejects.toThrow(Refusal);
    const mixId = await startMix(sheetFor('coffee-standard').batch, 'tin-3');
    expect((await database().mixes.get(mixId))?.rollId).toBeNull();
    const read = await readWhole(plainFile(await allRecords(), 6));
    expect(read.ok && read.value.aside).toEqual([]);
    await wipeRecords();
    await undoAct();
    expect((await database().mixes.get(mixId))?.rollId).toBeNull();
  });
  test('an emptied demo bench stays empty', async () => {
    await seedDemo();
    expect(await database().rolls.count()).toBe(20);
    await wipeRecords();
    await seedDemo();
    expect(await database().rolls.count()).toBe(0);
  });
});

describe('evidence', () => {
  test('kept with a copy of its setting, its draft gone; taken away and put back; gone with the roll', async () => {
    const plan = await planOfPortraits();
    const setting = settingRecordFor(plan, null, NOW);
    await keepDraft(evidenceDraftKey('portraits', 'fog'), { timeMin: 12 });
    const id = await keepEvidence('portraits', setting, { kind: 'fog', timeMin: 12, method: 'eye', baseFogD: 0.5 });
    expect(await readDraft(evidenceDraftKey('portraits', 'fog'))).toBeUndefined();
    const record = await dropEvidence(id);
    expect(record).toMatchObject({ rollId: 'portraits', setting: { temperatureC: 20 }, finding: { baseFogD: 0.5 } });
    expect(await database().evidence.get(id)).toBeUndefined();
    if (record !== undefined) await restoreEvidence(record);
    expect(await database().evidence.get(id)).toEqual(record);
    await removeRoll('portraits');
    expect(await database().evidence.get(id)).toBeUndefined();
    await undoAct();
    expect(await database().evidence.get(id)).toEqual(record);
  });
  test('a finding that cannot be is not stored', async () => {
    const plan = await planOfPortraits();
    await expect(
      keepEvidence('portraits', settingRecordFor(plan, null, NOW), {
        kind: 'fog',
        timeMin: -1,
        method: 'eye',
        baseFogD: 0.5,
      }),
    ).rejects.toThrow();
  });
  test('a run is laid out with what it was set up with: the brew’s age and use at that moment', async () => {
    const plan = await planOfPortraits();
    const run = await database().runs.get(await layOutRun(plan));
    const brew = await database().brews.get(plan.brewId ?? '');
    expect(run?.setup).toMatchObject({
      developer: brew?.developer,
      mixingLnSd: brew?.mixingLnSd,
      agitationId: plan.agitationId,
      brewId: plan.brewId,
      target: plan.target,
    });
    expect(run?.setup?.wear.ageH).toBeGreaterThan(0);
  });
});

describe('migrations of the browser database', () => {
  const oldRoll = rollOfVersion1({ id: 'old', createdMs: NOW, updatedMs: NOW });

  test('a bench whose lines stood in another table opens with them made anew', async () => {
    await replaceRecords(demoRecords(NOW));
    const before = await countRollLines();
    const records = await allRecords();
    const name = 'aetas-of-lumps';
    const old = new Dexie(name);
    old
      .version(latestVersion() + 0.1)
      .stores({ ...Object.fromEntries(tableNames.map((table) => [table, 'id'])), lumps: 'id' });
    await old.table('rolls').bulkAdd(records.rolls.map((roll) => pack('rolls', roll)));
    await old.table('stocks').bulkAdd(records.stocks);
    await old.table('lumps').add({ id: 'l1' });
    old.close();
    const opened = new AetasDatabase(name);
    await opened.open();
    expect(opened.backendDB().objectStoreNames.contains('lumps')).toBe(false);
    await rebuildLines(opened);
    expect((await countLines(opened, 'open')) + (await countLines(opened, 'finished'))).toBe(before);
    opened.close();
    await Dexie.delete(name);
  });

  test('a database of version 1 opens with its rolls as dossiers', async () => {
    const name = 'aetas-migration';
    const old = new AetasDatabase(name, []);
    await old
      .table('rolls')
      .bulkAdd([oldRoll, { ...oldRoll, id: 'undated', formatId: '120', expiredYear: null, storageId: 'attic' }]);
    old.close();
    const fresh = new AetasDatabase(name);
    expect(await fresh.photos.count()).toBe(0);
    const rolls = await fresh.rolls.toArray();
    for (const roll of rolls) expect(rollSchema.safeParse(roll).error?.issues ?? []).toEqual([]);
    expect(rolls[0]).toMatchObject({
      label: 'Tin 1',
      formatId: 'sheet-4x5',
      hints: [{ kind: 'stamp', year: 1971, slackYears: 3 }],
      storage: [{ placeId: 'cellar', temperatureC: 12, untilYear: null }],
    });
    expect(rolls[1]).toMatchObject({ hints: [], storage: [{ placeId: 'attic' }] });
    fresh.close();
    await Dexie.delete(name);
  });
  test('what waits for an undo takes the steps as well, and copies from before them stay as they were', async () => {
    const name = 'aetas-kept';
    const old = new AetasDatabase(name, migrations.slice(0, 5));
    const plan = { ...demoRecords(NOW).plans[0], wet: null } as Record<string, unknown>;
    for (const field of ['movement', 'ownTimeMin', 'baths', 'pourIn']) Reflect.deleteProperty(plan, field);
    const part = (await old.acts.add({ atMs: NOW, what: 'removing it', kind: 'part' })) as number;
    const copy = (await old.acts.add({ atMs: NOW, what: 'the upgrade', kind: 'upgrade', version: 5 })) as number;
    for (const actId of [part, copy]) await old.kept.add({ actId, table: 'plans', rows: [plan] } as Kept);
    old.close();
    const fresh = new AetasDatabase(name);
    const rowsOf = async (actId: number): Promise<unknown[]> => (await fresh.kept.where({ actId }).first())?.rows ?? [];
    expect(planSchema.safeParse((await rowsOf(part))[0]).error?.issues ?? []).toEqual([]);
    expect(await fresh.acts.get(part)).toMatchObject({ version: latestVersion() });
    expect(await rowsOf(copy)).toEqual([plan]);
    fresh.close();
    await Dexie.delete(name);
  });
  test('records of a shape that no longer fits are not brought back, and it is said', async () => {
    const db = database();
    const id = (await db.acts.add({ atMs: NOW, what: 'removing tin 1', kind: 'part' })) as number;
    await db.kept.add({ actId: id, table: 'rolls', rows: [oldRoll] } as Kept);
    await expect(undoAct(id)).rejects.toThrow(/removing tin 1 is not possible/);
    expect(await db.rolls.count()).toBe(0);
    expect(await db.acts.get(id)).toBeDefined();
  });
  test('photographs as text become files one by one, without a copy of the text', async () => {
    const name = 'aetas-photos';
    const old = new AetasDatabase(name, migrations.slice(0, 4));
    const jpeg = `data:image/jpeg;base64,${btoa('a picture')}`;
    await old.table('photos').bulkAdd([1, 2, 3].map((n) => ({ id: `p${n}`, rollId: 'r', jpeg })));
    old.close();
    const told: string[] = [];
    onUpgradeProgress((progress) => told.push(`${progress.name} ${progress.done}/${progress.of}`));
    const fresh = new AetasDatabase(name);
    const photos = await fresh.photos.toArray();
    onUpgradeProgress(null);
    for (const { jpeg: file } of photos) expect((file as Blob).size).toBe(9);
    expect(told).toEqual(['photographs as files 0/3', 'photographs as files 1/3', 'photographs as files 2/3']);
    expect((await fresh.kept.toArray()).some(({ table }) => table === 'photos')).toBe(false);
    fresh.close();
    await Dexie.delete(name);
  });
  test('a file of version 3: plans and pins learn of evidence, runs take their set-up from their plan', async () => {
    const now = demoRecords(NOW);
    const old = structuredClone(now) as unknown as Record<string, Record<string, unknown>[]>;
    delete old.evidence;
    const strip = (record: Record<string, unknown>, ...names: string[]): void =>
      names.forEach((name) => Reflect.deleteProperty(record, name));
    for (const plan of old.plans ?? []) {
      strip(plan, 'muted', 'ambientC');
      strip(plan.pinned as Record<string, unknown>, 'evidenceIds');
    }
    for (const run of old.runs ?? []) {
      strip(run, 'setup');
      strip(run.pinned as Record<string, unknown>, 'evidenceIds');
    }
    const read = await readWhole(plainFile(old as never, 3));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.evidence).toEqual([]);
    expect(
      read.value.plans.every(
        ({ muted, ambientC, pinned }) => muted.length === 0 && ambientC === null && pinned?.evidenceIds.length === 0,
      ),
    ).toBe(true);
    for (const run of read.value.runs) expect(run.setup).toEqual(now.runs.find(({ id }) => id === run.id)?.setup);
  });
  test('a file of version 4: brews say that nobody weighed them, developers what else is in them, settings the kit', async () => {
    const old = structuredClone(demoRecords(NOW)) as unknown as Record<string, Record<string, unknown>[]>;
    delete old.recipes;
    delete old.mixes;
    const strip = (record: unknown, ...names: string[]): void =>
      names.forEach((name) => Reflect.deleteProperty(record as object, name));
    for (const settings of old.settings ?? []) strip(settings, 'kit');
    for (const plan of old.plans ?? []) strip(plan.developer, 'others');
    for (const run of old.runs ?? []) strip((run.setup as Record<string, unknown>).developer, 'others');
    for (const run of old.runs ?? []) strip(run.setup, 'mixingLnSd');
    for (const piece of old.evidence ?? []) strip(piece.setting, 'mixingLnSd');
    old.brews = (old.brews ?? []).filter(({ developer }) => developer !== null);
    for (const brew of old.brews) {
      strip(brew, 'code', 'use', 'parts', 'temperatureC', 'ph', 'mixingLnSd');
      strip(brew.developer, 'others');
    }
    const read = await readWhole(plainFile(old as never, 4));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    expect(read.value.recipes).toEqual([]);
    expect(read.value.settings[0]?.kit.scaleStepG).toBe(1);
    expect(read.value.brews.length).toBeGreaterThan(1);
    for (const brew of read.value.brews)
      expect(brew).toMatchObject({
        use: 'film-developer',
        parts: [],
        ph: null,
        mixingLnSd: null,
        code: expect.stringMatching(/^.{4}$/),
      });
    for (const { setup } of read.value.runs) expect(setup).toMatchObject({ mixingLnSd: null });
  });
  test('a run of version 3 whose plan is gone keeps no set-up', () => {
    const changed = evidenceStep.change({
      plans: [],
      runs: [{ id: 'run', planId: 'gone', pinned: { timeMin: 9 } }, 'gibberish'],
    });
    expect(changed.runs).toEqual([
      { id: 'run', planId: 'gone', pinned: { timeMin: 9, evidenceIds: [] }, setup: null },
      'gibberish',
    ]);
  });
  test('a file of version 1 takes the same step', async () => {
    const stock = {
      id: 's',
      createdMs: NOW,
      updatedMs: NOW,
      name: 'Larkholm Pan 200',
      familyId: 'pan-cubic-fast',
      iso: 200,
      own: {},
    };
    const read = await readWhole(plainFile({ stocks: [stock], rolls: [oldRoll] } as never, 1));
    expect(read.ok && read.value.rolls[0]?.hints).toEqual([{ kind: 'stamp', year: 1971, slackYears: 3 }]);
  });
});

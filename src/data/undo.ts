import Dexie from 'dexie';
import { latestVersion } from '@/core/formats/migrations';
import { recordSchemas, type Records, type TableName } from '@/core/records/records';
import { noRecords, tableNames } from '@/core/records/tables';
import { act, forgetOlder } from './act';
import { addRows, storedRows, type StoredRows } from './addRows';
import { actTables, database, type Act, type AetasDatabase, type Kept } from './database';
import { rebuildLines, refreshLines } from './lines';
import { inSteps, step, type Steps } from './steps';
import { Refusal, guardedWrite } from './trouble';
import { dropAllAhead } from './draftJournal';

/** Records that are kept in one shard, as they are stored. */
const BATCH = 1000;

/**
 * Keeps the whole bench as it is, as rows. Called within a transaction over `actTables`.
 * @param what what is about to be done, as in “the import”
 */
export function keepWhole(db: AetasDatabase, what: string): PromiseLike<unknown> {
  // All tables at a time: who asks the database while a file is read waits long for each answer.
  return db.acts
    .add({ atMs: Date.now(), what, kind: 'whole', version: latestVersion() })
    .then((actId) => Dexie.Promise.all(tableNames.map((table) => inSteps(keepTable(db, actId, table)))));
}

function* keepTable(db: AetasDatabase, actId: number, table: TableName): Steps<void> {
  let after: IDBValidKey | null = null;
  do {
    const { rows, last }: StoredRows = yield* step(storedRows(table, after, BATCH));
    if (rows.length > 0) yield* step(db.kept.add({ actId, table, rows } as Kept));
    after = rows.length < BATCH ? null : last;
  } while (after !== null);
}

/** Takes everything off the bench. Called within a transaction over `actTables`. */
export function clearBench(db: AetasDatabase): PromiseLike<unknown> {
  return Dexie.Promise.all([...tableNames, 'shards', 'starts'].map((table) => db.table(table).clear()));
}

/** Every record of the bench, by table. For tests and small benches: files are written in pieces. */
export async function allRecords(): Promise<Records> {
  const db = database();
  return db.transaction('r', tableNames, async () => {
    const records = noRecords();
    for (const name of tableNames) Object.assign(records, { [name]: await db.table(name).toArray() });
    return records;
  });
}

/** Puts these records in the place of all that the bench holds, or changes nothing. */
export async function replaceRecords(records: Records): Promise<void> {
  const db = database();
  await db.transaction('rw', actTables, async () => {
    await clearBench(db);
    for (const name of tableNames) await db.table(name).bulkAdd(records[name]);
    await rebuildLines(db);
  });
  dropAllAhead();
}

/**
 * Undoes an act: brings back what it took, and nothing else. One that replaced the whole bench first keeps the present, so
 * that this can be undone as well.
 * @param id the act; the last one, when left out
 */
export async function undoAct(id?: number): Promise<void> {
  await guardedWrite('undo', async () => {
    const db = database();
    const whole = await db.transaction('rw', actTables, () =>
      inSteps(
        (function* () {
          const done = yield* step(id === undefined ? lastAct(db) : db.acts.get(id));
          if (done === undefined) return false;
          if (done.version !== latestVersion()) yield* step(checkKept(db, done));
          if (done.kind === 'whole') {
            const kept = yield* step(db.kept.where({ actId: done.id }).primaryKeys());
            yield* step(keepWhole(db, `undoing ${done.what}`));
            yield* step(clearBench(db));
            for (const key of kept) {
              const shard = yield* step(db.kept.get(key));
              if (shard?.rows !== undefined) addRows(shard.table, shard.rows);
            }
            yield* step(rebuildLines(db));
          } else yield* step(restoreRows(db, done));
          yield* step(forget(db, done.id));
          yield* step(forgetOlder(db));
          return done.kind === 'whole';
        })(),
      ),
    );
    if (whole) dropAllAhead();
  });
}

/**
 * Checks what an act kept under an older version: a bench that was brought up to date before such records were has them in their
 * old shape still.
 * @throws Refusal when one of them does not fit any more: then nothing is changed
 */
async function checkKept(db: AetasDatabase, done: Act): Promise<void> {
  for (const key of await db.kept.where({ actId: done.id }).primaryKeys()) {
    const { table, rows = [] } = (await db.kept.get(key)) ?? { table: '' };
    const schema = recordSchemas[table as TableName];
    if (rows.length > 0 && rows.some((row) => !schema.safeParse(row).success))
      throw new Refusal(
        `Undoing ${done.what} is not possible: an older Aetas kept what it took, and some of it does not fit this one. Nothing was changed.`,
      );
  }
}

/** Puts back what an act took where nothing stands in its place by now, and the links that it emptied; what came with it goes. */
async function restoreRows(db: AetasDatabase, done: Act): Promise<void> {
  const rolls = new Set<string>();
  const runs = new Set<string>();
  const kept = await db.kept.where({ actId: done.id }).toArray();
  // What came goes first: a record that took the place of another has its name.
  for (const { table, added } of kept) if (added !== undefined) await db.table(table).delete(added);
  for (const { table, rows, field } of kept) {
    for (const row of (rows ?? []) as { id: string; rollId?: string; runId?: string }[]) {
      if ((await db.table(table).get(row.id)) === undefined) await db.table(table).add(row);
      if (table === 'rolls') rolls.add(row.id);
      if (typeof row.rollId === 'string') rolls.add(row.rollId);
      if (table === 'runs') runs.add(row.id);
      if (typeof row.runId === 'string') runs.add(row.runId);
    }
    if (field === undefined) continue;
    const now = (await db.table(table).get(field.id)) as Record<string, unknown> | undefined;
    if (now !== undefined && now[field.name] === field.after) {
      await db.table(table).update(field.id, { [field.name]: field.before });
      if (typeof now.rollId === 'string') rolls.add(now.rollId);
    }
  }
  await refreshLines(db, rolls, runs);
}

function lastAct(db: AetasDatabase): PromiseLike<Act | undefined> {
  return db.acts.filter(({ kind }) => kind !== 'upgrade').last();
}

function forget(db: AetasDatabase, id: number): PromiseLike<unknown> {
  return db.acts.delete(id).then(() => db.kept.where({ actId: id }).delete());
}

/** Lets the offer to undo an act go, with what it kept. */
export async function forgetAct(id: number): Promise<void> {
  const db = database();
  await db.transaction('rw', ['acts', 'kept'], () => forget(db, id));
}

/** Deletes what was set aside; it can be undone. */
export function clearAside(): Promise<void> {
  return act(
    'aside',
    async (writer) => {
      for (const id of await writer.db.aside.toCollection().primaryKeys()) await writer.remove('aside', id);
    },
    { undo: 'deleting what was set aside' },
  );
}

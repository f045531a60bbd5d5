import Dexie from 'dexie';
import type { FileReport, RowSink } from '@/core/formats/benchFile';
import { redate } from '@/core/formats/checkRecords';
import { links } from '@/core/formats/links';
import { recordSchemas, type Records, type TableName } from '@/core/records/records';
import { failure, success, type Problem, type Result } from '@/core/schema/result';
import { tableNames } from '@/core/records/tables';
import { forgetOlder } from './act';
import { addRows } from './addRows';
import { actTables, database, type AetasDatabase } from './database';
import { rebuildLines, type StoredSink } from './lines';
import { Passage, type Handed } from './passage';
import { inSteps, step } from './steps';
import { Refusal, forgetTrouble, guardedWrite } from './trouble';
import { dropAllAhead } from './draftJournal';
import { clearBench, keepWhole, undoAct } from './undo';

/** Records that leave the database at a time. */
const BATCH = 200;
/** Photographs that do. */
const PHOTO_BATCH = 10;

/** The bench, handed out in pieces for a file. */
export interface BenchSource {
  total: number;
  rows: (table: TableName, after: number) => Promise<unknown[]>;
}

/** Opens the bench for reading it out in pieces, as it stands at this moment. */
export async function openBenchSource(): Promise<BenchSource> {
  const db = database();
  const keys = new Map<TableName, string[]>();
  await db.transaction('r', tableNames, async () => {
    for (const table of tableNames) keys.set(table, (await db.table(table).toCollection().primaryKeys()) as string[]);
  });
  const next = new Map<TableName, number>();
  return {
    total: [...keys.values()].reduce((sum, list) => sum + list.length, 0),
    rows: async (table, after) => {
      const size = table === 'photos' ? PHOTO_BATCH : BATCH;
      const list = keys.get(table) ?? [];
      // Records that were removed since leave a gap, so the place in the list is kept here.
      for (let from = after === 0 ? 0 : (next.get(table) ?? 0); from < list.length; from += size) {
        const rows = await db.table(table).bulkGet(list.slice(from, from + size));
        next.set(table, from + size);
        const found = rows.filter((row) => row !== undefined);
        if (found.length > 0) return found;
      }
      return [];
    },
  };
}

/** Batches that a file may run ahead of the database: enough that neither waits for the other, and few enough for memory. */
const AHEAD = 40;
/** Batches of packed rows that may: some ten megabytes, so that reading goes on while the database stores. */
const PACKED_AHEAD = 24;

/** Thrown within a transaction to take everything back when a file turns out to be wrong. */
class NotTaken extends Error {
  override name = 'NotTaken';
}

/** What merging a file did, by table. */
export interface MergeReport {
  added: Record<TableName, number>;
  updated: Record<TableName, number>;
  /** Records that were the same here, or newer. */
  kept: number;
  /** Records whose time lay in the future and counts as now. */
  redated: number;
}

/**
 * Merges the records of a file into the bench, by id and time: what is new is added, what is newer takes the place of the older, and the
 * rest stays. Settings stay as they are. Whole or not at all, and it can be undone.
 * @param read reads the file into a sink, and says whether all of it was in order
 * @param withoutCopy frees space although there is no room for a copy: then it cannot be undone
 * @returns what was done; a failure when the file was refused, and then nothing has changed
 */
export async function mergeBench<T extends Pick<FileReport, 'redated'>>(
  read: (sink: RowSink) => Promise<Result<T>>,
  withoutCopy = false,
): Promise<Result<MergeReport>> {
  const report: MergeReport = { added: noCounts(), updated: noCounts(), kept: 0, redated: 0 };
  const answer = await takeFile((hand) => read(hand as RowSink), withoutCopy, 'merging the file', {
    ahead: AHEAD,
    begin: () => Dexie.Promise.resolve(),
    take: (db, { table, rows }) => mergeRows(db, table as TableName, rows as Dated[], report),
    end: rebuildLines,
  });
  return answer.ok ? success({ ...report, redated: answer.value.redated }) : answer;
}

/**
 * Merges some records of one table into the bench, by id and time. What they belong to must be on the bench.
 * @param table their table
 * @param rows records of the newest shape
 * @param withoutCopy frees space although there is no room for a copy: then it cannot be undone
 * @returns what was done; a failure when a record belongs to nothing here, and then nothing has changed
 */
export async function mergeTable<T extends TableName>(
  table: T,
  rows: Records[T],
  withoutCopy = false,
): Promise<Result<MergeReport>> {
  const strays: Problem[] = [];
  const nowMs = Date.now();
  const seen = new Set<string>();
  let redated = 0;
  for (const [index, row] of rows.entries()) {
    if (seen.has(row.id))
      strays.push({
        path: `line ${index + 2}, id`,
        message: `The id “${row.id}” stands there twice. Leave one of them.`,
      });
    seen.add(row.id);
    const here = (await database().table(table).get(row.id)) as Record<string, unknown> | undefined;
    for (const { field, target, nullable } of links[table] ?? []) {
      const id = (row as unknown as Record<string, unknown>)[field];
      if (!nullable && here !== undefined && here[field] !== id) {
        const message = `Here it belongs to “${String(here[field])}”. A table cannot move it to “${String(id)}”.`;
        strays.push({ path: `line ${index + 2}, ${field}`, message });
        continue;
      }
      if (nullable || (await database().table(target).get(String(id))) !== undefined) continue;
      const message = `It belongs to “${String(id)}”, which is not among the ${target} on this bench.`;
      strays.push({ path: `line ${index + 2}, ${field}`, message });
    }
  }
  if (strays.length > 0) return failure(...strays);
  const known = (await database()
    .table(table)
    .bulkGet(rows.map(({ id }) => id))) as (Dated | undefined)[];
  const plain = (row: unknown): string => JSON.stringify(recordSchemas[table].safeParse(row).data);
  // A line that was changed in a spreadsheet carries its old time: it is the newer one all the same.
  const changed = (rows as unknown as Dated[]).map((read, index) => {
    const row = { ...read };
    if (redate(row as unknown as Record<string, unknown>, nowMs)) redated += 1;
    const here = known[index];
    return here !== undefined && here.updatedMs === row.updatedMs && plain(here) !== plain(row)
      ? { ...row, updatedMs: Math.max(nowMs, (row.updatedMs ?? 0) + 1) }
      : row;
  });
  return mergeBench(async (sink) => {
    await sink(table, changed as unknown as Records[T]);
    return success({ redated });
  }, withoutCopy);
}

interface Dated {
  id: string;
  updatedMs?: number;
}

function noCounts(): Record<TableName, number> {
  return Object.fromEntries(tableNames.map((name) => [name, 0])) as Record<TableName, number>;
}

/** Takes what is new or newer. Promises of the database alone: an await of others would wear out its hold on the transaction. */
function mergeRows(
  db: AetasDatabase,
  table: TableName,
  rows: readonly Dated[],
  report: MergeReport,
): PromiseLike<unknown> {
  return db
    .table<Dated>(table)
    .bulkGet(rows.map(({ id }) => id))
    .then((here) => {
      const taken = rows.filter((row, index) => {
        const known = here[index];
        if (known === undefined) report.added[table] += 1;
        // Settings carry no time: they are this bench's own.
        else if (table !== 'settings' && (row.updatedMs ?? 0) > (known.updatedMs ?? 0)) report.updated[table] += 1;
        else {
          report.kept += 1;
          return false;
        }
        return true;
      });
      return taken.length > 0 ? db.table(table).bulkPut(taken) : undefined;
    });
}

/** What becomes of the records of a file. */
interface ImportMode {
  /** Batches that may wait. */
  ahead: number;
  /** Before the first records come. */
  begin: (db: AetasDatabase) => PromiseLike<unknown>;
  /** Stores some; a promise of the database where it has to be waited for. */
  take: (db: AetasDatabase, handed: Handed) => PromiseLike<unknown> | undefined;
  /** After the last ones. */
  end: (db: AetasDatabase) => PromiseLike<unknown>;
}

/**
 * Puts the records of a file in the place of all that the bench holds; it can be undone. Reading, checking and storing are
 * one transaction: the file is taken whole or not at all, whatever happens on the way.
 * @param read reads the file into a sink as it is stored, and says whether all of it was in order: see `asStored`
 * @param withoutCopy frees space although there is no room for a copy: then it cannot be undone
 * @returns what `read` answers; when that is a failure, nothing has changed
 */
export async function importBench<T>(
  read: (sink: StoredSink) => Promise<Result<T>>,
  withoutCopy = false,
): Promise<Result<T>> {
  return takeFile(read, withoutCopy, 'the import', {
    ahead: PACKED_AHEAD,
    begin: clearBench,
    take: (_db, { table, rows }) => {
      addRows(table, rows);
      return undefined;
    },
    end: (db) => db.done.put({ id: '*', updatedMs: Date.now() }),
  });
}

/** Should a transaction ever have been committed half way, what it kept first is brought back: whole or not at all. */
async function takeBackHalf(db: AetasDatabase, half: string, withoutCopy: boolean): Promise<void> {
  const found = await db.done.get(half).catch(() => undefined);
  if (found === undefined) return;
  if (withoutCopy)
    throw new Refusal(
      'The browser stored a part of the file only, and there is no copy of what was here. Open the file again.',
    );
  await undoAct();
  await db.done.delete(half);
}

/** Whether an error says that the user stopped. It may come from a worker, where only its name travels. */
export function isStop(error: unknown): boolean {
  return error instanceof Error && error.name === 'Stopped';
}

/**
 * Waits for a file that is taken in, here or in a worker, and tells the page when the browser refuses to store it. A file
 * that is refused is no trouble of the storage, and neither is a user who stopped it.
 */
export async function guardedFile<T>(take: () => Promise<Result<T>>): Promise<Result<T>> {
  try {
    return await guardedWrite('import', take);
  } catch (error) {
    if (isStop(error)) forgetTrouble('import');
    throw error;
  }
}

/** Takes a file in, as one transaction: reading, checking and storing happen whole or not at all. */
async function takeFile<T>(
  read: (sink: StoredSink) => Promise<Result<T>>,
  withoutCopy: boolean,
  what: string,
  { ahead, begin, take, end }: ImportMode,
): Promise<Result<T>> {
  const db = database();
  /** Stands in the database while the file is half taken: no one can see it, unless the transaction was committed too soon. */
  const half = `half:${crypto.randomUUID()}`;
  const passage = new Passage(ahead);
  const reading = read(passage.hand).finally(() => passage.end());
  /** Whether reading failed by itself, and not because the bench took nothing more. */
  let ownFault = false;
  reading.catch(() => {
    ownFault = !passage.failed;
  });
  try {
    return await db.transaction('rw', actTables, () =>
      inSteps(
        (function* () {
          if (!withoutCopy) yield* step(keepWhole(db, what));
          yield* step(db.done.put({ id: half, updatedMs: Date.now() }));
          yield* step(begin(db));
          // Anything that is asked waits for what was handed over before, and says if it was refused.
          const stored = (): PromiseLike<unknown> => db.done.get('');
          for (let batch = 1; ; batch++) {
            let next = passage.ready();
            if (next === null) {
              yield* step(stored());
              // Waiting costs requests that keep the transaction open.
              next = yield* step(Dexie.waitFor(passage.next()));
            }
            if (next === null) break;
            const taken = take(db, next);
            if (taken !== undefined) yield* step(taken);
            if (batch % AHEAD === 0) yield* step(stored());
          }
          yield* step(stored());
          const answer = yield* step(Dexie.waitFor(reading));
          if (!answer.ok) throw new NotTaken();
          yield* step(end(db));
          yield* step(forgetOlder(db));
          yield* step(db.done.delete(half));
          return answer;
        })(),
      ),
    );
  } catch (error) {
    passage.fail(error);
    await takeBackHalf(db, half, withoutCopy);
    const answer = await reading.catch(() => null);
    if (answer !== null && !answer.ok) return answer;
    if (ownFault && !isStop(error))
      return failure({ path: '', message: `The file could not be read to its end (${(error as Error).message}).` });
    throw error;
  }
}

/**
 * Empties the bench, drafts included; it can be undone.
 * @param withoutCopy frees space although there is no room for a copy: then it cannot be undone
 */
export async function wipeRecords(withoutCopy = false): Promise<void> {
  await guardedWrite('empty', async () => {
    const db = database();
    await db.transaction('rw', actTables, () =>
      inSteps(
        (function* () {
          if (withoutCopy) {
            yield* step(db.kept.clear());
            yield* step(db.acts.clear());
          } else yield* step(keepWhole(db, 'emptying the bench'));
          yield* step(clearBench(db));
          // Where there is no room for anything, only what deletes goes through.
          if (withoutCopy) return;
          yield* step(db.done.put({ id: '*', updatedMs: Date.now() }));
          yield* step(forgetOlder(db));
        })(),
      ),
    );
    if (withoutCopy) await db.done.put({ id: '*', updatedMs: Date.now() }).catch(() => undefined);
  });
  dropAllAhead();
}

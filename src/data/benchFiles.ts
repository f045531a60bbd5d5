import Dexie from 'dexie';
import type { RowSink } from '@/core/formats/benchFile';
import type { TableName } from '@/core/records/records';
import type { Result } from '@/core/schema/result';
import { tableNames } from '@/core/records/tables';
import { forgetOlder } from './act';
import { addRows } from './addRows';
import { actTables, database } from './database';
import { LineBuilder, writeLines } from './lines';
import { forgetTrouble, guardedWrite } from './trouble';
import { dropAllAhead } from './typedAhead';
import { clearBench, keepWhole } from './undo';

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

/** Some records of a table. */
interface Handed {
  table: TableName;
  rows: unknown[];
}

/** Batches that a file may run ahead of the database: enough that neither waits for the other, and few enough for memory. */
const AHEAD = 40;

/** Records on their way from a file into the bench. */
class Passage {
  private readonly waiting: Handed[] = [];
  private listeners: (() => void)[] = [];
  private ended = false;
  private broken: unknown = null;

  /** Hands records over; settles when there is room for more. */
  readonly hand = async (table: TableName, rows: unknown[]): Promise<void> => {
    if (this.broken === null) this.waiting.push({ table, rows });
    this.tell();
    await this.until(() => this.waiting.length < AHEAD || this.broken !== null);
    if (this.broken !== null) throw this.broken;
  };

  /** Nothing more comes. */
  end(): void {
    this.ended = true;
    this.tell();
  }

  get failed(): boolean {
    return this.broken !== null;
  }

  /** The bench takes nothing more: whoever hands records over is told. */
  fail(error: unknown): void {
    this.broken = error;
    this.waiting.length = 0;
    this.tell();
  }

  /** Settles when there is plenty to take, or nothing more comes. */
  plenty(): Promise<void> {
    return this.until(() => this.ended || this.waiting.length >= AHEAD);
  }

  /** The next records if some are waiting. */
  ready(): Handed | null {
    const next = this.waiting.shift() ?? null;
    if (next !== null) this.tell();
    return next;
  }

  /** The next records; null when nothing more comes. */
  async next(): Promise<Handed | null> {
    await this.until(() => this.ended || this.waiting.length > 0);
    return this.ready();
  }

  private async until(there: () => boolean): Promise<void> {
    while (!there()) await new Promise<void>((resolve) => this.listeners.push(resolve));
  }

  private tell(): void {
    for (const listener of this.listeners.splice(0)) listener();
  }
}

/** Thrown within a transaction to take everything back when a file turns out to be wrong. */
class NotTaken extends Error {
  override name = 'NotTaken';
}

/**
 * Puts the records of a file in the place of all that the bench holds; it can be undone. Reading, checking and storing are
 * one transaction: the file is taken whole or not at all, whatever happens on the way.
 * @param read reads the file into a sink, and says whether all of it was in order
 * @param withoutCopy frees space although there is no room for a copy: then it cannot be undone
 * @returns what `read` answers; when that is a failure, nothing has changed
 */
export async function importBench<T>(
  read: (sink: RowSink) => Promise<Result<T>>,
  withoutCopy = false,
): Promise<Result<T>> {
  const db = database();
  const passage = new Passage();
  const reading = read(passage.hand as RowSink).finally(() => passage.end());
  /** Whether reading failed by itself, and not because the bench took nothing more. */
  let ownFault = false;
  reading.catch(() => {
    ownFault = !passage.failed;
  });
  try {
    await passage.plenty();
    const result = await guardedWrite('import', () =>
      db.transaction('rw', actTables, async () => {
        if (!withoutCopy) await keepWhole(db, 'the import');
        await clearBench(db);
        const lines = new LineBuilder();
        // Anything that is asked waits for what was handed over before, and says if it was refused.
        const stored = (): PromiseLike<unknown> => db.done.get('');
        for (let batch = 1; ; batch++) {
          let next = passage.ready();
          if (next === null) {
            await stored();
            // Waiting costs requests that keep the transaction open.
            next = await Dexie.waitFor(passage.next());
          }
          if (next === null) break;
          addRows(next.table, next.rows);
          lines.take(next.table, next.rows);
          if (batch % AHEAD === 0) await stored();
        }
        await stored();
        const answer = await Dexie.waitFor(reading);
        if (!answer.ok) throw new NotTaken();
        await writeLines(db, lines);
        await db.done.put({ id: '*', updatedMs: Date.now() });
        await forgetOlder(db);
        return answer;
      }),
    );
    dropAllAhead();
    return result;
  } catch (error) {
    passage.fail(error);
    // A file that was refused is no trouble of the storage, and neither is a user who stopped it.
    const answer = await reading.catch(() => null);
    if (ownFault || (answer !== null && !answer.ok)) forgetTrouble('import');
    if (answer !== null && !answer.ok) return answer;
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
    await db.transaction('rw', actTables, async () => {
      if (withoutCopy) {
        await db.kept.clear();
        await db.acts.clear();
      } else await keepWhole(db, 'emptying the bench');
      await clearBench(db);
      await db.done.put({ id: '*', updatedMs: Date.now() });
      await forgetOlder(db);
    });
  });
  dropAllAhead();
}

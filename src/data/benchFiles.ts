import type { Records, TableName } from '@/core/records/records';
import { tableNames } from '@/core/records/tables';
import { forgetOlder } from './act';
import { actTables, database, type Staged } from './database';
import { rebuildLines } from './lines';
import { guardedWrite } from './trouble';
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

/** Lets go of what a file left behind that was not taken to its end. */
export async function clearStaged(): Promise<void> {
  await database().staged.clear();
}

/** Sets records of a file aside until all of it was read. */
export async function stage<T extends TableName>(table: T, rows: Records[T]): Promise<void> {
  await guardedWrite('import', () => database().staged.add({ table, rows } as unknown as Staged));
}

/**
 * Puts what was staged in the place of all that the bench holds; it can be undone. One transaction: whole or not at all.
 * @param withoutCopy frees space although there is no room for a copy: then it cannot be undone
 */
export async function takeStaged(withoutCopy = false): Promise<void> {
  await guardedWrite('import', async () => {
    const db = database();
    await db.transaction('rw', [...actTables, 'staged'], async () => {
      const keys = await db.staged.toCollection().primaryKeys();
      if (!withoutCopy) await keepWhole(db, 'the import');
      await clearBench(db);
      for (const key of keys) {
        const lump = await db.staged.get(key);
        if (lump !== undefined) await db.table(lump.table).bulkAdd(lump.rows);
      }
      await rebuildLines(db);
      await db.staged.clear();
      await db.done.put({ id: '*', updatedMs: Date.now() });
      await forgetOlder(db);
    });
  });
  dropAllAhead();
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

import { writeBackup, readBackup } from '@/core/formats/backup';
import type { Records } from '@/core/records/records';
import { noRecords, tableNames } from '@/core/records/tables';
import { database } from './database';
import { dropAllAhead } from './typedAhead';
import { guardedWrite } from './write';

/** How many states before something large are kept. */
const KEPT = 3;

/** Every record of the bench, by table. */
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
  await db.transaction('rw', tableNames, async () => {
    for (const name of tableNames) {
      await db.table(name).clear();
      await db.table(name).bulkAdd(records[name]);
    }
  });
  dropAllAhead();
}

/**
 * Keeps all records as they are before something large.
 * @param what what is about to be done, as in “removing …”
 */
export async function keepSafe(what: string): Promise<void> {
  const db = database();
  const atMs = Date.now();
  const backup = writeBackup(await allRecords(), new Date(atMs).toISOString());
  await db.safekeeping.add({ atMs, what, backup });
  const all = await db.safekeeping.orderBy('id').primaryKeys();
  await db.safekeeping.bulkDelete(all.slice(0, -KEPT));
}

/** Brings back the records as they were before the last large act. */
export async function undoLast(): Promise<void> {
  await guardedWrite(async () => {
    const db = database();
    const last = await db.safekeeping.orderBy('id').last();
    if (last === undefined) return;
    const records = readBackup(last.backup);
    if (!records.ok) throw new Error(`The kept state cannot be read: ${records.problems[0]?.message ?? ''}`);
    await replaceRecords(records.value);
    await db.safekeeping.delete(last.id);
  });
}

/** Lets the offer to undo go, without undoing. */
export async function forgetLast(): Promise<void> {
  const db = database();
  const last = await db.safekeeping.orderBy('id').last();
  if (last !== undefined) await db.safekeeping.delete(last.id);
}

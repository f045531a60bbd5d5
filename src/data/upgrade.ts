import type Dexie from 'dexie';
import type { Migration, RawRecords } from '@/core/formats/migrations';

/** How far an upgrade of the bench is. */
export interface UpgradeProgress {
  /** What is brought up to date, as in “photographs as files”. */
  name: string;
  done: number;
  of: number;
}

let tell: ((progress: UpgradeProgress) => void) | null = null;

/** Follows an upgrade that opening the bench may bring; one listener at a time. */
export function onUpgradeProgress(listener: ((progress: UpgradeProgress) => void) | null): void {
  tell = listener;
}

interface UpgradeTransaction {
  storeNames: string[];
  table: Dexie['table'];
}

/** Version that gave copies a place. */
const COPIES_SINCE = 6;

/**
 * Takes one step of the record shape, within the transaction that upgrades the database: it happens whole or not at all. Tables of
 * small records are changed together, with a copy kept; those that a step changes row by row are held one row at a time.
 */
export async function upgradeTables(transaction: UpgradeTransaction, step: Migration): Promise<void> {
  const present = step.tables.filter((table) => transaction.storeNames.includes(table));
  const single = present.filter((table) => step.eachRow?.[table] !== undefined);
  const raw: RawRecords = {};
  for (const table of present) raw[table] = single.includes(table) ? [] : await transaction.table(table).toArray();
  const together = present.filter((table) => !single.includes(table));
  await keepOlder(transaction, step, raw, together);
  const changed = step.change(structuredClone(raw));
  for (const table of together) {
    await transaction.table(table).clear();
    await transaction.table(table).bulkAdd(changed[table] ?? []);
  }
  for (const table of single) await changeEach(transaction, step, table);
  await upgradeKept(transaction, step);
}

async function changeEach(transaction: UpgradeTransaction, step: Migration, table: string): Promise<void> {
  const change = step.eachRow?.[table];
  if (change === undefined) return;
  const keys = await transaction.table(table).toCollection().primaryKeys();
  for (const [done, key] of keys.entries()) {
    tell?.({ name: step.name, done, of: keys.length });
    const row: unknown = await transaction.table(table).get(key);
    await transaction.table(table).put(change(row));
  }
}

/** Keeps a copy of what a step changes, where the database has a place for it already. */
async function keepOlder(
  transaction: UpgradeTransaction,
  step: Migration,
  raw: RawRecords,
  tables: readonly string[],
): Promise<void> {
  if (step.to < COPIES_SINCE || tables.every((table) => raw[table]?.length === 0)) return;
  const act = { atMs: Date.now(), what: `the upgrade “${step.name}”`, kind: 'upgrade', version: step.to - 1 };
  const actId = (await transaction.table('acts').add(act)) as number;
  for (const table of tables) await transaction.table('kept').add({ actId, table, rows: raw[table] });
}

/** Records that wait to be brought back by an undo take the step as well; the copies from before it stay what they are. */
async function upgradeKept(transaction: UpgradeTransaction, step: Migration): Promise<void> {
  // A table that comes with this version is empty.
  if (step.to <= COPIES_SINCE || !transaction.storeNames.includes('kept')) return;
  const acts = (await transaction.table('acts').toArray()) as { id: number; kind: string }[];
  for (const { id, kind } of acts) {
    if (kind === 'upgrade') continue;
    for (const key of await transaction.table('kept').where({ actId: id }).primaryKeys()) {
      const kept = (await transaction.table('kept').get(key)) as { table: string; rows?: unknown[] };
      if (kept.rows === undefined || !step.tables.includes(kept.table)) continue;
      const rows = step.change({ [kept.table]: kept.rows })[kept.table] ?? [];
      await transaction.table('kept').update(key, { rows });
    }
    await transaction.table('acts').update(id, { version: step.to });
  }
}

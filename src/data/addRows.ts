import Dexie, { type PromiseExtended } from 'dexie';
import { pack } from './packing';

/**
 * Adds many rows within the current transaction, past the per-row bookkeeping of the database package: for whole benches,
 * where it costs more than the storing. A row that cannot be added takes the whole transaction back. Pages that watch a
 * table are told because it is cleared in the same transaction.
 * @param table the rows' table
 * @param rows rows with keys of their own
 */
export function addRows(table: string, rows: readonly unknown[]): void {
  const store = Dexie.currentTransaction.idbtrans.objectStore(table);
  for (const row of rows) store.add(pack(table, row));
}

/** Rows as the database holds them, and the key after which the next ones come. */
export interface StoredRows {
  rows: unknown[];
  last: IDBValidKey | null;
}

/**
 * Reads rows as they are stored, packed or not, within the current transaction: for copies, which nobody looks into.
 * @param table the rows' table
 * @param after key of the row before them; null to begin with the first
 * @param most how many at the most
 */
export function storedRows(table: string, after: IDBValidKey | null, most: number): PromiseExtended<StoredRows> {
  const store = Dexie.currentTransaction.idbtrans.objectStore(table);
  const request = store.getAll(after === null ? null : IDBKeyRange.lowerBound(after, true), most);
  return new Dexie.Promise<StoredRows>((resolve, reject) => {
    request.onsuccess = () => {
      const rows = request.result as { id: IDBValidKey }[];
      resolve({ rows, last: rows.at(-1)?.id ?? null });
    };
    request.onerror = () => reject(request.error);
  });
}

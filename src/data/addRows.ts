import Dexie from 'dexie';
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

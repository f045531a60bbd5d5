import * as z from 'zod';
import { freeValue, idField, instantMs } from '../schema/fields';
import { crc32 } from '../formats/zipEntries';
import { tableNames } from '../records/tables';
import type { TableName } from '../records/records';

/** Tables that stay in step. Settings belong to a device, and what is half typed to its page. */
export const syncedTables = tableNames.filter((name) => name !== 'settings' && name !== 'drafts') as [
  Exclude<TableName, 'settings' | 'drafts'>,
  ...Exclude<TableName, 'settings' | 'drafts'>[],
];
export type SyncedTable = (typeof syncedTables)[number];

/** A record of any synced table. */
export type Row = Record<string, unknown> & { id: string };

export const editSchema = z.strictObject({
  table: z.enum(syncedTables),
  id: idField,
  /** When it was written, ms since the epoch, and where. Together they put all edits of a field in one order. */
  ms: instantMs,
  device: idField,
  /** Fields that this edit wrote, those that it took away too; null for a record that was removed. */
  fields: z.array(z.string().max(60)).max(100).nullable(),
  /** The record as its device had it then; null for one that was removed. */
  row: z.looseObject({ id: idField }).and(freeValue).nullable(),
});

/** One edit of one record by one device. */
export interface Edit {
  table: SyncedTable;
  id: string;
  ms: number;
  device: string;
  fields: string[] | null;
  row: Row | null;
}

/** A record as it was when it was last in step. */
export interface Known {
  /** A mark of each field's value. */
  fields: Record<string, string>;
  /** The latest stamp that was seen of it. */
  ms: number;
  /** It was removed. */
  gone?: boolean;
}

/** How far a clock may be ahead before its edits count as written now, ms. Source: our choice, as for files. */
const AHEAD_MS = 24 * 60 * 60_000;

/** Puts the keys of every object in one order, so that the same value is the same text on every device. */
function ordered(value: unknown): unknown {
  if (Array.isArray(value)) return value.map(ordered);
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(
    Object.entries(value)
      .filter(([, one]) => one !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : 1))
      .map(([name, one]) => [name, ordered(one)]),
  );
}

const encoder = new TextEncoder();

/**
 * A mark of a value: the same for the same value, and another one for another.
 * Source: CRC-32 (ISO 3309) with the length; two values of one field that meet in both are one of four thousand million.
 */
export function markOf(value: unknown): string {
  const bytes = encoder.encode(JSON.stringify(ordered(value)) ?? '');
  return `${crc32(bytes).toString(36)}.${bytes.length.toString(36)}`;
}

/** A record as it is in step now. */
export function knownOf(row: Row | null, ms: number): Known {
  if (row === null) return { fields: {}, ms, gone: true };
  const named = Object.entries(row).filter(([, value]) => value !== undefined);
  return { fields: Object.fromEntries(named.map(([name, value]) => [name, markOf(value)])), ms };
}

/**
 * What was done to a record since it was last in step.
 * @param known as it was then; undefined for one that is new
 * @param place its table and id
 * @param row as it is now; null where it is gone
 * @param by the device, and this instant in ms since the epoch
 * @returns null where nothing was done. An edit is stamped by the record's own time, and always after what it was made from, whatever
 *   the clock of its device says
 */
export function editOf(
  known: Known | undefined,
  { table, id }: Pick<Edit, 'table' | 'id'>,
  row: Row | null,
  { device, nowMs }: { device: string; nowMs: number },
): Edit | null {
  const after = known === undefined ? 0 : known.ms + 1;
  if (row === null) {
    if (known === undefined || known.gone === true) return null;
    return { table, id, ms: Math.max(nowMs, after), device, fields: null, row: null };
  }
  const now = knownOf(row, 0).fields;
  const before = known?.fields ?? {};
  const fields = [...new Set([...Object.keys(now), ...Object.keys(before)])].filter(
    (name) => now[name] !== before[name],
  );
  if (fields.length === 0) return null;
  const written = typeof row.updatedMs === 'number' && row.updatedMs <= nowMs + AHEAD_MS ? row.updatedMs : nowMs;
  return { table, id, ms: Math.max(Math.round(written), after), device, fields: fields.sort(), row };
}

/** Whether one edit comes after another: by time, and of the same time by the device. */
export function isLater(a: Pick<Edit, 'ms' | 'device'>, b: Pick<Edit, 'ms' | 'device'>): boolean {
  return a.ms === b.ms ? a.device > b.device : a.ms > b.ms;
}

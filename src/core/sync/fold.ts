import { links } from '../formats/links';
import { isLater, type Edit, type Row, type SyncedTable } from './edit';

/** A record as all edits together leave it. */
export interface Folded {
  table: SyncedTable;
  id: string;
  /** Null for one that was removed. */
  row: Row | null;
  /** The latest stamp of its edits. */
  ms: number;
  /** It waits for something that it belongs to and that has not come yet, or for a newer Aetas: nothing is done to it. */
  held: boolean;
}

/** Key of a record among those of all tables. */
export const keyOf = (table: string, id: string): string => `${table} ${id}`;

/**
 * Brings edits of several devices together. The same edits give the same records, in whatever order they come, and however often.
 * @param edits of all devices
 * @param check whether a record has the shape that this Aetas knows
 * @returns every record that an edit names. Of a field the latest edit counts; a record that was removed comes back by an edit that is
 *   later, or by another record that belongs to it and was not removed: nothing that was typed goes without a word
 * Source: last writer wins, field by field, with removals kept (textbook: state-based replicated data types, Shapiro and others 2011)
 */
export function fold(
  edits: Iterable<Edit>,
  check: (table: SyncedTable, row: Row) => boolean = () => true,
): Map<string, Folded> {
  const byKey = new Map<string, Edit[]>();
  for (const edit of edits) {
    const key = keyOf(edit.table, edit.id);
    const found = byKey.get(key);
    if (found === undefined) byKey.set(key, [edit]);
    else found.push(edit);
  }
  const folded = new Map<string, Folded>();
  /** Records that were removed, as they were: something may belong to them yet. */
  const ghosts = new Map<string, Row>();
  for (const [key, some] of byKey) {
    const { table, id } = some[0] as Edit;
    const inOrder = some.sort((a, b) => (isLater(a, b) ? 1 : isLater(b, a) ? -1 : 0));
    const row = rowOf(table, inOrder, check);
    const last = inOrder.at(-1) as Edit;
    const gone = last.fields === null;
    if (gone && row !== null) ghosts.set(key, row);
    folded.set(key, { table, id, row: gone ? null : row, ms: last.ms, held: !gone && row === null });
  }
  bringBackOwners(folded, ghosts);
  holdOrphans(folded);
  for (const one of folded.values()) if (one.row !== null) one.row = withoutDeadLinks(one, one.row, folded);
  return folded;
}

/** A record field by field; null where no edit of it has a shape that this Aetas knows. */
function rowOf(
  table: SyncedTable,
  inOrder: readonly Edit[],
  check: (table: SyncedTable, row: Row) => boolean,
): Row | null {
  const written = inOrder.filter((edit): edit is Edit & { row: Row; fields: string[] } => edit.row !== null);
  const last = written.at(-1);
  if (last === undefined) return null;
  const row: Row = { ...last.row };
  const by = new Map<string, Row>();
  for (const edit of written) for (const field of edit.fields) by.set(field, edit.row);
  for (const [field, from] of by) row[field] = from[field];
  // A field that was taken away is none, rather than an empty one.
  const merged = Object.fromEntries(Object.entries(row).filter(([, value]) => value !== undefined)) as Row;
  if (check(table, merged)) return merged;
  // Two sound edits can make something that is none: then the later one counts whole.
  return check(table, last.row) ? last.row : null;
}

/** What a record of another table belongs to, whatever was done to it, is there. */
function bringBackOwners(folded: Map<string, Folded>, ghosts: ReadonlyMap<string, Row>): void {
  const waiting = [...folded.values()].filter(({ row }) => row !== null);
  for (let one = waiting.pop(); one !== undefined; one = waiting.pop()) {
    for (const { field, target, nullable } of links[one.table] ?? []) {
      if (nullable) continue;
      const key = keyOf(target, String(one.row?.[field]));
      const owner = folded.get(key);
      const ghost = ghosts.get(key);
      if (owner === undefined || owner.row !== null || owner.held || ghost === undefined) continue;
      owner.row = ghost;
      waiting.push(owner);
    }
  }
}

/** Records whose owner has not come yet wait for it. */
function holdOrphans(folded: Map<string, Folded>): void {
  for (let again = true; again;) {
    again = false;
    for (const one of folded.values()) {
      if (one.row === null || one.held) continue;
      const { row } = one;
      const waits = (links[one.table] ?? []).some(({ field, target, nullable }) => {
        const owner = nullable ? null : folded.get(keyOf(target, String(row[field])));
        return owner !== null && (owner === undefined || owner.row === null || owner.held);
      });
      if (!waits) continue;
      one.held = true;
      again = true;
    }
  }
}

/** A link that may be empty, and leads to nothing that is here, is. */
function withoutDeadLinks({ table }: Folded, row: Row, folded: ReadonlyMap<string, Folded>): Row {
  const dead = (links[table] ?? []).filter(({ field, target, nullable }) => {
    if (!nullable || row[field] == null) return false;
    const there = folded.get(keyOf(target, String(row[field])));
    return there === undefined || there.row === null || there.held;
  });
  return dead.length === 0 ? row : { ...row, ...Object.fromEntries(dead.map(({ field }) => [field, null])) };
}

import type { AetasDatabase } from './database';
import type { RollLine, RunLine } from './lines';

/*
 * A list of ten thousand lines is read whole, and a database takes longest over the number of its rows. Lines are stored in
 * shards: each id has its shard by a hash, so that one line is found and changed without a look at the others.
 */

/** Lists, with their lines. A roll stands in one of two. */
export interface ListLines {
  open: RollLine;
  finished: RollLine;
  runs: RunLine;
}
export type ListName = keyof ListLines;

/** Lines of one list that are stored together. */
export interface Shard {
  id: string;
  /** Its list; `first` for a shard that holds the newest lines of a list once more. */
  list: ListName | 'first';
  /** Grows with every change of any shard. */
  revision: number;
  /** How many lines there are. */
  count: number;
  /** When the last run in it began that was judged, ms since the epoch; 0 where none was. */
  judgedMs: number;
  /** The lines as JSON text: the database copies a text faster than a tree of objects. */
  text: string;
}

/** Shards of a list. Of ten thousand lines each holds some forty, which the browser still stores as one value. Source: our choice. */
const SHARDS = 256;

/** Newest lines that are kept once more, for a page that shows them first, and how few of them are left before they are read anew. */
const FIRST_LINES = 60;
const FEW_LINES = 20;

type Shards = Pick<AetasDatabase, 'shards'>;

/** FNV-1a, 32 bits. Source: published: Fowler, Noll and Vo, in the public domain. */
function hash(id: string): number {
  let value = 0x811c9dc5;
  for (let at = 0; at < id.length; at++) value = Math.imul(value ^ id.charCodeAt(at), 0x01000193);
  return value >>> 0;
}

function shardOf(list: ListName, id: string): string {
  return `${list}:${hash(id) % SHARDS}`;
}

function linesIn<L extends ListName>(shard: Shard | undefined): ListLines[L][] {
  return shard === undefined ? [] : (JSON.parse(shard.text) as ListLines[L][]);
}

function shard<L extends ListName>(
  list: L | 'first',
  id: string,
  lines: readonly ListLines[L][],
  revision: number,
): Shard {
  const judged = list === 'runs' ? (lines as readonly RunLine[]).filter(({ verdict }) => verdict !== null) : [];
  const judgedMs = judged.reduce((last, { startedMs }) => Math.max(last, startedMs), 0);
  return { id, list, revision, count: lines.length, judgedMs, text: JSON.stringify(lines) };
}

/** What a list goes by: when a run began, when a roll was last changed; ms since the epoch. */
function orderMs<L extends ListName>(list: L, line: ListLines[L]): number {
  return list === 'runs' ? (line as RunLine).startedMs : line.updatedMs;
}

/** Lines of a list, the newest first. */
export function newestFirst<L extends ListName>(list: L, lines: readonly ListLines[L][]): ListLines[L][] {
  return [...lines].sort((a, b) => orderMs(list, b) - orderMs(list, a));
}

function firstOf(list: ListName): string {
  return `first:${list}`;
}

/** The shard that holds the newest of some lines once more. */
function firstShard<L extends ListName>(list: L, lines: readonly ListLines[L][], revision: number): Shard {
  return shard<L>('first', firstOf(list), newestFirst(list, lines).slice(0, FIRST_LINES), revision);
}

/** A revision after all that there were. */
function nextRevision(db: Shards): PromiseLike<number> {
  return db.shards
    .orderBy('revision')
    .last()
    .then((last) => Math.max(Date.now(), (last?.revision ?? 0) + 1));
}

/** Shards of a whole list. */
export function shardsOf<L extends ListName>(list: L, lines: readonly ListLines[L][]): Shard[] {
  const revision = Date.now();
  const byShard = new Map<string, ListLines[L][]>();
  for (const line of lines) {
    const id = shardOf(list, line.id);
    const there = byShard.get(id);
    if (there === undefined) byShard.set(id, [line]);
    else there.push(line);
  }
  const shards = [...byShard].map(([id, some]) => shard(list, id, some, revision));
  return lines.length === 0 ? [] : [...shards, firstShard(list, lines, revision)];
}

/** The newest lines of a list, and whether these are all. */
export async function firstLines<L extends ListName>(
  db: Shards,
  list: L,
): Promise<{ lines: ListLines[L][]; all: boolean }> {
  const [first, total] = await Promise.all([db.shards.get(firstOf(list)), countLines(db, list)]);
  return { lines: linesIn<L>(first), all: total <= (first?.count ?? 0) };
}

/** Lines of a list by id; those that are not there are left out. */
export async function linesWith<L extends ListName>(
  db: Shards,
  list: L,
  ids: readonly string[],
): Promise<ListLines[L][]> {
  const wanted = new Set(ids);
  const shards = await db.shards.bulkGet([...new Set(ids.map((id) => shardOf(list, id)))]);
  return shards.flatMap((one) => linesIn<L>(one)).filter(({ id }) => wanted.has(id));
}

/** All lines of a list, in no order. */
export async function allLines<L extends ListName>(db: Shards, list: L): Promise<ListLines[L][]> {
  const shards = await db.shards.where('[list+revision]').between([list, -Infinity], [list, Infinity]).toArray();
  return shards.flatMap((one) => linesIn<L>(one));
}

/** Lines of the shards that changed after a revision. */
export async function changedLines<L extends ListName>(db: Shards, list: L, after: number): Promise<ListLines[L][]> {
  const shards = await db.shards.where('[list+revision]').between([list, after], [list, Infinity], false).toArray();
  return shards.flatMap((one) => linesIn<L>(one));
}

/** Last revision of a list; 0 where it is empty. */
export async function lastRevision(db: Shards, list: ListName): Promise<number> {
  const last = await db.shards.where('[list+revision]').between([list, -Infinity], [list, Infinity]).last();
  return last?.revision ?? 0;
}

/** How many lines a list has. */
export async function countLines(db: Shards, list: ListName): Promise<number> {
  const keys = await db.shards.where('[list+count]').between([list, -Infinity], [list, Infinity]).keys();
  return (keys as unknown as [ListName, number][]).reduce((sum, [, count]) => sum + count, 0);
}

/** The run that began last of those that were judged; null when none was. */
export async function lastJudged(db: Shards): Promise<RunLine | null> {
  const last = await db.shards.orderBy('judgedMs').last();
  return (
    linesIn<'runs'>(last).find(({ verdict, startedMs }) => verdict !== null && startedMs === last?.judgedMs) ?? null
  );
}

/**
 * Puts lines into a list and takes others off it. Called within a transaction.
 * @param list which
 * @param put lines in the place of those with the same ids
 * @param gone ids of those that go
 */
export async function changeLines<L extends ListName>(
  db: Shards,
  list: L,
  put: readonly ListLines[L][],
  gone: readonly string[],
): Promise<void> {
  const ids = [...put.map(({ id }) => id), ...gone];
  const shardIds = [...new Set(ids.map((id) => shardOf(list, id)))];
  if (shardIds.length === 0) return;
  const there = await db.shards.bulkGet(shardIds);
  const changed = new Set(ids);
  // Most of what goes off a list never stood on it.
  if (put.length === 0 && !there.some((one) => linesIn<L>(one).some(({ id }) => changed.has(id)))) return;
  const revision = await nextRevision(db);
  const before = await firstLines(db, list);
  const others = (lines: readonly ListLines[L][]): ListLines[L][] => lines.filter(({ id }) => !changed.has(id));
  for (const [index, id] of shardIds.entries()) {
    const lines = [...others(linesIn<L>(there[index])), ...put.filter((line) => shardOf(list, line.id) === id)];
    if (lines.length > 0) await db.shards.put(shard(list, id, lines, revision));
    else if (there[index] !== undefined) await db.shards.delete(id);
  }
  // What is older than the last of the first lines may stand behind others that are not among them.
  const last = before.lines.at(-1);
  const oldestMs = before.all || last === undefined ? -Infinity : orderMs(list, last);
  const first = [...others(before.lines), ...put.filter((line) => orderMs(list, line) >= oldestMs)];
  const few = first.length < FEW_LINES && !before.all;
  const newest = few ? await allLines(db, list) : first;
  if (newest.length > 0) await db.shards.put(firstShard(list, newest, revision));
  else await db.shards.delete(firstOf(list));
}

/** Puts shards in the place of all that there are. Called within a transaction. */
export function replaceShards(db: Shards, shards: readonly Shard[]): PromiseLike<unknown> {
  return nextRevision(db).then((revision) =>
    db.shards.clear().then(() => db.shards.bulkAdd(shards.map((one) => ({ ...one, revision })))),
  );
}

/** Whether lines of judged runs were made before they told what estimates learn of them. */
export async function hasOldLines(db: Shards): Promise<boolean> {
  const judged = await db.shards.where('judgedMs').above(0).first();
  return linesIn<'runs'>(judged).some((line) => !('judged' in line));
}

import type Dexie from 'dexie';
import type { Draft } from '@/core/records/records';
import { benchName } from './benchName';
import { immediately } from './immediateStore';

/*
 * The database writes a moment after the letter, and a page that goes in that moment takes the letter along. So each
 * draft is written at once where the browser writes at once, and leaves again when the database has it. After a crash the
 * browser may give back an older state of that place than of the database: every text carries its age, and the older
 * never replaces the newer.
 */

/** A form as typed, on its way into the database. */
export interface Ahead {
  id: string;
  /** All its fields. */
  values: unknown;
  /** The fields that changed since the database last had it: another tab may have changed others. */
  part: unknown;
  updatedMs: number;
  /** Typed before the kept form was found: it goes behind what is kept. */
  early?: boolean;
}

/** A form that was finished, up to an age; `*` stands for all forms of the bench. */
export interface Done {
  id: string;
  updatedMs: number;
}

/** Where the written-ahead drafts of this page's bench stand. */
function place(key = ''): string {
  return `aetas.typed.${benchName()}.${key}`;
}

const lastStamps = new Map<string, number>();

/** An age for what is typed into a form now: this instant, and later than any before it. */
export function nextStamp(key: string): number {
  const stamp = Math.max(Date.now(), (lastStamps.get(key) ?? 0) + 1);
  lastStamps.set(key, stamp);
  return stamp;
}

/** Notes the age of what the database holds, so that what is typed next is younger even if the clock was set back. */
export function seenStamp(key: string, updatedMs: number): void {
  lastStamps.set(key, Math.max(updatedMs, lastStamps.get(key) ?? 0));
}

/** The youngest age that was given out for a form. */
export function lastStamp(key: string): number {
  return lastStamps.get(key) ?? Date.now();
}

/**
 * Writes a draft down before this returns. Where the browser refuses, an older one goes, so that it never comes back
 * over a newer one.
 * @param key which form
 * @param values its fields as typed
 * @param part the fields that changed; all, when left out
 * @returns what was written, by which `dropAhead` knows it again, and its age
 */
export function writeAhead(
  key: string,
  values: unknown,
  part: unknown = values,
  early = false,
): { text: string; stamp: number } {
  const stamp = nextStamp(key);
  const text = JSON.stringify({
    ...{ id: key, values, part, updatedMs: stamp },
    ...(early ? { early } : {}),
  } satisfies Ahead);
  const written = immediately((store) => {
    store.setItem(place(key), text);
    return true;
  });
  if (written === null) dropAhead(key);
  return { text, stamp };
}

/** What was written ahead and is not in the database yet; null when there is nothing. */
export function readAhead(key: string): Ahead | null {
  return aheadOf(immediately((store) => store.getItem(place(key))));
}

/**
 * Takes a written-ahead draft out.
 * @param key which form
 * @param text only when it still is this one; whichever it is, when left out
 */
export function dropAhead(key: string, text?: string): void {
  immediately((store) => {
    if (text === undefined || store.getItem(place(key)) === text) store.removeItem(place(key));
  });
}

/** Takes all written-ahead drafts of this bench out. */
export function dropAllAhead(): void {
  for (const key of keysAhead()) dropAhead(key);
}

/** How long a finished form is remembered, ms: far longer than browsers take to write their immediate store to disk. */
const REMEMBER_MS = 120_000;

/**
 * Brings what a page that went had only written ahead into the database, unless the database has something as young. What
 * does not get in stays written ahead.
 * @param db the database, as far as it is open to those that make it ready
 */
export async function bringInAhead(db: Dexie): Promise<void> {
  for (const key of keysAhead()) {
    const text = await db.transaction('rw', ['drafts', 'done'], async (transaction) => {
      const drafts = transaction.table<Draft>('drafts');
      const done = transaction.table<Done>('done');
      const [stored, finished, all] = [await drafts.get(key), await done.get(key), await done.get('*')];
      // Looked at inside, and after the first answer: another tab that types has put its own in before, or will after.
      const text = immediately((store) => store.getItem(place(key)));
      const ahead = aheadOf(text);
      const youngest = Math.max(stored?.updatedMs ?? 0, finished?.updatedMs ?? 0, all?.updatedMs ?? 0);
      if (ahead !== null && ahead.updatedMs > youngest)
        await drafts.put({ id: key, values: mergedDraft(stored?.values, ahead), updatedMs: ahead.updatedMs });
      return text;
    });
    if (text !== null) dropAhead(key, text);
  }
  const old = Date.now() - REMEMBER_MS;
  await db
    .table<Done>('done')
    .filter(({ updatedMs }) => updatedMs < old)
    .delete();
}

/** A stored draft with what a tab changed in it; the tab's own fields where nothing is stored. First letters go behind. */
export function mergedDraft(
  stored: unknown,
  { values, part, early }: Pick<Ahead, 'values' | 'part' | 'early'>,
): unknown {
  if (!isFields(stored) || !isFields(part)) return values;
  if (early !== true) return { ...stored, ...part };
  const behind = Object.entries(part).map(([field, typed]) => {
    const kept = stored[field];
    return [field, typeof kept === 'string' && typeof typed === 'string' ? kept + typed : typed] as const;
  });
  return { ...stored, ...Object.fromEntries(behind) };
}

function isFields(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function keysAhead(): string[] {
  const start = place();
  const all = immediately((store) => Array.from({ length: store.length }, (_, index) => store.key(index) ?? '')) ?? [];
  return all.filter((name) => name.startsWith(start)).map((name) => name.slice(start.length));
}

/** Reads a written-ahead draft; null when it is none. By hand: the schemas of all records would weigh on every page. */
function aheadOf(text: string | null): Ahead | null {
  if (text === null) return null;
  try {
    const read = JSON.parse(text) as Partial<Ahead> | null;
    if (typeof read?.id !== 'string' || typeof read.updatedMs !== 'number') return null;
    const { id, values, part = values, updatedMs, early = false } = read;
    return { id, values, part, updatedMs, ...(early ? { early } : {}) };
  } catch {
    return null;
  }
}

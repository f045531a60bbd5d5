import type Dexie from 'dexie';
import type { Draft } from '@/core/records/records';
import { benchName } from './benchName';

/*
 * The database writes a moment after the letter, and a page that goes in that moment takes the letter along. So each
 * draft is written at once where the browser writes at once, and leaves again when the database has it.
 */

/** Where the written-ahead drafts of this tab's bench stand. */
function place(key = ''): string {
  return `aetas.typed.${benchName()}.${key}`;
}

/** Does something with the browser's immediate store; null where there is none, or where it refuses. */
function inStore<T>(act: (store: Storage) => T): T | null {
  try {
    return globalThis.localStorage === undefined ? null : act(globalThis.localStorage);
  } catch {
    return null;
  }
}

/**
 * Writes a draft down before this returns. Where the browser refuses, an older one goes, so that it never comes back
 * over a newer one.
 * @param key which form
 * @param values its fields as typed
 * @returns what was written, by which `dropAhead` knows it again
 */
export function writeAhead(key: string, values: unknown): string {
  const text = JSON.stringify({ id: key, values, updatedMs: Date.now() } satisfies Draft);
  const written = inStore((store) => {
    store.setItem(place(key), text);
    return true;
  });
  if (written === null) dropAhead(key);
  return text;
}

/** The fields that were written ahead and are not in the database yet; undefined when there are none. */
export function readAhead(key: string): unknown {
  return draftOf(inStore((store) => store.getItem(place(key))))?.values;
}

/**
 * Takes a written-ahead draft out.
 * @param key which form
 * @param text only when it still is this one; whichever it is, when left out
 */
export function dropAhead(key: string, text?: string): void {
  inStore((store) => {
    if (text === undefined || store.getItem(place(key)) === text) store.removeItem(place(key));
  });
}

/** Takes all written-ahead drafts of this bench out. */
export function dropAllAhead(): void {
  for (const key of keysAhead()) dropAhead(key);
}

/**
 * Brings what a page that went had only written ahead into the database. What does not get in stays written ahead.
 * @param db the database, as far as it is open to those that make it ready
 */
export async function bringInAhead(db: Dexie): Promise<void> {
  for (const key of keysAhead()) {
    const text = await db.transaction('rw', 'drafts', async (transaction) => {
      const drafts = transaction.table<Draft>('drafts');
      await drafts.get(key);
      // Looked at inside, and after the first answer: another tab that types has put its own in before, or will after.
      const ahead = inStore((store) => store.getItem(place(key)));
      const draft = draftOf(ahead);
      if (draft !== null) await drafts.put(draft);
      return ahead;
    });
    if (text !== null) dropAhead(key, text);
  }
}

function keysAhead(): string[] {
  const start = place();
  const all = inStore((store) => Array.from({ length: store.length }, (_, index) => store.key(index) ?? '')) ?? [];
  return all.filter((name) => name.startsWith(start)).map((name) => name.slice(start.length));
}

/** Reads a written-ahead draft; null when it is none. By hand: the schemas of all records would weigh on every page. */
function draftOf(text: string | null): Draft | null {
  if (text === null) return null;
  try {
    const read = JSON.parse(text) as Partial<Draft> | null;
    return typeof read?.id === 'string' && typeof read.updatedMs === 'number'
      ? { id: read.id, values: read.values, updatedMs: read.updatedMs }
      : null;
  } catch {
    return null;
  }
}

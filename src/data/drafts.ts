import { liveQuery } from 'dexie';
import { database, type AetasDatabase } from './database';
import { forgetTrouble, guardedWrite } from './trouble';
import { dropAhead, lastStamp, mergedDraft, readAhead, seenStamp, writeAhead } from './draftJournal';

/** Parts of records that are stored as they are typed; their drafts are named by these, and by the record's id. */
const partNames = ['kit', 'hints', 'storage', 'xray', 'condition', 'frames', 'archive', 'tank'] as const;
export type PartName = (typeof partNames)[number];

/** There is one kit: its key is its name. */
const ONE_OF_A_KIND: PartName = 'kit';

/** Whether a draft belongs to a part that is stored as it is typed. */
export function isPartKey(key: string): boolean {
  return key === ONE_OF_A_KIND || partNames.some((name) => key.startsWith(`${name}:`));
}

/** What waits for a write that is under way. */
interface Waiting {
  values: unknown;
  part: unknown;
  text: string;
  stamp: number;
}

const waiting = new Map<string, Waiting>();
const writing = new Map<string, Promise<void>>();

/**
 * Keeps a form as typed. Called on every change. It is written ahead before this returns, so that not even a page that
 * goes at once loses a letter. While one write is under way only the latest fields wait, so that fast typing never
 * queues up behind itself. Only the fields that changed are written over what another tab may have changed meanwhile.
 * @param key which form
 * @param values its fields as typed
 * @param part the fields that changed; all, when left out
 * @returns settles when these fields, or later ones, are stored
 */
export function keepDraft(key: string, values: unknown, part: unknown = values): Promise<void> {
  const before = waiting.get(key);
  const changed = before === undefined ? part : mergedDraft(before.part, { values: part, part });
  waiting.set(key, { values, part: changed, ...writeAhead(key, values, changed) });
  const under = writing.get(key) ?? writeWaiting(key).finally(() => writing.delete(key));
  writing.set(key, under);
  return under;
}

async function writeWaiting(key: string): Promise<void> {
  for (let next = waiting.get(key); next !== undefined; next = waiting.get(key)) {
    const { text, stamp, ...typed } = next;
    waiting.delete(key);
    const db = database();
    const write = guardedWrite(`draft:${key}`, () =>
      db.transaction('rw', db.drafts, async () => {
        const stored = await db.drafts.get(key);
        seenStamp(key, stored?.updatedMs ?? 0);
        const updatedMs = Math.max(stamp, (stored?.updatedMs ?? 0) + 1);
        await db.drafts.put({ id: key, values: mergedDraft(stored?.values, typed), updatedMs });
        seenStamp(key, updatedMs);
      }),
    );
    await write.catch((error: unknown) => {
      retryLater(key, next);
      throw error;
    });
    dropAhead(key, text);
  }
}

/** How often a form that could not be stored is tried again, ms. */
const RETRY_MS = 4000;

/** Tries a form again later, under whatever was typed since. It stays written ahead meanwhile. */
function retryLater(key: string, failed: Waiting): void {
  const newer = waiting.get(key);
  if (newer === undefined) waiting.set(key, failed);
  else waiting.set(key, { ...newer, part: mergedDraft(failed.part, { values: newer.part, part: newer.part }) });
  setTimeout(() => {
    if (!waiting.has(key) || writing.has(key)) return;
    writing.set(
      key,
      writeWaiting(key)
        .catch(() => undefined)
        .finally(() => writing.delete(key)),
    );
  }, RETRY_MS);
}

/** Whether fields of a form wait to be written. */
export function draftWaits(key: string): boolean {
  return waiting.has(key) || writing.has(key);
}

/** Writes down what is typed into a form before its kept fields were found: not even a page that goes at once loses it. */
export function keepEarly(key: string, typed: object): void {
  writeAhead(key, typed, typed, true);
}

/** The kept fields of a form, or undefined. */
export async function readDraft(key: string): Promise<unknown> {
  const stored = await database().drafts.get(key);
  const ahead = readAhead(key);
  if (stored !== undefined) seenStamp(key, stored.updatedMs);
  // First letters of this page are on their way to the form that asks.
  if (ahead === null || ahead.early === true || ahead.updatedMs <= (stored?.updatedMs ?? 0)) return stored?.values;
  return mergedDraft(stored?.values, ahead);
}

/** What was finished: a form, up to the age of what was stored. */
export interface TypedUpTo {
  key: string;
  stamp: number;
}

/**
 * Marks what was typed as stored elsewhere. Called within the transaction that stores it, so that no crash brings an older
 * text back over it.
 */
export async function markTyped(db: AetasDatabase, { key, stamp }: TypedUpTo): Promise<void> {
  await db.done.put({ id: key, updatedMs: stamp });
  const stored = await db.drafts.get(key);
  if (stored !== undefined && stored.updatedMs <= stamp) await db.drafts.delete(key);
}

/** Marks all forms whose key begins so as finished. Called within a transaction. */
export async function markDraftsDone(db: AetasDatabase, prefix: string): Promise<void> {
  for (const key of (await db.drafts.where('id').startsWith(prefix).primaryKeys()) as string[]) {
    waiting.delete(key);
    await markTyped(db, { key, stamp: Math.max(lastStamp(key), (await db.drafts.get(key))?.updatedMs ?? 0) });
    dropAhead(key);
  }
}

/** Forgets a form that was finished. Within an act it joins the act's transaction. */
export async function dropDraft(key: string): Promise<void> {
  waiting.delete(key);
  dropAhead(key);
  forgetTrouble(`draft:${key}`);
  const db = database();
  await db.transaction('rw', db.drafts, db.done, async () => {
    const stored = await db.drafts.get(key);
    await markTyped(db, { key, stamp: Math.max(lastStamp(key), stored?.updatedMs ?? 0) });
  });
}

/**
 * Follows what other tabs type into a form. What this tab types itself is not told.
 * @returns how to stop
 */
export function followDraft(key: string, onValues: (values: object) => void): () => void {
  const subscription = liveQuery(() => database().drafts.get(key)).subscribe({
    next: (draft) => {
      if (draft === undefined || draftWaits(key) || draft.updatedMs <= lastStamp(key)) return;
      seenStamp(key, draft.updatedMs);
      if (typeof draft.values === 'object' && draft.values !== null) onValues(draft.values);
    },
    error: () => undefined,
  });
  return () => subscription.unsubscribe();
}

/** Sets a kept form aside that does not read any more, or that another one takes the place of, so that nothing typed is lost. */
export async function setDraftAside(
  key: string,
  values: unknown,
  why = `The form “${key}” does not read any more.`,
): Promise<void> {
  const db = database();
  const atMs = Date.now();
  await db.transaction('rw', db.drafts, db.done, db.aside, async () => {
    await db.aside.put({
      id: `aside-${atMs}-${crypto.randomUUID()}`,
      from: 'drafts',
      why: why.slice(0, 300),
      record: JSON.stringify({ id: key, values }),
      createdMs: atMs,
    });
    await markTyped(db, { key, stamp: Math.max(lastStamp(key), atMs) });
  });
  dropAhead(key);
}

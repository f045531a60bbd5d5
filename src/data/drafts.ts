import { database } from './database';
import { dropAhead, readAhead, writeAhead } from './typedAhead';
import { guardedWrite } from './write';

/** Forms whose latest fields wait for a write that is under way. */
const waiting = new Map<string, { values: unknown; ahead: string }>();
const writing = new Map<string, Promise<void>>();

/**
 * Keeps a form as typed. Called on every change. It is written ahead before this returns, so that not even a page that
 * goes at once loses a letter. While one write is under way only the latest fields wait, so that fast typing never
 * queues up behind itself.
 * @param key which form
 * @param values its fields as typed
 * @returns settles when these fields, or later ones, are stored
 */
export function keepDraft(key: string, values: unknown): Promise<void> {
  waiting.set(key, { values, ahead: writeAhead(key, values) });
  const under = writing.get(key) ?? writeWaiting(key).finally(() => writing.delete(key));
  writing.set(key, under);
  return under;
}

async function writeWaiting(key: string): Promise<void> {
  for (let next = waiting.get(key); next !== undefined; next = waiting.get(key)) {
    const { values, ahead } = next;
    waiting.delete(key);
    await guardedWrite(() => database().drafts.put({ id: key, values, updatedMs: Date.now() }));
    dropAhead(key, ahead);
  }
}

/** The kept fields of a form, or undefined. */
export async function readDraft(key: string): Promise<unknown> {
  const stored = await database().drafts.get(key);
  return readAhead(key) ?? stored?.values;
}

/** Forgets a form that was finished. */
export async function dropDraft(key: string): Promise<void> {
  waiting.delete(key);
  dropAhead(key);
  await database().drafts.delete(key);
}

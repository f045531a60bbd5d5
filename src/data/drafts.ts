import { database } from './database';
import { guardedWrite } from './write';

/**
 * Keeps a form as typed. Called on every change.
 * @param key which form
 * @param values its fields as typed
 */
export async function keepDraft(key: string, values: unknown): Promise<void> {
  await guardedWrite(() => database().drafts.put({ id: key, values, updatedMs: Date.now() }));
}

/** The kept fields of a form, or undefined. */
export async function readDraft(key: string): Promise<unknown> {
  return (await database().drafts.get(key))?.values;
}

/** Forgets a form that was finished. */
export async function dropDraft(key: string): Promise<void> {
  await database().drafts.delete(key);
}

/** Acts whose last write failed, and why, in words for the user. */
const troubles = new Map<string, string>();
const listeners = new Set<() => void>();
let first: string | null = null;

/** Subscribes to changes of `storageTrouble`; for useSyncExternalStore. */
export function onStorageTrouble(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Why a write failed that was not done since; null while all are done. */
export function storageTrouble(): string | null {
  return first;
}

/** Whether an error says that the browser's storage is full. */
export function isFull(error: unknown): boolean {
  return errorNames(error).includes('QuotaExceededError');
}

/**
 * Does a write and tells the page when the browser refuses it. What was typed stays on the screen. Trouble belongs to its
 * act: only the same act, done, clears it.
 * @param name which act
 * @param act the write
 * @returns what the write returns
 * @throws what the write throws, after it was told
 */
export async function guardedWrite<T>(name: string, act: () => Promise<T>): Promise<T> {
  try {
    const value = await act();
    setTrouble(name, null);
    return value;
  } catch (error) {
    setTrouble(name, sentenceFor(error));
    throw error;
  }
}

/** Forgets the trouble of an act that nobody waits for any more. */
export function forgetTrouble(name: string): void {
  setTrouble(name, null);
}

function setTrouble(name: string, trouble: string | null): void {
  if (trouble === null) troubles.delete(name);
  else troubles.set(name, trouble);
  const next = troubles.values().next().value ?? null;
  if (next === first) return;
  first = next;
  for (const listener of listeners) listener();
}

/** A refusal that explains itself. */
export class Refusal extends Error {
  override name = 'Refusal';
}

function sentenceFor(error: unknown): string {
  if (error instanceof Error && error.name === 'Refusal') return error.message;
  const names = errorNames(error);
  if (names.includes('QuotaExceededError'))
    return 'The browser’s storage is full, so the last change is on this screen only. Save a file under Records, or free some disk space, then try again.';
  return `The browser could not store the last change (${names[0] ?? 'unknown fault'}). It is on this screen only: save a file under Records before you close it.`;
}

/** An error that says by its name what happened: of one that leaves a worker, only name and message travel. */
export function travelling(error: unknown): Error {
  const plain = new Error(error instanceof Error ? error.message : String(error));
  plain.name = isFull(error) ? 'QuotaExceededError' : error instanceof Error ? error.name : 'Error';
  return plain;
}

function errorNames(error: unknown): string[] {
  if (!(error instanceof Error)) return [];
  const inner = 'inner' in error ? error.inner : undefined;
  return [error.name, ...errorNames(inner)];
}

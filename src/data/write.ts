/** Why the last write failed, in words for the user; null while writing works. */
let trouble: string | null = null;
const listeners = new Set<() => void>();

/** Subscribes to changes of `storageTrouble`; for useSyncExternalStore. */
export function onStorageTrouble(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Why the last write failed; null while writing works. */
export function storageTrouble(): string | null {
  return trouble;
}

function setTrouble(next: string | null): void {
  if (next === trouble) return;
  trouble = next;
  for (const listener of listeners) listener();
}

/**
 * Does a write and tells the page when the browser refuses it. What was typed stays on the screen.
 * @param act the write
 * @returns what the write returns
 * @throws what the write throws, after it was told
 */
export async function guardedWrite<T>(act: () => Promise<T>): Promise<T> {
  try {
    const value = await act();
    setTrouble(null);
    return value;
  } catch (error) {
    setTrouble(sentenceFor(error));
    throw error;
  }
}

function sentenceFor(error: unknown): string {
  const names = errorNames(error);
  if (names.includes('QuotaExceededError')) {
    return 'The browser’s storage is full, so the last change is on this screen only. Free some disk space, or save a file under Records, then change something to try again.';
  }
  return `The browser could not store the last change (${names[0] ?? 'unknown fault'}). It is on this screen only: save a file under Records before you close it.`;
}

function errorNames(error: unknown): string[] {
  if (!(error instanceof Error)) return [];
  const inner = 'inner' in error ? error.inner : undefined;
  return [error.name, ...errorNames(inner)];
}

/** Stamps for a new record. */
export function newStamps(): { id: string; createdMs: number; updatedMs: number } {
  const nowMs = Date.now();
  return { id: crypto.randomUUID(), createdMs: nowMs, updatedMs: nowMs };
}

/** How the browser keeps the bench. */
export interface StorageRoom {
  /** Whether the browser promised not to clear it by itself; null where it does not say. */
  persistent: boolean | null;
  usedBytes: number | null;
  quotaBytes: number | null;
}

/** Asks the browser to keep the bench even when space runs short. */
export async function askToPersist(): Promise<boolean | null> {
  try {
    return (await globalThis.navigator?.storage?.persist?.()) ?? null;
  } catch {
    return null;
  }
}

/** What the browser says about the room of the bench. */
export async function storageRoom(): Promise<StorageRoom> {
  try {
    const storage = globalThis.navigator?.storage;
    const [persistent, estimate] = await Promise.all([storage?.persisted?.(), storage?.estimate?.()]);
    return {
      persistent: persistent ?? null,
      usedBytes: estimate?.usage ?? null,
      quotaBytes: estimate?.quota ?? null,
    };
  } catch {
    return { persistent: null, usedBytes: null, quotaBytes: null };
  }
}

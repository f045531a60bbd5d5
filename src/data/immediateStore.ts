/**
 * Does something with the browser's immediate store.
 * @returns its answer; null where there is no such store, or where it refuses
 */
export function immediately<T>(act: (store: Storage) => T): T | null {
  try {
    return globalThis.localStorage === undefined ? null : act(globalThis.localStorage);
  } catch {
    return null;
  }
}

/** Whether the browser gives this page an immediate store at all. */
export function hasImmediateStore(): boolean {
  return immediately((store) => store.length) !== null;
}

import 'fake-indexeddb/auto';
import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { database } from './database';
import { dropDraft, keepDraft, keepEarly, readDraft } from './drafts';
import { replaceRecords } from './undo';
import { noRecords } from '@/core/records/tables';
import { dropAhead, readAhead, writeAhead } from './draftJournal';

/** The browser's immediate store, as far as it is used; it can be filled up. */
class Store {
  readonly kept = new Map<string, string>();
  full = false;
  get length(): number {
    return this.kept.size;
  }
  key(index: number): string | null {
    return [...this.kept.keys()][index] ?? null;
  }
  getItem(key: string): string | null {
    return this.kept.get(key) ?? null;
  }
  setItem(key: string, text: string): void {
    if (this.full) throw new DOMException('No room.', 'QuotaExceededError');
    this.kept.set(key, text);
  }
  removeItem(key: string): void {
    this.kept.delete(key);
  }
}

let store: Store;

beforeEach(async () => {
  store = new Store();
  vi.stubGlobal('localStorage', store);
  await Promise.all([database().drafts.clear(), database().done.clear()]);
});

afterEach(() => vi.unstubAllGlobals());

/** The same bench after its page went and came back. */
async function reloaded(): Promise<typeof import('./drafts') & typeof import('./database')> {
  vi.resetModules();
  return { ...(await import('./drafts')), ...(await import('./database')) };
}

describe('what is typed is written ahead of the database', () => {
  test('at once, and only until the database has it', async () => {
    const stored = keepDraft('note:a', 'lid leaks');
    expect(readAhead('note:a')?.values).toBe('lid leaks');
    await stored;
    expect(readAhead('note:a')).toBeNull();
    expect(store.kept.size).toBe(0);
    expect(await readDraft('note:a')).toBe('lid leaks');
  });
  test('first letters, typed before the kept text was found, go behind it, and are read once only', async () => {
    await keepDraft('note:a', { text: 'lid ' });
    keepEarly('note:a', { text: 'leaks' });
    // The form that asks puts them there itself.
    expect(await readDraft('note:a')).toEqual({ text: 'lid ' });
    const later = await reloaded();
    expect((await later.database().drafts.get('note:a'))?.values).toEqual({ text: 'lid leaks' });
    expect(await later.readDraft('note:a')).toEqual({ text: 'lid leaks' });
    keepEarly('note:b', { text: 'alone' });
    const again = await reloaded();
    expect(await again.readDraft('note:b')).toEqual({ text: 'alone' });
  });
  test('a page that goes before the database has it brings it in when it comes back, for every reader', async () => {
    await keepDraft('plan:tin-3', { agentPerL: 3 });
    writeAhead('plan:tin-3', { agentPerL: 36 });
    const later = await reloaded();
    // Not only for the form itself: lists and exported files read the table.
    expect((await later.database().drafts.get('plan:tin-3'))?.values).toEqual({ agentPerL: 36 });
    expect(await later.readDraft('plan:tin-3')).toEqual({ agentPerL: 36 });
    expect(store.kept.size).toBe(0);
  });
  test('while the database is full it stays written ahead, and is read from there', async () => {
    const put = vi
      .spyOn(database().drafts, 'put')
      .mockRejectedValue(new DOMException('No room.', 'QuotaExceededError'));
    await expect(keepDraft('note:a', 'lid leaks')).rejects.toThrow();
    put.mockRestore();
    expect(await database().drafts.get('note:a')).toBeUndefined();
    expect(await readDraft('note:a')).toBe('lid leaks');
    expect(await (await reloaded()).readDraft('note:a')).toBe('lid leaks');
  });
  test('where it cannot be written ahead, the database still has it, and nothing older comes back over it', async () => {
    writeAhead('note:a', 'lid');
    store.full = true;
    await keepDraft('note:a', 'lid leaks');
    expect(store.kept.size).toBe(0);
    expect(await (await reloaded()).readDraft('note:a')).toBe('lid leaks');
  });
  test('a browser without that store, or that forbids it, keeps drafts as before', async () => {
    for (const none of [undefined, { getItem: forbid, setItem: forbid, removeItem: forbid }]) {
      vi.stubGlobal('localStorage', none);
      await keepDraft('note:a', 'lid leaks');
      expect(await readDraft('note:a')).toBe('lid leaks');
      await dropDraft('note:a');
    }
  });
  test('what was finished does not come back', async () => {
    writeAhead('note:a', 'lid leaks');
    await dropDraft('note:a');
    expect(await (await reloaded()).readDraft('note:a')).toBeUndefined();
    writeAhead('note:a', 'lid leaks');
    await replaceRecords(noRecords());
    expect(await (await reloaded()).readDraft('note:a')).toBeUndefined();
  });
  test('a newer one is not taken out with an older one', () => {
    const older = writeAhead('note:a', 'lid');
    writeAhead('note:a', 'lid leaks');
    dropAhead('note:a', older.text);
    expect(readAhead('note:a')?.values).toBe('lid leaks');
  });
  test('a second tab that opens while somebody types neither loses a letter nor brings an older one back', async () => {
    const first = keepDraft('note:a', 'lid');
    const second = await reloaded();
    const opening = second.readDraft('note:a');
    const last = keepDraft('note:a', 'lid leaks');
    await Promise.all([first, opening, last]);
    expect(await second.readDraft('note:a')).toBe('lid leaks');
    expect(store.kept.size).toBe(0);
  });
  test('after a crash, an older text that the browser gives back never replaces what is stored', async () => {
    await keepDraft('note:a', 'lid leaks at the rim');
    const old = { id: 'note:a', values: 'lid', part: 'lid', updatedMs: Date.now() - 5000 };
    store.kept.set('aetas.typed.own.note:a', JSON.stringify(old));
    expect(await (await reloaded()).readDraft('note:a')).toBe('lid leaks at the rim');
    await dropDraft('note:a');
    store.kept.set('aetas.typed.own.note:a', JSON.stringify(old));
    expect(await (await reloaded()).readDraft('note:a')).toBeUndefined();
  });
  test('two tabs that change different fields of one form keep both', async () => {
    await keepDraft('roll:new', { label: 'Tin', note: '' });
    const second = await reloaded();
    await Promise.all([
      keepDraft('roll:new', { label: 'Tin 9', note: '' }, { label: 'Tin 9' }),
      second.keepDraft('roll:new', { label: 'Tin', note: 'rust' }, { note: 'rust' }),
    ]);
    expect(await readDraft('roll:new')).toEqual({ label: 'Tin 9', note: 'rust' });
  });
  test('another bench’s is left alone, and what is no draft is passed over', async () => {
    const foreign = JSON.stringify({ id: 'note:a', values: 'demo', updatedMs: 1 });
    store.kept.set('aetas.typed.demo.note:a', foreign);
    store.kept.set('aetas.typed.own.note:b', '{"values');
    store.kept.set('aetas.typed.own.note:c', 'null');
    store.kept.set('aetas.typed.own.note:d', '{"values":"no key"}');
    const later = await reloaded();
    expect(await later.database().drafts.count()).toBe(0);
    expect(await later.readDraft('note:b')).toBeUndefined();
    expect(store.kept.get('aetas.typed.demo.note:a')).toBe(foreign);
  });
});

function forbid(): never {
  throw new DOMException('Forbidden.', 'SecurityError');
}

import 'fake-indexeddb/auto';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';
import { demoRecords } from './demo/demoRecords';
import { AetasDatabase, database } from './database';
import { pack, packedTables, unpack } from './packing';
import { allRecords, replaceRecords } from './undo';

const records = demoRecords(Date.UTC(2026, 10, 24, 12));

beforeAll(() => replaceRecords(records));
afterAll(() => database().close());

/** Rows as the browser holds them, past the database package. */
function storedRows(table: string): Promise<Record<string, unknown>[]> {
  return new Promise((resolve, reject) => {
    const request = (database().backendDB() as IDBDatabase).transaction(table).objectStore(table).getAll();
    request.onsuccess = () => resolve(request.result as Record<string, unknown>[]);
    request.onerror = () => reject(new Error('not read'));
  });
}

describe('packed rows', () => {
  test('are one text with the columns that are indexed, and nobody sees it', async () => {
    for (const [table, columns] of Object.entries(packedTables)) {
      const stored = await storedRows(table);
      expect(stored.length).toBeGreaterThan(0);
      for (const row of stored) for (const name of Object.keys(row)) expect([...columns, 'packed']).toContain(name);
      const indexed = database()
        .table(table)
        .schema.indexes.map(({ name }) => name);
      for (const name of indexed) expect(columns).toContain(name);
    }
    const byId = (a: { id: string }, b: { id: string }): number => (a.id < b.id ? -1 : 1);
    const found = await allRecords();
    for (const [table, rows] of Object.entries(records) as [keyof typeof records, { id: string }[]][])
      expect([...found[table]].sort(byId)).toEqual([...rows].sort(byId));
  });

  test('are whole by key, by index, in a cursor and after a change', async () => {
    const run = records.runs[0];
    if (run === undefined) throw new Error('no run');
    const { runs } = database();
    expect(await runs.get(run.id)).toEqual(run);
    expect(await runs.bulkGet([run.id, 'none'])).toEqual([run, undefined]);
    expect((await runs.where({ rollId: run.rollId }).toArray()).map(({ id }) => id)).toContain(run.id);
    expect(await runs.filter(({ developerName }) => developerName === run.developerName).first()).toHaveProperty(
      'steps',
    );
    const seen: string[] = [];
    await runs.each((one, cursor) => seen.push(`${one.id} ${cursor.primaryKey}`));
    expect(seen).toEqual(records.runs.map(({ id }) => `${id} ${id}`).sort());
    await runs.update(run.id, { developerName: 'Nettle' });
    expect(await runs.get(run.id)).toEqual({ ...run, developerName: 'Nettle' });
    await runs.where({ rollId: run.rollId }).modify((one) => {
      one.developerName = run.developerName;
    });
    expect(await runs.get(run.id)).toEqual(run);
  });

  test('that were stored whole by an older Aetas are read as they are', () => {
    const row = { id: 'a', rollId: 'b' };
    expect(unpack(row)).toBe(row);
    expect(unpack(undefined)).toBeUndefined();
    const packed = pack('plans', row);
    expect(unpack(packed)).toEqual(row);
    expect(pack('plans', packed)).toBe(packed);
    expect(pack('stocks', row)).toBe(row);
  });

  test('a database from before there was packing opens, is read whole, and gets its lists', async () => {
    const older = new AetasDatabase('older');
    await older.delete();
    const plain = new Promise<void>((resolve, reject) => {
      const request = indexedDB.open('older', 80);
      request.onupgradeneeded = () => {
        for (const [name, columns] of Object.entries({
          rolls: ['updatedMs', 'stockId'],
          runs: ['rollId', 'createdMs'],
        })) {
          const store = request.result.createObjectStore(name, { keyPath: 'id' });
          for (const column of columns) store.createIndex(column, column);
          for (const row of records[name as 'rolls' | 'runs']) store.add(row);
        }
      };
      request.onsuccess = () => {
        request.result.close();
        resolve();
      };
      request.onerror = () => reject(new Error('not made'));
    });
    await plain;
    const db = new AetasDatabase('older');
    expect(await db.rolls.count()).toBe(records.rolls.length);
    expect((await db.runs.toArray()).sort((a, b) => a.id.localeCompare(b.id))).toEqual(
      [...records.runs].sort((a, b) => a.id.localeCompare(b.id)),
    );
    expect(await db.shards.count()).toBe(0);
    await db.delete();
  });
});

import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { expect, test, vi } from 'vitest';
import { success } from '@/core/schema/result';
import { importBench } from './benchFiles';
import { database } from './database';
import { asStored } from './lines';
import { demoRecords } from './demo/demoRecords';
import { allRecords, replaceRecords } from './undo';

const calls = vi.hoisted(() => ({ count: -1 }));

/* The third batch finds its transaction committed: as when the browser or a package lets go of it too soon. */
vi.mock('./addRows', async (original) => {
  const module = await original<typeof import('./addRows')>();
  return {
    ...module,
    addRows: (table: string, rows: readonly unknown[]): void => {
      module.addRows(table, rows);
      if (calls.count < 0) return;
      calls.count += 1;
      if (calls.count !== 3) return;
      calls.count = -1;
      Dexie.currentTransaction.idbtrans.commit();
      throw new Error('The transaction is gone.');
    },
  };
});

test('an import whose transaction was committed half way is taken back whole', async () => {
  await replaceRecords(demoRecords(Date.UTC(2026, 10, 24, 12)));
  const before = await allRecords();
  calls.count = 0;
  const half = importBench(
    asStored(async (sink) => {
      await sink('stocks', before.stocks.slice(0, 1));
      await sink('stocks', before.stocks.slice(1, 2));
      await sink('stocks', before.stocks.slice(2, 3));
      return success(null);
    }),
  );
  await expect(half).rejects.toThrow();
  expect(calls.count).toBe(-1);
  expect(await allRecords()).toEqual(before);
  expect(
    await database()
      .done.filter(({ id }) => id.startsWith('half:'))
      .count(),
  ).toBe(0);
  // And the next one goes through as ever.
  const answer = await importBench(
    asStored(async (sink) => {
      await sink('stocks', before.stocks.slice(0, 1));
      return success(null);
    }),
  );
  expect(answer.ok).toBe(true);
  expect(await database().stocks.count()).toBe(1);
});

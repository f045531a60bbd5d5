import 'fake-indexeddb/auto';
import Dexie from 'dexie';
import { beforeEach, describe, expect, test } from 'vitest';
import { success } from '@/core/schema/result';
import { tableNames } from '@/core/records/tables';
import { act } from './act';
import { mergeBench } from './benchFiles';
import { database } from './database';
import { demoRecords } from './demo/demoRecords';
import { inSteps, step } from './steps';
import { allRecords, replaceRecords } from './undo';

const records = demoRecords(Date.UTC(2026, 10, 24, 12));

beforeEach(() => replaceRecords(records));

describe('steps within a transaction', () => {
  test('they stay in it, however many they are and whatever they wait for', async () => {
    const db = database();
    const taking = db.transaction('rw', ['done'], () =>
      inSteps(
        (function* () {
          for (let n = 0; n < 400; n++) {
            yield* step(db.done.put({ id: `n${n}`, updatedMs: n }));
            if (n % 50 === 0) yield* step(Dexie.waitFor(new Promise((resolve) => setTimeout(resolve, 2))));
          }
          throw new Error('All of it goes.');
        })(),
      ),
    );
    await expect(taking).rejects.toThrow('All of it goes.');
    expect(await db.done.filter(({ id }) => id.startsWith('n')).count()).toBe(0);
  });

  test('a refusal by the database can be caught where it happens', async () => {
    const db = database();
    const answer = await db.transaction('rw', ['done'], () =>
      inSteps(
        (function* () {
          try {
            yield* step(db.done.get(null as never));
            return 'taken';
          } catch {
            return 'refused';
          }
        })(),
      ),
    );
    expect(answer).toBe('refused');
  });

  test('a file whose records are all here is merged, one table after the other, again and again', async () => {
    const all = await allRecords();
    const total = tableNames.reduce((sum, name) => sum + all[name].length, 0);
    for (let time = 0; time < 3; time++) {
      const merged = await mergeBench(async (sink) => {
        for (const name of tableNames) {
          await new Promise((resolve) => setTimeout(resolve, 1));
          await sink(name, all[name]);
        }
        return success({ redated: 0 });
      });
      expect(merged.ok && merged.value.kept).toBe(total);
    }
    expect(await allRecords()).toEqual(all);
  });

  test('an act that touches hundreds of rolls is one', async () => {
    const [stock] = records.stocks;
    const [roll] = records.rolls;
    if (stock === undefined || roll === undefined) throw new Error('The demo has no roll.');
    const rolls = Array.from({ length: 300 }, (_, n) => ({ ...roll, id: `many-${n}`, stockId: stock.id }));
    const failing = act('rename', async (writer) => {
      for (const one of rolls) await writer.put('rolls', one);
      await writer.finish('nothing');
      throw new Error('All of it goes.');
    });
    await expect(failing).rejects.toThrow('All of it goes.');
    expect(await database().rolls.count()).toBe(records.rolls.length);
  });
});

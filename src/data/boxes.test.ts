import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { noRecords } from '@/core/records/tables';
import { readBenchFile } from '@/core/formats/benchFile';
import { writeWhole } from '@/core/testing/wholeFile';
import { addToBox, newBox, putInBox, removeBox } from './boxes';
import { mergeBench } from './benchFiles';
import { database } from './database';
import { demoRecords } from './demo/demoRecords';
import { duplicateRoll } from './rolls';
import { replaceRecords, undoAct, allRecords } from './undo';

const demo = demoRecords(Date.UTC(2026, 10, 24, 12));
const boxOf = async (rollId: string): Promise<string | null | undefined> => (await database().rolls.get(rollId))?.boxId;
const box = async (id: string) => {
  const found = await database().boxes.get(id);
  if (found === undefined) throw new Error('The box is gone.');
  return found;
};

describe('boxes', () => {
  beforeEach(async () => {
    await replaceRecords(noRecords());
    await replaceRecords(structuredClone(demo));
  });

  test('a roll goes into a box and out of it, and others like it come in numbered', async () => {
    const boxId = await newBox('mast', 'Tin from the mast');
    expect(await boxOf('mast')).toBe(boxId);
    const like = await database().rolls.get('mast');
    if (like === undefined) throw new Error('The roll is gone.');
    await addToBox(await box(boxId), like, 3);
    const labels = (await database().rolls.where({ boxId }).toArray()).map(({ label }) => label);
    expect(labels.sort()).toEqual([
      'Rime on the mast',
      'Tin from the mast, roll 2',
      'Tin from the mast, roll 3',
      'Tin from the mast, roll 4',
    ]);
    await putInBox('mast', null);
    expect(await boxOf('mast')).toBeNull();
    expect(await database().rolls.where({ boxId }).count()).toBe(3);
  });

  test('a roll that is like a developed one takes its past over, and not its pictures', async () => {
    const like = await database().rolls.get('past-09');
    if (like?.archive === undefined) throw new Error('The demo’s roll is in no binder.');
    await addToBox(await box('box-brick'), like, 1);
    const copy = await database().rolls.get(await duplicateRoll(like));
    const added = (await database().rolls.toArray()).find(({ label }) => label.endsWith('roll 5'));
    for (const one of [copy, added]) {
      expect(one).toMatchObject({ hints: like.hints, boxId: 'box-brick', frames: [] });
      expect(one?.archive).toBeUndefined();
    }
  });

  test('a box that is taken apart leaves its rolls, and undo puts all of them back', async () => {
    const before = await database().rolls.where({ boxId: 'box-brick' }).primaryKeys();
    expect(before).toHaveLength(4);
    await removeBox(await box('box-brick'));
    expect(await database().boxes.get('box-brick')).toBeUndefined();
    expect(await database().rolls.where({ boxId: 'box-brick' }).count()).toBe(0);
    expect(await boxOf('past-09')).toBeNull();
    await undoAct();
    expect(await database().rolls.where({ boxId: 'box-brick' }).primaryKeys()).toEqual(before);
    expect((await box('box-brick')).name).toBe('Brick from the storm week');
  });

  test('a merge brings boxes with their rolls, and leaves those that are here', async () => {
    const file = await writeWhole(await allRecords());
    await removeBox(await box('box-brick'));
    await putInBox('mast', null);
    await replaceRecords({ ...noRecords(), stocks: demo.stocks, rolls: demo.rolls.slice(0, 2) });
    const merged = await mergeBench((sink) => readBenchFile(file, sink, Date.now(), () => true));
    expect(merged.ok && merged.value.added.boxes).toBe(1);
    expect(await boxOf('past-11')).toBe('box-brick');
    const again = await mergeBench((sink) => readBenchFile(file, sink, Date.now(), () => true));
    expect(again.ok && again.value.added.boxes + again.value.updated.boxes).toBe(0);
    await undoAct();
    expect(await database().boxes.count()).toBe(1);
  });
});

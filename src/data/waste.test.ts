import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { noRecords } from '@/core/records/tables';
import { readBenchFile } from '@/core/formats/benchFile';
import { writeWhole } from '@/core/testing/wholeFile';
import { mergeBench } from './benchFiles';
import { pourAway } from './brews';
import { database } from './database';
import { demoRecords } from './demo/demoRecords';
import { keepPrint } from './prints';
import { removeRoll } from './rolls';
import { changeStrip } from './trials';
import { allRecords, replaceRecords, undoAct } from './undo';
import { handIn, pourWaste, takeBackIn } from './waste';

const demo = demoRecords(Date.UTC(2026, 10, 24, 12));
const standing = async (): Promise<string[]> =>
  (await database().waste.toArray()).filter(({ handedInMs }) => handedInMs === null).map(({ name }) => name);

beforeEach(async () => {
  await replaceRecords(noRecords());
  await replaceRecords(structuredClone(demo));
});

describe('waste', () => {
  test('a jug that is poured away is in the waste of its kind, and undo takes it out and brings the jug back', async () => {
    const fixer = (await database().brews.toArray()).find(({ use }) => use === 'fixer');
    if (fixer === undefined) throw new Error('The demo has no fixer.');
    const before = await standing();
    await pourAway(fixer);
    expect(await standing()).toHaveLength(before.length + 1);
    await undoAct();
    expect(await standing()).toEqual(before);
    expect(await database().brews.get(fixer.id)).toEqual(fixer);
  });
  test('what stood in no jug is poured once, however often it is pressed', async () => {
    const before = (await standing()).length;
    const pour = { id: 'run-1:developer', kind: 'developer', name: 'Syrup', volumeMl: 300, films: 1 } as const;
    await pourWaste(pour);
    await pourWaste(pour);
    expect(await standing()).toHaveLength(before + 1);
  });
  test('handing in takes its kind alone, and can be taken back', async () => {
    const before = await standing();
    await handIn('fixer', 5);
    expect((await standing()).every((name) => !name.startsWith('Fixer'))).toBe(true);
    await takeBackIn('fixer', 5);
    expect((await standing()).sort()).toEqual(before.sort());
  });
});

describe('prints and trials', () => {
  test('a roll that goes leaves its prints, and undo ties them again', async () => {
    await removeRoll('past-09');
    expect((await database().prints.get('print-dog'))?.rollId).toBeNull();
    await undoAct();
    expect((await database().prints.get('print-dog'))?.rollId).toBe('past-09');
  });
  test('a print is changed in its place', async () => {
    const found = await database().prints.get('print-stove');
    if (found === undefined) throw new Error('The print is gone.');
    const { id, createdMs, name, paper, grade, sideMm, negativeMm, fNumber, dryDown, areas, trays, note, final } =
      found;
    const rest = { name, paper, grade, sideMm, negativeMm, fNumber, dryDown, areas, trays, note, final };
    expect(await keepPrint(id, { ...rest, rollId: found.rollId, baseS: 21 })).toBe(id);
    expect(await database().prints.get(id)).toMatchObject({ createdMs, baseS: 21 });
  });
  test('a strip that was lost by mistake is not lost any more', async () => {
    const strip = async () => (await database().trials.get('trial-mugs'))?.strips.find(({ code }) => code === lost);
    const lost = demo.trials[0]?.strips.find((one) => one.lost !== undefined)?.code ?? '';
    expect((await strip())?.lost).toBe('Stuck to the reel');
    await changeStrip('trial-mugs', lost, { lost: undefined });
    expect(await strip()).not.toHaveProperty('lost');
  });
  test('a file carries all of them, and a bench that has them already keeps its own', async () => {
    const file = await writeWhole(await allRecords());
    await replaceRecords(noRecords());
    for (const added of [true, false]) {
      const report = await mergeBench((sink) => readBenchFile(file, sink, Date.now(), () => true));
      if (!report.ok) throw new Error(report.problems[0]?.message);
      expect(report.value.added.trials).toBe(added ? 2 : 0);
      expect(report.value.added.prints).toBe(added ? 2 : 0);
      expect(report.value.added.waste).toBe(added ? 4 : 0);
    }
  });
});

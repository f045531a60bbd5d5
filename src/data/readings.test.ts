import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { unknownCamera } from '@/core/densitometry/cameraBelief';
import { keptPatch } from '@/core/densitometry/patchDensity';
import { findingOfStrip } from '@/core/evidence/stripReading';
import { readingOfKept } from '@/core/records/keptStrip';
import { demoRecords } from './demo/demoRecords';
import { linesWith } from './shards';
import { database } from './database';
import { beliefOfCamera, dropReading, keepCamera, keepReading, type StripToKeep } from './readings';
import { removeRoll } from './rolls';
import { keepDraft, readDraft } from './drafts';
import { allRecords, replaceRecords, undoAct } from './undo';

const NOW = Date.UTC(2026, 10, 24, 12);
const records = demoRecords(NOW);

beforeEach(() => replaceRecords(demoRecords(NOW)));

const withoutTarget = ({ target: _target, ...setting }: NonNullable<(typeof records.runs)[number]['setup']>) => setting;

/** The demo's first strip, as it would be kept anew for another roll. */
function strip(rollId = 'tin-3'): StripToKeep {
  const [kept] = records.readings;
  const run = records.runs.find(({ setup }) => setup !== null);
  if (kept === undefined || run?.setup == null) throw new Error('The demo has strips and runs.');
  const finding = findingOfStrip(readingOfKept(kept), kept.timeMin);
  if (finding === null) throw new Error('The strip tells something.');
  const { name, timeMin, source, channel, meteredIso, clear, steps } = kept;
  const jpeg = new Blob([new Uint8Array([0xff, 0xd8, 0xff, 0xe0])], { type: 'image/jpeg' });
  return {
    reading: { rollId, name, timeMin, source, channel, meteredIso, clear, steps },
    evidence: { setting: withoutTarget(run.setup), finding },
    photo: { name: 'Strip', widthPx: 8, heightPx: 4, jpeg },
  };
}

describe('strips that are kept', () => {
  test('a strip brings its evidence and its picture in one act, and its draft goes', async () => {
    await keepDraft('strip:tin-3', { name: 'half marked' });
    const id = await keepReading(strip());
    const reading = await database().readings.get(id);
    expect(reading?.evidenceId).not.toBeNull();
    expect(await database().evidence.get(reading?.evidenceId ?? '')).toMatchObject({
      rollId: 'tin-3',
      finding: { kind: 'clip', method: 'densities' },
      note: records.readings[0]?.name,
    });
    expect(await database().photos.get(reading?.photoId ?? '')).toMatchObject({ widthPx: 8 });
    expect(await readDraft('strip:tin-3')).toBeUndefined();
    expect((await linesWith(database(), 'open', ['tin-3']))[0]?.standing.states.test).toBe('done');
  });
  test('for the log alone it teaches nothing', async () => {
    const before = await database().evidence.count();
    const id = await keepReading({ ...strip(), evidence: null, photo: null });
    expect(await database().readings.get(id)).toMatchObject({ evidenceId: null, photoId: null });
    expect(await database().evidence.count()).toBe(before);
  });
  test('removing takes evidence and picture along, and undo brings all three back', async () => {
    const id = await keepReading(strip());
    const before = await allRecords();
    const reading = await database().readings.get(id);
    if (reading === undefined) throw new Error('lost');
    await dropReading(reading);
    expect(await database().readings.get(id)).toBeUndefined();
    expect(await database().evidence.get(reading.evidenceId ?? '')).toBeUndefined();
    await undoAct();
    expect(await allRecords()).toEqual(before);
  });
  test('a strip goes with its roll, and one for a roll that is gone is refused', async () => {
    await keepReading(strip());
    await removeRoll('tin-3');
    expect(await database().readings.where({ rollId: 'tin-3' }).count()).toBe(0);
    await expect(keepReading(strip())).rejects.toThrow(/taken off the bench/);
    expect(await database().photos.count()).toBe(0);
  });
  test('a patch that could not be read is kept without numbers', async () => {
    const { reading, ...rest } = strip();
    const [first, ...more] = reading.steps;
    const lost = { ...keptPatch({ densityD: Number.NaN, seD: Number.NaN, fault: 'black' }), logH: first?.logH ?? 0 };
    const id = await keepReading({ ...rest, reading: { ...reading, steps: [lost, ...more] } });
    const kept = await database().readings.get(id);
    expect(kept?.steps[0]).toMatchObject({ densityD: null, fault: 'black' });
    if (kept === undefined) throw new Error('lost');
    expect(readingOfKept(kept).steps[0]?.fault).toBe('black');
  });
});

describe('cameras', () => {
  const belief = unknownCamera({ id: 'srgb' });
  test('a calibration is kept under its name, and a new one of that name takes its place', async () => {
    await keepCamera('Old telephone', belief, null);
    await keepCamera('Old telephone', { ...belief, lnGlare: { mean: -5, sd: 0.2 } }, 'Hut 3');
    const kept = await database().habits.where({ kind: 'camera' }).toArray();
    expect(kept).toHaveLength(1);
    expect(kept[0]).toMatchObject({ name: 'Old telephone', device: 'Hut 3', belief: { lnGlare: { mean: -5 } } });
  });
  test('one from before responses were kept still corrects, and one that is none is refused', async () => {
    const pairs = [0.1, 0.6, 1.1].map((knownD) => ({ readD: knownD, knownD }));
    const old = { id: 'old', createdMs: 1, updatedMs: 1, kind: 'camera' as const, name: 'Old', pairs };
    expect(beliefOfCamera(old)?.response.mean).toHaveLength(belief.response.mean.length);
    const short = { ...belief, response: { ...belief.response, mean: [0] } };
    await expect(keepCamera('Hasty', short, null)).rejects.toThrow();
    expect(await database().habits.where({ kind: 'camera' }).count()).toBe(0);
  });
});

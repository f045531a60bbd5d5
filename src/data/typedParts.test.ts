import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import type { RunEvent } from '@/core/records/runEvents';
import { database } from './database';
import { demoRecords } from './demo/demoRecords';
import { isPartKey } from './drafts';
import { layOutRun, recordEvents } from './runs';
import { storeTypedParts } from './typedParts';
import { replaceRecords } from './undo';

const NOW = Date.UTC(2026, 10, 24, 12);

beforeEach(async () => {
  await replaceRecords(demoRecords(NOW));
  await database().drafts.clear();
});

/** A form that a page had only written as a draft when it went. */
async function left(id: string, values: unknown): Promise<void> {
  await database().drafts.put({ id, values, updatedMs: NOW + 1 });
}

async function drafts(): Promise<string[]> {
  return (await database().drafts.toArray()).map(({ id }) => id);
}

describe('parts that a page left half stored', () => {
  test('are known by their keys', () => {
    for (const key of ['kit', 'hints:tin-3', 'storage:tin-3', 'xray:a', 'condition:a', 'frames:a', 'tank:a'])
      expect(isPartKey(key)).toBe(true);
    for (const key of ['roll:new', 'plan:tin-3', 'kitchen', 'exposure', 'hints']) expect(isPartKey(key)).toBe(false);
  });

  test('go into their records when the bench next opens, and leave no draft', async () => {
    const { kit } = (await database().settings.get('bench')) ?? demoRecords(NOW).settings[0] ?? { kit: null };
    await left('kit', { ...kit, scaleStepG: 0.5 });
    await left('xray:tin-3', 3);
    await left('frames:tin-3', [{ frame: '1', metered: '1/60', given: '', remark: 'yellow filter' }]);
    await storeTypedParts(await drafts());
    expect((await database().settings.get('bench'))?.kit.scaleStepG).toBe(0.5);
    const roll = await database().rolls.get('tin-3');
    expect(roll?.xrayPasses).toBe(3);
    expect(roll?.frames[0]?.remark).toBe('yellow filter');
    expect(await drafts()).toEqual([]);
  });

  test('what does not read yet stays a draft, for its page', async () => {
    const before = await database().rolls.get('tin-3');
    await left('xray:tin-3', 'some');
    await left('storage:tin-3', 'not a form at all');
    await storeTypedParts(await drafts());
    expect(await database().rolls.get('tin-3')).toEqual(before);
    expect(await drafts()).toEqual(['storage:tin-3', 'xray:tin-3']);
  });

  test('what has no record any more is let go', async () => {
    await left('xray:gone', 2);
    await storeTypedParts(await drafts());
    expect(await drafts()).toEqual([]);
  });

  test('a press at the tank is taken once, and never after others that came meanwhile', async () => {
    const plan = (await database().plans.toArray()).find(({ rollId, pinned }) => rollId === 'portraits' && pinned);
    if (plan === undefined) throw new Error('The demo has no pinned plan for the portraits.');
    const runId = await layOutRun(plan);
    const begin: RunEvent = { kind: 'begin', stepIndex: 0, atMs: NOW };
    await left(`tank:${runId}`, { seen: 0, events: [begin] });
    await storeTypedParts(await drafts());
    expect((await database().runs.get(runId))?.events).toEqual([begin]);
    expect(await drafts()).toEqual([]);
    // The same again: the run has grown since it was pressed.
    await left(`tank:${runId}`, { seen: 0, events: [begin] });
    await recordEvents(runId, 1, [{ kind: 'note', text: 'the stove went out', atMs: NOW + 5 }]);
    await storeTypedParts(await drafts());
    expect((await database().runs.get(runId))?.events).toHaveLength(2);
    expect(await drafts()).toEqual([]);
  });
});

import 'fake-indexeddb/auto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { demoRecords } from './demo/demoRecords';
import { database } from './database';
import type { RunLine } from './lines';
import {
  allLines,
  changeLines,
  changedLines,
  countLines,
  lastJudged,
  lastRevision,
  linesWith,
  replaceLumps,
} from './lumps';
import { replaceRecords } from './undo';

const NOW = Date.UTC(2026, 10, 24, 12);
let sample: RunLine;

beforeAll(async () => {
  await replaceRecords(demoRecords(NOW));
  sample = (await allLines(database(), 'runs'))[0] as RunLine;
  many = Array.from({ length: 1000 }, (_, n) => line(n));
});
beforeEach(() => replaceLumps(database(), []));
afterAll(() => database().close());

const line = (n: number, more: Partial<RunLine> = {}): RunLine => ({
  ...sample,
  id: `run-${n}`,
  startedMs: n,
  ...more,
});
const put = (lines: RunLine[], gone: string[] = []): Promise<void> =>
  database().transaction('rw', 'lumps', () => changeLines(database(), 'runs', lines, gone));
let many: RunLine[];
const ids = (lines: readonly RunLine[]): string[] => lines.map(({ id }) => id).sort();

describe('lumps of lines', () => {
  test('hold every line once, and give back those that are asked for', async () => {
    await put(many);
    expect(ids(await allLines(database(), 'runs'))).toEqual(ids(many));
    expect(await countLines(database(), 'runs')).toBe(1000);
    expect(await countLines(database(), 'open')).toBe(0);
    expect(await database().lumps.count()).toBeLessThanOrEqual(128);
    expect(await linesWith(database(), 'runs', ['run-7', 'run-none'])).toEqual([line(7)]);
  });

  test('one line is put in the place of the older, or taken off, and the others stay', async () => {
    await put(many);
    await put([line(3, { roll: 'Renamed' }), line(2000)], ['run-4', 'run-none']);
    const now = await allLines(database(), 'runs');
    expect(now).toHaveLength(1000);
    expect(now.find(({ id }) => id === 'run-3')?.roll).toBe('Renamed');
    expect(now.filter(({ roll }) => roll === 'Renamed')).toHaveLength(1);
    expect(now.some(({ id }) => id === 'run-4')).toBe(false);
    await put([], ids(now));
    expect(await database().lumps.count()).toBe(0);
  });

  test('what changed after a revision is found, and nothing else, also while the clock stands still or goes back', async () => {
    await put(many);
    const before = await lastRevision(database(), 'runs');
    expect(await changedLines(database(), 'runs', before)).toEqual([]);
    await put([line(12, { roll: 'Later' })]);
    const changed = await changedLines(database(), 'runs', before);
    expect(changed.some(({ roll }) => roll === 'Later')).toBe(true);
    expect(changed.length).toBeLessThan(60);
    const last = await lastRevision(database(), 'runs');
    expect(last).toBeGreaterThan(before);
    await database()
      .lumps.toCollection()
      .modify((lump) => {
        lump.revision += 1e9;
      });
    await put([line(13)]);
    expect(await lastRevision(database(), 'runs')).toBe(last + 1e9 + 1);
  });

  test('the last judged run is the one that began last of those with a verdict', async () => {
    expect(await lastJudged(database())).toBeNull();
    const { verdict } = sample;
    expect(verdict).not.toBeNull();
    await put(many.map((one) => ({ ...one, verdict: null })));
    expect(await lastJudged(database())).toBeNull();
    await put([line(500, { verdict }), line(40, { verdict })]);
    expect((await lastJudged(database()))?.id).toBe('run-500');
    await put([line(500, { verdict: null })]);
    expect((await lastJudged(database()))?.id).toBe('run-40');
  });
});

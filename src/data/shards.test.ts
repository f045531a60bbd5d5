import 'fake-indexeddb/auto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from 'vitest';
import { demoRecords } from './demo/demoRecords';
import { actTables, database } from './database';
import { refreshLines, type RunLine } from './lines';
import {
  allLines,
  changeLines,
  changedLines,
  countLines,
  firstLines,
  lastJudged,
  lastRevision,
  linesWith,
  newestFirst,
  replaceShards,
} from './shards';
import { replaceRecords } from './undo';
import { cases } from '@/core/testing/cases';

const NOW = Date.UTC(2026, 10, 24, 12);
let sample: RunLine;

beforeAll(async () => {
  await replaceRecords(demoRecords(NOW));
  sample = (await allLines(database(), 'runs'))[0] as RunLine;
  many = Array.from({ length: 1000 }, (_, n) => line(n));
});
beforeEach(() => replaceShards(database(), []));
afterAll(() => database().close());

const line = (n: number, more: Partial<RunLine> = {}): RunLine => ({
  ...sample,
  id: `run-${n}`,
  startedMs: n,
  ...more,
});
const put = (lines: RunLine[], gone: string[] = []): Promise<void> =>
  database().transaction('rw', 'shards', () => changeLines(database(), 'runs', lines, gone));
let many: RunLine[];
const ids = (lines: readonly RunLine[]): string[] => lines.map(({ id }) => id).sort();

test('lines of a whole bench are those that its rolls and runs get one by one', async () => {
  await replaceRecords(demoRecords(NOW));
  const db = database();
  const lists = async () => ({
    open: newestFirst('open', await allLines(db, 'open')),
    finished: newestFirst('finished', await allLines(db, 'finished')),
    runs: newestFirst('runs', await allLines(db, 'runs')),
  });
  const whole = await lists();
  expect(whole.runs.length).toBeGreaterThan(10);
  const [rollIds, runIds] = [await db.rolls.toCollection().primaryKeys(), await db.runs.toCollection().primaryKeys()];
  await db.transaction('rw', actTables, () => refreshLines(db, rollIds, runIds));
  expect(await lists()).toEqual(whole);
});

describe('shards of lines', () => {
  test('hold every line once, and give back those that are asked for', async () => {
    await put(many);
    expect(ids(await allLines(database(), 'runs'))).toEqual(ids(many));
    expect(await countLines(database(), 'runs')).toBe(1000);
    expect(await countLines(database(), 'open')).toBe(0);
    expect(await database().shards.count()).toBeLessThanOrEqual(257);
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
    expect(await database().shards.count()).toBe(0);
  });

  test('what changed after a revision is found, and nothing else, also while the clock stands still or goes back', async () => {
    await put(many);
    const before = await lastRevision(database(), 'runs');
    expect(await changedLines(database(), 'runs', before)).toEqual([]);
    await put([line(12, { roll: 'Later' })]);
    const changed = await changedLines(database(), 'runs', before);
    expect(changed.some(({ roll }) => roll === 'Later')).toBe(true);
    expect(changed.length).toBeLessThan(40);
    const last = await lastRevision(database(), 'runs');
    expect(last).toBeGreaterThan(before);
    await database()
      .shards.toCollection()
      .modify((shard) => {
        shard.revision += 1e9;
      });
    await put([line(13)]);
    expect(await lastRevision(database(), 'runs')).toBe(last + 1e9 + 1);
  });

  test('the first lines are the newest ones, whatever was put and taken off', async () => {
    const firstIds = async (): Promise<string[]> => (await firstLines(database(), 'runs')).lines.map(({ id }) => id);
    const newest = async (): Promise<string[]> =>
      newestFirst('runs', await allLines(database(), 'runs')).map(({ id }) => id);
    expect(await firstLines(database(), 'runs')).toEqual({ lines: [], all: true });
    await put(many.slice(0, 50));
    expect(await firstLines(database(), 'runs')).toMatchObject({ all: true });
    expect(await firstIds()).toEqual(await newest());
    await put(many.slice(50));
    expect(await firstLines(database(), 'runs')).toMatchObject({ all: false });
    let removed = 0;
    const rounds = cases(6, 15);
    for (let n = 0; n < rounds; n++) {
      // Old ones, new ones, some that become newer or older, and more that go than stay.
      const startedMs = [n * 7, 5000 + n, 990 - n][n % 3] as number;
      const gone = (await firstIds()).filter((_, index) => (index + n) % 9 === 0).slice(0, 3);
      removed += gone.length;
      await put([line(n % 2 === 0 ? 2000 + n : 990 - n, { startedMs })], gone);
      const first = await firstIds();
      expect(first.length).toBeGreaterThanOrEqual(20);
      // Lines that began at the same moment may stand either way.
      const times = newestFirst('runs', await allLines(database(), 'runs')).map((one) => one.startedMs);
      const firstTimes = (await firstLines(database(), 'runs')).lines.map((one) => one.startedMs);
      expect(firstTimes).toEqual(times.slice(0, firstTimes.length));
    }
    expect(removed).toBeGreaterThan(2 * rounds);
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

import fc from 'fast-check';
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { demoRecords } from './demoRecords';
import { plainFile, readWhole, writeWhole } from '@/core/testing/wholeFile';
import { latestVersion, migrate, migrations, type Migration } from '@/core/formats/migrations';
import type { Records, TableName } from '@/core/records/records';
import { tableNames } from '@/core/records/tables';
import { Stopped, readBenchFile, writeBenchFile } from '@/core/formats/benchFile';
import { sheetFor } from '@/core/testing/sampleBrew';

const records = demoRecords(Date.UTC(2026, 10, 24, 12));
const text = plainFile(records, latestVersion());

/** The file with one change made to it. */
function damaged(
  change: (file: { [key: string]: unknown; records: Record<string, Record<string, unknown>[]> }) => void,
): string {
  const file = JSON.parse(text);
  change(file);
  return JSON.stringify(file);
}

const faults = async (file: string): Promise<{ path: string; message: string }[]> => {
  const read = await readWhole(file);
  return read.ok ? [] : read.problems;
};

describe('out and in again', () => {
  const jpeg = new Blob([Uint8Array.from({ length: 70_000 }, (_, index) => (index * 31) % 256)], {
    type: 'image/jpeg',
  });
  const stamps = { createdMs: 1, updatedMs: 1 };
  const photos = ['a', 'b'].map((id) => ({ id, ...stamps, rollId: 'tin-3', name: id, widthPx: 9, heightPx: 9, jpeg }));
  test('the same records, photographs to the byte', async () => {
    const read = await readWhole(await writeWhole({ ...records, photos }));
    if (!read.ok) throw new Error(JSON.stringify(read.problems));
    const { photos: found, ...rest } = read.value;
    expect({ ...rest, photos: [] }).toEqual(records);
    expect(found.map(({ id }) => id)).toEqual(['a', 'b']);
    expect(await found[1]?.jpeg.arrayBuffer()).toEqual(await jpeg.arrayBuffer());
  });
  test('another zip program finds JSON that says what it is, and pictures', async () => {
    const files = unzipSync(new Uint8Array(await (await writeWhole({ ...records, photos })).arrayBuffer()));
    expect(Object.keys(files)).toEqual(['records.json', 'photos/a.jpg', 'photos/b.jpg']);
    const list = JSON.parse(strFromU8(files['records.json'] ?? new Uint8Array()));
    expect(list).toMatchObject({ format: 'aetas-records', version: latestVersion() });
    expect(list.records.rolls).toEqual(records.rolls);
  });
  test('plain JSON still opens', async () => {
    const read = await readWhole(text);
    expect(read.ok && read.value).toEqual(records);
  });
  test('a file of our own is always taken: dead links are cleared, orphans set aside, and it says so', async () => {
    const verdict = records.verdicts[0];
    const mix = { id: 'm', ...stamps, rollId: 'gone', batch: sheetFor('tea').batch, events: [], brewId: null };
    if (verdict === undefined) throw new Error('no verdict');
    const broken = {
      ...records,
      photos: [{ ...photos[0], rollId: 'gone' }] as Records['photos'],
      verdicts: [...records.verdicts, { ...verdict, id: 'orphan', runId: 'gone' }],
      mixes: [...records.mixes, mix],
      drafts: [...records.drafts, { id: 'deep', values: nested(3000), updatedMs: 1 }],
      brews: records.brews.map((brew) => ({ ...brew, films: brew.id === 'brew-fixer' ? -4 : brew.films })),
    };
    const read = await readWhole(await writeWhole(broken));
    if (!read.ok) throw new Error(JSON.stringify(read.problems.slice(0, 3)));
    expect(read.value.mixes.find(({ id }) => id === 'm')?.rollId).toBeNull();
    expect(read.value.aside.map(({ from }) => from).sort()).toEqual(['brews', 'drafts', 'photos', 'verdicts']);
    expect(read.value.rolls).toEqual(records.rolls);
  });
  test('a zip that was cut off, or holds something else, is refused in a sentence', async () => {
    const whole = await writeWhole(records);
    const cut = await readWhole(whole.slice(0, Math.floor(whole.size / 2)));
    expect(cut.ok ? '' : cut.problems[0]?.message).toMatch(/damaged or was cut off/);
    const other = await readWhole(new Blob([zipSync({ 'letter.txt': strToU8('hello') }) as Uint8Array<ArrayBuffer>]));
    expect(other.ok ? '' : other.problems[0]?.message).toMatch(/no records.json/);
  });
  test('whoever stops it stops it', async () => {
    const source = (table: TableName, after: number) => records[table].slice(after, after + 50);
    await expect(writeBenchFile(source, '', 1, 1, () => false)).rejects.toThrow(Stopped);
    await expect(
      readBenchFile(
        new Blob([text]),
        () => undefined,
        1,
        () => false,
      ),
    ).rejects.toThrow(Stopped);
  });
});

describe('a damaged, foreign or newer file is refused whole, with the path to the fault', () => {
  test.each<[string, string, string, RegExp]>([
    ['cut off', text.slice(0, text.length / 2), '', /not JSON, or it was cut off/],
    ['empty', '', '', /not JSON/],
    ['foreign', '{"hello": 1}', 'format', /not exported by Aetas/],
    ['an array', '[]', '', /./],
    ['newer', damaged((file) => (file.version = 99)), 'version', /newer Aetas/],
    ['no version', damaged((file) => delete file.version), 'version', /./],
    [
      'a wrong field',
      damaged((file) => Object.assign(file.records.rolls?.[2] ?? {}, { formatId: 'moon' })),
      'records.rolls[2].formatId',
      /./,
    ],
    ['a missing field', damaged((file) => delete file.records.runs?.[0]?.steps), 'records.runs[0].steps', /./],
    [
      'an extra field',
      damaged((file) => Object.assign(file.records.plans?.[0] ?? {}, { colour: 'red' })),
      'records.plans[0].colour',
      /colour/,
    ],
    [
      'a doubled id',
      damaged((file) => file.records.brews?.push(file.records.brews[0] ?? {})),
      'records.brews[3].id',
      /occurs twice/,
    ],
    ['a table too many', damaged((file) => Object.assign(file.records, { spells: [] })), 'records.spells', /no table/],
  ])('%s', async (_what, file, path, sentence) => {
    const found = await faults(file);
    expect(found.length).toBeGreaterThan(0);
    if (path !== '') expect(found.map((fault) => fault.path)).toContain(path);
    expect(found.map((fault) => fault.message).join(' ')).toMatch(sentence);
  });
});

/** Something nested so deeply. */
function nested(depth: number): unknown {
  let value: unknown = 'end';
  for (let level = 0; level < depth; level++) value = { value };
  return value;
}

/** Puts a value, or a hole, somewhere into a tree; the turns choose the way down. */
function disturb(node: unknown, turns: readonly number[], value: unknown): void {
  const [turn = 0, ...rest] = turns;
  if (typeof node !== 'object' || node === null) return;
  const keys = Object.keys(node);
  const key = keys[turn % Math.max(1, keys.length)];
  if (key === undefined) return;
  const child = (node as Record<string, unknown>)[key];
  if (rest.length > 0 && typeof child === 'object' && child !== null && Object.keys(child).length > 0)
    return disturb(child, rest, value);
  if (value === undefined) Reflect.deleteProperty(node, key);
  else Object.assign(node, { [key]: value });
}

test('wherever a file is disturbed, it is taken as what it says or refused in sentences with paths, and nothing is thrown', async () => {
  let refused = 0;
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.nat(40), { minLength: 1, maxLength: 7 }),
      fc.option(fc.jsonValue(), { nil: undefined }),
      async (turns, value) => {
        const file = damaged((whole) => disturb(whole, turns, value));
        const read = await readWhole(file);
        if (read.ok) {
          expect(await readWhole(await writeWhole(read.value))).toEqual(read);
          return;
        }
        refused += 1;
        for (const { path, message } of read.problems) {
          expect(typeof path).toBe('string');
          expect(message.length).toBeGreaterThan(8);
        }
      },
    ),
    { numRuns: 120 },
  );
  expect(refused).toBeGreaterThan(60);
});

describe('migrations', () => {
  const steps: Migration[] = [
    {
      to: 2,
      name: 'rolls have a colour',
      tables: ['rolls'],
      change: (raw) => ({ ...raw, rolls: (raw.rolls ?? []).map((roll) => ({ ...(roll as object), colour: 'red' })) }),
    },
    {
      to: 3,
      name: 'colour becomes hue',
      tables: ['rolls'],
      change: (raw) => ({
        ...raw,
        rolls: (raw.rolls ?? []).map((roll) => ({ ...(roll as object), hue: (roll as { colour: string }).colour })),
      }),
    },
  ];
  test('steps run in order from the version of the file', () => {
    expect(migrate({ rolls: [{ id: 'a' }] }, 1, steps).rolls).toEqual([{ id: 'a', colour: 'red', hue: 'red' }]);
    expect(migrate({ rolls: [{ id: 'a', colour: 'blue' }] }, 2, steps).rolls).toEqual([
      { id: 'a', colour: 'blue', hue: 'blue' },
    ]);
    expect(migrate({ rolls: [] }, 3, steps)).toEqual({ rolls: [] });
  });
  test('the input is left as it is', () => {
    const before = { rolls: [{ id: 'a' }] };
    migrate(before, 1, steps);
    expect(before).toEqual({ rolls: [{ id: 'a' }] });
  });
  test('an unknown version is a programmer’s error', () => expect(() => migrate({}, 9, steps)).toThrow(RangeError));
  test('the real steps are numbered without gaps', () =>
    expect(migrations.map(({ to }) => to)).toEqual(migrations.map((_, index) => index + 2)));
});

describe('the demo’s world', () => {
  test('eight rolls on the bench, a dozen past runs, and every table in use', () => {
    expect(records.rolls).toHaveLength(20);
    expect(records.verdicts).toHaveLength(12);
    for (const name of tableNames.filter((table) => table !== 'photos' && table !== 'aside'))
      expect(records[name].length).toBeGreaterThan(0);
  });
  test('it lies the same way whenever it is laid out', () =>
    expect(demoRecords(Date.UTC(2026, 10, 24, 12))).toEqual(records));
});

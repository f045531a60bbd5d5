import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { demoRecords } from './demoRecords';
import { BACKUP_FORMAT, readBackup, writeBackup } from '@/core/formats/backup';
import { latestVersion, migrate, migrations, type Migration } from '@/core/formats/migrations';
import { tableNames } from '@/core/records/tables';

const records = demoRecords(Date.UTC(2026, 10, 24, 12));
const text = writeBackup(records, '2026-11-24T12:00:00.000Z');

/** The file with one change made to it. */
function damaged(
  change: (file: { [key: string]: unknown; records: Record<string, Record<string, unknown>[]> }) => void,
): string {
  const file = JSON.parse(text);
  change(file);
  return JSON.stringify(file);
}

const faults = (file: string): { path: string; message: string }[] => {
  const read = readBackup(file);
  return read.ok ? [] : read.problems;
};

describe('out and in again', () => {
  test('the same records', () => {
    const read = readBackup(text);
    expect(read.ok && read.value).toEqual(records);
  });
  test('the file says what it is', () =>
    expect(JSON.parse(text)).toMatchObject({ format: BACKUP_FORMAT, version: latestVersion() }));
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
      'records.plans[0]',
      /colour/,
    ],
    [
      'a link to nowhere',
      damaged((file) => Object.assign(file.records.rolls?.[0] ?? {}, { stockId: 'gone' })),
      'records.rolls[0].stockId',
      /points to “gone”/,
    ],
    [
      'a doubled id',
      damaged((file) => file.records.brews?.push(file.records.brews[0] ?? {})),
      'records.brews[3].id',
      /occurs twice/,
    ],
    ['a table too many', damaged((file) => Object.assign(file.records, { spells: [] })), 'records.spells', /no table/],
  ])('%s', (_what, file, path, sentence) => {
    const found = faults(file);
    expect(found.length).toBeGreaterThan(0);
    if (path !== '') expect(found.map((fault) => fault.path)).toContain(path);
    expect(found.map((fault) => fault.message).join(' ')).toMatch(sentence);
  });
});

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

test('wherever a file is disturbed, it is taken as what it says or refused in sentences with paths, and nothing is thrown', () => {
  let refused = 0;
  fc.assert(
    fc.property(
      fc.array(fc.nat(40), { minLength: 1, maxLength: 7 }),
      fc.option(fc.jsonValue(), { nil: undefined }),
      (turns, value) => {
        const file = damaged((whole) => disturb(whole, turns, value));
        const read = readBackup(file);
        if (read.ok) {
          expect(readBackup(writeBackup(read.value, 'again'))).toEqual(read);
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
      change: (raw) => ({ ...raw, rolls: (raw.rolls ?? []).map((roll) => ({ ...(roll as object), colour: 'red' })) }),
    },
    {
      to: 3,
      name: 'colour becomes hue',
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
    for (const name of tableNames.filter((table) => table !== 'photos'))
      expect(records[name].length).toBeGreaterThan(0);
  });
  test('it lies the same way whenever it is laid out', () =>
    expect(demoRecords(Date.UTC(2026, 10, 24, 12))).toEqual(records));
});

import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, test } from 'vitest';
import { mergeTable } from './benchFiles';
import { linesWith } from './shards';
import { database } from './database';
import { demoRecords } from './demo/demoRecords';
import { replaceRecords, undoAct } from './undo';
import type { Run } from '@/core/records/records';
import { csvTables, readRecordTable, recordTable } from '@/core/formats/recordTable';

const records = demoRecords(Date.UTC(2026, 10, 24, 12));
const [run] = records.runs;
if (run === undefined) throw new Error('The demo has no run.');

function roundTrip(rows: Run[]): unknown {
  const read = readRecordTable(recordTable('runs', rows));
  return read.ok ? read.value.rows : read.problems;
}

describe('records as tables', () => {
  test.each(csvTables)('the demo’s %s come back as they were', (table) => {
    const rows = records[table];
    expect(rows.length).toBeGreaterThan(0);
    expect(readRecordTable(recordTable(table, rows as never))).toEqual({ ok: true, value: { table, rows } });
  });

  test('texts that look like numbers, formulas, JSON or nothing come back as texts', () => {
    for (const name of [
      '400',
      '-3',
      '.5',
      'true',
      'null',
      '[1]',
      '{"a":1}',
      '"quoted"',
      "'=1+1",
      '=1+1',
      '+7',
      '-x',
      '@home',
      'a, b; c\t"d"',
      'two\nlines',
      '=two\nlines',
      '\n=1+1',
      ' =1+1',
      '＝1+1',
      '＠home',
      ' led by a space ',
      'ü “é” 水',
    ])
      expect(roundTrip([{ ...run, developerName: name }]), name).toEqual([{ ...run, developerName: name }]);
  });

  test('no cell begins as a formula does', () => {
    for (const name of ['\n=1+1', ' @x', '＝1', '\u00a0+1'])
      expect(recordTable('runs', [{ ...run, developerName: name }])).toContain(`'${name}`);
    const csv = recordTable('runs', [{ ...run, developerName: '=HYPERLINK("x")', movementName: '@cmd' }]);
    expect(csv).toContain("'=HYPERLINK");
    expect(csv).toContain("'@cmd");
    for (const cell of csv.split(/[,\r\n]+/)) expect(cell).not.toMatch(/^"?[=@\t]/);
  });

  test('what a spreadsheet spoiled is told by line and column, and nothing is taken', () => {
    const csv = recordTable('runs', [run, { ...run, id: 'second' }]);
    const spoiled = csv
      .split('\r\n')
      .map((line, index) => (index === 2 ? line.replace(/runs,second/, 'runs,a/b') : line));
    const read = readRecordTable(spoiled.join('\r\n'));
    expect(read.ok).toBe(false);
    expect(read.ok ? '' : read.problems[0]?.path).toBe('line 3, id');
  });

  test('what is no table of records is refused with what it should be', () => {
    for (const text of ['', 'a,b\r\n1,2', 'table\r\nsettings', 'table,id\r\nruns,a\r\nevidence,b', '{"format":"x"}']) {
      const read = readRecordTable(text);
      expect(read.ok ? '' : read.problems[0]?.message).toContain('This is not a table of records');
    }
  });

  test.each([
    ['__proto__', '__proto__'],
    ['a.__proto__.polluted', 'a.__proto__.polluted'],
    ['constructor', 'constructor'],
    ['id', 'id'],
  ])('a column %s that no record has, or has already, is told at once', (column, path) => {
    const [head = '', line = ''] = recordTable('runs', [run]).split('\r\n');
    const read = readRecordTable(`${head},${column}\r\n${`${line},1\r\n`.repeat(2000)}`);
    expect(read.ok ? '' : read.problems[0]?.path).toBe(path);
    expect(({} as { polluted?: unknown }).polluted).toBeUndefined();
  });

  test('instants are dates and times, and come back to the millisecond', () => {
    const csv = recordTable('runs', [run]);
    const [head = '', line = ''] = csv.split('\r\n');
    expect(head.split(',')).toContain('createdTime');
    expect(head).not.toMatch(/Ms\b/);
    expect(line).toContain(new Date(run.createdMs).toISOString());
  });

  test('tables from before that hold milliseconds still read, and times that a spreadsheet rounded are told', () => {
    const old = (text: string): string =>
      recordTable('runs', [run])
        .replace('createdTime', 'createdMs')
        .replace(new Date(run.createdMs).toISOString(), text);
    expect(readRecordTable(old(String(run.createdMs)))).toMatchObject({ ok: true, value: { rows: [run] } });
    const rounded = readRecordTable(old('1.79588E+12'));
    expect(rounded.ok ? '' : rounded.problems[0]?.path).toBe('line 2, createdMs');
    expect(rounded.ok ? '' : rounded.problems[0]?.message).toContain('rounded');
  });

  test('a NUL in the file is told', () => {
    const read = readRecordTable(recordTable('runs', [run]).replace('runs,', 'ru\0ns,'));
    expect(read.ok ? '' : read.problems[0]?.message).toContain('NUL');
  });
});

describe('a table merged into the bench', () => {
  beforeEach(() => replaceRecords(records));

  test('takes what was changed in a spreadsheet, leaves the rest, and is undone whole', async () => {
    const read = readRecordTable(recordTable('runs', records.runs));
    if (!read.ok) throw new Error('The table does not read.');
    const rows = (read.value.rows as Run[]).map((row) =>
      row.id === run.id ? { ...row, movementName: 'Twirled' } : row,
    );
    const merged = await mergeTable('runs', rows);
    expect(merged).toMatchObject({ ok: true, value: { updated: { runs: 1 }, kept: rows.length - 1 } });
    const after = await database().runs.get(run.id);
    expect(after?.movementName).toBe('Twirled');
    expect(after?.updatedMs).toBeGreaterThan(run.updatedMs);
    await undoAct();
    expect(await database().runs.get(run.id)).toEqual(run);
  });

  test('adds what is new', async () => {
    expect(await mergeTable('runs', [{ ...run, id: 'from-a-friend' }])).toMatchObject({
      ok: true,
      value: { added: { runs: 1 }, kept: 0 },
    });
    expect(await linesWith(database(), 'runs', ['from-a-friend'])).toHaveLength(1);
  });

  test('moves no run to another roll, and takes no id twice', async () => {
    const other = records.rolls.find(({ id }) => id !== run.rollId);
    const moved = await mergeTable('runs', [{ ...run, rollId: other?.id ?? '', updatedMs: run.updatedMs + 1 }]);
    expect(moved.ok ? '' : moved.problems[0]?.path).toBe('line 2, rollId');
    const twice = await mergeTable('runs', [run, { ...run, movementName: 'Twirled' }]);
    expect(twice.ok ? '' : twice.problems[0]?.path).toBe('line 3, id');
    expect(await database().runs.get(run.id)).toEqual(run);
  });

  test('a time in the future counts as now: no record wins every merge for ever', async () => {
    const far = Date.UTC(2199, 0, 1);
    const merged = await mergeTable('runs', [{ ...run, movementName: 'Twirled', updatedMs: far }]);
    expect(merged).toMatchObject({ ok: true, value: { redated: 1, updated: { runs: 1 } } });
    expect((await database().runs.get(run.id))?.updatedMs).toBeLessThan(Date.now() + 60_000);
  });

  test('refuses what belongs to nothing here, by its line, and changes nothing', async () => {
    const merged = await mergeTable('runs', [run, { ...run, id: 'stray', rollId: 'gone' }]);
    expect(merged.ok ? '' : merged.problems[0]?.path).toBe('line 3, rollId');
    expect(await database().runs.get('stray')).toBeUndefined();
  });
});

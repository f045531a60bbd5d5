import { zipSync } from 'fflate';
import { describe, expect, test } from 'vitest';
import { demoInputs } from '../testing/demoInputs';
import { readBenchFile } from './benchFile';
import { redate } from './checkRecords';
import { headLine, LONGEST_LINE } from './recordLines';

const NOW = Date.UTC(2026, 10, 24, 12);
const spaces = (mb: number): Uint8Array => new Uint8Array(mb * 1_000_000).fill(0x20);
const zipOf = (...parts: (Uint8Array | string)[]): Blob => {
  const bytes = parts.map((part) => (typeof part === 'string' ? new TextEncoder().encode(part) : part));
  const whole = new Uint8Array(bytes.reduce((sum, part) => sum + part.length, 0));
  bytes.reduce((at, part) => (whole.set(part, at), at + part.length), 0);
  return new Blob([zipSync({ 'records.json': whole }, { level: 1 }) as Uint8Array<ArrayBuffer>]);
};
const read = (file: Blob, goOn: () => boolean = () => true) => readBenchFile(file, () => undefined, NOW, goOn);

describe('a file that is nothing but long', () => {
  test('spaces on one line behind our own head are refused at the length of the longest record', async () => {
    const found = await read(zipOf(headLine('2026-11-24T12:00:00Z'), '"settings":[\n', spaces(60)));
    expect(found.ok ? '' : found.problems[0]?.message).toContain(`longer than ${LONGEST_LINE / 1e6} MB`);
  });
  test('spaces that no file of ours begins with can be stopped while the rest is held against the zip’s own sum', async () => {
    let asked = 0;
    const found = await read(zipOf(spaces(60)), () => {
      asked += 1;
      return asked < 3;
    }).catch((error: unknown) => (error as Error).name);
    expect(found).toBe('Stopped');
  });
  test('every piece of a long line asks whether to go on', async () => {
    let asked = 0;
    const stopped = read(zipOf(headLine('2026-11-24T12:00:00Z'), '"settings":[\n', spaces(12)), () => {
      asked += 1;
      return asked < 4;
    });
    await expect(stopped).rejects.toMatchObject({ name: 'Stopped' });
    expect(asked).toBe(4);
  });
});

describe('times in the future', () => {
  const { roll } = demoInputs;
  test('count as now, beyond a day', () => {
    const far = { ...roll, updatedMs: Date.UTC(2199, 0, 1) };
    expect(redate(far, NOW)).toBe(true);
    expect(far).toEqual({ ...roll, updatedMs: NOW });
    const soon = { ...roll, updatedMs: NOW + 3_600_000 };
    expect(redate(soon, NOW)).toBe(false);
    expect(soon.updatedMs).toBe(NOW + 3_600_000);
  });
});

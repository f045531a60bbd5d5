import { readBenchFile, writeBenchFile } from '../formats/benchFile';
import { migrations, type Migration } from '../formats/migrations';
import type { Records, TableName } from '../records/records';
import { noRecords } from '../records/tables';
import { success, type Result } from '../schema/result';

const NOW = Date.UTC(2026, 10, 24, 12);

/** Writes all records into a file at once. */
export async function writeWhole(records: Records): Promise<Blob> {
  const source = (table: TableName, after: number): readonly unknown[] => records[table].slice(after, after + 50);
  return (await writeBenchFile(source, new Date(NOW).toISOString(), NOW, 1)).file;
}

/** Reads all records of a file at once; what was set aside is among them. */
export async function readWhole(
  file: Blob | string,
  steps: readonly Migration[] = migrations,
): Promise<Result<Records>> {
  const records = noRecords();
  const blob = typeof file === 'string' ? new Blob([file]) : file;
  const sink = (table: TableName, rows: unknown[]): void => void (records[table] as unknown[]).push(...rows);
  const read = await readBenchFile(blob, sink, NOW, () => true, steps);
  return read.ok ? success(records) : read;
}

/** Records as an older version, or another program, would write them: plain JSON. */
export function plainFile(records: Records, version: number): string {
  return JSON.stringify({ format: 'aetas-records', version, exportedAt: new Date(NOW).toISOString(), records });
}

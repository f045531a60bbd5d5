import { format } from 'date-fns';
import type { FileReport } from '@/core/formats/benchFile';
import type { Result } from '@/core/schema/result';
import { guardedFile, mergeTable, openBenchSource, type MergeReport } from '@/data/benchFiles';
import { readRecordTable, recordTable, type CsvTable } from '@/core/formats/recordTable';
import { database } from '@/data/database';
import { dropAllAhead } from '@/data/draftJournal';
import { benchWorker, stopBenchWorker } from '@/workers/bench';
import { coreWorker } from '@/workers/core';
import { download } from '@/ui/download';

/** How far a file is: what is being done, and the share that is done. */
export interface FileProgress {
  words: string;
  share: number;
}

/** Tells how far it is; answers whether to go on. */
export type OnFileProgress = (progress: FileProgress) => boolean;

/**
 * Writes the whole bench into a file, reads it back to be sure, and hands it to the browser.
 * @returns what is in the file
 * @throws what stops it: `isStop` of the data tells the user's own stop from a fault
 */
export async function saveBench(onProgress: OnFileProgress): Promise<FileReport> {
  const source = await openBenchSource();
  const now = new Date();
  const { file, report } = await coreWorker().writeBenchFile(
    source.rows,
    now.toISOString(),
    now.getTime(),
    source.total,
    (share) => onProgress({ words: 'Writing the file', share: 0.6 * share }),
  );
  const read = await coreWorker().readBenchFile(
    file,
    () => undefined,
    now.getTime(),
    (share) => onProgress({ words: 'Reading it back to check', share: 0.6 + 0.4 * share }),
  );
  if (!read.ok) throw new Error(`The file did not read back: ${read.problems[0]?.message ?? ''}`);
  const lost = Object.entries(report.counts).find(
    ([table, count]) => read.value.counts[table as keyof FileReport['counts']] < count,
  );
  if (lost !== undefined) throw new Error(`The file did not read back whole: some ${lost[0]} are missing.`);
  const demo = database().bench === 'demo' ? 'demo-' : '';
  download(file, `aetas-${demo}${format(now, 'yyyy-MM-dd-HHmm')}.zip`);
  return report;
}

/**
 * Opens a file in the place of the bench: read and checked whole first, then taken whole, with a way back.
 * @returns what is in it, or why it was not taken; then nothing has changed
 */
export async function openBench(
  file: File,
  onProgress: OnFileProgress,
  withoutCopy = false,
): Promise<Result<FileReport>> {
  const answer = await guardedFile(() =>
    benchWorker().importFile(database().bench, file, withoutCopy, (share) =>
      onProgress({ words: 'Reading, checking and storing', share: 0.9 * share }),
    ),
  );
  // What was typed belongs to records that are gone.
  if (answer.ok) dropAllAhead();
  return answer;
}

/**
 * Saves one table of the bench as CSV.
 * @param table which records
 */
export async function saveTable(table: CsvTable): Promise<void> {
  const rows = await database().table(table).toArray();
  download(recordTable(table, rows as never), `aetas-${table}-records.csv`, 'text/csv');
}

/** Merges a table that was saved as CSV into the bench. */
async function mergeCsv(file: File, withoutCopy: boolean): Promise<Result<MergeReport>> {
  const read = readRecordTable(await file.text());
  if (!read.ok) return read;
  const { table, rows } = read.value;
  return guardedFile(() => mergeTable(table, rows, withoutCopy));
}

/**
 * Merges a file into the bench, by id and time: a whole bench, or one table as CSV.
 * @returns what was added, updated and left, or why the file was not taken; then nothing has changed
 */
export async function mergeFile(
  file: File,
  onProgress: OnFileProgress,
  withoutCopy = false,
): Promise<Result<MergeReport>> {
  if (/\.csv$/i.test(file.name)) return mergeCsv(file, withoutCopy);
  return guardedFile(() =>
    benchWorker().mergeFile(database().bench, file, withoutCopy, (share) =>
      onProgress({ words: 'Reading, checking and merging', share: 0.9 * share }),
    ),
  );
}

/** How long reading may go on after it was asked to stop, ms. */
const STOP_WITHIN_MS = 250;

/**
 * Ends the opening or merging of a file at once, also where it is busy with a single long line: what is under way when it does not
 * stop by itself is cut off, and the bench stays as it was.
 * @returns how to let it go on after all
 */
export function stopFile(): () => void {
  const timer = setTimeout(() => {
    const stopped = new Error('Stopped by the user.');
    stopped.name = 'Stopped';
    stopBenchWorker(stopped);
  }, STOP_WITHIN_MS);
  return () => clearTimeout(timer);
}

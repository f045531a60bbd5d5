import { Zip, ZipDeflate, ZipPassThrough, strToU8 } from 'fflate';
import * as z from 'zod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { problemsFromZod } from '../schema/problemsFromZod';
import type { Photo, Records, TableName } from '../records/records';
import { tableNames } from '../records/tables';
import { RecordCheck } from './checkRecords';
import { latestVersion, migrate, migrations, type Migration, type RawRecords } from './migrations';
import { RECORDS_FORMAT, RecordLines, endLine, headLine, isOwnHead, rowLines, tableLine } from './recordLines';
import { PIECE_BYTES, TextPieces, plainPieces } from './textPieces';
import { Damaged, fileInZip, unpackEntry, zipEntries, type ZipEntry } from './zipEntries';

/** How far a file is, 0 to 1, and with what. Answers whether to go on. */
export type OnProgress = (share: number, table: TableName) => boolean | Promise<boolean>;

/** Hands out a table's records in batches: the next ones after so many; none when all were handed out. */
export type RowSource = (table: TableName, after: number) => Promise<readonly unknown[]> | readonly unknown[];

/** Takes records in as they are read. */
export type RowSink = <T extends TableName>(table: T, rows: Records[T]) => Promise<void> | void;

/** What became of a file. */
export interface FileReport {
  counts: Record<TableName, number>;
  /** Records that could not stay where they were, and stand aside. */
  setAside: number;
  /** Links that led nowhere and were cleared. */
  cleared: number;
  /** Records whose time lay in the future and counts as now. */
  redated: number;
}

/** Thrown when the user stopped a file half way. Nothing has changed then. */
export class Stopped extends Error {
  override name = 'Stopped';
}

const RECORDS_NAME = 'records.json';
const photoName = (id: string): string => `photos/${id}.jpg`;

/** Records that go through at a time. */
const BATCH = 200;

/** The largest file that is opened, and the largest list of records in it, bytes: above that a tab runs out of memory. */
export const LARGEST_FILE_BYTES = 1_500_000_000;
const LARGEST_RECORDS_BYTES = 1_000_000_000;

/** The largest file of an older layout, which has to be read at once, letters: a browser holds no longer text. */
const LARGEST_WHOLE = 400_000_000;

/** All that may come out of one file, bytes. Source: our choice, more than a browser gives a page to keep as a rule. */
const LARGEST_UNPACKED_BYTES = 4_000_000_000;

/** The largest photograph that is taken out of a file, bytes: more than any that Aetas kept. */
const LARGEST_PHOTO_BYTES = 10_000_000;

/**
 * Writes all records as one zip: `records.json`, one record a line, and the photographs under `photos/`. What would not be
 * read again is set aside within the file, so that a file of our own is always taken.
 * @param source hands out the records of each table
 * @param exportedAt instant of the export, ISO 8601
 * @param atMs the same instant, ms since the epoch
 * @param total number of records, for the progress
 * @param onProgress told after each batch
 * @returns the file and what is in it
 * @throws Stopped when `onProgress` says so
 */
export async function writeBenchFile(
  source: RowSource,
  exportedAt: string,
  atMs: number,
  total: number,
  onProgress: OnProgress = () => true,
): Promise<{ file: Blob; report: FileReport }> {
  const out = new Pieces();
  const zip = new Zip((error, piece) => {
    if (error !== null) throw error;
    out.add(piece);
  });
  const list = new ZipDeflate(RECORDS_NAME, { level: 6 });
  zip.add(list);
  const put = (text: string): void => list.push(strToU8(text));
  const check = new RecordCheck(atMs, 'aside');
  const counts = emptyCounts();
  put(headLine(exportedAt));
  for (const table of tableNames) {
    put(tableLine(table));
    const write = async (rows: readonly unknown[]): Promise<void> => {
      const kept = check.take(table, rows);
      const plain =
        table === 'photos' ? (kept as Photo[]).map((photo) => ({ ...photo, jpeg: photoName(photo.id) })) : kept;
      put(rowLines(plain, counts[table] === 0));
      counts[table] += kept.length;
      if (!(await onProgress(0.9 * shareOf(counts, total), table))) throw new Stopped();
    };
    await eachBatch(source, table, write);
    // Last comes the table of what was set aside, on the way here too.
    if (table === 'aside') await write(check.aside.splice(0));
    put(endLine(table));
  }
  list.push(new Uint8Array(), true);
  let written = 0;
  await eachBatch(source, 'photos', async (photos) => {
    for (const photo of photos as Photo[]) {
      const entry = new ZipPassThrough(photoName(photo.id));
      zip.add(entry);
      entry.push(new Uint8Array(await photo.jpeg.arrayBuffer()), true);
      written += 1;
      if (!(await onProgress(0.9 + (0.1 * written) / Math.max(1, counts.photos), 'photos'))) throw new Stopped();
    }
  });
  zip.end();
  return {
    file: out.blob('application/zip'),
    report: { counts, setAside: counts.aside, cleared: check.cleared, redated: check.redated },
  };
}

/**
 * Reads a file: a zip, or plain JSON as older versions wrote it. Records are checked and brought to the newest shape on the
 * way. The sink takes them as they come; it must forget them when the answer is a failure.
 * @param file the file
 * @param sink takes the records, table by table
 * @param atMs this instant, ms since the epoch
 * @param onProgress told after each batch
 * @param steps migrations, oldest first
 * @returns what is in it, or every fault found with its path in the file
 * @throws Stopped when `onProgress` says so
 */
export async function readBenchFile(
  file: Blob,
  sink: RowSink,
  atMs: number,
  onProgress: OnProgress = () => true,
  steps: readonly Migration[] = migrations,
): Promise<Result<FileReport>> {
  if (file.size > LARGEST_FILE_BYTES)
    return refuse(`The file is larger than ${LARGEST_FILE_BYTES / 1e9} GB. Aetas cannot open that much at once.`);
  const reading = new Reading(sink, atMs, onProgress);
  let faults: Problem[];
  try {
    const entries = (await isZip(file)) ? await zipEntries(file) : undefined;
    if (entries === null) throw new Damaged('its directory is missing');
    const list = entries?.get(RECORDS_NAME);
    if (entries !== undefined && list === undefined)
      return refuse(`There is no ${RECORDS_NAME} in this file, so Aetas did not write it.`);
    const text = await TextPieces.begin(
      list === undefined ? plainPieces(file) : unpackEntry(file, list, LARGEST_RECORDS_BYTES),
      list?.bytes ?? file.size,
    );
    const photoOf = entries === undefined ? null : photosIn(file, entries);
    faults =
      isOwnHead(text.firstLine) && steps === migrations
        ? await readLines(text, reading, photoOf)
        : await readWhole(text, reading, steps, photoOf);
    // A zip knows what it holds: where that was changed on the way, it is the reason for all else that is wrong.
    if (faults.length > 0 && entries !== undefined) await text.skip((share) => reading.goOn(share));
  } catch (error) {
    if (!(error instanceof Damaged)) throw error;
    return refuse(`The file is damaged or was cut off${detail(error)}. Export it again where it came from.`);
  }
  if (faults.length > 0) return failure(...faults);
  await reading.finish();
  return reading.check.problems.length > 0 ? failure(...reading.check.problems) : success(reading.report());
}

/** Records on their way from a file to the sink. */
class Reading {
  readonly check: RecordCheck;
  private readonly counts = emptyCounts();
  constructor(
    private readonly sink: RowSink,
    atMs: number,
    private readonly onProgress: OnProgress,
  ) {
    this.check = new RecordCheck(atMs);
  }

  /** Whether to go on, asked wherever a file may be long. */
  async goOn(share: number, table: TableName = 'settings'): Promise<void> {
    if (!(await this.onProgress(share, table))) throw new Stopped();
  }

  async take(table: TableName, rows: readonly unknown[], share: number): Promise<void> {
    const kept = this.check.take(table, rows);
    this.counts[table] += kept.length;
    if (kept.length > 0 && this.check.problems.length === 0) await this.sink(table, kept);
    await this.goOn(share, table);
  }

  async finish(): Promise<void> {
    const { aside, problems } = this.check;
    this.counts.aside += aside.length;
    if (aside.length > 0 && problems.length === 0) await this.sink('aside', aside);
  }

  report(): FileReport {
    const { aside, cleared, redated } = this.check;
    return { counts: this.counts, setAside: aside.length, cleared, redated };
  }
}

type PhotoOf = (name: string) => Promise<Blob | null>;

async function readLines(text: TextPieces, reading: Reading, photoOf: PhotoOf | null): Promise<Problem[]> {
  const lines = new RecordLines();
  let batch: unknown[] = [];
  let at: TableName = 'settings';
  const waiting: { table: TableName; rows: unknown[] }[] = [];
  const flush = (): void => {
    if (batch.length > 0) waiting.push({ table: at, rows: batch });
    batch = [];
  };
  const hand = async (share: number): Promise<void> => {
    for (const { table, rows } of waiting.splice(0))
      await reading.take(table, await withPhotos(table, rows, photoOf, () => reading.goOn(share, table)), share);
  };
  for (;;) {
    const { share } = text;
    const piece = await text.next();
    if (piece === null) break;
    try {
      lines.push(piece, (table, json) => {
        if (table !== at || batch.length >= BATCH) flush();
        at = table;
        batch.push(JSON.parse(json) as unknown);
      });
    } catch (error) {
      return [
        {
          path: '',
          message: `The file is not JSON, or it was changed${detail(error)}. Export it again where it came from.`,
        },
      ];
    }
    await reading.goOn(share, at);
    await hand(share);
  }
  flush();
  await hand(1);
  return lines.complete
    ? []
    : [{ path: '', message: 'The file was cut off: its end is missing. Export it again where it came from.' }];
}

const headSchema = z.object({
  format: z.literal(RECORDS_FORMAT),
  version: z.number().int().min(1),
  records: z.record(z.string(), z.array(z.unknown())),
});

async function readWhole(
  text: TextPieces,
  reading: Reading,
  steps: readonly Migration[],
  photoOf: PhotoOf | null,
): Promise<Problem[]> {
  if (!text.mayBeObject)
    return [{ path: '', message: 'The file is not JSON of Aetas: it does not begin as one. Choose another file.' }];
  const whole = await text.rest(LARGEST_WHOLE, (share) => reading.goOn(share));
  if (whole === null)
    return [
      {
        path: '',
        message: `The file is of an older or another layout and longer than ${LARGEST_WHOLE / 1e6} MB: it cannot be read at once. Save it again in a newer Aetas.`,
      },
    ];
  let json: unknown;
  try {
    json = JSON.parse(whole);
  } catch (error) {
    return [
      {
        path: '',
        message: `The file is not JSON, or it was cut off${detail(error)}. Export it again where it came from.`,
      },
    ];
  }
  if (!z.object({ format: z.literal(RECORDS_FORMAT) }).safeParse(json).success)
    return [{ path: 'format', message: `This file was not exported by Aetas: its format is not “${RECORDS_FORMAT}”.` }];
  const head = headSchema.safeParse(json);
  if (!head.success) return problemsFromZod(head.error.issues);
  const { version, records } = head.data;
  const latest = latestVersion(steps);
  if (version > latest) {
    const message = `The file has version ${version}, and this Aetas reads up to ${latest}. Open it with a newer Aetas.`;
    return [{ path: 'version', message }];
  }
  const unknown = Object.keys(records).filter((name) => !tableNames.includes(name as TableName));
  if (unknown.length > 0)
    return unknown.map((name) => ({ path: `records.${name}`, message: `There is no table “${name}”.` }));
  let newest: RawRecords;
  try {
    newest = migrate(records, version, steps);
  } catch (error) {
    return [
      {
        path: 'records',
        message: `These records are not as version ${version} writes them${detail(error)}. Export the file again where it came from.`,
      },
    ];
  }
  for (const [index, table] of tableNames.entries()) {
    const rows = newest[table] ?? [];
    for (let from = 0; from < rows.length; from += BATCH) {
      const share = (index + from / rows.length) / tableNames.length;
      const some = rows.slice(from, from + BATCH);
      await reading.take(table, await withPhotos(table, some, photoOf, () => reading.goOn(share, table)), share);
    }
  }
  return [];
}

/** Photographs' rows with their pictures out of the zip; other rows as they are. */
async function withPhotos(
  table: TableName,
  rows: unknown[],
  photoOf: PhotoOf | null,
  goOn: () => Promise<void>,
): Promise<unknown[]> {
  if (table !== 'photos' || photoOf === null) return rows;
  const found: unknown[] = [];
  for (const row of rows) {
    await goOn();
    const jpeg = typeof row === 'object' && row !== null ? (row as { jpeg?: unknown }).jpeg : undefined;
    found.push(typeof jpeg === 'string' ? { ...(row as object), jpeg: (await photoOf(jpeg)) ?? jpeg } : row);
  }
  return found;
}

/** Takes single photographs out of a zip, so that never all of them are in memory; null for one that is not as it was saved. */
function photosIn(zip: Blob, entries: ReadonlyMap<string, ZipEntry>): PhotoOf {
  let bytes = 0;
  return async (name) => {
    const entry = name.startsWith('photos/') ? entries.get(name) : undefined;
    if (entry === undefined) return null;
    bytes += Math.max(entry.bytes, entry.packedBytes);
    if (bytes > LARGEST_UNPACKED_BYTES) throw new Damaged(`it unpacks to more than ${LARGEST_UNPACKED_BYTES / 1e9} GB`);
    try {
      return await fileInZip(zip, entry, 'image/jpeg', LARGEST_PHOTO_BYTES);
    } catch (error) {
      if (error instanceof Damaged) return null;
      throw error;
    }
  };
}

async function isZip(file: Blob): Promise<boolean> {
  const [p, k] = new Uint8Array(await file.slice(0, 2).arrayBuffer());
  return p === 0x50 && k === 0x4b;
}

/** Bytes as they come, handed to the browser in lumps so that they leave this program's own memory. */
class Pieces {
  private parts: BlobPart[] = [];
  private bytes = 0;

  add(piece: Uint8Array): void {
    this.parts.push(piece as Uint8Array<ArrayBuffer>);
    this.bytes += piece.byteLength;
    if (this.bytes < PIECE_BYTES) return;
    this.parts = [new Blob(this.parts)];
    this.bytes = 0;
  }

  blob(type: string): Blob {
    return new Blob(this.parts, { type });
  }
}

async function eachBatch(
  source: RowSource,
  table: TableName,
  act: (rows: readonly unknown[]) => Promise<void>,
): Promise<void> {
  let after = 0;
  for (;;) {
    const rows = await source(table, after);
    if (rows.length === 0) return;
    await act(rows);
    after += rows.length;
  }
}

function emptyCounts(): Record<TableName, number> {
  return Object.fromEntries(tableNames.map((name) => [name, 0])) as Record<TableName, number>;
}

function shareOf(counts: Record<TableName, number>, total: number): number {
  return Object.values(counts).reduce((sum, count) => sum + count, 0) / Math.max(1, total);
}

function detail(error: unknown): string {
  return error instanceof Error && error.message !== '' ? ` (${error.message})` : '';
}

function refuse(message: string): Result<never> {
  return failure({ path: '', message });
}

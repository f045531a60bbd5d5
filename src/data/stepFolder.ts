import { recordSchemas } from '@/core/records/records';
import {
  editOf,
  knownOf,
  markOf,
  syncedTables,
  type Edit,
  type Known,
  type Row,
  type SyncedTable,
} from '@/core/sync/edit';
import { fold, keyOf, type Folded } from '@/core/sync/fold';
import { JOURNAL_SUFFIX, journalHead, journalLines, readJournal } from '@/core/sync/journalFile';
import { act } from './act';
import { database } from './database';
import type { Folder, StepReport } from './folder';
import { handsAreBusy } from './handsBusy';
import { Refusal } from './trouble';

const PHOTOS = 'photos';
/** Records that are read, and changes that are stored, at a time. */
const BATCH = 200;

/** A photograph's picture as a journal names it. */
interface PictureMark {
  sha256: string;
  bytes: number;
}

async function markOfPicture(jpeg: Blob): Promise<PictureMark> {
  const digest = await crypto.subtle.digest('SHA-256', await jpeg.arrayBuffer());
  const sha256 = [...new Uint8Array(digest)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
  return { sha256, bytes: jpeg.size };
}

/** What is on the bench, as a journal has it, without the pictures themselves. */
class Local {
  /** Records by key, of those that were done to since. */
  readonly edits: Edit[] = [];
  readonly marks = new Map<string, Known>();
  readonly pictures = new Map<string, Blob>();

  constructor(
    private readonly known: ReadonlyMap<string, Known>,
    private readonly by: { device: string; nowMs: number },
  ) {}

  async read(): Promise<void> {
    const db = database();
    for (const table of syncedTables) {
      const ids = (await db.table(table).toCollection().primaryKeys()) as string[];
      for (let from = 0; from < ids.length; from += BATCH) {
        const rows = (await db.table(table).bulkGet(ids.slice(from, from + BATCH))) as (Row | undefined)[];
        for (const row of rows) if (row !== undefined) await this.take(table, row);
      }
    }
    for (const [key, known] of this.known) {
      if (this.marks.has(key) || known.gone === true) continue;
      const [table, id] = key.split(' ') as [SyncedTable, string];
      this.note(editOf(known, { table, id }, null, this.by));
    }
  }

  private async take(table: SyncedTable, stored: Row): Promise<void> {
    const key = keyOf(table, stored.id);
    const known = this.known.get(key);
    const row = table === 'photos' ? await this.withoutPicture(stored, known) : stored;
    const edit = row === null ? null : editOf(known, { table, id: stored.id }, row, this.by);
    this.marks.set(key, row === null ? (known as Known) : knownOf(row, edit?.ms ?? known?.ms ?? 0));
    this.note(edit);
  }

  /** A photograph with the mark of its picture; null where nothing was done to it, so that its picture need not be read. */
  private async withoutPicture(row: Row, known: Known | undefined): Promise<Row | null> {
    const { jpeg, ...rest } = row as Row & { jpeg: Blob };
    if (known?.gone !== true && known !== undefined) {
      const same = Object.entries(rest).every(([name, value]) => known.fields[name] === markOf(value));
      if (same && Object.keys(known.fields).length === Object.keys(rest).length + 1) return null;
    }
    const mark = await markOfPicture(jpeg);
    this.pictures.set(mark.sha256, jpeg);
    return { ...rest, jpeg: mark };
  }

  private note(edit: Edit | null): void {
    if (edit !== null) this.edits.push(edit);
  }
}

/** Whether a record has the shape that this Aetas knows. */
function isSound(table: SyncedTable, row: Row): boolean {
  const whole = table === 'photos' ? { ...row, jpeg: new Blob(['-'], { type: 'image/jpeg' }) } : row;
  return recordSchemas[table].safeParse(whole).success;
}

/**
 * Writes what was done here into this device's own journal, and takes what the others' journals hold.
 * @param waits whether to wait for another tab that is at it: somebody asked for it. Otherwise that tab's doing is enough
 * @returns what was done; null where no folder is kept in step, or another tab is at it
 * @throws what the browser says when the folder cannot be read or written
 */
export async function stepFolder(waits = false): Promise<StepReport | null> {
  return navigator.locks.request('aetas.folder', { ifAvailable: !waits }, async (lock) => {
    const folder = await database().folders.get('folder');
    return lock === null || folder === undefined ? null : stepOnce(folder);
  });
}

async function stepOnce({ handle, device, name }: Folder): Promise<StepReport> {
  const db = database();
  const nowMs = Date.now();
  const known = new Map((await db.known.toArray()).map(({ id, ...one }) => [id, one as Known]));
  const local = new Local(known, { device, nowMs });
  await local.read();
  const own = await writeJournal(handle, { device, name }, local, known);
  await db.known.bulkPut(local.edits.map(({ table, id, row, ms }) => ({ id: keyOf(table, id), ...knownOf(row, ms) })));
  const report: StepReport = { written: local.edits.length, taken: 0, held: 0, busy: false, devices: [], aside: [] };
  const edits = [...own];
  for await (const entry of handle.values()) {
    if (entry.kind !== 'file' || !entry.name.endsWith(JOURNAL_SUFFIX) || entry.name === `${device}${JOURNAL_SUFFIX}`)
      continue;
    const read = readJournal(await (await (entry as FileSystemFileHandle).getFile()).text(), entry.name);
    if (!read.ok) report.aside.push({ name: read.name, why: read.why });
    else {
      report.devices.push(read.journal.name);
      edits.push(...read.journal.edits);
    }
  }
  report.busy = await handsAreBusy();
  if (!report.busy) await takeIn(handle, fold(edits, isSound), local, report);
  await db.folders.update('folder', { lastMs: Date.now() });
  return report;
}

/** Writes the own journal: new lines behind the old ones, or all of it anew where it is missing or no longer whole. */
async function writeJournal(
  handle: FileSystemDirectoryHandle,
  { device, name }: Pick<Folder, 'device' | 'name'>,
  local: Local,
  known: ReadonlyMap<string, Known>,
): Promise<Edit[]> {
  if (local.pictures.size > 0) {
    const photos = await handle.getDirectoryHandle(PHOTOS, { create: true });
    for (const [sha256, jpeg] of local.pictures)
      await writeFile(await photos.getFileHandle(sha256, { create: true }), jpeg);
  }
  const file = await handle.getFileHandle(`${device}${JOURNAL_SUFFIX}`, { create: true });
  const text = await (await file.getFile()).text();
  const read = text.endsWith('\n') ? readJournal(text, file.name) : null;
  if (read?.ok === true && read.journal.name === name) {
    if (local.edits.length > 0) await writeFile(file, text + journalLines(local.edits));
    return [...read.journal.edits, ...local.edits];
  }
  // Edits that are in no journal any more are told again: each record as it stands, by the stamp that it has.
  const told = new Set(local.edits.map(({ table, id }) => keyOf(table, id)));
  const again = [...(known.size === 0 ? [] : await wholeRecords(device, known, told)), ...local.edits];
  await writeFile(file, journalHead(device, name) + journalLines(again));
  return again;
}

/** Every known record as one edit. */
async function wholeRecords(
  device: string,
  known: ReadonlyMap<string, Known>,
  told: ReadonlySet<string>,
): Promise<Edit[]> {
  const edits: Edit[] = [];
  for (const [key, { ms, gone, fields }] of known) {
    if (told.has(key)) continue;
    const [table, id] = key.split(' ') as [SyncedTable, string];
    const stored = gone === true ? undefined : ((await database().table(table).get(id)) as Row | undefined);
    if (gone === true) edits.push({ table, id, ms, device, fields: null, row: null });
    else if (stored !== undefined) {
      const row = table === 'photos' ? { ...stored, jpeg: await markOfPicture(stored.jpeg as Blob) } : stored;
      edits.push({ table, id, ms, device, fields: Object.keys(fields), row });
    }
  }
  return edits;
}

async function writeFile(file: FileSystemFileHandle, data: Blob | string): Promise<void> {
  const stream = await file.createWritable();
  await stream.write(data);
  await stream.close();
}

/** Stores what the journals together say, where it is not so here: owners before what belongs to them. */
async function takeIn(
  handle: FileSystemDirectoryHandle,
  folded: ReadonlyMap<string, Folded>,
  local: Local,
  report: StepReport,
): Promise<void> {
  const changes: { key: string; one: Folded; picture: Blob | null }[] = [];
  for (const [key, one] of folded) {
    if (one.held) {
      report.held += 1;
      continue;
    }
    const [here, there] = [local.marks.get(key)?.fields ?? {}, knownOf(one.row, 0).fields];
    if (markOf(here) === markOf(there)) continue;
    const picture = one.table === 'photos' && one.row !== null ? await pictureOf(handle, one.row) : null;
    if (one.table === 'photos' && one.row !== null && picture === null) report.held += 1;
    else changes.push({ key, one, picture });
  }
  const order = (table: SyncedTable): number => syncedTables.indexOf(table);
  const put = changes.filter(({ one }) => one.row !== null).sort((a, b) => order(a.one.table) - order(b.one.table));
  const gone = changes.filter(({ one }) => one.row === null).sort((a, b) => order(b.one.table) - order(a.one.table));
  const all = [...put, ...gone];
  for (let from = 0; from < all.length; from += BATCH)
    await act('folder', async (writer) => {
      for (const { key, one, picture } of all.slice(from, from + BATCH)) {
        const { table, id, row, ms } = one;
        const stored = (await writer.db.table(table).get(id)) as Row | undefined;
        if (!isAsRead(stored, local.marks.get(key))) continue;
        try {
          if (row === null) await writer.remove(table, id);
          else await writer.put(table, (picture === null ? row : { ...row, jpeg: picture }) as never);
        } catch (error) {
          // What it belongs to was taken off here meanwhile: the next step says so to the others.
          if (!(error instanceof Refusal)) throw error;
          continue;
        }
        await writer.db.known.put({ id: key, ...knownOf(row, ms) });
        report.taken += 1;
      }
    });
}

/** Whether a record still is as it was when the bench was read. */
function isAsRead(stored: Row | undefined, read: Known | undefined): boolean {
  if (stored === undefined || read === undefined) return stored === undefined && read === undefined;
  return Object.entries(stored).every(
    ([name, value]) => value === undefined || name === 'jpeg' || read.fields[name] === markOf(value),
  );
}

/** The picture of a photograph from the folder; null where it has not come whole. */
async function pictureOf(handle: FileSystemDirectoryHandle, row: Row): Promise<Blob | null> {
  const { sha256, bytes } = row.jpeg as PictureMark;
  try {
    const photos = await handle.getDirectoryHandle(PHOTOS);
    const file = await (await photos.getFileHandle(sha256)).getFile();
    const jpeg = new Blob([await file.arrayBuffer()], { type: 'image/jpeg' });
    return jpeg.size === bytes && (await markOfPicture(jpeg)).sha256 === sha256 ? jpeg : null;
  } catch {
    return null;
  }
}

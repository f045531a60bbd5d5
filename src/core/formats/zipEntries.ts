/** Bytes that go at a time. */
const SLICE = 8;

/**
 * Tables of the CRC-32 of ISO 3309 (polynomial EDB88320, reflected), as zip files use it: the first for one byte, each
 * next one for a byte that stands one further before the end, so that eight bytes go at a time.
 */
const CRC_TABLES = crcTables();

function crcTables(): Uint32Array[] {
  const first = Uint32Array.from({ length: 256 }, (_, byte) => {
    let crc = byte;
    for (let bit = 0; bit < 8; bit++) crc = crc & 1 ? (crc >>> 1) ^ 0xedb88320 : crc >>> 1;
    return crc;
  });
  const tables = [first];
  while (tables.length < SLICE)
    tables.push((tables.at(-1) as Uint32Array).map((crc) => (first[crc & 0xff] as number) ^ (crc >>> 8)));
  return tables;
}

/**
 * CRC-32 of some bytes.
 * @param bytes any bytes
 * @param before CRC-32 of the bytes before them, where they come in pieces
 * @returns 0 to 2³² − 1. Source: published: ISO 3309; PKWARE's note on the zip format.
 * @example crc32(new TextEncoder().encode('123456789')) // 0xcbf43926
 */
export function crc32(bytes: Uint8Array, before = 0): number {
  const [t0, t1, t2, t3, t4, t5, t6, t7] = CRC_TABLES as [
    Uint32Array,
    Uint32Array,
    Uint32Array,
    Uint32Array,
    Uint32Array,
    Uint32Array,
    Uint32Array,
    Uint32Array,
  ];
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  let crc = ~before;
  let at = 0;
  for (; at + SLICE <= bytes.length; at += SLICE) {
    const low = crc ^ view.getUint32(at, true);
    const high = view.getUint32(at + 4, true);
    crc =
      (t7[low & 0xff] as number) ^
      (t6[(low >>> 8) & 0xff] as number) ^
      (t5[(low >>> 16) & 0xff] as number) ^
      (t4[low >>> 24] as number) ^
      (t3[high & 0xff] as number) ^
      (t2[(high >>> 8) & 0xff] as number) ^
      (t1[(high >>> 16) & 0xff] as number) ^
      (t0[high >>> 24] as number);
  }
  for (; at < bytes.length; at++) crc = (t0[(crc ^ (bytes[at] as number)) & 0xff] as number) ^ (crc >>> 8);
  return ~crc >>> 0;
}

const DIRECTORY_END = 0x06054b50;
const DIRECTORY_ENTRY = 0x02014b50;
/** Fixed part of the end of the directory, of one of its entries, and of the header before each file, bytes. */
const END_BYTES = 22;
const ENTRY_BYTES = 46;
const HEADER_BYTES = 30;
/** Longest remark that may stand behind the directory, bytes. */
const LONGEST_REMARK = 65_535;
const STORED = 0;
const DEFLATED = 8;

/** A file in a zip, as its directory lists it. Source: published: PKWARE's note on the zip format. */
export interface ZipEntry {
  /** How it is packed: 0 as it is, 8 deflated. */
  method: number;
  crc: number;
  packedBytes: number;
  bytes: number;
  /** Where its header begins. */
  at: number;
}

/** Thrown for a file in a zip that is not what was put into it. */
export class Damaged extends Error {
  override name = 'Damaged';
}

/**
 * Reads the directory of a zip; the files themselves are left where they are.
 * @param zip the whole zip
 * @returns its files by name; null where it has no readable directory
 */
export async function zipEntries(zip: Blob): Promise<Map<string, ZipEntry> | null> {
  const from = Math.max(0, zip.size - END_BYTES - LONGEST_REMARK);
  const tail = new DataView(await zip.slice(from).arrayBuffer());
  let end = tail.byteLength - END_BYTES;
  while (end >= 0 && tail.getUint32(end, true) !== DIRECTORY_END) end -= 1;
  if (end < 0) return null;
  const start = tail.getUint32(end + 16, true);
  const view = new DataView(await zip.slice(start, start + tail.getUint32(end + 12, true)).arrayBuffer());
  const entries = new Map<string, ZipEntry>();
  let at = 0;
  while (at + ENTRY_BYTES <= view.byteLength && view.getUint32(at, true) === DIRECTORY_ENTRY) {
    const nameBytes = view.getUint16(at + 28, true);
    const next = at + ENTRY_BYTES + nameBytes + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
    if (next > view.byteLength) return null;
    const name = new TextDecoder().decode(new Uint8Array(view.buffer, at + ENTRY_BYTES, nameBytes));
    entries.set(name, {
      method: view.getUint16(at + 10, true),
      crc: view.getUint32(at + 16, true),
      packedBytes: view.getUint32(at + 20, true),
      bytes: view.getUint32(at + 24, true),
      at: view.getUint32(at + 42, true),
    });
    at = next;
  }
  return entries;
}

/** Where a file lies in its zip, as it is packed. */
async function packedBytes(zip: Blob, entry: ZipEntry, type = ''): Promise<Blob> {
  const header = new DataView(await zip.slice(entry.at, entry.at + HEADER_BYTES).arrayBuffer());
  if (header.byteLength < HEADER_BYTES) throw new Damaged('the zip ends before a file in it');
  const start = entry.at + HEADER_BYTES + header.getUint16(26, true) + header.getUint16(28, true);
  return zip.slice(start, start + entry.packedBytes, type);
}

/**
 * A file of a zip as it was put in. One that lies there as it is stays in the zip: it is read once to be checked, and never
 * held in memory.
 * @param zip the whole zip
 * @param entry the file, from `zipEntries`
 * @param type its type, as in “image/jpeg”
 * @param mostBytes length at which it stops
 * @throws Damaged as `unpackEntry` does
 */
export async function fileInZip(zip: Blob, entry: ZipEntry, type: string, mostBytes: number): Promise<Blob> {
  if (entry.method === STORED) {
    const stored = await packedBytes(zip, entry, type);
    if (stored.size > mostBytes) throw tooLong(mostBytes);
    if ((await crcOf(stored)) !== entry.crc) throw altered();
    return stored;
  }
  const parts: Uint8Array<ArrayBuffer>[] = [];
  for await (const part of unpackEntry(zip, entry, mostBytes)) parts.push(part);
  return new Blob(parts, { type });
}

/** Room into which files are read one after the other, so that hundreds of them leave no more behind than one. */
let spareRoom: ArrayBuffer | null = null;
const ROOM_BYTES = 256 * 1024;

/**
 * CRC-32 of a file, which is read through the same small room as the one before it where the browser can do that.
 * @throws Damaged when the browser cannot read it
 */
async function crcOf(file: Blob): Promise<number> {
  let room = spareRoom ?? new ArrayBuffer(ROOM_BYTES);
  spareRoom = null;
  let crc = 0;
  try {
    const read = reading(file.stream() as ReadableStream<Uint8Array<ArrayBuffer>>);
    for (;;) {
      const { done, value } = await read(room);
      if (value !== undefined) room = value.buffer;
      if (done || value === undefined) break;
      crc = crc32(value, crc);
    }
  } catch (error) {
    throw new Damaged(error instanceof Error ? error.message : 'it cannot be read');
  }
  spareRoom = room;
  return crc;
}

type Read = (room: ArrayBuffer) => Promise<ReadableStreamReadResult<Uint8Array<ArrayBuffer>>>;

/** Reads into a given room, or into rooms of the browser's own where it knows no other way. */
function reading(stream: ReadableStream<Uint8Array<ArrayBuffer>>): Read {
  try {
    const reader = stream.getReader({ mode: 'byob' });
    return (room) => reader.read(new Uint8Array(room));
  } catch {
    const reader = stream.getReader();
    return () => reader.read();
  }
}

function tooLong(mostBytes: number): Damaged {
  return new Damaged(`a file in it unpacks to more than ${mostBytes / 1e9} GB`);
}

function altered(): Damaged {
  return new Damaged('a file in it was altered or damaged after it was saved');
}

/**
 * Unpacks a file of a zip, piece by piece, and holds it against what the zip says of it.
 * @param zip the whole zip
 * @param entry the file, from `zipEntries`
 * @param mostBytes length at which it stops
 * @throws Damaged when it is longer, is packed in a way of which nothing is known, or is not what was put in
 */
export async function* unpackEntry(
  zip: Blob,
  entry: ZipEntry,
  mostBytes: number,
): AsyncGenerator<Uint8Array<ArrayBuffer>> {
  const packed = (await packedBytes(zip, entry)).stream() as ReadableStream<Uint8Array<ArrayBuffer>>;
  if (entry.method !== STORED && entry.method !== DEFLATED) throw new Damaged('a file is packed in an unknown way');
  const reader = (
    entry.method === STORED ? packed : packed.pipeThrough(new DecompressionStream('deflate-raw'))
  ).getReader() as ReadableStreamDefaultReader<Uint8Array<ArrayBuffer>>;
  let bytes = 0;
  let crc = 0;
  try {
    for (;;) {
      const { done, value } = await reader.read().catch((error: unknown) => {
        throw new Damaged(error instanceof Error ? error.message : 'it cannot be unpacked');
      });
      if (done) break;
      bytes += value.byteLength;
      if (bytes > mostBytes) throw tooLong(mostBytes);
      crc = crc32(value, crc);
      yield value;
    }
  } finally {
    await reader.cancel().catch(() => undefined);
  }
  if (crc !== entry.crc) throw altered();
}

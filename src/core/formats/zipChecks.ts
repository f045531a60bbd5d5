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
 * @returns 0 to 2³² − 1. Source: published: ISO 3309; PKWARE's note on the zip format.
 * @example crc32(new TextEncoder().encode('123456789')) // 0xcbf43926
 */
export function crc32(bytes: Uint8Array): number {
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
  let crc = 0xffffffff;
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
  return (crc ^ 0xffffffff) >>> 0;
}

const DIRECTORY_END = 0x06054b50;
const DIRECTORY_ENTRY = 0x02014b50;
/** Fixed part of the end of the directory, and of one of its entries, bytes. */
const END_BYTES = 22;
const ENTRY_BYTES = 46;

/**
 * Checks that a zip carries of its files: unpacking alone does not compare them.
 * @param bytes a whole zip
 * @returns CRC-32 by name; empty where the zip has no readable directory
 */
export function zipChecks(bytes: Uint8Array): Map<string, number> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const checks = new Map<string, number>();
  let end = bytes.length - END_BYTES;
  while (end >= 0 && view.getUint32(end, true) !== DIRECTORY_END) end -= 1;
  if (end < 0) return checks;
  let at = view.getUint32(end + 16, true);
  while (at + ENTRY_BYTES <= end && view.getUint32(at, true) === DIRECTORY_ENTRY) {
    const nameBytes = view.getUint16(at + 28, true);
    const name = new TextDecoder().decode(bytes.subarray(at + ENTRY_BYTES, at + ENTRY_BYTES + nameBytes));
    checks.set(name, view.getUint32(at + 16, true));
    at += ENTRY_BYTES + nameBytes + view.getUint16(at + 30, true) + view.getUint16(at + 32, true);
  }
  return checks;
}

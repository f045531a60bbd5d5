import { strToU8, zipSync } from 'fflate';
import { describe, expect, test, vi } from 'vitest';
import { crc32, fileInZip, unpackEntry, zipEntries, type ZipEntry } from './zipEntries';

describe('CRC-32', () => {
  test('of the nine digits is CBF43926, the check value of its definition', () => {
    expect(crc32(strToU8('123456789'))).toBe(0xcbf43926);
    expect(crc32(new Uint8Array())).toBe(0);
  });
  test('is the same for bytes that come in pieces, cut anywhere', () => {
    const bytes = Uint8Array.from({ length: 1003 }, (_, index) => (index * 31) & 0xff);
    for (const cut of [0, 1, 7, 8, 9, 500, 1003])
      expect(crc32(bytes.subarray(cut), crc32(bytes.subarray(0, cut)))).toBe(crc32(bytes));
  });
});

describe('a zip of the package that writes them', () => {
  const files = {
    'records.json': strToU8(`{"records": "${'again '.repeat(50_000)}"}`),
    'photos/höhe.jpg': strToU8('not a picture'),
    'empty.txt': strToU8(''),
  };
  const bytes = zipSync(files, { comment: 'A remark' } as never) as Uint8Array<ArrayBuffer>;
  const unpacked = async (zip: Blob, entry: ZipEntry, most = 1e9): Promise<string> => {
    const pieces: Uint8Array<ArrayBuffer>[] = [];
    for await (const piece of unpackEntry(zip, entry, most)) pieces.push(piece);
    return new Blob(pieces).text();
  };

  test('gives its files back', async () => {
    const zip = new Blob([bytes]);
    const entries = (await zipEntries(zip)) as Map<string, ZipEntry>;
    expect([...entries.keys()]).toEqual(Object.keys(files));
    for (const [name, file] of Object.entries(files)) {
      const entry = entries.get(name) as ZipEntry;
      expect(entry).toMatchObject({ crc: crc32(file), bytes: file.length });
      expect(await unpacked(zip, entry)).toBe(new TextDecoder().decode(file));
    }
  });

  test('gives a file back whole, packed or as it lies there', async () => {
    for (const level of [0, 6] as const) {
      const zip = new Blob([zipSync(files, { level }) as Uint8Array<ArrayBuffer>]);
      const entry = (await zipEntries(zip))?.get('photos/höhe.jpg') as ZipEntry;
      const file = await fileInZip(zip, entry, 'image/jpeg', 1e6);
      expect([file.type, await file.text()]).toEqual(['image/jpeg', 'not a picture']);
      await expect(fileInZip(zip, { ...entry, crc: entry.crc ^ 1 }, 'image/jpeg', 1e6)).rejects.toThrow(/altered/);
    }
  });

  test.each([
    ['into a room of its own', true],
    ['into rooms of the browser’s', false],
  ])('gives large files back that lie there as they are, read %s', async (_how, intoOwnRoom) => {
    const large = Object.fromEntries(
      [300_000, 262_144, 1, 0].map((length, nth) => [
        `${nth}.bin`,
        Uint8Array.from({ length }, (_, index) => (index * 7 + nth) & 0xff),
      ]),
    );
    const bytesOf = Blob.prototype.stream;
    const spy = vi.spyOn(Blob.prototype, 'stream').mockImplementation(function (this: Blob) {
      const stream = bytesOf.call(this) as ReadableStream<Uint8Array<ArrayBuffer>>;
      return intoOwnRoom ? stream : stream.pipeThrough(new TransformStream());
    });
    const zip = new Blob([zipSync(large, { level: 0 }) as Uint8Array<ArrayBuffer>]);
    const entries = (await zipEntries(zip)) as Map<string, ZipEntry>;
    for (const [name, file] of Object.entries(large)) {
      const entry = entries.get(name) as ZipEntry;
      expect(new Uint8Array(await (await fileInZip(zip, entry, '', 1e6)).arrayBuffer())).toEqual(file);
      await expect(fileInZip(zip, { ...entry, crc: entry.crc ^ 1 }, '', 1e6)).rejects.toThrow(/altered/);
    }
    await expect(fileInZip(zip, entries.get('0.bin') as ZipEntry, '', 1000)).rejects.toThrow(/more than/);
    spy.mockRestore();
  });

  test('whose bytes were altered, or that unpacks to more than it may, is damaged', async () => {
    const altered = bytes.slice();
    altered[80] = (altered[80] ?? 0) ^ 0x10;
    const entry = (await zipEntries(new Blob([bytes])))?.get('records.json') as ZipEntry;
    await expect(unpacked(new Blob([altered]), entry)).rejects.toThrow(expect.objectContaining({ name: 'Damaged' }));
    await expect(unpacked(new Blob([bytes]), entry, 1000)).rejects.toThrow(/more than/);
    await expect(unpacked(new Blob([bytes.slice(0, 20)]), { ...entry, at: 18 })).rejects.toThrow(/ends before/);
    await expect(unpacked(new Blob([bytes]), { ...entry, method: 99 })).rejects.toThrow(/unknown way/);
  });

  test('that is none has no directory', async () => {
    expect(await zipEntries(new Blob(['PK no directory']))).toBeNull();
    expect(await zipEntries(new Blob([]))).toBeNull();
    for (let cut = 1; cut < 40; cut++) expect(await zipEntries(new Blob([bytes.slice(0, -cut)]))).toBeNull();
  });
});

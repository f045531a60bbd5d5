import { describe, expect, test } from 'vitest';
import { isTiff, tiffLayout } from './tiffLayout';

/** Tags of a TIFF, as short or long values, in one directory. */
function tiff(tags: Record<number, number>, little = true): DataView {
  const entries = Object.entries(tags);
  const view = new DataView(new ArrayBuffer(8 + 2 + entries.length * 12 + 4));
  view.setUint16(0, little ? 0x4949 : 0x4d4d);
  view.setUint16(2, 42, little);
  view.setUint32(4, 8, little);
  view.setUint16(8, entries.length, little);
  entries.forEach(([tag, value], at) => {
    view.setUint16(10 + at * 12, Number(tag), little);
    view.setUint16(12 + at * 12, value > 65_535 ? 4 : 3, little);
    view.setUint32(14 + at * 12, 1, little);
    if (value > 65_535) view.setUint32(18 + at * 12, value, little);
    else view.setUint16(18 + at * 12, value, little);
  });
  return view;
}
const plain = { 256: 4000, 257: 3000, 258: 16, 259: 1, 262: 2, 277: 3 };

describe('what a TIFF says of itself, after TIFF 6.0', () => {
  test.each([true, false])('size, bits and samples, little-endian: %s', (little) => {
    expect(tiffLayout(tiff(plain, little))).toEqual({
      ok: true,
      value: { widthPx: 4000, heightPx: 3000, bits: 16, samples: 3 },
    });
  });
  test('a long width is read as long', () =>
    expect(tiffLayout(tiff({ ...plain, 256: 70_000 }))).toMatchObject({ value: { widthPx: 70_000 } }));
  test.each([
    [{ ...plain, 258: 12 }, /12 bits/],
    [{ ...plain, 259: 7 }, /packed in a way/],
    [{ ...plain, 262: 6 }, /neither plain grey/],
    [{ ...plain, 277: 5 }, /neither plain grey/],
    [{ ...plain, 284: 2 }, /neither plain grey/],
    [{ 257: 10 }, /does not say its size/],
  ])('%j is refused with what to do', (tags, words) => {
    const answer = tiffLayout(tiff(tags as Record<number, number>));
    expect(answer.ok ? '' : answer.problems[0]?.message).toMatch(words);
  });
  test('a directory beyond the end is damage, not a crash', () => {
    const view = tiff(plain);
    view.setUint32(4, 1e9, true);
    expect(tiffLayout(view)).toMatchObject({ ok: false });
    expect(tiffLayout(new DataView(new ArrayBuffer(4)))).toMatchObject({ ok: false });
  });
  test('it is told from others by its first bytes', () => {
    expect(isTiff(new Uint8Array([0x49, 0x49, 42, 0]))).toBe(true);
    expect(isTiff(new Uint8Array([0x4d, 0x4d, 0, 42]))).toBe(true);
    expect(isTiff(new Uint8Array([0xff, 0xd8, 0xff, 0xe0]))).toBe(false);
    expect(isTiff(new Uint8Array([]))).toBe(false);
  });
});

import { describe, expect, test } from 'vitest';
import { imageKind, reducedSize } from './imageKind';

const bytes = (text: string): Uint8Array => Uint8Array.from([...text].map((letter) => letter.charCodeAt(0)));

describe('pictures by their first bytes', () => {
  test.each([
    ['\xff\xd8\xff\xe0\0\x10JFIF', 'jpeg'],
    ['\x89PNG\r\n\x1a\n', 'png'],
    ['RIFF\0\0\0\0WEBPVP8 ', 'webp'],
    ['\0\0\0\x1cftypavif', 'avif'],
  ])('%j is %s', (text, kind) => expect(imageKind(bytes(text))).toEqual({ ok: true, value: kind }));
  test('HEIC is refused with the way out, and so is what is no picture', () => {
    const heic = imageKind(bytes('\0\0\0\x18ftypheic'));
    expect(heic.ok ? '' : heic.problems[0]?.message).toMatch(/HEIC.*share it as JPEG/);
    const text = imageKind(bytes('hello, world, no picture'));
    expect(text.ok ? '' : text.problems[0]?.message).toMatch(/not a picture/);
    expect(imageKind(new Uint8Array()).ok).toBe(false);
  });
});

test('pictures shrink in proportion and never grow', () => {
  expect(reducedSize(4000, 3000, 1600)).toEqual({ widthPx: 1600, heightPx: 1200 });
  expect(reducedSize(800, 600, 1600)).toEqual({ widthPx: 800, heightPx: 600 });
  expect(reducedSize(20_000, 3, 1600)).toEqual({ widthPx: 1600, heightPx: 1 });
});

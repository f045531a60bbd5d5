import { PNG } from 'pngjs';
import { describe, expect, test } from 'vitest';
import { imageSize } from './imageSize';

const bytes = (...values: number[]): Uint8Array => Uint8Array.from(values);
const letters = (text: string): number[] => [...text].map((letter) => letter.charCodeAt(0));

describe('what a picture says of its size', () => {
  test('a PNG as a general-purpose package writes it', () => {
    const file = PNG.sync.write(new PNG({ width: 37, height: 21 }));
    expect(imageSize(new Uint8Array(file), 'png')).toEqual({ widthPx: 37, heightPx: 21 });
  });
  test('a JPEG, past its other segments', () => {
    const app = [0xff, 0xe0, 0, 4, 1, 2];
    const table = [0xff, 0xc4, 0, 3, 9];
    const frame = [0xff, 0xc2, 0, 11, 8, 0x0b, 0xb8, 0x0f, 0xa0, 1, 1, 0x11, 0];
    expect(imageSize(bytes(0xff, 0xd8, ...app, ...table, ...frame), 'jpeg')).toEqual({ widthPx: 4000, heightPx: 3000 });
  });
  test('the three kinds of WebP', () => {
    const riff = [...letters('RIFF'), 0, 0, 0, 0, ...letters('WEBP')];
    const extended = [...letters('VP8X'), 10, 0, 0, 0, 0, 0, 0, 0, 0x9f, 0x0f, 0, 0xb7, 0x0b, 0];
    expect(imageSize(bytes(...riff, ...extended), 'webp')).toEqual({ widthPx: 4000, heightPx: 3000 });
    const lossless = [...letters('VP8L'), 5, 0, 0, 0, 0x2f, 0x9f, 0xcf, 0xed, 0x02];
    expect(imageSize(bytes(...riff, ...lossless), 'webp')).toEqual({ widthPx: 4000, heightPx: 3000 });
  });
  test('a head that breaks off says nothing', () => {
    expect(imageSize(bytes(0xff, 0xd8, 0xff, 0xe0, 0, 4), 'jpeg')).toBeNull();
    expect(imageSize(bytes(...letters('RIFF')), 'webp')).toBeNull();
    expect(imageSize(bytes(), 'png')).toBeNull();
  });
});

import { failure, success, type Result } from '../schema/result';

/** Kinds of picture that browsers read. */
export type ImageKind = 'jpeg' | 'png' | 'webp' | 'gif' | 'bmp' | 'avif';

const ascii = (bytes: Uint8Array, from: number, to: number): string => String.fromCharCode(...bytes.slice(from, to));

/** Brands of the HEIF container that hold HEVC pictures, which browsers commonly do not read. Source: ISO/IEC 23008-12, annex B. */
const HEIC_BRANDS = ['heic', 'heix', 'hevc', 'hevx', 'heim', 'heis', 'mif1', 'msf1'];

/**
 * What kind of picture a file is, by its first bytes and not by its name.
 * @param bytes at least the first 16 bytes of the file
 * @returns the kind, or a sentence that says what to do instead
 */
export function imageKind(bytes: Uint8Array): Result<ImageKind> {
  const box = ascii(bytes, 4, 8);
  const brand = ascii(bytes, 8, 12);
  if (bytes[0] === 0xff && bytes[1] === 0xd8 && bytes[2] === 0xff) return success('jpeg');
  if (ascii(bytes, 1, 4) === 'PNG') return success('png');
  if (ascii(bytes, 0, 4) === 'RIFF' && brand === 'WEBP') return success('webp');
  if (ascii(bytes, 0, 3) === 'GIF') return success('gif');
  if (ascii(bytes, 0, 2) === 'BM') return success('bmp');
  if (box === 'ftyp' && brand === 'avif') return success('avif');
  if (box === 'ftyp' && HEIC_BRANDS.includes(brand)) {
    return failure({
      path: 'photo',
      message:
        'This is a HEIC picture, which browsers do not read. Set the telephone to “most compatible”, or share it as JPEG, and choose it again.',
    });
  }
  return failure({ path: 'photo', message: 'This file is not a picture that a browser reads. Choose a JPEG or PNG.' });
}

/**
 * Size of a picture reduced to a longest edge.
 * @param widthPx width, px; above 0
 * @param heightPx height, px; above 0
 * @param edgePx longest edge wanted, px
 * @returns whole pixels in the same proportion; never enlarged, never below one
 * @example reducedSize(4000, 3000, 1600) // 1600 × 1200
 */
export function reducedSize(widthPx: number, heightPx: number, edgePx: number): { widthPx: number; heightPx: number } {
  const scale = Math.min(1, edgePx / Math.max(widthPx, heightPx));
  return { widthPx: Math.max(1, Math.round(widthPx * scale)), heightPx: Math.max(1, Math.round(heightPx * scale)) };
}

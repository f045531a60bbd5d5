import { failure, success, type Result } from '../schema/result';

/** What a TIFF says of its first picture. */
export interface TiffLayout {
  widthPx: number;
  heightPx: number;
  bits: 8 | 16;
  /** Values for each pixel: 1 grey to 4. */
  samples: number;
}

/** Tags that are looked at. Source: TIFF 6.0, 1992. */
const WIDTH = 256;
const HEIGHT = 257;
const BITS = 258;
const COMPRESSION = 259;
const PHOTOMETRIC = 262;
const SAMPLES = 277;
const PLANAR = 284;

/** Compressions that are read: none, LZW, two kinds of deflate. Source: TIFF 6.0 and its supplements. */
const READ = [1, 5, 8, 32_946];

/** Whether a file begins as a TIFF does. */
export function isTiff(head: Uint8Array): boolean {
  const [a, b, c, d] = head;
  return (a === 0x49 && b === 0x49 && c === 42 && d === 0) || (a === 0x4d && b === 0x4d && c === 0 && d === 42);
}

/**
 * Reads size and kind of a TIFF's first picture, before anything is decoded.
 * @param view the whole file
 * @returns its layout; a sentence that says what to do where it is damaged, or of a kind that is not read here
 * Source: TIFF 6.0, 1992.
 */
export function tiffLayout(view: DataView): Result<TiffLayout> {
  const refuse = (message: string): ReturnType<typeof failure> => failure({ path: 'picture', message });
  try {
    const little = view.getUint8(0) === 0x49;
    const directory = view.getUint32(4, little);
    const entries = view.getUint16(directory, little);
    const found = new Map<number, number>();
    for (let entry = 0; entry < entries; entry++) {
      const at = directory + 2 + entry * 12;
      const [tag, type, count] = [
        view.getUint16(at, little),
        view.getUint16(at + 2, little),
        view.getUint32(at + 4, little),
      ];
      const bytes = count * (type === 3 ? 2 : 4);
      const place = bytes <= 4 ? at + 8 : view.getUint32(at + 8, little);
      if (type === 3) found.set(tag, view.getUint16(place, little));
      if (type === 4) found.set(tag, view.getUint32(place, little));
    }
    const [widthPx = 0, heightPx = 0] = [found.get(WIDTH), found.get(HEIGHT)];
    if (!(widthPx > 0) || !(heightPx > 0))
      return refuse('This TIFF does not say its size: it is damaged. Save it again.');
    const bits = found.get(BITS) ?? 1;
    if (bits !== 8 && bits !== 16)
      return refuse(`This TIFF has ${bits} bits. Save it with 8 or 16 bits, and choose it again.`);
    if (!READ.includes(found.get(COMPRESSION) ?? 1))
      return refuse(
        'This TIFF is packed in a way that is not read here. Save it without compression, or with LZW, and choose it again.',
      );
    const samples = found.get(SAMPLES) ?? 1;
    if (samples > 4 || ![1, 2].includes(found.get(PHOTOMETRIC) ?? 1) || (samples > 1 && found.get(PLANAR) === 2))
      return refuse('This TIFF is neither plain grey nor plain red, green and blue. Save it as one of them.');
    return success({ widthPx, heightPx, bits, samples });
  } catch (error) {
    if (error instanceof RangeError)
      return refuse(
        'The picture is damaged, empty or was cut off. Open it elsewhere, save it again, and choose it once more.',
      );
    throw error;
  }
}

import type { ImageKind } from './imageKind';

/**
 * Width and height that a picture says it has, from its first bytes, without decoding it.
 * @param bytes the first bytes of the file; 64 kB are enough as a rule
 * @param kind what kind of picture it is
 * @returns px, or null where the head does not say
 * Sources: ISO/IEC 10918-1 (JPEG frame header), ISO/IEC 15948 (PNG IHDR), RFC 9649 (WebP), GIF89a, BMP: from memory.
 */
export function imageSize(bytes: Uint8Array, kind: ImageKind): { widthPx: number; heightPx: number } | null {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  try {
    switch (kind) {
      case 'jpeg':
        return jpegSize(view);
      case 'png':
        return { widthPx: view.getUint32(16), heightPx: view.getUint32(20) };
      case 'gif':
        return { widthPx: view.getUint16(6, true), heightPx: view.getUint16(8, true) };
      case 'bmp':
        return { widthPx: Math.abs(view.getInt32(18, true)), heightPx: Math.abs(view.getInt32(22, true)) };
      case 'webp':
        return webpSize(view);
      case 'avif':
        return avifSize(view);
    }
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/** Frame headers: SOF0 to SOF15 without the tables DHT, JPG and DAC. */
function jpegSize(view: DataView): { widthPx: number; heightPx: number } | null {
  for (let at = 2; ;) {
    if (view.getUint8(at) !== 0xff) return null;
    const marker = view.getUint8(at + 1);
    if (marker === 0xff) {
      at += 1;
      continue;
    }
    if (marker >= 0xc0 && marker <= 0xcf && ![0xc4, 0xc8, 0xcc].includes(marker))
      return { widthPx: view.getUint16(at + 7), heightPx: view.getUint16(at + 5) };
    at += 2 + view.getUint16(at + 2);
  }
}

function webpSize(view: DataView): { widthPx: number; heightPx: number } | null {
  const chunk = view.getUint32(12);
  if (chunk === 0x56503858)
    return {
      widthPx: 1 + (view.getUint32(24, true) & 0xffffff),
      heightPx: 1 + (view.getUint16(27, true) | (view.getUint8(29) << 16)),
    };
  if (chunk === 0x5650384c) {
    const bits = view.getUint32(21, true);
    return { widthPx: 1 + (bits & 0x3fff), heightPx: 1 + ((bits >>> 14) & 0x3fff) };
  }
  if (chunk === 0x56503820)
    return { widthPx: view.getUint16(26, true) & 0x3fff, heightPx: view.getUint16(28, true) & 0x3fff };
  return null;
}

/** The first image spatial extents box, wherever it stands in the head. */
function avifSize(view: DataView): { widthPx: number; heightPx: number } | null {
  for (let at = 0; at + 16 <= view.byteLength; at++) {
    if (view.getUint32(at) === 0x69737065)
      return { widthPx: view.getUint32(at + 8), heightPx: view.getUint32(at + 12) };
  }
  return null;
}

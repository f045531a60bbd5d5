import { imageKind, reducedSize } from '@/core/formats/imageKind';
import { imageSize } from '@/core/formats/imageSize';
import { failure, success, type Result } from '@/core/schema/result';

/** A photograph, reduced. */
export interface ReducedPhoto {
  widthPx: number;
  heightPx: number;
  jpeg: Blob;
}

const JPEG_QUALITY = 0.82;

/** Bytes of the head in which a picture says its size. */
const HEAD_BYTES = 256 * 1024;

/** Pixels that are decoded at the most: above that a tab runs out of memory. Source: our choice. */
const MOST_PIXELS = 120_000_000;

/** Reduces a picture. Nothing of the original is kept, and nothing is decoded before its size is known. */
export async function reducePhoto(file: Blob, edgePx: number): Promise<Result<ReducedPhoto>> {
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  const kind = imageKind(head);
  if (!kind.ok) return kind;
  const size = imageSize(head, kind.value);
  if (size !== null && size.widthPx * size.heightPx > MOST_PIXELS)
    return failure({
      path: 'photo',
      message: `The picture has ${Math.round((size.widthPx * size.heightPx) / 1e6)} megapixels, more than a browser can open safely. Make it smaller, 120 megapixels at most, and choose it again.`,
    });
  const damaged = failure({
    path: 'photo',
    message: 'The picture is damaged or was cut off. Open it elsewhere, save it again, and choose it once more.',
  });
  if (size === null) return damaged;
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    return damaged;
  }
  const { widthPx, heightPx } = reducedSize(picture.width, picture.height, edgePx);
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, widthPx, heightPx);
  picture.close();
  const jpeg = await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
  return success({ widthPx, heightPx, jpeg });
}

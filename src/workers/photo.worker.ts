import { expose } from 'comlink';
import { imageKind, reducedSize } from '@/core/formats/imageKind';
import { failure, success, type Result } from '@/core/schema/result';

/** A photograph, reduced. */
export interface ReducedPhoto {
  widthPx: number;
  heightPx: number;
  jpeg: string;
}

const JPEG_QUALITY = 0.82;

/** Reduces a picture off the main thread. Nothing of the original is kept. */
async function reduce(file: Blob, edgePx: number): Promise<Result<ReducedPhoto>> {
  const kind = imageKind(new Uint8Array(await file.slice(0, 16).arrayBuffer()));
  if (!kind.ok) return kind;
  let picture: ImageBitmap;
  try {
    picture = await createImageBitmap(file);
  } catch {
    return failure({
      path: 'photo',
      message: 'The picture is damaged or was cut off. Open it elsewhere, save it again, and choose it once more.',
    });
  }
  const { widthPx, heightPx } = reducedSize(picture.width, picture.height, edgePx);
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  canvas.getContext('2d')?.drawImage(picture, 0, 0, widthPx, heightPx);
  picture.close();
  const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: JPEG_QUALITY });
  return success({ widthPx, heightPx, jpeg: await dataAddress(blob) });
}

function dataAddress(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(reader.error ?? new Error('unread'));
    reader.readAsDataURL(blob);
  });
}

const api = { reduce };
export type PhotoApi = typeof api;

expose(api);

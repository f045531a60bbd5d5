import ExifReader from 'exifreader';
import { decode as decodePng, encode as encodePng } from 'fast-png';
import { decode as decodeTiff } from 'tiff';
import type { CameraExposure } from '@/core/densitometry/cameraExposure';
import { findRow, ROW_CHANNEL, type FoundRow } from '@/core/densitometry/findRow';
import { lightPlane } from '@/core/densitometry/lightPlane';
import { patchBounds, type Patch } from '@/core/densitometry/patch';
import { positiveLevels, positiveTable } from '@/core/densitometry/positive';
import type { ChannelId, PixelGrid } from '@/core/densitometry/pixelGrid';
import type { PictureSamples } from '@/core/densitometry/readStrip';
import { samplePatch, type PatchSample } from '@/core/densitometry/samplePatch';
import { stripSurroundings } from '@/core/densitometry/stripSurroundings';
import { surveyPicture, type PictureSurvey } from '@/core/densitometry/surveyPicture';
import { linearOf, type Transfer } from '@/core/densitometry/transfer';
import { syntheticStrip, type SyntheticStrip } from '@/core/kit/syntheticStrip';
import { imageKind, reducedSize } from '@/core/formats/imageKind';
import { imageSize } from '@/core/formats/imageSize';
import { isTiff, tiffLayout } from '@/core/formats/tiffLayout';
import { PHOTO_EDGE_PX } from '@/core/records/photoSize';
import { failure, success, type Result } from '@/core/schema/result';

/** What is known of a picture once it is open. */
export interface OpenedPicture {
  widthPx: number;
  heightPx: number;
  bits: number;
  /** How its code values most likely stand for light. */
  transfer: Transfer;
  /** How it was exposed, where the camera wrote it down: seconds, f-number, ISO. */
  exposure: CameraExposure | null;
  /** Camera and program, as the picture names them; null where it does not. */
  device: string | null;
  /** The picture, reduced, to be shown and kept. */
  preview: Blob;
  previewWidthPx: number;
  previewHeightPx: number;
}

/** Most pixels that are opened. Source: our choice; a browser's tab runs out of memory beyond. */
const MOST_PIXELS = 200_000_000;

/** Most bytes that a decoded TIFF or 16-bit PNG may take. Source: our choice. */
const MOST_BYTES = 600_000_000;

/** Bytes of the head in which a picture says its size. */
const HEAD_BYTES = 256 * 1024;

/** Longest edge in which a row is looked for, px. */
const SEARCH_EDGE_PX = 800;

const JPEG_QUALITY = 0.85;

const DAMAGED =
  'The picture is damaged, empty or was cut off. Open it elsewhere, save it again, and choose it once more.';

/** A picture whose pixels can be asked for. */
interface Pixels {
  widthPx: number;
  heightPx: number;
  bits: number;
  /** Pixels of a part, as code values. */
  crop: (bounds: { leftPx: number; topPx: number; widthPx: number; heightPx: number }) => PixelGrid;
  /** The whole picture, reduced to a longest edge. */
  reduced: (edgePx: number) => PixelGrid;
}

let pixels: Pixels | null = null;

/** The picture reduced for looking around in it, and what was seen of it: marks move often, and it stays as it is. */
let searched: PixelGrid | null = null;
const surveys = new Map<string, PictureSurvey>();

const refuse = (message: string): ReturnType<typeof failure> => failure({ path: 'picture', message });

/**
 * Opens a picture of a strip. Nothing is decoded before its size is known.
 * @param file the file, whatever it is called
 * @param onProgress told in words what is being done
 */
export async function openPicture(file: Blob, onProgress: (doing: string) => void): Promise<Result<OpenedPicture>> {
  onProgress('Reading the file');
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  if (head.length < 16) return refuse(DAMAGED);
  const opened = isTiff(head) ? await openTiff(file, onProgress) : await openOther(file, head, onProgress);
  if (!opened.ok) return opened;
  pixels = opened.value;
  searched = null;
  surveys.clear();
  onProgress('Reducing it for the screen');
  const { transfer, exposure, device } = await readTags(file);
  const preview = pixels.reduced(PHOTO_EDGE_PX);
  return success({
    widthPx: pixels.widthPx,
    heightPx: pixels.heightPx,
    bits: pixels.bits,
    transfer,
    exposure,
    device,
    preview: await blobOf(preview, 'image/jpeg', (code) => Math.round((255 * code) / preview.maximum)),
    previewWidthPx: preview.widthPx,
    previewHeightPx: preview.heightPx,
  });
}

async function openOther(file: Blob, head: Uint8Array, onProgress: (doing: string) => void): Promise<Result<Pixels>> {
  const kind = imageKind(head);
  if (!kind.ok) return refuse(kind.problems[0]?.message ?? DAMAGED);
  const size = imageSize(head, kind.value);
  if (size === null) return refuse(DAMAGED);
  if (size.widthPx * size.heightPx > MOST_PIXELS) return refuse(tooLarge(size));
  onProgress(`Decoding ${Math.round((size.widthPx * size.heightPx) / 1e6)} megapixels`);
  // A canvas keeps eight bits only: a PNG of sixteen is read by its own decoder.
  if (kind.value === 'png' && head[24] === 16) return openDeepPng(file, size);
  try {
    const picture = await createImageBitmap(file, { colorSpaceConversion: 'none', premultiplyAlpha: 'none' });
    return success(pixelsOfBitmap(picture));
  } catch {
    return refuse(DAMAGED);
  }
}

function tooLarge({ widthPx, heightPx }: { widthPx: number; heightPx: number }): string {
  return `The picture has ${Math.round((widthPx * heightPx) / 1e6)} megapixels; 200 are the most that a browser opens safely. Crop it to the strip, or scan at a lower resolution.`;
}

async function openDeepPng(file: Blob, size: { widthPx: number; heightPx: number }): Promise<Result<Pixels>> {
  if (size.widthPx * size.heightPx * 8 > MOST_BYTES) return refuse(tooLarge(size));
  try {
    const { width, height, data, channels, depth } = decodePng(new Uint8Array(await file.arrayBuffer()));
    return success(pixelsOfArray(width, height, channels, data, depth));
  } catch {
    return refuse(DAMAGED);
  }
}

async function openTiff(file: Blob, onProgress: (doing: string) => void): Promise<Result<Pixels>> {
  if (file.size > MOST_BYTES)
    return refuse('The file is larger than 600 MB. Crop it to the strip, and choose it again.');
  const bytes = await file.arrayBuffer();
  const layout = tiffLayout(new DataView(bytes));
  if (!layout.ok) return layout;
  const { widthPx, heightPx, bits, samples } = layout.value;
  if (widthPx * heightPx > MOST_PIXELS || (widthPx * heightPx * samples * bits) / 8 > MOST_BYTES)
    return refuse(tooLarge(layout.value));
  onProgress(`Decoding ${Math.round((widthPx * heightPx) / 1e6)} megapixels`);
  try {
    const [page] = decodeTiff(new Uint8Array(bytes), { pages: [0] });
    if (page === undefined || page.data.length < widthPx * heightPx * samples) return refuse(DAMAGED);
    return success(pixelsOfArray(widthPx, heightPx, samples, page.data, bits));
  } catch (error) {
    const detail = error instanceof Error ? error.message : '';
    return /compression|unsupported/i.test(detail)
      ? refuse(
          'This TIFF is packed in a way that is not read here. Save it without compression, or with LZW, and choose it again.',
        )
      : refuse(DAMAGED);
  }
}

function pixelsOfBitmap(picture: ImageBitmap): Pixels {
  const draw = (
    from: { leftPx: number; topPx: number; widthPx: number; heightPx: number },
    to: { widthPx: number; heightPx: number },
  ): PixelGrid => {
    const canvas = new OffscreenCanvas(to.widthPx, to.heightPx);
    const context = canvas.getContext('2d', { willReadFrequently: true });
    if (context === null) throw new Error('No canvas.');
    context.imageSmoothingQuality = 'medium';
    context.drawImage(picture, from.leftPx, from.topPx, from.widthPx, from.heightPx, 0, 0, to.widthPx, to.heightPx);
    const { data } = context.getImageData(0, 0, to.widthPx, to.heightPx);
    return { ...to, leftPx: from.leftPx, topPx: from.topPx, channels: 4, data, maximum: 255 };
  };
  const whole = { leftPx: 0, topPx: 0, widthPx: picture.width, heightPx: picture.height };
  return {
    widthPx: picture.width,
    heightPx: picture.height,
    bits: 8,
    crop: (bounds) => draw(bounds, bounds),
    reduced: (edgePx) => draw(whole, reducedSize(picture.width, picture.height, edgePx)),
  };
}

function pixelsOfArray(
  widthPx: number,
  heightPx: number,
  channels: number,
  data: ArrayLike<number>,
  bits: number,
): Pixels {
  const maximum = 2 ** bits - 1;
  const whole: PixelGrid = { leftPx: 0, topPx: 0, widthPx, heightPx, channels, data, maximum };
  return {
    widthPx,
    heightPx,
    bits,
    crop: () => whole,
    reduced: (edgePx) => {
      const to = reducedSize(widthPx, heightPx, edgePx);
      const small = new Float32Array(to.widthPx * to.heightPx * channels);
      const step = widthPx / to.widthPx;
      const most = Math.max(1, Math.min(4, Math.floor(step)));
      for (let y = 0; y < to.heightPx; y++)
        for (let x = 0; x < to.widthPx; x++)
          for (let channel = 0; channel < channels; channel++) {
            let sum = 0;
            for (let dy = 0; dy < most; dy++)
              for (let dx = 0; dx < most; dx++) {
                const px = Math.min(widthPx - 1, Math.floor((x + dx / most) * step));
                const py = Math.min(heightPx - 1, Math.floor((y + dy / most) * step));
                sum += data[(py * widthPx + px) * channels + channel] ?? 0;
              }
            small[(y * to.widthPx + x) * channels + channel] = Math.round(sum / (most * most));
          }
      return { leftPx: 0, topPx: 0, ...to, channels, data: small, maximum };
    },
  };
}

async function readTags(file: Blob): Promise<Pick<OpenedPicture, 'transfer' | 'exposure' | 'device'>> {
  const none = { transfer: { id: 'srgb' } as const, exposure: null, device: null };
  try {
    const tags = ExifReader.load(await file.slice(0, HEAD_BYTES * 4).arrayBuffer(), { expanded: true });
    const { exif, pngFile } = tags as {
      exif?: Record<string, { value: unknown }>;
      pngFile?: Record<string, { value: unknown }>;
    };
    const number = (value: unknown): number | null => {
      if (typeof value === 'number') return value;
      if (Array.isArray(value) && typeof value[0] === 'number')
        return value.length > 1 && typeof value[1] === 'number' && value[1] !== 0 ? value[0] / value[1] : value[0];
      return null;
    };
    const words = (value: unknown): string => {
      const [first] = Array.isArray(value) ? (value as unknown[]) : [value];
      return typeof first === 'string' ? first.replaceAll(/\p{C}/gu, '').trim() : '';
    };
    const device = [words(exif?.Make?.value), words(exif?.Model?.value), words(exif?.Software?.value)]
      .filter((word) => word !== '')
      .join(' ')
      .slice(0, 200);
    const seconds = number(exif?.ExposureTime?.value);
    const gamma = number(exif?.Gamma?.value) ?? gammaOfPng(number(pngFile?.Gamma?.value));
    return {
      transfer:
        gamma === null || Math.abs(gamma - 2.2) < 0.05
          ? none.transfer
          : gamma === 1
            ? { id: 'linear' }
            : { id: 'gamma', gamma },
      exposure:
        seconds === null || !(seconds > 0)
          ? null
          : { seconds, fNumber: number(exif?.FNumber?.value), iso: number(exif?.ISOSpeedRatings?.value) },
      device: device === '' ? null : device,
    };
  } catch {
    // A picture without tags says nothing of its exposure: that is no fault.
    return none;
  }
}

/** A PNG states the inverse. */
function gammaOfPng(stated: number | null): number | null {
  return stated === null || !(stated > 0) ? null : Math.round((1 / stated) * 100) / 100;
}

/** Measures patches; null where one is too small or lies outside. */
export function samplePatches(
  patches: readonly Patch[],
  channel: ChannelId,
  transfer: Transfer,
): (PatchSample | null)[] {
  const open = pixels;
  if (open === null) return patches.map(() => null);
  const edgePx = Math.max(open.widthPx, open.heightPx);
  return patches.map((patch) => {
    const bounds = patchBounds(patch, open);
    return bounds === null ? null : samplePatch(open.crop(bounds), patch, edgePx, channel, transfer);
  });
}

function searchGrid(): PixelGrid | null {
  if (searched === null && pixels !== null) searched = pixels.reduced(SEARCH_EDGE_PX);
  return searched;
}

/** Looks at the whole picture: its bare light and its tones. */
export function surveyHere(channel: ChannelId, transfer: Transfer): PictureSurvey | null {
  const small = searchGrid();
  if (small === null) return null;
  const key = JSON.stringify([channel, transfer]);
  const survey = surveys.get(key) ?? surveyPicture(small, channel, transfer);
  surveys.set(key, survey);
  return survey;
}

/** What lies around the marks of a strip. */
export function surroundingsHere(
  samples: Pick<PictureSamples, 'light' | 'film'>,
  clear: boolean,
  channel: ChannelId,
  transfer: Transfer,
): Pick<PictureSamples, 'lnAround' | 'base'> {
  const small = searchGrid();
  const survey = surveyHere(channel, transfer);
  if (small === null || survey === null) return {};
  return stripSurroundings(lightPlane(small, channel, transfer), { ...samples, survey }, clear);
}

/** Looks for a row of patches; null where none shows. */
export function findRowHere(transfer: Transfer): FoundRow | null {
  const small = searchGrid();
  return small === null ? null : findRow(small, transfer, surveyHere(ROW_CHANNEL, transfer)?.blocks);
}

/** Share of the film's pixels that each channel's levels are taken from. */
const LEVEL_SAMPLES = 20_000;

/**
 * The picture as a positive.
 * @param light bare light, clear film: their places; null where not marked
 */
export async function positiveOf(transfer: Transfer, light: Patch | null, clear: Patch | null): Promise<Blob | null> {
  if (pixels === null) return null;
  const grid = pixels.reduced(PHOTO_EDGE_PX);
  const sampled = (patch: Patch): [number, number, number] | null => {
    const [red, green, blue] = (['red', 'green', 'blue'] as const).map(
      (channel) => samplePatches([patch], channel, transfer)[0]?.linear ?? null,
    );
    return red == null || green == null || blue == null ? null : [red, green, blue];
  };
  const bare = sampled(light ?? brightestPlace(grid, transfer));
  if (bare === null) return null;
  const base = clear === null ? null : sampled(clear);
  const [densities, step] = [
    [[], [], []] as [number[], number[], number[]],
    Math.max(1, Math.floor((grid.widthPx * grid.heightPx) / LEVEL_SAMPLES)),
  ];
  const at = (pixel: number, channel: number): number =>
    grid.data[pixel * grid.channels + (grid.channels < 3 ? 0 : channel)] ?? 0;
  for (let pixel = 0; pixel < grid.widthPx * grid.heightPx; pixel += step) {
    const values = [0, 1, 2].map((channel) =>
      Math.log10((bare[channel] ?? 1) / Math.max(1e-6, linearOf(at(pixel, channel) / grid.maximum, transfer))),
    );
    // Bare light around the film is no part of it.
    if ((values[1] ?? 0) > 0.05) values.forEach((value, channel) => densities[channel]?.push(value));
  }
  if ((densities[0]?.length ?? 0) < 100) return null;
  const baseD = base?.map((value, channel) => Math.log10((bare[channel] ?? 1) / value)) as
    [number, number, number] | undefined;
  const levels = positiveLevels(densities, bare, baseD ?? null);
  const tables = ([0, 1, 2] as const).map((channel) => positiveTable(grid.maximum, transfer, levels, channel));
  return blobOf(grid, 'image/png', (code, channel) => tables[channel]?.[Math.round(code)] ?? 0);
}

/** Where nobody marked bare light: the brightest even place. */
function brightestPlace(grid: PixelGrid, transfer: Transfer): Patch {
  const { blocks } = surveyPicture(grid, 'green', transfer);
  const free = blocks.filter(({ clipped }) => !clipped);
  const best = free.reduce(
    (most, one) => (one.lnValue > most.lnValue ? one : most),
    free[0] ?? { x: 0.5, y: 0.1, lnValue: 0 },
  );
  return { x: best.x, y: best.y, along: 0.02, across: 0.02, turn: 0 };
}

function blobOf(grid: PixelGrid, type: string, grey: (code: number, channel: number) => number): Promise<Blob> {
  const { widthPx, heightPx, channels, data } = grid;
  const canvas = new OffscreenCanvas(widthPx, heightPx);
  const image = new ImageData(widthPx, heightPx);
  for (let pixel = 0; pixel < widthPx * heightPx; pixel++) {
    for (let channel = 0; channel < 3; channel++)
      image.data[pixel * 4 + channel] = grey(data[pixel * channels + (channels < 3 ? 0 : channel)] ?? 0, channel);
    image.data[pixel * 4 + 3] = 255;
  }
  canvas.getContext('2d')?.putImageData(image, 0, 0);
  return canvas.convertToBlob({ type, quality: JPEG_QUALITY });
}

/** A picture of a strip that does not exist, as PNG. */
export function makeUp(strip: SyntheticStrip): Blob {
  const { grid } = syntheticStrip(strip);
  const data = grid.data as Uint8ClampedArray | Uint16Array;
  const png = encodePng({ width: grid.widthPx, height: grid.heightPx, data, channels: 3, depth: strip.bits });
  return new Blob([png as BlobPart], { type: 'image/png' });
}

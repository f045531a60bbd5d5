import { wrap } from 'comlink';
import type { CodeApi } from './code.worker';
import type { Frame } from './readCode';

/** Reads square codes in pictures of a camera, one after the other. */
export interface CodeReader {
  /** The text of the code in what a video shows; null where none reads. */
  read: (video: HTMLVideoElement) => Promise<string | null>;
  close: () => void;
}

/** A reader of the browser's own, where it has one for square codes. */
interface BarcodeDetector {
  detect: (source: CanvasImageSource) => Promise<{ rawValue: string }[]>;
}
type DetectorClass = (new (options: { formats: string[] }) => BarcodeDetector) & {
  getSupportedFormats?: () => Promise<string[]>;
};

/** Longest side of a picture that is read, px: codes of 85 squares have some six pixels each in it. Source: our choice. */
const EDGE_PX = 720;

/** Opens a reader: the browser's own, else one behind a worker. Browser only. */
export async function openCodeReader(): Promise<CodeReader> {
  const { BarcodeDetector: Detector } = globalThis as { BarcodeDetector?: DetectorClass };
  const formats = await Detector?.getSupportedFormats?.().catch((): string[] => []);
  if (Detector !== undefined && formats?.includes('qr_code') === true) {
    const detector = new Detector({ formats: ['qr_code'] });
    return {
      read: async (video) => (await detector.detect(video).catch(() => []))[0]?.rawValue ?? null,
      close: () => undefined,
    };
  }
  const worker = new Worker(new URL('./code.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<CodeApi>(worker);
  const canvas = document.createElement('canvas');
  const context = canvas.getContext('2d', { willReadFrequently: true });
  return {
    read: async (video) => {
      const scale = Math.min(1, EDGE_PX / Math.max(video.videoWidth, video.videoHeight));
      [canvas.width, canvas.height] = [Math.round(video.videoWidth * scale), Math.round(video.videoHeight * scale)];
      if (context === null || canvas.width === 0) return null;
      context.drawImage(video, 0, 0, canvas.width, canvas.height);
      const { data, width, height } = context.getImageData(0, 0, canvas.width, canvas.height);
      const frame: Frame = { data, width, height };
      return remote.read(frame);
    },
    close: () => worker.terminate(),
  };
}

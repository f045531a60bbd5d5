import { wrap, type Remote } from 'comlink';
import { failure, type Result } from '@/core/schema/result';
import type { PhotoApi } from './photo.worker';
import type { ReducedPhoto } from './reducePhoto';
import { WorkerGone, WorkerLife } from './workerLife';

let running: { remote: Remote<PhotoApi>; life: WorkerLife } | null = null;

function start(): NonNullable<typeof running> {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  const life = new WorkerLife();
  worker.addEventListener('error', () => life.end());
  return { remote: wrap<PhotoApi>(worker), life };
}

/**
 * Reduces a photograph behind a worker; within the page where the worker does not load.
 * @returns the reduced photograph, or why it was not taken
 */
export async function reducePhoto(file: Blob, edgePx: number): Promise<Result<ReducedPhoto>> {
  try {
    running ??= start();
    const { remote, life } = running;
    try {
      return await life.race<Result<ReducedPhoto>>(remote.reduce(file, edgePx));
    } catch (error) {
      if (!(error instanceof WorkerGone)) throw error;
      return await (await import('./reducePhoto')).reducePhoto(file, edgePx);
    }
  } catch (error) {
    const detail = error instanceof Error ? error.message : 'unknown fault';
    return failure({ path: 'photo', message: `The picture could not be reduced (${detail}). Choose it once more.` });
  }
}

import { wrap, type Remote } from 'comlink';
import { failure, type Result } from '@/core/schema/result';
import type { PhotoApi } from './photo.worker';
import type { ReducedPhoto } from './reducePhoto';

let running: { remote: Remote<PhotoApi>; gone: Promise<null> } | null = null;

function start(): NonNullable<typeof running> {
  const worker = new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' });
  const gone = new Promise<null>((resolve) => worker.addEventListener('error', () => resolve(null)));
  return { remote: wrap<PhotoApi>(worker), gone };
}

/**
 * Reduces a photograph behind a worker; within the page where the worker does not load.
 * @returns the reduced photograph, or why it was not taken
 */
export async function reducePhoto(file: Blob, edgePx: number): Promise<Result<ReducedPhoto>> {
  try {
    running ??= start();
    const answer = await Promise.race([running.remote.reduce(file, edgePx), running.gone]);
    if (answer !== null) return answer;
    return await (await import('./reducePhoto')).reducePhoto(file, edgePx);
  } catch (error) {
    const detail = error instanceof Error ? error.message : 'unknown fault';
    return failure({ path: 'photo', message: `The picture could not be reduced (${detail}). Choose it once more.` });
  }
}

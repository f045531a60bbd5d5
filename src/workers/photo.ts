import { wrap, type Remote } from 'comlink';
import type { PhotoApi } from './photo.worker';

let remote: Remote<PhotoApi> | null = null;

/** The worker that reduces photographs, started on first use. Browser only. */
export function photoWorker(): Remote<PhotoApi> {
  remote ??= wrap<PhotoApi>(new Worker(new URL('./photo.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

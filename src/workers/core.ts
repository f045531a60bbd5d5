import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './coreApi';

let remote: Remote<CoreApi> | null = null;

/** Core behind a worker, started on first use. Browser only. */
export function coreWorker(): Remote<CoreApi> {
  remote ??= wrap<CoreApi>(new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }));
  return remote;
}

import { workerClient, type WorkerClient } from './workerClient';
import type { CoreApi } from './coreApi';

/** Core behind a worker: every call answers later. */
export type Core = WorkerClient<CoreApi>;

const listeners = new Set<() => void>();

/** Tells when core lost its worker, and with it all that it was told. */
export function onCoreWithoutWorker(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

const { calls: core } = workerClient<CoreApi>(
  [
    'begin',
    'values',
    'learn',
    'analysis',
    'ask',
    'keepAsk',
    'estimatePreview',
    'learned',
    'benchTimes',
    'firstOfBox',
    'alongside',
    'verdictEffect',
    'levelTimes',
    'trialAnswers',
    'writeBenchFile',
    'readBenchFile',
    'readGuestLog',
  ],
  () => new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./coreApi')).coreApi,
  () => listeners.forEach((listener) => listener()),
);

/** Core behind a worker, started on first use; within the page where the worker does not load. Browser only. */
export function coreWorker(): Core {
  return core;
}

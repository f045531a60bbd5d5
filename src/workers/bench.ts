import { workerClient, type WorkerClient } from './workerClient';
import type { BenchApi } from './benchApi';

const bench: WorkerClient<BenchApi> = workerClient<BenchApi>(
  ['importFile', 'mergeFile'],
  () => new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./benchApi')).benchApi,
);

/** Acts on the whole bench, behind a worker; within the page where the worker does not load. Browser only. */
export function benchWorker(): WorkerClient<BenchApi> {
  return bench;
}

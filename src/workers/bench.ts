import { workerClient, type WorkerClient } from './workerClient';
import type { BenchApi } from './benchApi';

const { calls: bench, stop } = workerClient<BenchApi>(
  ['importFile', 'mergeFile', 'stepFolder'],
  () => new Worker(new URL('./bench.worker.ts', import.meta.url), { type: 'module' }),
  async () => (await import('./benchApi')).benchApi,
);

/** Acts on the whole bench, behind a worker; within the page where the worker does not load. Browser only. */
export function benchWorker(): WorkerClient<BenchApi> {
  return bench;
}

/**
 * Stops whatever is done to the whole bench, at once: a file is taken whole or not at all, so nothing has changed then.
 * @param why what the act fails with
 */
export function stopBenchWorker(why: Error): void {
  stop(why);
}

import { proxy, wrap, type Remote } from 'comlink';
import type { CoreApi } from './coreApi';

/** Core behind a worker: every call answers later. */
export type Core = {
  [K in keyof CoreApi]: (...args: Parameters<CoreApi[K]>) => Promise<Awaited<ReturnType<CoreApi[K]>>>;
};

/** The worker could not be loaded, or it died. */
class WorkerGone extends Error {
  override name = 'WorkerGone';
}

interface Running {
  remote: Remote<CoreApi>;
  /** Never settles while the worker lives. */
  gone: Promise<never>;
}

let running: Running | null = null;
let withoutWorker = false;
const listeners = new Set<() => void>();

/** Whether core runs in the page because its worker does not: slower, and the page may stutter. */
export function coreWithoutWorker(): boolean {
  return withoutWorker;
}

/** Subscribes to changes of `coreWithoutWorker`; for useSyncExternalStore. */
export function onCoreWithoutWorker(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function startWorker(): Running {
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  const gone = new Promise<never>((_, reject) => {
    const give = (): void => reject(new WorkerGone('The worker could not be loaded.'));
    worker.addEventListener('error', give);
    worker.addEventListener('messageerror', give);
  });
  gone.catch(() => {
    withoutWorker = true;
    for (const listener of listeners) listener();
  });
  return { remote: wrap<CoreApi>(worker), gone };
}

async function call<K extends keyof CoreApi>(name: K, args: Parameters<CoreApi[K]>): Promise<unknown> {
  if (!withoutWorker) {
    try {
      running ??= startWorker();
      const method = running.remote[name] as (...args: unknown[]) => Promise<unknown>;
      return await Promise.race([
        method(...args.map((arg) => (typeof arg === 'function' ? proxy(arg) : arg))),
        running.gone,
      ]);
    } catch (error) {
      const refused = !(error instanceof WorkerGone) && running === null;
      if (!(error instanceof WorkerGone) && !refused) throw error;
      withoutWorker = true;
    }
  }
  const { coreApi } = await import('./coreApi');
  return (coreApi[name] as (...args: unknown[]) => unknown)(...args);
}

const core: Core = {
  learn: (...args) => call('learn', args) as ReturnType<Core['learn']>,
  study: (...args) => call('study', args) as ReturnType<Core['study']>,
  glance: (...args) => call('glance', args) as ReturnType<Core['glance']>,
  learned: (...args) => call('learned', args) as ReturnType<Core['learned']>,
  benchTimes: (...args) => call('benchTimes', args) as ReturnType<Core['benchTimes']>,
  alongside: (...args) => call('alongside', args) as ReturnType<Core['alongside']>,
  verdictEffect: (...args) => call('verdictEffect', args) as ReturnType<Core['verdictEffect']>,
  writeBenchFile: (...args) => call('writeBenchFile', args) as ReturnType<Core['writeBenchFile']>,
  readBenchFile: (...args) => call('readBenchFile', args) as ReturnType<Core['readBenchFile']>,
};

/** Core behind a worker, started on first use; within the page where the worker does not load. Browser only. */
export function coreWorker(): Core {
  return core;
}

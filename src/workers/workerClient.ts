import { proxy, wrap, type Remote } from 'comlink';
import { WorkerGone, WorkerLife } from './workerLife';

/** An interface behind a worker: every call answers later. */
export type WorkerClient<Api> = {
  [K in keyof Api]: Api[K] extends (...args: infer Args) => infer Answer
    ? (...args: Args) => Promise<Awaited<Answer>>
    : never;
};

type Functions = Record<string, (...args: never[]) => unknown>;

interface Running {
  worker: Worker;
  remote: Remote<Functions>;
  life: WorkerLife;
}

function run(start: () => Worker, onGone: () => void): Running {
  const worker = start();
  const life = new WorkerLife();
  const give = (): void => {
    life.end();
    onGone();
  };
  worker.addEventListener('error', give);
  worker.addEventListener('messageerror', give);
  return { worker, remote: wrap<Functions>(worker), life };
}

/**
 * Functions behind a worker, started on first use; within the page where the worker does not load. Browser only.
 * @param names the functions
 * @param start starts the worker
 * @param here loads the same functions into the page
 * @param onGone told when the worker does not load or dies, with all that it knew
 * @returns the functions, and how to stop the worker at once: what it was asked fails with that, and the next question starts another
 */
export function workerClient<Api extends object>(
  names: readonly (keyof Api & string)[],
  start: () => Worker,
  here: () => Promise<Api>,
  onGone: () => void = () => undefined,
): { calls: WorkerClient<Api>; stop: (why: Error) => void } {
  let running: Running | null = null;
  let withoutWorker = false;
  const begin = (): Running =>
    run(start, () => {
      withoutWorker = true;
      onGone();
    });
  const call = async (name: keyof Api & string, args: readonly unknown[]): Promise<unknown> => {
    if (!withoutWorker) {
      let begun = false;
      try {
        running ??= begin();
        begun = true;
        const method = running.remote[name] as unknown as (...args: unknown[]) => Promise<unknown>;
        return await running.life.race(method(...args.map((arg) => (typeof arg === 'function' ? proxy(arg) : arg))));
      } catch (error) {
        // A browser that refuses to start a worker throws before there is one.
        const refused = !begun && running === null;
        if (!(error instanceof WorkerGone) && !refused) throw error;
        withoutWorker = true;
      }
    }
    return (((await here()) as unknown as Functions)[name] as unknown as (...args: unknown[]) => unknown)(...args);
  };
  const calls = Object.fromEntries(
    names.map((name) => [name, (...args: unknown[]) => call(name, args)]),
  ) as unknown as WorkerClient<Api>;
  const stop = (why: Error): void => {
    running?.worker.terminate();
    running?.life.end(why);
    running = null;
  };
  return { calls, stop };
}

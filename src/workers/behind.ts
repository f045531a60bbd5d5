import { proxy, wrap, type Remote } from 'comlink';

/** An interface behind a worker: every call answers later. */
export type Behind<Api> = {
  [K in keyof Api]: Api[K] extends (...args: infer Args) => infer Answer
    ? (...args: Args) => Promise<Awaited<Answer>>
    : never;
};

/** The worker could not be loaded, or it died. */
class WorkerGone extends Error {
  override name = 'WorkerGone';
}

type Functions = Record<string, (...args: never[]) => unknown>;

interface Running {
  remote: Remote<Functions>;
  /** Never settles while the worker lives. */
  gone: Promise<never>;
}

function run(start: () => Worker): Running {
  const worker = start();
  const gone = new Promise<never>((_, reject) => {
    const give = (): void => reject(new WorkerGone('The worker could not be loaded.'));
    worker.addEventListener('error', give);
    worker.addEventListener('messageerror', give);
  });
  return { remote: wrap<Functions>(worker), gone };
}

/**
 * Functions behind a worker, started on first use; within the page where the worker does not load. Browser only.
 * @param names the functions
 * @param start starts the worker
 * @param here loads the same functions into the page
 * @param onGone told when the worker does not load or dies, with all that it knew
 */
export function behindWorker<Api extends object>(
  names: readonly (keyof Api & string)[],
  start: () => Worker,
  here: () => Promise<Api>,
  onGone: () => void = () => undefined,
): Behind<Api> {
  let running: Running | null = null;
  let withoutWorker = false;
  const begin = (): Running => {
    const begun = run(start);
    begun.gone.catch(() => {
      withoutWorker = true;
      onGone();
    });
    return begun;
  };
  const call = async (name: keyof Api & string, args: readonly unknown[]): Promise<unknown> => {
    if (!withoutWorker) {
      try {
        running ??= begin();
        const method = running.remote[name] as unknown as (...args: unknown[]) => Promise<unknown>;
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
    return (((await here()) as unknown as Functions)[name] as unknown as (...args: unknown[]) => unknown)(...args);
  };
  return Object.fromEntries(
    names.map((name) => [name, (...args: unknown[]) => call(name, args)]),
  ) as unknown as Behind<Api>;
}

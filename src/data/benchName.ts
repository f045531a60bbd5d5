import { BASE_PATH } from '@/core/schema/basePath';
import { immediately } from './immediateStore';

/** Two benches live in one browser: the user's own, and the demo's. */
export type BenchName = 'own' | 'demo';

const KEY = 'aetas.bench';

let opened: BenchName | null = null;

/** The bench of this page: the user's choice when it opened, else what the server was started for. It stays while the page stands. */
export function benchName(): BenchName {
  if (opened !== null) return opened;
  const chosen = immediately((store) => store.getItem(KEY));
  const name =
    chosen === 'own' || chosen === 'demo'
      ? chosen
      : globalThis.document?.documentElement.dataset.bench === 'demo'
        ? 'demo'
        : 'own';
  if (globalThis.document !== undefined) opened = name;
  return name;
}

/** Says which bench this is about, where no page can be asked: in a worker. */
export function keepToBench(name: BenchName): void {
  opened = name;
}

/** Moves to the other bench; the page starts over with that bench's records. */
export function chooseBench(name: BenchName, path = '/'): void {
  immediately((store) => store.setItem(KEY, name));
  location.assign(`${BASE_PATH}${path}`);
}

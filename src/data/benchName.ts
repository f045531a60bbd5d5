/** Two benches live in one browser: the user's own, and the demo's. */
export type BenchName = 'own' | 'demo';

const KEY = 'aetas.bench';

/** The bench that this tab looks at: the user's choice, else what the server was started for. */
export function benchName(): BenchName {
  const chosen = globalThis.localStorage?.getItem(KEY);
  if (chosen === 'own' || chosen === 'demo') return chosen;
  return globalThis.document?.documentElement.dataset.bench === 'demo' ? 'demo' : 'own';
}

/** Moves to the other bench; the page starts over with that bench's records. */
export function chooseBench(name: BenchName): void {
  localStorage.setItem(KEY, name);
  location.assign('/');
}

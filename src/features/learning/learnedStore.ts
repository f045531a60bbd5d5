import { feedLearning, isLongLog } from '@/data/learningFeed';
import { keepStart, readStart } from '@/data/learningStart';
import { coreWorker, onCoreWithoutWorker } from '@/workers/core';

/** How long a page waits for what the bench has learned before it shows a first time without it, ms. */
const PATIENCE_MS = 400;

/** How long the page reads its own records before what estimates learn from is read, ms. */
const PAGE_FIRST_MS = 100;

/** After what time the fit is kept, ms: by then it was asked for, and this waits for its end. */
const KEEP_MS = 2000;

/** What the worker knows: `revision` grows with each change; `all` once everything was told; `long` for a log whose fit takes seconds. */
export interface Learned {
  revision: number;
  all: boolean;
  long: boolean;
}

let long = false;

let told: Learned | null = null;
let stop: (() => void) | null = null;
let keeping: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

function tell(next: Omit<Learned, 'long'>): void {
  told = { ...next, long };
  for (const listener of listeners) listener();
}

/** Follows what the worker knows, and sees to it that it is told. One feed serves the page, however many parts of it ask. */
export function followLearned(listener: () => void): () => void {
  listeners.add(listener);
  if (stop === null) startFeed();
  return () => {
    listeners.delete(listener);
  };
}

async function keepValues(): Promise<void> {
  const values = await coreWorker()
    .values()
    .catch(() => null);
  if (values !== null) await keepStart(values);
}

async function lookAtLength(): Promise<void> {
  long = await isLongLog().catch(() => long);
  if (told !== null && told.long !== long) tell(told);
}

function startFeed(): void {
  const nowYear = new Date().getFullYear();
  setTimeout(() => {
    if (told === null) tell({ revision: 0, all: false });
  }, PATIENCE_MS);
  let ended: (() => void) | null = null;
  const begin = setTimeout(() => {
    void lookAtLength();
    let begun: Promise<void> | null = null;
    ended = feedLearning(async (change, last) => {
      begun ??= readStart().then((values) => (values === null ? undefined : coreWorker().begin(values)));
      await begun;
      await coreWorker().learn(change, nowYear, last);
      if (!last) return;
      await lookAtLength();
      tell({ revision: (told?.revision ?? 0) + 1, all: true });
      clearTimeout(keeping);
      keeping = setTimeout(() => void keepValues(), KEEP_MS);
    });
  }, PAGE_FIRST_MS);
  stop = () => {
    clearTimeout(begin);
    ended?.();
  };
}

// A worker that died took along what it knew: core in the page starts from nothing and is told everything.
onCoreWithoutWorker(() => {
  if (stop === null) return;
  stop();
  // Until all of it was told, what is estimated is a first guess, and cannot be pinned.
  tell({ revision: (told?.revision ?? 0) + 1, all: false });
  startFeed();
});

/** What the worker knows by now; null for the first moment. */
export function learnedNow(): Learned | null {
  return told;
}

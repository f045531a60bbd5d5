import { beforeEach, expect, test, vi } from 'vitest';

const worker = vi.hoisted(() => ({ gone: (): void => undefined, feeds: [] as (() => Promise<void>)[] }));

vi.mock('@/workers/core', () => ({
  coreWorker: () => ({
    begin: () => Promise.resolve(),
    learn: () => Promise.resolve(),
    values: () => Promise.resolve(null),
  }),
  onCoreWithoutWorker: (listener: () => void) => {
    worker.gone = listener;
  },
}));
vi.mock('@/data/learningStart', () => ({ readStart: () => Promise.resolve(null), keepStart: () => Promise.resolve() }));
vi.mock('@/data/learningFeed', () => ({
  isLongLog: () => Promise.resolve(false),
  feedLearning: (onChange: (change: unknown, last: boolean) => Promise<void>) => {
    worker.feeds.push(() => onChange({}, true));
    return () => undefined;
  },
}));

beforeEach(() => {
  vi.useFakeTimers();
});

test('a worker that dies takes along what it knew: until all was told again, nothing rests on the whole log', async () => {
  const { followLearned, learnedNow } = await import('./learnedStore');
  followLearned(() => undefined);
  await vi.advanceTimersByTimeAsync(1000);
  await worker.feeds[0]?.();
  const before = learnedNow();
  expect(before?.all).toBe(true);
  worker.gone();
  expect(learnedNow()).toMatchObject({ all: false });
  expect(learnedNow()?.revision).toBeGreaterThan(before?.revision ?? Infinity);
  await vi.advanceTimersByTimeAsync(1000);
  await worker.feeds[1]?.();
  expect(learnedNow()?.all).toBe(true);
});

import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { Estimator, MOST_WAITING, type Thread } from './estimator';

type Told = { id: number; json: unknown };

/** A thread that answers when it is told to. */
class FakeThread implements Thread {
  readonly asked: Told[] = [];
  readonly listeners = new Map<string, (value: unknown) => void>();
  ended = false;
  postMessage(message: Told): void {
    this.asked.push(message);
  }
  on(event: string, listener: (value: unknown) => void): void {
    this.listeners.set(event, listener);
  }
  terminate(): void {
    this.ended = true;
  }
  answer(answer: unknown): void {
    this.listeners.get('message')?.({ id: this.asked.at(-1)?.id, answer });
  }
  die(): void {
    this.listeners.get('error')?.(new Error('out of memory'));
  }
}

const threads: FakeThread[] = [];
const estimator = (): Estimator => {
  threads.length = 0;
  return new Estimator(() => {
    const thread = new FakeThread();
    threads.push(thread);
    return thread;
  });
};

beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

describe('estimates in a thread of their own', () => {
  test('go one after the other, each to who asked', async () => {
    const one = estimator();
    const [a, b] = [one.ask('a'), one.ask('b')];
    expect(threads[0]?.asked.map(({ json }) => json)).toEqual(['a']);
    threads[0]?.answer(1);
    threads[0]?.answer(2);
    expect([await a, await b]).toEqual([1, 2]);
    expect(threads).toHaveLength(1);
  });
  test('are refused when too many wait', async () => {
    const one = estimator();
    const all = Array.from({ length: MOST_WAITING + 1 }, (_, n) => one.ask(n));
    expect(await one.ask('late')).toBe('busy');
    for (const [n, asked] of all.entries()) {
      threads[0]?.answer(n);
      expect(await asked).toBe(n);
    }
    const after = one.ask('later');
    threads[0]?.answer('fine');
    expect(await after).toBe('fine');
  });
  test('a thread that dies or hangs takes its own request along, and no other', async () => {
    const one = estimator();
    const [a, b, c] = [one.ask('a'), one.ask('b'), one.ask('c')];
    threads[0]?.die();
    expect(await a).toBe('failed');
    vi.advanceTimersByTime(6_000);
    expect(await b).toBe('failed');
    expect([threads[0]?.ended, threads[1]?.ended]).toEqual([true, true]);
    threads[2]?.answer('well');
    expect(await c).toBe('well');
  });
});

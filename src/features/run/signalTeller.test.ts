import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { signalTeller } from './signalTeller';

const START = 1_000_000;
const clock = { read: () => Date.now(), pace: 1 };

beforeEach(() => {
  vi.useFakeTimers({ now: START });
});
afterEach(() => {
  vi.useRealTimers();
});

function teller(list: number[], pace = 1) {
  const told: number[][] = [];
  const started = signalTeller(
    list.map((atS) => ({ atS })),
    START,
    { ...clock, pace },
    (passed) => told.push(passed.map(({ atS }) => atS)),
  );
  return { ...started, told };
}

describe('signals of a step', () => {
  test('each is told on its instant, and what is past at the start never', () => {
    const { told } = teller([0, 10, 20]);
    vi.advanceTimersByTime(9_999);
    expect(told).toEqual([]);
    vi.advanceTimersByTime(1);
    expect(told).toEqual([[10]]);
    vi.advanceTimersByTime(60_000);
    expect(told).toEqual([[10], [20]]);
  });
  test('a page that is hidden and shown many times has one timer, and a stop leaves none', () => {
    const { look, stop, told } = teller([30, 60]);
    for (let shown = 0; shown < 20; shown++) look();
    expect(vi.getTimerCount()).toBe(1);
    vi.advanceTimersByTime(30_000);
    expect(told).toEqual([[30]]);
    look();
    stop();
    expect(vi.getTimerCount()).toBe(0);
    look();
    vi.advanceTimersByTime(60_000);
    expect(told).toEqual([[30]]);
  });
  test('what passed while everything slept is told at once, together', () => {
    const { look, told } = teller([10, 20, 90]);
    vi.setSystemTime(START + 25_000);
    look();
    expect(told).toEqual([[10, 20]]);
    expect(vi.getTimerCount()).toBe(1);
  });
});

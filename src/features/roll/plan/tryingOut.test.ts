import { afterEach, beforeEach, describe, expect, test, vi } from 'vitest';
import { demoInputs } from '@/core/testing/demoInputs';
import { initialPlanForm, type PlanForm } from '@/core/plan/planForm';
import { Trials, type Trial } from './trial';
import { REST_MS, TOGETHER_MS, TryingOut } from './tryingOut';

const initial = initialPlanForm({
  familyId: demoInputs.stock.familyId,
  formatId: demoInputs.roll.formatId,
  condition: demoInputs.roll.condition,
});

const at = (temperatureC: number): PlanForm => ({ ...initial, temperatureC });

/** Stands for an estimate: which one it is, is all that is asked of it here. */
const foundAt = (temperatureC: number): Trial['found'] => ({ glanceAt: temperatureC }) as unknown as Trial['found'];

/** What is shown: the temperature of the form, and that of the estimate beside it. */
function trying(estimateMs: number) {
  const trials = new Trials();
  const shown: [unknown, unknown][] = [];
  trials.subscribe(() => {
    const trial = trials.current();
    shown.push([trial?.form.temperatureC, (trial?.found as { glanceAt?: number } | null)?.glanceAt ?? null]);
  });
  const asked: unknown[] = [];
  const settled: unknown[] = [];
  const one = new TryingOut(trials, {
    find: (form) => {
      asked.push(form.temperatureC);
      return new Promise((resolve) => setTimeout(() => resolve(foundAt(Number(form.temperatureC))), estimateMs));
    },
    settle: (form) => settled.push(form.temperatureC),
  });
  return { one, shown, asked, settled };
}

describe('what is tried out', () => {
  beforeEach(() => vi.useFakeTimers());
  afterEach(() => vi.useRealTimers());

  test('is shown once a move, together with its estimate, and settles when the hand rests', async () => {
    const { one, shown, settled } = trying(5);
    one.move(at(21));
    await vi.advanceTimersByTimeAsync(90);
    one.move(at(22));
    await vi.advanceTimersByTimeAsync(REST_MS - 1);
    expect(shown).toEqual([
      [21, 21],
      [22, 22],
    ]);
    expect(settled).toEqual([]);
    await vi.advanceTimersByTimeAsync(1);
    expect(settled).toEqual([22]);
  });

  test('is shown by itself where the estimate takes long, with the estimate before it', async () => {
    const { one, shown } = trying(100);
    one.move(at(21));
    await vi.advanceTimersByTimeAsync(TOGETHER_MS);
    expect(shown).toEqual([[21, null]]);
    await vi.advanceTimersByTimeAsync(60);
    expect(shown.at(-1)).toEqual([21, 21]);
    one.move(at(22));
    await vi.advanceTimersByTimeAsync(TOGETHER_MS);
    expect(shown.at(-1)).toEqual([22, 21]);
  });

  test('never goes back behind what the hand has seen: an estimate for an earlier place stands beside the later one', async () => {
    const { one, shown } = trying(70);
    one.move(at(21));
    await vi.advanceTimersByTimeAsync(20);
    one.move(at(21.5));
    await vi.advanceTimersByTimeAsync(20);
    expect(shown.at(-1)).toEqual([21.5, null]);
    await vi.advanceTimersByTimeAsync(30);
    expect(shown.at(-1)).toEqual([21.5, 21]);
    await vi.advanceTimersByTimeAsync(70);
    expect(shown.at(-1)).toEqual([21.5, 21.5]);
  });

  test('follows a hand that is faster than the estimates: one is asked for at a time, and nothing stands still', async () => {
    const { one, shown, asked } = trying(30);
    for (let step = 1; step <= 40; step++) {
      one.move(at(20 + step / 10));
      await vi.advanceTimersByTimeAsync(8);
    }
    await vi.advanceTimersByTimeAsync(100);
    // 320 ms of moving and one at the end, 30 ms each.
    expect(asked.length).toBeGreaterThanOrEqual(10);
    expect(asked.length).toBeLessThanOrEqual(13);
    expect(shown.length).toBeGreaterThanOrEqual(10);
    expect(shown.every(([form, estimate]) => form === estimate)).toBe(true);
    expect(shown.at(-1)).toEqual([24, 24]);
  });

  test('keeps showing a hand whose estimates hang', async () => {
    const { one, shown } = trying(10_000);
    for (let step = 1; step <= 20; step++) {
      one.move(at(20 + step));
      await vi.advanceTimersByTimeAsync(20);
    }
    expect(shown.length).toBeGreaterThanOrEqual(9);
    expect(shown.at(-1)).toEqual([40, null]);
  });

  test('asks anew after a rest, and no more for what hung before it', async () => {
    const { one, shown, asked } = trying(REST_MS + 50);
    one.move(at(21));
    await vi.advanceTimersByTimeAsync(REST_MS + 10);
    one.move(at(22));
    expect(asked).toEqual([21, 22]);
    // The first estimate comes now.
    await vi.advanceTimersByTimeAsync(100);
    expect(shown.some(([, estimate]) => estimate === 21)).toBe(false);
  });

  test('is shown at once where it has no estimate, and one that fails is none', async () => {
    const shown: unknown[] = [];
    const trials = new Trials();
    trials.subscribe(() => shown.push(trials.current()?.form.temperatureC));
    let answer: Promise<Trial['found']> = Promise.resolve(null);
    const one = new TryingOut(trials, { find: () => answer, settle: () => undefined });
    one.move(at(21));
    await vi.advanceTimersByTimeAsync(0);
    answer = Promise.reject(new Error('The worker has stopped.'));
    one.move(at(22));
    await vi.advanceTimersByTimeAsync(0);
    expect(shown).toEqual([21, 22]);
  });

  test('settles once when it is ended, and an estimate that comes after that shows nothing', async () => {
    const { one, shown, settled } = trying(30);
    one.move(at(21));
    one.end();
    one.end();
    await vi.advanceTimersByTimeAsync(1000);
    expect(settled).toEqual([21]);
    expect(shown).toEqual([]);
  });
});

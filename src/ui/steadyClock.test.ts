import { describe, expect, test } from 'vitest';
import { SteadyClock } from './steadyClock';

function clocks() {
  const at = { wall: 1_000_000, watch: 5000 };
  const clock = new SteadyClock(
    () => at.wall,
    () => at.watch,
  );
  const pass = (ms: number): void => {
    at.wall += ms;
    at.watch += ms;
  };
  return { at, clock, pass };
}

describe('a clock that goes on evenly', () => {
  test('agrees with the computer’s while nobody sets that', () => {
    const { at, clock, pass } = clocks();
    pass(61_000);
    expect(clock.now()).toBe(at.wall);
    expect(clock.jumpMs()).toBe(0);
  });
  test.each([-3_600_000, 7_200_000])('a clock set by %d ms is told, and time goes on', (set) => {
    const { at, clock, pass } = clocks();
    pass(10_000);
    at.wall += set;
    pass(5000);
    expect(clock.now()).toBe(1_015_000);
    expect(clock.jumpMs()).toBe(set);
    clock.agree();
    expect(clock.now()).toBe(at.wall);
    expect(clock.jumpMs()).toBe(0);
  });
  test('a stopwatch that slept with the lid closed is caught up with at once, and once', () => {
    const { at, clock, pass } = clocks();
    pass(10_000);
    at.wall += 300_000;
    pass(250);
    expect(clock.catchUp()).toBe(300_000);
    expect(clock.now()).toBe(at.wall);
    expect(clock.catchUp()).toBe(0);
  });
  test('a clock that was set back is not caught up with: time goes on', () => {
    const { at, clock, pass } = clocks();
    at.wall -= 3_600_000;
    pass(1000);
    expect(clock.catchUp()).toBe(0);
    expect(clock.now()).toBe(1_001_000);
  });
  test('small corrections go unnoticed', () => {
    const { at, clock } = clocks();
    at.wall += 900;
    expect(clock.jumpMs()).toBe(0);
  });
});

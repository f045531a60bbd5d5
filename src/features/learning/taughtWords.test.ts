import { describe, expect, test } from 'vitest';
import { taughtWords } from './taughtWords';

const label = (id: string) => id.toUpperCase();

describe('what a verdict taught, in words', () => {
  test.each([
    [{ teaches: false, moved: [], unmoved: 3 }, /teaches the estimates nothing/],
    [{ teaches: true, moved: [], unmoved: 0 }, /No roll waits/],
    [{ teaches: true, moved: [], unmoved: 2 }, /agrees with what was known/],
  ])('%j', (effect, words) => expect(taughtWords(effect, label)).toMatch(words));
  test('two are named, the rest counted, a band only where it changed', () => {
    const roll = (rollId: string, beforeMin: number, afterMin: number, widthRatio: number) => ({
      rollId,
      beforeMin,
      afterMin,
      widthRatio,
    });
    expect(
      taughtWords(
        { teaches: true, unmoved: 0, moved: [roll('a', 10, 11, 0.9), roll('b', 8, 8, 0.95), roll('c', 8, 8.2, 1)] },
        label,
      ),
    ).toBe(
      'Other rolls changed: “A” goes from 10:00 to 11:00 (+10 %, its likely range 10 % narrower); “B” stays at 8:00, its likely range 5 % narrower; 1 more moves as well.',
    );
  });
});

import { describe, expect, test } from 'vitest';
import { safeMinutes, safelightTest, sheetFromBox } from './paperDark';

describe('a light for paper', () => {
  test('is safe for half of the longest strip without a trace', () => {
    expect([null, 8, 4, 2].map((shown) => safeMinutes(shown as 8 | null))).toEqual([4, 2, 1, 0]);
  });
  test('the strips of the test add up to the minutes that are told', () => {
    const waits = safelightTest.steps.flatMap(({ act }) => {
      const [, words] = /Wait (two|four) minutes/.exec(act) ?? [];
      return words === undefined ? [] : [words === 'two' ? 2 : 4];
    });
    const had = waits.map((_, from) => waits.slice(from).reduce((sum, one) => sum + one, 0));
    expect(had).toEqual([8, 4, 2]);
  });
  test('the box is closed before anything lights up', () => {
    const acts = sheetFromBox.steps.map(({ act }) => act);
    const closed = acts.findIndex((act) => act.includes('lid on'));
    expect(acts.slice(0, closed).some((act) => /lamp on|lights? up/.test(act.replace('red lamp on', '')))).toBe(false);
    expect(sheetFromBox.steps[closed + 1]?.feel).toContain('may the enlarger light up');
  });
});

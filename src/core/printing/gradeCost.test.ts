import { describe, expect, test } from 'vitest';
import { gradeCost, stepsOfPaper, type GradeStep } from './gradeCost';

describe('what another grade costs in time', () => {
  test('without a comparison: softer filters alike, from 4 on twice the light (common practice), with a wide band', () => {
    expect(gradeCost([], '1', '3')).toMatchObject({ factor: 1, compared: 0 });
    const hard = gradeCost([], '2', '5');
    expect(hard?.factor).toBeCloseTo(2, 9);
    // Two grades of 0.3 each: ± 1.28 · 0.3 · √2 in ln.
    expect(Math.log((hard?.high ?? 1) / 2)).toBeCloseTo(1.2816 * 0.3 * Math.SQRT2, 3);
    expect(gradeCost([], '5', '2')?.factor).toBeCloseTo(0.5, 9);
    expect(gradeCost([], '2', '2')).toMatchObject({ factor: 1, low: 1, high: 1 });
  });
  test('a comparison pulls it, narrows it, and chains to grades beyond it', () => {
    const step: GradeStep = { from: '2', to: '4', factor: 3 };
    const one = gradeCost([step], '2', '4');
    // Prior variance 0.18, noise 0.0196: most of the way to 3.
    const share = 0.18 / (0.18 + 0.14 ** 2);
    expect(Math.log(one?.factor ?? 1)).toBeCloseTo(Math.log(2) + share * Math.log(1.5), 9);
    expect((one?.high ?? 9) / (one?.low ?? 1)).toBeLessThan(1.5);
    const chained = gradeCost([step, { from: '4', to: 'yellow 40', factor: 0.5 }], '2', 'yellow 40');
    expect(chained?.factor).toBeCloseTo((one?.factor ?? 1) * 0.5, 1);
  });
  test('a filter that is in no table and was never compared has no factor', () => {
    expect(gradeCost([], '2', 'magenta 60')).toBeNull();
    expect(gradeCost([], '', '2')).toBeNull();
  });
  test('the way there and back is one, and the order of comparisons no matter', () => {
    const steps: GradeStep[] = [
      { from: '1', to: '3', factor: 1.2 },
      { from: '3', to: '5', factor: 1.9 },
      { from: '1', to: '5', factor: 2.6 },
    ];
    const there = gradeCost(steps, '1', '5');
    expect((there?.factor ?? 0) * (gradeCost(steps, '5', '1')?.factor ?? 0)).toBeCloseTo(1, 9);
    expect(gradeCost([...steps].reverse(), '1', '5')?.factor).toBeCloseTo(there?.factor ?? 0, 9);
  });
  test('comparisons are those of the paper, however its name is written', () => {
    const gradeStep = { from: '2', to: '4', factor: 3 };
    const prints = [{ paper: 'Hut glossy', gradeStep }, { paper: 'other', gradeStep }, { paper: 'hut glossy ' }];
    expect(stepsOfPaper(prints, ' HUT glossy')).toEqual([gradeStep]);
  });
});

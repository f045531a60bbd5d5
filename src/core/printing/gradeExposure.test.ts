import { describe, expect, test } from 'vitest';
import { seededEven, seededNormal } from '../kit/seededNoise';
import { cases } from '../testing/cases';
import { exposureOnGrade, lightsFactor, type PaperKnown } from './gradeExposure';
import { PLAIN_MIDDLE, paperDensity } from './paperCurve';
import { gradesOfPaper } from './paperRange';
import { gradeRanges, twoTones } from './twoTones';

const plain: PaperKnown = { grades: gradesOfPaper([]), steps: [], middle: PLAIN_MIDDLE };

describe('the light tones on another grade', () => {
  test('grade 2 to 3 by hand: the grey stays, and the lights want 10^(m·17/100) as much', () => {
    expect(lightsFactor('2', '3', plain)?.factor).toBeCloseTo(10 ** (PLAIN_MIDDLE * 0.17), 9);
    // From 4 on filters take twice the light besides (common practice).
    expect(lightsFactor('2', '4', plain)?.factor).toBeCloseTo(2 * 10 ** (PLAIN_MIDDLE * 0.32), 9);
  });
  test('by the paper’s own curve: that exposure gives the lights their density, and the same grey stays where it was', () => {
    for (const [from, to] of [
      ['2', '3'],
      ['1', '0'],
      ['3', '1'],
    ] as const) {
      const [a, b] = [from, to].map((grade) => gradeRanges.find((one) => one.grade === grade)?.range ?? NaN) as [
        number,
        number,
      ];
      const moved = Math.log10(lightsFactor(from, to, plain)?.factor ?? NaN);
      // What is as grey as a card on the first grade, at the same exposure of its tone, is so on the second.
      const grey = PLAIN_MIDDLE * (a / 100);
      expect(paperDensity(grey, a)).toBeCloseTo(paperDensity(grey - moved, b), 9);
    }
  });
  test('there and back is once; the same grade is as it is; what is in no table is not told', () => {
    const [there, back] = [lightsFactor('2', '4', plain), lightsFactor('4', '2', plain)];
    expect((there?.factor ?? 0) * (back?.factor ?? 0)).toBeCloseTo(1, 12);
    expect(lightsFactor('2', ' 2', plain)).toMatchObject({ factor: 1, low: 1, high: 1 });
    expect(lightsFactor('2', '60 M', plain)).toBeNull();
  });
  test('what was compared on this paper narrows it', () => {
    const steps = [{ from: '2', to: '4', factor: 3 }];
    const [usual, own] = [lightsFactor('2', '4', plain), lightsFactor('2', '4', { ...plain, steps })];
    expect(own?.compared).toBe(1);
    expect(Math.log((own?.high ?? 9) / (own?.low ?? 1))).toBeLessThan(Math.log((usual?.high ?? 9) / (usual?.low ?? 1)));
  });
  test('on papers that are not the table’s, and filters that cost what they cost, it is held four times in five', () => {
    const all = Array.from({ length: cases(600, 4000) }, (_, seed) => {
      const [a, b] = [seed % 7, (seed * 3 + 1) % 7].map(
        (at) => gradeRanges[at] as { grade: string; range: number },
      ) as [{ grade: string; range: number }, { grade: string; range: number }];
      if (a === b) return [];
      const paper = 0.065 * seededNormal(seed, 1);
      const [own, other] = [a, b].map(
        ({ range }, at) => range * Math.exp(paper + 0.055 * seededNormal(seed, 2 + at)),
      ) as [number, number];
      const middle = PLAIN_MIDDLE + 0.04 * seededNormal(seed, 4);
      const usual = (grade: string): number => (Number(grade) >= 4 ? Math.log(2) : 0);
      const cost = usual(b.grade) - usual(a.grade) + 0.3 * (seededNormal(seed, 5) - seededNormal(seed, 6));
      const truth = 20 * Math.exp(cost + (Math.LN10 * middle * (own - other)) / 100);
      const seen = 20 * 2 ** ((seededEven(seed, 7) - 0.5) / 2);
      const tones = { ...twoTones(seen, seen, { range: a.range, sd: 9 }, 1 / 2), grade: b.grade };
      const found = exposureOnGrade(tones, a.grade, plain);
      return [found !== null && found.lowS <= truth && truth <= found.highS];
    }).flat();
    const held = all.filter(Boolean).length / all.length;
    expect(held).toBeGreaterThan(0.72);
    expect(held).toBeLessThan(0.88);
  });
});

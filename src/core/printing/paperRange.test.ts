import { describe, expect, test } from 'vitest';
import { seededEven, seededNormal } from '../kit/seededNoise';
import { cases } from '../testing/cases';
import { PLAIN_MIDDLE, paperDensity } from './paperCurve';
import { gradesOfPaper, middleOfPaper, rangeOfStrip, stripsOfPaper } from './paperRange';
import { gradeRanges } from './twoTones';

/** What an eye finds on a strip of stops: the first patch above the paper, and the first as black as the blackest, each off a little. */
function seen(range: number, step: number, seed: number): { greyS: number; blackS: number } {
  const from = 10 ** (0.3 * step * seededEven(seed, 1));
  const times = Array.from({ length: 40 }, (_, at) => from * 2 ** ((at - 8) * step));
  const [dim, near] = [seededNormal(seed, 2), seededNormal(seed, 3)].map((one) => 0.04 * one);
  const density = (seconds: number, off: number): number => paperDensity(Math.log10(seconds) + off, range);
  const grey = times.find((seconds) => density(seconds, dim as number) >= 0.09);
  const black = times.find((seconds) => density(seconds, near as number) >= 0.05 + 0.9 * 2);
  return { greyS: grey ?? Number.NaN, blackS: black ?? Number.NaN };
}

describe('a paper’s own range', () => {
  test('comes back from its strip: on papers that are not the table’s, it holds four times in five', () => {
    const strips = Array.from({ length: cases(400, 4000) }, (_, seed) => {
      const truth = 60 + 120 * seededEven(seed, 9);
      const step = [1 / 3, 1 / 2, 1][seed % 3] as number;
      const { greyS, blackS } = seen(truth, step, seed);
      const found = rangeOfStrip(greyS, blackS, step);
      return found !== null && Math.abs(found.range - truth) < 1.2816 * found.sd;
    });
    const held = strips.filter(Boolean).length / strips.length;
    expect(held).toBeGreaterThan(0.72);
    expect(held).toBeLessThan(0.92);
  });
  test('its grey card comes back on papers that are no plain S, four times in five, and strips add up', () => {
    const held = Array.from({ length: cases(400, 4000) }, (_, seed) => {
      const truth = PLAIN_MIDDLE + 0.06 * seededNormal(seed, 5);
      const [range, step] = [80 + 80 * seededEven(seed, 9), [1 / 3, 1 / 2][seed % 2] as number];
      const strips = [0, 1].flatMap((nth) => {
        const from = 10 ** (0.3 * step * seededEven(seed, 20 + nth));
        const times = Array.from({ length: 40 }, (_, at) => from * 2 ** ((at - 8) * step));
        const density = (seconds: number, at: number): number =>
          paperDensity(Math.log10(seconds) + 0.04 * seededNormal(seed, 30 + 10 * nth + at), range, truth);
        const first = (atLeast: number, at: number) => times.find((seconds) => density(seconds, at) >= atLeast) ?? NaN;
        const off = (seconds: number): number => Math.abs(density(seconds, 2) + Math.log10(0.18));
        const card = [...times].sort((a, b) => off(a) - off(b))[0];
        const found = rangeOfStrip(first(0.09, 0), first(1.85, 1), step, card);
        return found === null ? [] : [found];
      });
      const { share, sd } = middleOfPaper(strips);
      return Math.abs(share - truth) < 1.2816 * sd;
    });
    const heldShare = held.filter(Boolean).length / held.length;
    expect(heldShare).toBeGreaterThan(0.72);
    expect(heldShare).toBeLessThan(0.92);
    expect(middleOfPaper([])).toEqual({ share: PLAIN_MIDDLE, sd: expect.closeTo(0.06, 12) as number, strips: 0 });
  });
  test('black before grey, or no time at all, tells nothing', () => {
    expect(rangeOfStrip(8, 8, 0.5)).toBeNull();
    expect(rangeOfStrip(8, 4, 0.5)).toBeNull();
    expect(rangeOfStrip(0, 4, 0.5)).toBeNull();
    expect(rangeOfStrip(1, 1.1, 0.5)).toBeNull();
    expect(rangeOfStrip(2, 2 * 10 ** 1.05, 1 / 3)?.range).toBeCloseTo(105, 9);
  });
});

describe('the grades of a paper', () => {
  test('without a strip they are the table’s, as wide as half a step between grades', () => {
    const grades = gradesOfPaper([]);
    expect(grades.map(({ range }) => range)).toEqual(gradeRanges.map(({ range }) => range));
    const two = grades.find(({ grade }) => grade === '2');
    expect((two?.sd ?? 0) / 105).toBeCloseTo(0.085, 3);
  });
  test('a strip moves its own grade most and the others with it; more strips narrow it; a grade of another name counts for nothing', () => {
    const one = gradesOfPaper([{ grade: '2', range: 90, sd: 8 }]);
    const at = (grade: string, list = one) => list.find((found) => found.grade === grade);
    expect(at('2')?.range).toBeLessThan(100);
    expect(at('2')?.range).toBeGreaterThan(90);
    const share = (grade: string): number =>
      (at(grade)?.range ?? 0) / (gradeRanges.find((g) => g.grade === grade)?.range ?? 1);
    expect(share('2')).toBeLessThan(share('4'));
    expect(share('4')).toBeLessThan(1);
    const three = gradesOfPaper([1, 2, 3].map(() => ({ grade: '2', range: 90, sd: 8 })));
    expect(at('2', three)?.sd).toBeLessThan(at('2')?.sd ?? 0);
    expect(at('2', three)).toMatchObject({ strips: 3 });
    expect(gradesOfPaper([{ grade: 'special', range: 90, sd: 8 }])).toEqual(gradesOfPaper([]));
  });
  test('a strip in coffee tells less of the same paper in a bought developer', () => {
    const coffee = [{ grade: '2', range: 90, sd: 8, developer: 'coffee' as const }];
    const two = (developer: 'coffee' | 'bought') => gradesOfPaper(coffee, developer).find(({ grade }) => grade === '2');
    expect(two('coffee')?.range).toBeLessThan(two('bought')?.range ?? 0);
    expect(two('bought')?.range).toBeLessThan(105);
    expect(two('coffee')?.sd).toBeLessThan(two('bought')?.sd ?? 0);
    expect(two('coffee')).toMatchObject({ strips: 1 });
    expect(two('bought')).toMatchObject({ strips: 0 });
  });
  test('papers that are not the table’s, in two developers: the range is held four times in five after strips in the other one', () => {
    const all = Array.from({ length: cases(600, 4000) }, (_, seed) => {
      const [paper, coffee, bought, grade] = [1, 2, 3, 4].map((tick) => seededNormal(seed, tick)) as [
        number,
        number,
        number,
        number,
      ];
      const of = (bath: number): number => 105 * Math.exp(0.06 * paper + 0.04 * bath + 0.05 * grade);
      const strips = [5, 6].map((tick) => ({
        grade: '2',
        range: of(coffee) + 8 * seededNormal(seed, tick),
        sd: 8,
        developer: 'coffee' as const,
      }));
      const found = gradesOfPaper(strips, 'bought').find((one) => one.grade === '2');
      return Math.abs((found?.range ?? 0) - of(bought)) < 1.2816 * (found?.sd ?? 0);
    });
    const held = all.filter(Boolean).length / all.length;
    expect(held).toBeGreaterThan(0.72);
    expect(held).toBeLessThan(0.88);
  });
  test('a paper is known by its name, whatever its case', () => {
    const ownRange = { range: 100, sd: 6 };
    const prints = [
      { paper: 'Pearl ', grade: '2', ownRange },
      { paper: 'pearl', grade: ' 3' },
      { paper: 'Matt', grade: '2', ownRange },
    ];
    expect(stripsOfPaper(prints, ' PEARL')).toEqual([{ ...ownRange, grade: '2' }]);
  });
});

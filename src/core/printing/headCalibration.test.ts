import { describe, expect, test } from 'vitest';
import { seededEven, seededNormal } from '../kit/seededNoise';
import { cases } from '../testing/cases';
import { colourHead, headPoints } from './colourHead';
import { headStripsOf, headUnitsOf, ownHead } from './headCalibration';
import { gradeRanges } from './twoTones';

describe('a setting written as a grade', () => {
  test.each([
    ['60 M', 60],
    ['m60', 60],
    ['Y 35', -35],
    ['0/0', 0],
    ['3', null],
    ['soft 3', null],
    ['60 M 20 Y', null],
  ])('%s', (text, units) => expect(headUnitsOf(text)).toBe(units));
  test('strips on grades are none of the head', () =>
    expect(
      headStripsOf([
        { grade: '2', range: 100, sd: 5 },
        { grade: '40 M', range: 85, sd: 5 },
      ]),
    ).toEqual([{ units: 40, range: 85, sd: 5 }]));
});

describe('a head by its own strips', () => {
  test('strips that agree with the table leave its settings where they are', () => {
    const strips = headPoints.map(({ share, range }) => ({ units: Math.round(170 * share), range, sd: 4 }));
    for (const { grade } of gradeRanges) {
      const { filter, units } = colourHead(grade, 170) ?? { filter: null, units: 0 };
      const own = ownHead(grade, 170, strips);
      expect(Math.abs((own?.units ?? 0) - (filter === 'yellow' ? -units : units))).toBeLessThanOrEqual(3);
      expect(own?.low).toBeLessThanOrEqual(own?.units ?? 0);
      expect(own?.high).toBeGreaterThanOrEqual(own?.units ?? 0);
    }
  });
  test('a head that is weaker asks for more magenta; no strip, or a grade of another name, says nothing', () => {
    const weak = [{ units: 44, range: 98, sd: 4 }];
    expect(ownHead('3', 170, weak)?.units).toBeGreaterThan(44);
    expect(ownHead('3', 170, [])).toBeNull();
    expect(ownHead('special', 170, weak)).toBeNull();
    expect(ownHead('3', 30, weak)).toBeNull();
  });
  test('heads that are not the table’s, weaker or stronger as a whole: the right setting is held four times in five', () => {
    const all = Array.from({ length: cases(400, 3000) }, (_, seed) => {
      // Its filters are weaker or stronger than the table’s; the paper lies off as well.
      const strength = Math.exp(0.2 * seededNormal(seed, 1));
      const paper = Math.exp(0.05 * seededNormal(seed, 2));
      const at = (units: number): number => {
        const share = (units / 170) * strength;
        const above = Math.max(
          1,
          headPoints.findIndex((one) => one.share >= share),
        );
        const after = share > 1 ? headPoints.length - 1 : above;
        const [a, b] = [
          headPoints[after - 1] as { share: number; range: number },
          headPoints[after] as { share: number; range: number },
        ];
        return paper * (a.range + ((share - a.share) / (b.share - a.share)) * (b.range - a.range));
      };
      const strips = [0, 1].map((nth) => {
        const units = Math.round(-80 + 160 * seededEven(seed, 10 + nth));
        return { units, range: at(units) + 6 * seededNormal(seed, 20 + nth), sd: 6 };
      });
      const { grade, range } = gradeRanges[2 + (seed % 3)] as { grade: string; range: number };
      const found = ownHead(grade, 170, strips);
      const truth = Array.from({ length: 341 }, (__, i) => i - 170).reduce((best, one) =>
        Math.abs(at(one) - range) < Math.abs(at(best) - range) ? one : best,
      );
      return found !== null && found.low <= truth && truth <= found.high;
    });
    const held = all.filter(Boolean).length / all.length;
    expect(held).toBeGreaterThan(0.72);
    expect(held).toBeLessThan(0.92);
  });
});

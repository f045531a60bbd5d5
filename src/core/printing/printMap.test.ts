import { describe, expect, test } from 'vitest';
import { LEAST_AXIS, liesIn, overlapsOf, placeBetween, type DrawnArea } from './printMap';
import { exposureOf, printPlan } from './printPlan';

const area = (where: string, stops: number, x: number, y = 0.5): DrawnArea => ({
  where,
  stops,
  at: { x, y, rx: 0.2, ry: 0.2 },
});

describe('areas on the picture', () => {
  test('a stroke from corner to corner, in any direction, held to the picture and to what a hand can hit', () => {
    const place = placeBetween({ x: 0.8, y: 0.6 }, { x: 0.2, y: 0.2 });
    for (const [side, wanted] of Object.entries({ x: 0.5, y: 0.4, rx: 0.3, ry: 0.2 }))
      expect(place[side as 'x']).toBeCloseTo(wanted, 12);
    expect(placeBetween({ x: -1, y: 0.5 }, { x: 2, y: 0.5 })).toEqual({ x: 0.5, y: 0.5, rx: 0.5, ry: LEAST_AXIS });
    expect(liesIn(place, { x: 0.5, y: 0.4 })).toBe(true);
    expect(liesIn(place, { x: 0.79, y: 0.59 })).toBe(false);
  });
  test('where two lie over each other exposures add: +1 and +1 are three times the base', () => {
    const [both, ...others] = overlapsOf([area('sky', 1, 0.4), area('corner', 1, 0.6)]);
    expect(others).toEqual([]);
    expect(both?.where).toEqual(['sky', 'corner']);
    expect(both?.stops).toBeCloseTo(Math.log2(3), 12);
  });
  test('it is what the hands of the plan add up to, whatever the signs', () => {
    for (const [one, other] of [
      [1, -0.5],
      [0.3, 0.7],
      [-0.4, -0.3],
    ] as const) {
      const plan = printPlan(10, [area('a', one, 0.4), area('b', other, 0.5)]);
      const seconds = exposureOf(plan, 'a') + exposureOf(plan, 'b') - 10;
      expect(overlapsOf([area('a', one, 0.4), area('b', other, 0.5)])[0]?.stops).toBeCloseTo(
        Math.log2(seconds / 10),
        9,
      );
    }
  });
  test('apart, nothing; three at once, each set by itself; more held back than there is, told as such', () => {
    expect(overlapsOf([area('a', 1, 0.2), area('b', 1, 0.8)])).toEqual([]);
    const three = overlapsOf([area('a', 1, 0.4), area('b', 1, 0.5), area('c', 1, 0.6)]);
    expect(three.map(({ where }) => where.join('')).sort()).toEqual(['ab', 'abc', 'bc'].sort());
    expect(overlapsOf([area('a', -1, 0.4), area('b', -2, 0.5)])[0]?.stops).toBeNull();
  });
});

import { describe, expect, test } from 'vitest';
import { coffeeWarmth } from './coffeeWarmth';
import { colourHead } from './colourHead';
import { gradeRanges } from './twoTones';

describe('a colour head', () => {
  test('has a setting for each grade of the table, yellow for soft ones and magenta for hard ones', () => {
    for (const { grade } of gradeRanges) expect(colourHead(grade, 170)).not.toBeNull();
    expect(colourHead('2', 170)).toEqual({ filter: null, units: 0, low: 0, high: 0 });
    expect(colourHead(' 3 ', 170)).toEqual({ filter: 'magenta', units: 44, low: 35, high: 53 });
    expect(colourHead('00', 200)?.filter).toBe('yellow');
  });
  test('never asks for more than the head has, and harder is more', () => {
    for (const most of [99, 130, 170, 200]) {
      const magenta = ['3', '4', '5'].map((grade) => colourHead(grade, most)?.units ?? 0);
      expect(magenta).toEqual([...magenta].sort((a, b) => a - b));
      expect(colourHead('5', most)?.high).toBe(most);
    }
  });
  test('a grade that no filter has is none', () => {
    expect(colourHead('special', 170)).toBeNull();
  });
});

describe('the warmth of a coffee print', () => {
  test('is a range: more on fibre, more with time, and brown takes blue before red', () => {
    const [coated, fibre, long] = [coffeeWarmth('coated', 4.5), coffeeWarmth('fibre', 4.5), coffeeWarmth('fibre', 18)];
    expect(coated.most.blueD).toBeLessThan(fibre.most.blueD);
    expect(long.most.blueD).toBeCloseTo(2 * fibre.most.blueD, 12);
    for (const { least, most } of [coated, fibre, long]) {
      expect(least.blueD).toBeLessThan(most.blueD);
      const [red, green, blue] = most.reflected;
      expect(red).toBeGreaterThan(green);
      expect(green).toBeGreaterThan(blue);
      expect(red).toBeLessThan(1);
    }
  });
  test('no time, no stain', () => {
    expect(coffeeWarmth('fibre', 0).most.reflected).toEqual([1, 1, 1]);
  });
});

import { describe, expect, test } from 'vitest';
import { toneIds } from '../densitometry/scene';
import { PLAIN_MIDDLE, paperCurve, paperDensity, predictedPrint, printsByGrade } from './paperCurve';
import { gradeRanges } from './twoTones';

describe('a paper by its ISO range', () => {
  // Source: ISO 6846, from memory: from 0.04 above the base to nine tenths of the black above it.
  test.each(gradeRanges)('grade $grade: the ends of its range are those of the standard', ({ range }) => {
    expect(paperDensity(0, range)).toBeCloseTo(0.05 + 0.04, 6);
    expect(paperDensity(range / 100, range)).toBeCloseTo(0.05 + 0.9 * 2, 6);
  });
  test('it rises from bare paper to black', () => {
    expect(paperDensity(-3, 105)).toBeCloseTo(0.05, 3);
    expect(paperDensity(4, 105)).toBeCloseTo(2.05, 3);
    for (let logH = -1; logH < 2; logH += 0.05)
      expect(paperDensity(logH + 0.05, 105)).toBeGreaterThan(paperDensity(logH, 105));
  });
});

describe('a paper that is no plain S', () => {
  // Source: definition: a card of 18 % has the density −log10 0.18.
  test.each([0.42, 0.5, 0.6, 0.66])('goes through its grey card at %d of its range, and keeps both ends', (middle) => {
    expect(paperDensity(1.05 * middle, 105, middle)).toBeCloseTo(-Math.log10(0.18), 6);
    expect(paperDensity(0, 105, middle)).toBeCloseTo(0.09, 6);
    expect(paperDensity(1.05, 105, middle)).toBeCloseTo(1.85, 6);
  });
  test.each([0.05, 0.3, 0.8, 0.95])('rises everywhere, however its card lies: %d', (middle) => {
    const densities = paperCurve(105, middle).map(([, densityD]) => densityD);
    densities.slice(1).forEach((densityD, at) => expect(densityD).toBeGreaterThan(densities[at] ?? 9));
  });
  test('without a card it is the plain S', () => {
    for (let logH = -1; logH < 2; logH += 0.1)
      expect(paperDensity(logH, 105, PLAIN_MIDDLE)).toBeCloseTo(paperDensity(logH, 105), 12);
  });
});

describe('the print that is to be expected', () => {
  const soft = predictedPrint(105, 155);
  const right = predictedPrint(105, 105);
  const hard = predictedPrint(105, 58);
  test('a grade that fits has its lightest tone just told from the paper, and its darkest at nine tenths of the black', () => {
    expect(right.cloud).toBeGreaterThan(228);
    expect(right.cloud).toBeLessThan(predictedPrint(105, 105, -3).cloud);
    expect(right.roof).toBeLessThan(45);
    expect(right.roof).toBeGreaterThan(right.doorway);
  });
  test('a softer grade has greyer darks, a harder one blacker, with the light tones as they are', () => {
    expect(soft.roof).toBeGreaterThan(right.roof + 20);
    expect(hard.meadow).toBeLessThan(right.meadow - 20);
    expect(Math.abs(soft.cloud - hard.cloud)).toBeLessThan(3);
  });
  test('more exposure darkens every tone', () => {
    const more = predictedPrint(105, 105, 1);
    for (const tone of toneIds) expect(more[tone]).toBeLessThanOrEqual(right[tone]);
  });
  test('a negative without any contrast prints as one grey', () => {
    expect(new Set(Object.values(predictedPrint(105, 105, 0, () => 0.4))).size).toBe(1);
  });
  test('grades stand from soft to hard', () => {
    expect(printsByGrade(105, gradeRanges.slice(0, 3)).map(({ grade }) => grade)).toEqual(['00', '0', '1']);
  });
});

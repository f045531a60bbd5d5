import { describe, expect, test } from 'vitest';
import { mean, standardDeviation } from 'simple-statistics';
import { asShown, decimalsOf, readingLnSd, toStep, tooCoarse } from './readable';
import { kitSchema } from './kitSchema';
import { ordinaryKit } from './kit';
import type { Instrument } from './instrument';
import { seededEven, seededNormal } from './seededNoise';
import { SimulatedDensitometer } from './simulatedDensitometer';
import { SimulatedProbe } from './simulatedProbe';
import { SimulatedScale, handPours } from './simulatedScale';

const START = 1_000_000;
const scale = (seed = 1, step = 0.1) => new SimulatedScale(step, 500, seed, START);

describe('the simulated kitchen scale', () => {
  test('the same seed reads the same, another does not', () => {
    const run = (seed: number) => {
      const pan = scale(seed);
      pan.put(27, START);
      return Array.from({ length: 40 }, (_, at) => pan.read(START + at * 137).value);
    };
    expect(run(7)).toEqual(run(7));
    expect(run(7)).not.toEqual(run(8));
  });
  test('it settles: short at first, at rest within a step or two, and says when', () => {
    const pan = scale();
    pan.put(27, START);
    expect(pan.read(START + 100)).toMatchObject({ stable: false });
    expect(pan.read(START + 100).value).toBeLessThan(20);
    const rest = pan.read(START + 4000);
    expect(rest.stable).toBe(true);
    expect(Math.abs(rest.value - 27)).toBeLessThanOrEqual(0.2 + 1e-9);
  });
  test('tare takes the cup away; what is taken off goes below', () => {
    const pan = scale();
    pan.put(40, START);
    pan.tare(START + 3000);
    expect(Math.abs(pan.read(START + 4000).value)).toBeLessThanOrEqual(0.1 + 1e-9);
    pan.put(-10, START + 5000);
    expect(pan.read(START + 9000).value).toBeCloseTo(-10, 0);
  });
  test('it shows its own steps only, drifts by hours, and refuses what is too heavy', () => {
    const pan = scale(3, 0.5);
    pan.put(12.3, START);
    for (let at = 0; at < 30; at++) expect((pan.read(START + at * 500).value / 0.5) % 1).toBeCloseTo(0, 9);
    expect(pan.read(START + 2 * 3_600_000).value).toBeGreaterThan(18);
    pan.put(900, START + 3 * 3_600_000);
    expect(pan.read(START + 3 * 3_600_000 + 5000)).toMatchObject({ value: Number.POSITIVE_INFINITY, stable: false });
  });
  test('a hand aims, and misses by a little', () => {
    const pours = Array.from({ length: 400 }, (_, at) => handPours(27, 0.1, 5, at));
    expect(mean(pours)).toBeCloseTo(27, 0);
    expect(standardDeviation(pours)).toBeGreaterThan(0.4);
    expect(standardDeviation(pours)).toBeLessThan(0.7);
  });
});

describe('the simulated probe', () => {
  const jug = { startC: 40, roomC: 20, volumeMl: 500, filledMs: START };
  test('it lags behind the jug, then says the jug’s temperature', () => {
    const probe: Instrument = new SimulatedProbe(0.1, jug, 1, START);
    expect(probe.read(START).value).toBeCloseTo(20, 0);
    expect(probe.read(START).stable).toBe(false);
    const rest = probe.read(START + 40_000);
    expect(rest.stable).toBe(true);
    expect(rest.value).toBeCloseTo(39.8, 0);
  });
  test('the jug cools after Newton: 63 % of the way in 55 min at 500 ml', () => {
    const probe = new SimulatedProbe(0.1, jug, 1, START);
    expect(probe.jugAt(START + 55 * 60_000)).toBeCloseTo(20 + 20 / Math.E, 9);
    expect(probe.read(START + 55 * 60_000).value).toBeCloseTo(27.4, 0);
  });
});

test('the simulated densitometer settles on a patch, repeats to a hundredth, and refuses what is too dense', () => {
  const head = new SimulatedDensitometer(0.01, 5, START);
  head.put(1.25, START);
  expect(head.read(START + 100)).toMatchObject({ stable: false });
  const readings = Array.from({ length: 50 }, (_, at) => head.read(START + 2000 + at * 300).value);
  expect(mean(readings)).toBeCloseTo(1.25, 2);
  expect(standardDeviation(readings)).toBeGreaterThan(0.002);
  expect(Math.max(...readings.map((value) => Math.abs(value - 1.25)))).toBeLessThan(0.03);
  head.put(4.5, START + 60_000);
  expect(head.read(START + 62_000).value).toBe(Number.POSITIVE_INFINITY);
});

test('noise is even between 0 and 1, and normal with unit width', () => {
  const even = Array.from({ length: 5000 }, (_, at) => seededEven(42, at));
  expect(mean(even)).toBeCloseTo(0.5, 1);
  expect(Math.min(...even)).toBeGreaterThanOrEqual(0);
  expect(Math.max(...even)).toBeLessThan(1);
  const normal = Array.from({ length: 5000 }, (_, at) => seededNormal(42, at));
  expect(Math.abs(mean(normal))).toBeLessThan(0.06);
  expect(standardDeviation(normal)).toBeCloseTo(1, 1);
});

describe('what an instrument can show', () => {
  test.each([
    [13.37, 0.5, 13.5],
    [0.04, 0.1, 0],
    [27.04, 0.1, 27],
    [1234, 50, 1250],
  ])('%d on steps of %d is %d', (value, step, shown) => expect(toStep(value, step)).toBe(shown));
  test.each([
    [1, 0],
    [0.5, 1],
    [0.1, 1],
    [0.05, 2],
    [5, 0],
    [0.001, 3],
  ])('a step of %d needs %d digits', (step, digits) => expect(decimalsOf(step)).toBe(digits));
  test('an amount is rounded to the step, unless that would make another recipe of it', () => {
    expect(asShown(16.2, 1)).toEqual({ shown: 16, decimals: 0 });
    expect(asShown(7.84, 5)).toEqual({ shown: 7.84, decimals: 1 });
    expect(asShown(0.4, 1)).toEqual({ shown: 0.4, decimals: 2 });
    expect(asShown(0, 1)).toEqual({ shown: 0, decimals: 0 });
  });
  test('a step of more than a tenth is too coarse', () => {
    expect(tooCoarse(5, 1)).toBe(true);
    expect(tooCoarse(10, 1)).toBe(false);
    expect(tooCoarse(0, 1)).toBe(false);
  });
  test('rounding to a step spreads as step/√12 (GUM 4.3.7), taken √2 times', () => {
    expect(readingLnSd(10, 1)).toBeCloseTo((Math.SQRT2 / Math.sqrt(12)) * 0.1, 12);
    expect(readingLnSd(0.1, 100)).toBe(1);
  });
  test('the kit has ranges with sentences', () => {
    expect(kitSchema.safeParse(ordinaryKit).success).toBe(true);
    expect(kitSchema.safeParse({ ...ordinaryKit, scaleStepG: 0 }).error?.issues[0]?.message).toMatch(
      /Step of the scale: give a number from 0.001/,
    );
  });
});

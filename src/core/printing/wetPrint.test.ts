import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { printSteps, stripSteps } from './exposing';
import { lampLag, withLag } from './lampLag';
import { printPlan } from './printPlan';
import { testStrip } from './testStrip';
import { paperFixer, printBaths } from './wetPrint';

describe('baths after the developer (common practice)', () => {
  test('resin-coated paper is through in under four minutes, fibre in half an hour with an aid and over an hour without', () => {
    const minutes = (...which: Parameters<typeof printBaths>): number =>
      printBaths(...which).reduce((sum, bath) => sum + (bath.minutes ?? 0), 0);
    expect(minutes('coated', 'one', true)).toBeLessThanOrEqual(4);
    expect(minutes('fibre', 'two', true)).toBeGreaterThan(30);
    expect(minutes('fibre', 'two', true)).toBeLessThan(45);
    expect(minutes('fibre', 'one', false)).toBeGreaterThan(60);
  });
  test('drying comes last, and has no clock', () => {
    for (const base of ['coated', 'fibre'] as const)
      expect(printBaths(base, 'one', true).at(-1)).toMatchObject({ name: 'Dry', minutes: null });
  });
  test('two fixers share the time of one, and take more sheets', () => {
    const fixing = (way: 'one' | 'two'): number =>
      printBaths('fibre', way, true)
        .filter(({ name }) => /fixer/i.test(name))
        .reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);
    expect(fixing('two')).toBe(fixing('one'));
    expect(paperFixer('fibre', 'two', 1, 0).takes).toBeGreaterThan(paperFixer('fibre', 'one', 1, 0).takes);
  });
  test('a fixer counts its sheets by litres', () => {
    expect(paperFixer('coated', 'one', 0.5, 5)).toEqual({ takes: 20, left: 15, spent: false });
    expect(paperFixer('coated', 'one', 0.5, 20)).toMatchObject({ left: 0, spent: true });
  });
});

describe('a lamp that comes up late', () => {
  test('ten exposures of a second that look like one of 8.2 s lose 0.2 s each (worked by hand)', () => {
    expect(lampLag(10, 1, 8.2)).toBeCloseTo(0.2, 9);
    expect(lampLag(10, 1, 10.4)).toBe(0);
  });
  test('with it made good, every patch of a strip has the light that it should, however often the lamp goes on', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 0.9, noNaN: true }), fc.integer({ min: 2, max: 12 }), (lagS, count) => {
        const patches = testStrip(4, { kind: 'stops', stops: 1 / 2 }, count);
        const lit = withLag(stripSteps(patches), lagS).map(({ seconds }) => seconds - lagS);
        patches.forEach(({ totalS }, at) => {
          const had = lit.slice(0, at + 1).reduce((sum, seconds) => sum + seconds, 0);
          expect(Math.abs(had - totalS)).toBeLessThan(0.006 * count);
        });
      }),
    );
  });
});

test('with two filters the hard one comes last: areas are burnt in by stops of the first', () => {
  const plan = printPlan(8, [
    { where: 'sky', stops: 1 },
    { where: 'face', stops: -0.5 },
  ]);
  const steps = printSteps(plan, 5);
  expect(steps.map(({ words, seconds }) => [words, seconds])).toEqual([
    ['Soft filter: the whole paper', 8],
    ['Burn in: sky', 8],
    ['Hard filter in: the whole paper', 5],
  ]);
  expect(steps[0]?.holds?.[0]?.where).toBe('face');
  expect(printSteps(plan)).toHaveLength(2);
});

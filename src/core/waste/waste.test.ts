import { describe, expect, test } from 'vitest';
import { capacityOf, emptyWasteForm, neverMeet, silverOf, wasteBottle, wasteKindIds, wasteKindOf } from './waste';

const pour = (kind: 'fixer' | 'developer', volumeMl: number, films: number, createdMs = 0) => ({
  kind,
  volumeMl,
  films,
  createdMs,
});

describe('the silver in spent fixer', () => {
  test('a litre after ten films holds two to three grams, as recovery handbooks have it (from memory: 2 to 4 g/l)', () => {
    const { low, likely, high } = silverOf(10);
    expect(likely).toBeGreaterThan(2);
    expect(likely).toBeLessThan(4);
    expect(low).toBeLessThan(likely);
    expect(high).toBeGreaterThan(likely);
  });
  test('follows the area, and there is none without films', () => {
    expect(silverOf(20).likely).toBeCloseTo(2 * silverOf(10).likely, 12);
    expect(silverOf(0)).toEqual({ low: 0, likely: 0, high: 0 });
    expect(silverOf(-1).likely).toBe(0);
  });
});

describe('waste bottles', () => {
  test('take their own kind only, and say how full they are', () => {
    const pours = [pour('fixer', 1000, 8, 30), pour('fixer', 1500, 4, 20), pour('developer', 500, 1, 10)];
    expect(wasteBottle('fixer', pours, 5000)).toMatchObject({ volumeMl: 2500, films: 12, full: 0.5, sinceMs: 20 });
    expect(wasteBottle('developer', pours, 5000)).toMatchObject({ volumeMl: 500, silver: null });
    expect(wasteBottle('acid', pours, 5000)).toMatchObject({ volumeMl: 0, sinceMs: null, full: 0 });
    expect(wasteBottle('fixer', [pour('fixer', 9000, 1)], 5000).full).toBe(1);
  });
  test('each bath has its bottle, and a wetting agent none', () => {
    expect(wasteKindOf('fixer', null)).toBe('fixer');
    expect(wasteKindOf('film-developer', { kind: 'one-bath' })).toBe('fixer');
    expect(wasteKindOf('film-developer', null)).toBe('developer');
    expect(wasteKindOf('stop', null)).toBe('acid');
    expect(wasteKindOf('pre-bath', null)).toBe('alkali');
    expect(wasteKindOf('wetting', null)).toBeNull();
  });
  test('what must not meet is told once for each pair, and each kind is among them', () => {
    const pairs = neverMeet.map(({ one, other }) => [one, other].sort().join(' and '));
    expect(new Set(pairs).size).toBe(pairs.length);
    for (const kind of wasteKindIds)
      expect(neverMeet.some(({ one, other }) => one === kind || other === kind)).toBe(true);
  });
  test('a size that does not read is taken as five litres', () => {
    expect(capacityOf({ ...emptyWasteForm, capacityMl: { ...emptyWasteForm.capacityMl, acid: 'abc' } }, 'acid')).toBe(
      5000,
    );
    expect(capacityOf({ ...emptyWasteForm, capacityMl: { ...emptyWasteForm.capacityMl, acid: 2000 } }, 'acid')).toBe(
      2000,
    );
  });
});

import { describe, expect, test } from 'vitest';
import { sampleBrew } from '../testing/sampleBrew';
import { brewWear } from '../plan/estimateRequestFor';
import { changedJug, joined } from './changeJug';
import { jugState } from './keeping';
import type { BrewPart } from './part';

const NOW = 1_700_000_000_000;
const part = (substanceId: 'soda-anhydrous' | 'ascorbic-acid' | 'instant-coffee', actual: number): BrewPart => ({
  key: substanceId,
  name: substanceId,
  unit: 'g',
  target: actual,
  actual,
  how: 'scale',
  lnSd: 0.01,
  makeup: { kind: 'substance', substanceId },
});
/** Half a litre of the standard coffee, weighed. */
const weighed = sampleBrew(NOW, {
  parts: [part('soda-anhydrous', 27), part('ascorbic-acid', 8), part('instant-coffee', 20)],
  films: 1,
});

describe('a jug that changes after it was mixed (worked by hand)', () => {
  test('half a gram of bromide in 500 ml is a gram in a litre, and nothing else moves', () => {
    for (const jug of [weighed, sampleBrew(NOW)]) {
      const changed = changedJug(jug, { kind: 'added', atMs: NOW, substanceId: 'bromide', amount: 0.5 });
      expect(changed).toMatchObject({ ok: true, value: { bromideGPerL: 1, volumeMl: 500 } });
      expect(changed.ok && changed.value.developer).toEqual(weighed.developer);
    }
  });
  test('topped up from 500 to 600 ml, everything stands at five sixths', () => {
    for (const jug of [weighed, sampleBrew(NOW)]) {
      const changed = changedJug(jug, { kind: 'water', atMs: NOW, ml: 100 });
      const developer = changed.ok ? changed.value.developer : null;
      expect(developer?.kind === 'improvised' ? developer.sodaGPerL : 0).toBeCloseTo(45, 6);
      expect(developer?.kind === 'improvised' ? developer.agents[0]?.amountPerL : 0).toBeCloseTo(100 / 3, 6);
    }
  });
  test('water makes a used brew thinner and gives nothing back of what its films took', () => {
    const used = { ...weighed, films: 2 };
    const changed = changedJug(used, { kind: 'water', atMs: NOW, ml: 500 });
    if (!changed.ok) throw new Error(changed.problems[0]?.message);
    const left = (of: typeof used): number | null => jugState({ ...of, use: 'film-developer', mixedMs: NOW }, NOW).left;
    expect(left(used)).toBeCloseTo((13 / 15) ** 2, 9);
    expect(left(changed.value)).toBeCloseTo((13 / 15) ** 2, 9);
    expect(brewWear(sampleBrew(NOW, changed.value), 500, NOW)).toMatchObject({ films: 2, volumeMl: 500 });
    // A third film takes from what is left of the first litre's half.
    expect(left({ ...changed.value, films: 3 })).toBeCloseTo((13 / 15) ** 3, 9);
  });
  test('with half of it gone the strength stays, and half of the film that wore it goes along', () => {
    const changed = changedJug(weighed, { kind: 'gone', atMs: NOW, ml: 250 });
    expect(changed).toMatchObject({ ok: true, value: { volumeMl: 250, films: 0.5 } });
    expect(changed.ok && changed.value.developer).toEqual(weighed.developer);
    const back = changed.ok ? changedJug(changed.value, { kind: 'water', atMs: NOW, ml: 250 }) : changed;
    expect(back.ok && back.value.developer?.kind === 'improvised' ? back.value.developer.sodaGPerL : 0).toBeCloseTo(
      27,
      6,
    );
  });
  test('more coffee into a weighed jug makes it stronger by what went in', () => {
    const changed = changedJug(weighed, { kind: 'added', atMs: NOW, substanceId: 'instant-coffee', amount: 10 });
    const developer = changed.ok ? changed.value.developer : null;
    expect(developer?.kind === 'improvised' ? developer.agents[0]?.amountPerL : 0).toBeCloseTo(60, 6);
  });
  test('what cannot be says why', () => {
    const empty = changedJug(weighed, { kind: 'gone', atMs: NOW, ml: 500 });
    expect(empty.ok ? '' : empty.problems[0]?.message).toMatch(/pour it away instead/);
    const strange = changedJug(sampleBrew(NOW), { kind: 'added', atMs: NOW, substanceId: 'borax', amount: 5 });
    expect(strange.ok ? '' : strange.problems[0]?.message).toMatch(/was not weighed here/);
  });
});

describe('two jugs poured together (worked by hand)', () => {
  test('weighed ones add up part by part, and strength follows: a half litre of it with one of twice the coffee', () => {
    const strong = {
      ...weighed,
      films: 0,
      parts: weighed.parts.map((one) => ({ ...one, actual: (one.actual ?? 0) * 2 })),
    };
    const both = joined(weighed, strong);
    expect(both).toMatchObject({ ok: true, value: { volumeMl: 1000, films: 1, wornMl: 1000 } });
    const developer = both.ok ? both.value.developer : null;
    expect(developer?.kind === 'improvised' ? developer.agents[0]?.amountPerL : 0).toBeCloseTo(60, 6);
    expect(both.ok && both.value.parts).toHaveLength(3);
  });
  test('those that nobody weighed mix by their volumes', () => {
    const [one, other] = [sampleBrew(NOW), sampleBrew(NOW, { volumeMl: 250, bromideGPerL: 3 })];
    const both = joined(one, other);
    expect(both.ok && both.value.bromideGPerL).toBeCloseTo((one.bromideGPerL * 500 + 3 * 250) / 750, 6);
    expect(both.ok && both.value.developer).toEqual(one.developer);
  });
  test('half at 1+31 and half at 1+63 hold as much concentrate as both together', () => {
    const at = (water: number) =>
      sampleBrew(NOW, {
        developer: { kind: 'concentrate', familyId: 'hydroquinone-syrup', parts: { concentrate: 1, water } },
      });
    const both = joined(at(31), at(63));
    const developer = both.ok ? both.value.developer : null;
    // 500/32 + 500/64 ml of concentrate in a litre: 1+41.67.
    expect(developer?.kind === 'concentrate' ? developer.parts.water : 0).toBeCloseTo(
      1000 / (500 / 32 + 500 / 64) - 1,
      4,
    );
  });
  test('what is not of one kind stays apart', () => {
    const fixer = sampleBrew(NOW, { use: 'fixer', developer: null });
    expect(joined(sampleBrew(NOW), fixer).ok).toBe(false);
    expect(joined(fixer, fixer).ok).toBe(true);
    const other = sampleBrew(NOW, {
      developer: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 25 } },
    });
    expect(joined(sampleBrew(NOW), other).ok).toBe(false);
  });
});

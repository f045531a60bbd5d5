import { describe, expect, test } from 'vitest';
import { brewAgeRate, brewUseRate } from './brewWear';
import { coffeeEquivalent, coffeeEquivalentLnSd } from './coffeeEquivalent';
import { developerFamilies, developerFamilyIds } from './developerFamilies';
import { developerFamilySchema } from './developerFamilySchema';
import { concentrateFraction, dilute, dilutionRate } from './dilution';
import { improvisedRate } from './improvisedStrength';
import { organicAgentIds, organicAgentSchema, organicAgents } from './organicAgents';
import { restrainer } from './restrainer';
import { sodaForAcid } from './sodaForAcid';

describe('dilutions (definition; amounts from common practice)', () => {
  test.each([
    [1, 31, 500, 15.625],
    [1, 31, 300, 9.375],
    [1, 9, 1000, 100],
    [1, 4, 1000, 200],
    [1, 19, 1000, 50],
    [1, 100, 505, 5],
    [1, 0, 500, 500],
  ])('%d+%d to make %d ml takes %d ml', (concentrate, water, total, expected) => {
    const made = dilute({ concentrate, water }, total);
    expect(made.ok && made.value.concentrateMl).toBeCloseTo(expected, 9);
    expect(made.ok && made.value.concentrateMl + made.value.waterMl).toBeCloseTo(total, 9);
  });
  test('syrup: 15 ml + 485 ml and 9 ml + 291 ml are both within 4 % of 1+31 (common practice)', () => {
    for (const [ml, total] of [
      [15, 500],
      [9, 300],
    ] as const) {
      expect(ml / total / concentrateFraction({ concentrate: 1, water: 31 })).toBeGreaterThan(0.95);
      expect(ml / total / concentrateFraction({ concentrate: 1, water: 31 })).toBeLessThan(1.01);
    }
  });
  test('what makes no sense is refused with a path', () => {
    expect(dilute({ concentrate: 0, water: 9 }, 500)).toMatchObject({
      ok: false,
      problems: [{ path: 'concentrateParts' }],
    });
    expect(dilute({ concentrate: 1, water: 9 }, 0)).toMatchObject({ ok: false, problems: [{ path: 'totalMl' }] });
    expect(dilute({ concentrate: 1, water: Number.NaN }, 500).ok).toBe(false);
  });
  test('the rate is 1 at the reference and follows the power law', () => {
    const reference = { concentrate: 1, water: 31 };
    expect(dilutionRate(reference, reference, 0.8)).toBe(1);
    expect(dilutionRate({ concentrate: 1, water: 63 }, reference, 0.8)).toBeCloseTo(0.5 ** 0.8, 12);
  });
});

describe('strength of a kitchen brew', () => {
  test('the reference brew has rate 1', () =>
    expect(improvisedRate({ coffeeEquivalentGPerL: 40, ascorbicGPerL: 16 })).toBeCloseTo(1, 12));
  test('either agent alone is weak (common practice: soda and ascorbate alone show next to nothing in 10 min)', () => {
    expect(improvisedRate({ coffeeEquivalentGPerL: 0, ascorbicGPerL: 16 })).toBeLessThan(0.1);
    expect(improvisedRate({ coffeeEquivalentGPerL: 40, ascorbicGPerL: 0 })).toBeLessThan(0.5);
    expect(improvisedRate({ coffeeEquivalentGPerL: 0, ascorbicGPerL: 0 })).toBe(0);
  });
  test('potencies add up, and so do their doubts in quadrature', () => {
    expect(
      coffeeEquivalent([
        { agentId: 'black-tea', amountPerL: 60 },
        { agentId: 'instant-coffee', amountPerL: 4 },
      ]),
    ).toBeCloseTo(40, 12);
    expect(coffeeEquivalentLnSd([{ agentId: 'instant-coffee', amountPerL: 40 }])).toBeCloseTo(0.25, 12);
    const mixed = coffeeEquivalentLnSd([
      { agentId: 'instant-coffee', amountPerL: 20 },
      { agentId: 'ground-coffee', amountPerL: 40 },
    ]);
    expect(mixed).toBeCloseTo(Math.hypot(0.5 * 0.25, 0.5 * 0.4), 12);
  });
  test('acids take up soda mole for mole: 16 g ascorbic acid alone takes 9.63 g (from molar masses 176.124 and 105.988)', () => {
    expect(sodaForAcid(16, 0)).toBeCloseTo((16 / 176.124) * 105.988, 9);
    expect(sodaForAcid(16, 40)).toBeLessThan(54);
  });
});

describe('wear', () => {
  test('a second film in 500 ml takes 15 min where the first took 13 (common practice)', () =>
    expect(13 / brewUseRate(1, 500)).toBeCloseTo(15, 12));
  test('two films in a litre wear it as one in half a litre', () =>
    expect(brewUseRate(2, 1000)).toBeCloseTo(brewUseRate(1, 500), 12));
  test('a brew keeps for half an hour, then halves in four', () => {
    expect(brewAgeRate(0.5)).toBe(1);
    expect(brewAgeRate(4.5)).toBeCloseTo(0.5, 12);
    expect(brewAgeRate(8.5)).toBeCloseTo(0.25, 12);
  });
  test('a gram of bromide: fog to three eighths, rate to six sevenths, a quarter stop', () => {
    expect(restrainer(1)).toEqual({ fogFactor: 1 / (1 + 1 / 0.6), rateFactor: 6 / 7, speedLossStops: 0.25 });
    expect(restrainer(0)).toEqual({ fogFactor: 1, rateFactor: 1, speedLossStops: 0 });
  });
});

test('every developer class and agent fits its schema', () => {
  for (const id of developerFamilyIds)
    expect(developerFamilySchema.safeParse(developerFamilies[id]).success).toBe(true);
  for (const id of organicAgentIds) expect(organicAgentSchema.safeParse(organicAgents[id]).success).toBe(true);
});

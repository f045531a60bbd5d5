import { describe, expect, test } from 'vitest';
import { demoRecords } from '@/data/demo/demoRecords';
import { learnFrom } from '@/core/learning/learning';
import type { CurrentRoll } from '@/core/plan/benchTimes';
import { verdictEffect } from '@/core/plan/verdictEffect';

const NOW = Date.UTC(2026, 10, 24, 12);
const records = demoRecords(NOW);
const learning = learnFrom(records, 2026);
const inHand = (id: string): CurrentRoll => {
  const roll = records.rolls.find((one) => one.id === id);
  const stock = records.stocks.find((one) => one.id === roll?.stockId);
  if (roll === undefined || stock === undefined) throw new Error(id);
  return { roll, stock, plan: undefined, planDraft: records.drafts.find((one) => one.id === `plan:${id}`)?.values };
};
const effectOf = (verdictId: string, ...ids: string[]) =>
  verdictEffect(verdictId, ids.map(inHand), records.brews, NOW, learning);

describe('what a verdict taught', () => {
  test('a verdict in coffee moves a coffee roll, and says from where to where', () => {
    const { teaches, moved } = effectOf('verdict-past-05', 'tin-3');
    expect(teaches).toBe(true);
    expect(moved).toHaveLength(1);
    expect(moved[0]?.afterMin).not.toBe(moved[0]?.beforeMin);
    // One of a dozen: it narrows, and by little.
    expect(moved[0]?.widthRatio).toBeLessThan(1.001);
    expect(moved[0]?.widthRatio).toBeGreaterThan(0.7);
  });
  test('what is not evidence teaches nothing', () =>
    expect(effectOf('verdict-nobody', 'tin-3')).toEqual({ teaches: false, moved: [], unmoved: 1 }));
  test('pinned rolls are left out', () => {
    const pinned = records.plans.find(({ pinned: pin }) => pin !== null);
    const effect = verdictEffect(
      'verdict-past-12',
      [{ ...inHand('tin-3'), plan: pinned }],
      records.brews,
      NOW,
      learning,
    );
    expect(effect).toMatchObject({ moved: [], unmoved: 0 });
  });
});

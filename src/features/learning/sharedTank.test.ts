import { describe, expect, test } from 'vitest';
import { tankFilms, tankVolumeMl } from '@/core/films/filmsInTank';
import { sharedTankRolls } from '@/core/plan/sharedTank';
import { learnFrom } from '@/core/learning/learning';
import { pinnedSchema } from '@/core/records/records';
import { demoRecords } from '@/data/demo/demoRecords';

const NOW = Date.UTC(2026, 10, 24, 12);
const records = demoRecords(NOW);
const learning = learnFrom(records, 2026);
const plan = records.plans.find(({ rollId }) => rollId === 'instruments');
const rollOf = (id: string) => {
  const roll = records.rolls.find((one) => one.id === id);
  const stock = records.stocks.find((one) => one.id === roll?.stockId);
  if (roll === undefined || stock === undefined) throw new Error(id);
  return { roll, stock };
};
if (plan === undefined) throw new Error('The demo has this plan.');

describe('rolls that share a tank', () => {
  test('each gets its own estimate in the tank’s brew, and the tank’s time as its own', () => {
    const found = sharedTankRolls([rollOf('tin-3'), rollOf('mast')], plan, 12, null, NOW, learning);
    expect(found.map(({ rollId }) => rollId)).toEqual(['tin-3', 'mast']);
    for (const { estimateMin, pinned } of found) {
      expect(pinned).toMatchObject({ timeMin: 12, own: true });
      expect(pinned.lowMin).toBeLessThan(estimateMin);
      expect(pinned.highMin).toBeGreaterThan(estimateMin);
      expect(pinned.outlook?.curve.length).toBeGreaterThan(5);
      expect(pinnedSchema.safeParse(pinned).success).toBe(true);
      expect(pinned.evidenceIds.length).toBeGreaterThan(0);
      expect(pinned.evidenceIds.length).toBeLessThanOrEqual(24);
    }
    expect(found[0]?.estimateMin).not.toBe(found[1]?.estimateMin);
  });
  test('a time that is known for the tank’s own film says nothing of another film', () => {
    const known = {
      ...plan,
      knownTime: { timeMin: 40, temperatureC: 20, source: 'own' as const },
    };
    const time = (of: typeof plan) => sharedTankRolls([rollOf('mast')], of, 12, null, NOW, learning)[0]?.estimateMin;
    expect(time(known)).toBe(time({ ...plan, knownTime: null }));
  });
  test('reels stand on each other: their volumes and films add up', () => {
    expect(tankVolumeMl(['135', '135'])).toBe(2 * tankVolumeMl(['135']));
    expect(tankVolumeMl(['135', '120'])).toBe(tankVolumeMl(['135']) + tankVolumeMl(['120']));
    expect(tankFilms(['135', '120'])).toBeCloseTo(2, 1);
    expect(tankFilms([])).toBe(0);
  });
});

import { describe, expect, test } from 'vitest';
import { estimate } from '../estimate/estimate';
import { sampleRequest } from '../testing/sampleRequest';
import { acidSlows } from './acidAgainstSoda';

const brew = (ascorbicGPerL: number, sodaGPerL: number) => ({
  agents: [{ agentId: 'instant-coffee' as const, amountPerL: 40 }],
  ascorbicGPerL,
  sodaGPerL,
});
const time = (ascorbicGPerL: number, sodaGPerL: number): number =>
  estimate(sampleRequest({ developer: { kind: 'improvised', ...brew(ascorbicGPerL, sodaGPerL) } })).timeMin;

describe('more acid with the soda held', () => {
  test('is said to slow a brew exactly where the estimate says so', () => {
    const said = new Set<boolean>();
    for (const soda of [30, 54, 90])
      for (const acid of [4, 8, 16, 24]) {
        const slows = acidSlows(brew(acid, soda)) !== null;
        expect(time(acid + Math.max(2, acid / 4), soda) > time(acid, soda), `${acid} and ${soda}`).toBe(slows);
        said.add(slows);
      }
    expect(said.size).toBe(2);
  });
  test('10 g of it take up 6.02 g of soda, mole for mole (176.124 and 105.988)', () =>
    expect(acidSlows(brew(32, 30))).toBeCloseTo((10 / 176.124) * 105.988, 6));
});

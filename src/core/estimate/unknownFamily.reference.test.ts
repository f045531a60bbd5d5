import { describe, expect, test } from 'vitest';
import { unknownAmong } from '../films/stockFamilies';
import type { StockFamilyId } from '../films/stockFamilies';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { estimate } from './estimate';

/** Half an 80 % interval of a standard normal. */
const TENTH = 1.2815515655;

/** Standard normal distribution. Source: Abramowitz and Stegun, 7.1.26, with the sign turned. */
function normalBelow(z: number): number {
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const tail =
    t *
    (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429)))) *
    Math.exp(-x * x);
  return z > 0 ? 1 - tail / 2 : tail / 2;
}

const bandOf = (familyId: StockFamilyId, strategy: 'hold' | 'extend', years: number) => {
  const { timeMin, band } = estimate(
    sampleRequest({
      film: { familyId, iso: 200 },
      strategy: { id: strategy, liftCap: false },
      ...(years === 0 ? {} : { age: roomYears(years) }),
    }),
  );
  return { timeMin, ...band };
};

/** Time below which the given share of the equal mixture of the families' times lies, each taken as log-normal. */
function mixtureQuantile(bands: readonly ReturnType<typeof bandOf>[], share: number): number {
  let low = 0.5;
  let high = 500;
  for (let step = 0; step < 60; step++) {
    const middle = Math.sqrt(low * high);
    const below =
      bands.reduce((sum, { timeMin, lowMin, highMin }) => {
        const lnSd = Math.log(highMin / lowMin) / (2 * TENTH);
        return sum + normalBelow(Math.log(middle / timeMin) / lnSd);
      }, 0) / bands.length;
    if (below < share) low = middle;
    else high = middle;
  }
  return low;
}

describe('a film of which only black-and-white or colour is known', () => {
  const cases = (['unknown-monochrome', 'unknown-colour'] as const).flatMap((id) =>
    (['hold', 'extend'] as const).flatMap((strategy) => [0, 30].map((years) => [id, strategy, years] as const)),
  );
  test.each(cases)('%s, %s, %d room-years: its band is that of the families it may be', (id, strategy, years) => {
    const among = unknownAmong[id].map((familyId) => bandOf(familyId, strategy, years));
    const { lowMin, highMin } = bandOf(id, strategy, years);
    for (const [end, wanted] of [
      [lowMin, mixtureQuantile(among, 0.1)],
      [highMin, mixtureQuantile(among, 0.9)],
    ] as const)
      expect(Math.abs(Math.log(end / wanted))).toBeLessThan(0.1);
  });
});

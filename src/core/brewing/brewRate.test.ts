import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { dilutionRate } from '../chemistry/dilution';
import { developerFamilies } from '../chemistry/developerFamilies';
import { estimate } from '../estimate/estimate';
import { sampleBrew, sheetFor } from '../testing/sampleBrew';
import { sampleParts } from '../testing/sampleParts';
import { sampleRequest } from '../testing/sampleRequest';
import { brewRate, MIXING_LEFT_LN_SD, mixingLnSd } from './brewRate';
import { compositionOf, developerOf, estimableDeveloper, phOf } from './composition';
import { ionisedShares } from './ionisedShares';
import { jugState } from './keeping';

const rateOf = (soda: number, ascorbic: number, coffee: number): number => {
  const composition = compositionOf(
    sampleParts([
      ['soda-anhydrous', soda],
      ['ascorbic-acid', ascorbic],
      ['instant-coffee', coffee],
    ]),
    1000,
  );
  return brewRate(composition, phOf(composition)?.ph ?? null) ?? 0;
};
const grams = (least: number, most: number) => fc.double({ min: least, max: most, noNaN: true });

describe('strength on the workbench is the estimator’s own', () => {
  test('time goes with one over the meter’s rate, for any kitchen brew', () => {
    const usual = estimate(sampleRequest()).timeMin;
    fc.assert(
      fc.property(grams(30, 90), grams(4, 30), grams(10, 80), (soda, ascorbic, coffee) => {
        const composition = compositionOf(
          sampleParts([
            ['soda-anhydrous', soda],
            ['ascorbic-acid', ascorbic],
            ['instant-coffee', coffee],
          ]),
          1000,
        );
        const developer = estimableDeveloper(composition);
        if (developer === null) return;
        const time = estimate(sampleRequest({ developer })).timeMin;
        expect((time * rateOf(soda, ascorbic, coffee)) / usual).toBeCloseTo(1, 6);
      }),
      { numRuns: 25 },
    );
  });
  test('more of anything that develops or drives never slows it', () => {
    fc.assert(
      fc.property(grams(40, 80), grams(4, 20), grams(10, 60), grams(1, 10), (soda, ascorbic, coffee, more) => {
        expect(rateOf(soda + more, ascorbic, coffee)).toBeGreaterThan(rateOf(soda, ascorbic, coffee));
        // Coffee brings its acid along, so it gains less than its share; it still gains.
        expect(rateOf(soda, ascorbic, coffee + more)).toBeGreaterThan(rateOf(soda, ascorbic, coffee));
      }),
    );
  });
  test('a concentrate follows its family’s power law, a packet weighed short is a thinner one', () => {
    const { referenceParts, dilutionExponent } = developerFamilies['hydroquinone-syrup'];
    const thin = compositionOf(
      [
        {
          ...(sampleParts([['bromide', 0]])[0] as never as object),
          key: 'k',
          name: 'Syrup',
          unit: 'ml',
          target: 8,
          actual: null,
          how: 'target',
          lnSd: 0,
          makeup: { kind: 'concentrate', familyId: 'hydroquinone-syrup' },
        },
      ],
      500,
    );
    expect(brewRate(thin, null)).toBeCloseTo(
      dilutionRate({ concentrate: 8, water: 492 }, referenceParts, dilutionExponent),
      9,
    );
    const packet = sheetFor('mq-packet').batch.parts.map((part) => ({ ...part, actual: part.target / 2 }));
    expect(brewRate(compositionOf(packet, 500), null)).toBeCloseTo(
      0.5 ** developerFamilies['mq-borax'].dilutionExponent,
      9,
    );
    expect(developerOf(compositionOf(packet, 500))).toEqual({
      kind: 'concentrate',
      familyId: 'mq-borax',
      parts: { concentrate: 1, water: 1 },
    });
  });
});

describe('spread of the weighing', () => {
  const parts = sampleParts([
    ['soda-anhydrous', 27],
    ['ascorbic-acid', 8],
    ['instant-coffee', 20],
  ]);
  test('exact amounts leave what mixing scatters otherwise, and nothing else', () => {
    expect(
      mixingLnSd(
        parts.map((part) => ({ ...part, lnSd: 0 })),
        500,
      ),
    ).toBeCloseTo(MIXING_LEFT_LN_SD.improvised, 12);
    expect(
      mixingLnSd(
        sheetFor('p-aminophenol').batch.parts.map((part) => ({ ...part, lnSd: 0 })),
        500,
      ),
    ).toBeCloseTo(MIXING_LEFT_LN_SD.bought, 12);
  });
  test('parts add up in squares, and twice the spread is twice the share', () => {
    const only = (index: number, lnSd: number): number => {
      const spread =
        mixingLnSd(
          parts.map((part, at) => ({ ...part, lnSd: at === index ? lnSd : 0 })),
          500,
        ) ?? 0;
      return spread ** 2 - MIXING_LEFT_LN_SD.improvised ** 2;
    };
    const together =
      (mixingLnSd(
        parts.map((part) => ({ ...part, lnSd: 0.05 })),
        500,
      ) ?? 0) **
        2 -
      MIXING_LEFT_LN_SD.improvised ** 2;
    expect(together).toBeCloseTo(only(0, 0.05) + only(1, 0.05) + only(2, 0.05), 9);
    expect(only(2, 0.1) / only(2, 0.05)).toBeCloseTo(4, 1);
  });
  test('nothing in the jug has no spread; a spread beyond reason is held', () => {
    expect(mixingLnSd([], 500)).toBeNull();
    expect(
      mixingLnSd(
        parts.map((part) => ({ ...part, lnSd: 2 })),
        500,
      ),
    ).toBeLessThanOrEqual(2);
  });
});

describe('ionised shares', () => {
  test('rise with pH, lie between none and all, and tell only of what is there', () => {
    const composition = compositionOf(
      sampleParts([
        ['ascorbic-acid', 16],
        ['instant-coffee', 40],
      ]),
      1000,
    );
    const at = (ph: number) => ionisedShares(composition, { ph, ionicStrength: 0.3 }).map(({ share }) => share);
    for (let ph = 5; ph < 12; ph += 0.5) {
      at(ph + 0.5).forEach((share, index) => {
        expect(share).toBeGreaterThan(at(ph)[index] ?? 1);
        expect(share).toBeLessThanOrEqual(1);
      });
    }
    expect(
      ionisedShares(compositionOf(sampleParts([['citric-acid', 10]]), 1000), { ph: 3, ionicStrength: 0.1 }),
    ).toEqual([]);
  });
});

describe('a jug only ever loses', () => {
  test('with time and with films, whatever it is', () => {
    const mixedMs = Date.UTC(2026, 10, 25);
    const uses = fc.constantFrom(
      'film-developer' as const,
      'paper-developer' as const,
      'stop' as const,
      'fixer' as const,
    );
    fc.assert(
      fc.property(uses, grams(0, 20), grams(0, 20), grams(0, 400), grams(0, 400), (use, films, more, hours, later) => {
        const brew = sampleBrew(mixedMs, {
          use,
          developer: use === 'film-developer' ? sampleBrew(mixedMs).developer : null,
          films,
        });
        const now = mixedMs + hours * 3_600_000;
        const left = jugState(brew, now).left ?? 1;
        expect(jugState({ ...brew, films: films + more }, now).left ?? 1).toBeLessThanOrEqual(left + 1e-12);
        expect(jugState(brew, now + later * 3_600_000).left ?? 1).toBeLessThanOrEqual(left + 1e-12);
        expect(left).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

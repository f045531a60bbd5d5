import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { temperatureRate } from '../thermal/arrhenius';
import { anyRequest } from '../testing/anyRequest';
import { coffeeRequest, roomYears, sampleRequest } from '../testing/sampleRequest';
import { Z80 } from './band';
import { estimate, estimateFrom } from './estimate';
import { workOut } from './estimate';
import { gradientCurve } from './gradientCurve';
import type { EstimateRequestInput } from './request';
import { estimateSchema } from './result';
import { cases } from '../testing/cases';

const time = (part: Partial<EstimateRequestInput> = {}): number => estimate(sampleRequest(part)).timeMin;

describe('properties of every estimate', () => {
  test('the ledger multiplies out to the time, its shares add up to one, and the band holds the time', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const answer = estimate(request);
        const product = answer.ledger.reduce(
          (running, row) => (row.ratio === null ? row.timeMin : running * row.ratio),
          1,
        );
        expect(product / answer.timeMin).toBeCloseTo(1, 9);
        expect(answer.ledger.reduce((sum, row) => sum + row.varianceShare, 0)).toBeCloseTo(1, 9);
        expect(answer.band.lowMin).toBeLessThanOrEqual(answer.timeMin);
        expect(answer.band.highMin).toBeGreaterThanOrEqual(answer.timeMin);
        expect(Math.log(answer.band.highMin / answer.band.lowMin)).toBeCloseTo(2 * Z80 * answer.lnSd, 9);
      }),
      { numRuns: cases(100, 300) },
    );
  });
  test('every number is finite and fits the published schema', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        expect(estimateSchema.safeParse(estimate(request)).error?.issues ?? []).toEqual([]);
      }),
      { numRuns: cases(100, 300) },
    );
  });
  test('Extend never takes less than Hold, and within its cap never more than half as long again', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const hold = estimate({ ...request, strategy: { id: 'hold', liftCap: false } });
        const extend = estimate({ ...request, strategy: { id: 'extend', liftCap: false } });
        expect(extend.timeMin).toBeGreaterThanOrEqual(hold.timeMin * (1 - 1e-9));
        expect(extend.timeMin).toBeLessThanOrEqual(hold.timeMin * 1.5 * (1 + 1e-9));
      }),
      { numRuns: cases(80, 200) },
    );
  });
});

describe('each condition moves the time as its relation says', () => {
  test('temperature by Arrhenius', () =>
    expect(time({ temperatureC: 24 }) / time()).toBeCloseTo(1 / temperatureRate(24, 2.2), 9));
  test('agitation by its rate factor', () =>
    expect(time({ agitationId: 'continuous' }) / time()).toBeCloseTo(1 / 1.18, 9));
  test('bromide by a sixth for each gram', () => expect(time({ bromideGPerL: 2 }) / time()).toBeCloseTo(1 + 2 / 6, 9));
  test('less coffee takes longer, and more ascorbic acid shorter', () => {
    const brew = (coffee: number, ascorbicGPerL: number) => ({
      developer: {
        kind: 'improvised' as const,
        agents: [{ agentId: 'instant-coffee' as const, amountPerL: coffee }],
        ascorbicGPerL,
        sodaGPerL: 54,
      },
    });
    expect(time(brew(20, 16))).toBeGreaterThan(time());
    expect(time(brew(40, 24))).toBeLessThan(time());
  });
  test('what else is dissolved moves it through pH alone: acid slows, borax hardly moves, bromide salt in the list not at all', () => {
    const brew = (others: { substanceId: 'citric-acid' | 'borax' | 'hydroxide' | 'salt'; amountPerL: number }[]) => ({
      developer: {
        kind: 'improvised' as const,
        agents: [{ agentId: 'instant-coffee' as const, amountPerL: 40 }],
        ascorbicGPerL: 16,
        sodaGPerL: 54,
        others,
      },
    });
    expect(time(brew([{ substanceId: 'citric-acid', amountPerL: 20 }]))).toBeGreaterThan(1.05 * time());
    expect(time(brew([{ substanceId: 'hydroxide', amountPerL: 4 }]))).toBeLessThan(time());
    expect(time(brew([{ substanceId: 'salt', amountPerL: 5 }])) / time()).toBeCloseTo(1, 2);
    const answer = estimate(sampleRequest(brew([{ substanceId: 'citric-acid', amountPerL: 20 }])));
    expect(answer.ph).toBeLessThan(estimate(sampleRequest()).ph ?? 0);
    expect(answer.timeMin / time()).toBeCloseTo(
      Math.exp(0.55 * ((estimate(sampleRequest()).ph ?? 0) - (answer.ph ?? 0))),
      6,
    );
  });
  test('a push takes longer and a pull shorter', () => {
    expect(time({ target: { purpose: 'scan', pushStops: 1 } })).toBeGreaterThan(time());
    expect(time({ target: { purpose: 'scan', pushStops: -1 } })).toBeLessThan(time());
  });
  test('a known time replaces the family value and narrows the band', () => {
    const known = estimate(sampleRequest({ knownTime: { timeMin: 14.5, temperatureC: 20, source: 'own' } }));
    // Within a second: what is left of the family value weighs next to nothing.
    expect(known.timeMin).toBeCloseTo(14.5, 1);
    expect(known.lnSd).toBeLessThan(0.15);
    expect(known.ledger[0]).toMatchObject({ id: 'base', source: 'user' });
  });
  test('a known time at another temperature is carried over by Arrhenius', () => {
    expect(time({ knownTime: { timeMin: 10, temperatureC: 24, source: 'leaflet' } })).toBeCloseTo(
      10 * temperatureRate(24, 2.2),
      1,
    );
  });
});

describe('honesty of the band', () => {
  const lnSd = (part: Partial<EstimateRequestInput>): number => estimate(sampleRequest(part)).lnSd;
  test('unknown age and storage widen it', () => {
    const known: EstimateRequestInput['age'] = {
      storage: [{ years: 30, temperatureC: 21, temperatureSdC: 1 }],
      yearsSd: 0,
    };
    const unknown: EstimateRequestInput['age'] = {
      storage: [{ years: 30, temperatureC: 21, temperatureSdC: 6 }],
      yearsSd: 15,
    };
    expect(lnSd({ age: known })).toBeGreaterThan(lnSd({}));
    expect(lnSd({ age: unknown, strategy: { id: 'extend', liftCap: true } })).toBeGreaterThan(
      lnSd({ age: known, strategy: { id: 'extend', liftCap: true } }),
    );
  });
  test('how a brew was measured takes the place of the usual 6 %, in squares', () => {
    const others = lnSd({}) ** 2 - 0.06 ** 2;
    expect((lnSd({ mixingLnSd: 0.2 }) ** 2 - others) / 0.2 ** 2).toBeGreaterThan(0.8);
    expect(lnSd({ mixingLnSd: 0.04 })).toBeLessThan(lnSd({}));
    expect(estimate(sampleRequest({ mixingLnSd: 0.2 })).timeMin).toBeCloseTo(time(), 9);
  });
  test('beer is much less sure than coffee, stand than turning', () => {
    const beer: EstimateRequestInput['developer'] = {
      kind: 'improvised',
      agents: [{ agentId: 'dark-beer', amountPerL: 900 }],
      ascorbicGPerL: 16,
      sodaGPerL: 54,
    };
    expect(lnSd({ developer: beer })).toBeGreaterThan(2 * lnSd({}));
    expect(lnSd({ agitationId: 'stand' })).toBeGreaterThan(lnSd({}));
  });
  test('soda far from the recipe widens it, since the exponent of pH is in doubt', () => {
    const brew = (sodaGPerL: number): EstimateRequestInput['developer'] => ({
      kind: 'improvised',
      agents: [{ agentId: 'instant-coffee', amountPerL: 40 }],
      ascorbicGPerL: 16,
      sodaGPerL,
    });
    expect(lnSd({ developer: brew(20) })).toBeGreaterThan(lnSd({ developer: brew(50) }));
  });
});

/** Where a stay was, without when. */
function place(
  { temperatureC, temperatureSdC, humid }: { temperatureC: number; temperatureSdC: number; humid: boolean } = {
    temperatureC: 21,
    temperatureSdC: 0,
    humid: false,
  },
) {
  return { temperatureC, temperatureSdC, humid };
}

/** Losses level off towards seven stops. */
const levelled = (stops: number): number => 7 * (1 - Math.exp(-stops / 7));

describe('old film', () => {
  const old = roomYears(31);
  test('Hold keeps the fresh-film time and says what gradient that leaves', () => {
    const answer = estimate(sampleRequest({ age: old }));
    expect(answer.timeMin).toBeCloseTo(time(), 9);
    expect(answer.gradient.net).toBeLessThan(0.58);
    expect(answer.gradient.met).toBe(false);
    expect(answer.imageLossStops.value).toBeCloseTo(levelled(0.065 * 31), 9);
    expect(answer.baseFogD.value).toBeGreaterThan(0.27);
  });
  test('Extend with the cap lifted meets the net gradient exactly', () => {
    const answer = estimate(sampleRequest({ age: old, strategy: { id: 'extend', liftCap: true } }));
    expect(answer.gradient.met).toBe(true);
    expect(answer.gradient.net).toBeCloseTo(0.58, 6);
  });
  test('Extend stops at 15 % for each stop lost', () => {
    const answer = estimate(sampleRequest({ age: old, strategy: { id: 'extend' } }));
    expect(answer.gradient.capped).toBe(true);
    expect(answer.timeMin / answer.freshTimeMin).toBeCloseTo(1 + 0.15 * levelled(0.065 * 31), 6);
  });
  test('an unexposed roll gets an index below its speed, with a band', () => {
    const { exposureIndex } = estimate(sampleRequest({ age: old }));
    expect(exposureIndex.value).toBeCloseTo(400 / 2 ** levelled(0.065 * 31), 6);
    expect(exposureIndex.low).toBeLessThan(exposureIndex.value);
    expect(exposureIndex.high).toBeLessThanOrEqual(400);
  });
  test('a fading latent image costs speed but not the index of fresh exposures', () => {
    const found = estimate(sampleRequest({ age: { ...old, sinceExposure: [{ years: 30, temperatureC: 21 }] } }));
    expect(found.imageLossStops.value).toBeCloseTo(levelled(0.065 * 31 + 0.9), 9);
    expect(found.exposureIndex.value).toBeCloseTo(400 / 2 ** levelled(0.065 * 31), 6);
  });
  test('a roll of which the year is certain ages like the plain years of its storage', () => {
    const stays = [
      { temperatureC: 12, temperatureSdC: 2, humid: false, untilYear: 1998 },
      { temperatureC: 30, temperatureSdC: 3, humid: true, untilYear: null },
    ];
    // Made in 1977, fresh for three years: 18 years in the cellar, then 28 under a humid roof.
    const dated = estimate(
      sampleRequest({
        age: { dated: { made: [{ year: 1977, weight: 1 }], stays, nowYear: 2026 } },
        strategy: { id: 'extend' },
      }),
    );
    const plain = estimate(
      sampleRequest({
        age: {
          storage: [
            { years: 18, ...place(stays[0]) },
            { years: 28, ...place(stays[1]) },
          ],
        },
        strategy: { id: 'extend' },
      }),
    );
    expect(dated.timeMin).toBeCloseTo(plain.timeMin, 9);
    expect(dated.lnSd).toBeCloseTo(plain.lnSd, 9);
    expect(dated.exposureIndex).toEqual(plain.exposureIndex);
  });
  test('two possible years lie between each of them, and leave a wider band than either', () => {
    const stays = [{ temperatureC: 21, temperatureSdC: 1, humid: false, untilYear: null }];
    const of = (...years: number[]) =>
      estimate(
        sampleRequest({
          age: { dated: { made: years.map((year) => ({ year, weight: 1 / years.length })), stays, nowYear: 2026 } },
          strategy: { id: 'extend' },
        }),
      );
    const [old, young, either] = [of(1960), of(1990), of(1960, 1990)];
    expect(either.imageLossStops.value).toBeLessThan(old.imageLossStops.value);
    expect(either.imageLossStops.value).toBeGreaterThan(young.imageLossStops.value);
    // The doubt about the year is the doubt between the two: it reaches from one to the other.
    expect(either.effectiveAge.low).toBeLessThan(young.effectiveAge.value * 1.1);
    expect(either.effectiveAge.high).toBeGreaterThan(old.effectiveAge.value * 0.9);
  });
  test('an unreachable target is said so, with the best there is', () => {
    const answer = estimate(
      sampleRequest({
        film: { familyId: 'colour-negative-current', iso: 200 },
        target: { purpose: 'diffusion', pushStops: 3 },
      }),
    );
    expect(answer.gradient.reachable).toBe(false);
    expect(answer.gradient.bestReachable).toBeCloseTo(0.97 * 0.9, 9);
    expect(Number.isFinite(answer.timeMin)).toBe(true);
  });
  test('the curve passes through the estimate', () => {
    const request = sampleRequest({ age: old });
    const answer = estimate(request);
    const curve = gradientCurve(workOut(request), answer.timeMin, 2);
    expect(curve.net.at(-1)).toBeCloseTo(answer.gradient.net, 9);
    expect(curve.low.at(-1)).toBeLessThan(answer.gradient.net);
    expect(curve.high.at(-1)).toBeGreaterThan(answer.gradient.net);
  });
});

describe('bad input', () => {
  const problems = (input: unknown): { path: string; message: string }[] => {
    const answer = estimateFrom(input);
    return answer.ok ? [] : answer.problems;
  };
  test.each<[string, unknown, string, RegExp]>([
    ['no body', null, '', /./],
    ['a negative temperature', { ...coffeeRequest, temperatureC: -3 }, 'temperatureC', /5 to 40 °C/],
    ['not a number', { ...coffeeRequest, temperatureC: Number.NaN }, 'temperatureC', /5 to 40 °C/],
    ['a text', { ...coffeeRequest, temperatureC: 'warm' }, 'temperatureC', /give a number/],
    ['an unknown family', { ...coffeeRequest, film: { familyId: 'moon', iso: 100 } }, 'film.familyId', /choose one of/],
    ['too much bromide', { ...coffeeRequest, bromideGPerL: 9 }, 'bromideGPerL', /0 to 2 g\/l/],
    [
      'no agent',
      { ...coffeeRequest, developer: { kind: 'improvised', agents: [], ascorbicGPerL: 16, sodaGPerL: 54 } },
      'developer.agents',
      /no coffee, tea/,
    ],
    [
      'too little soda',
      {
        ...coffeeRequest,
        developer: {
          kind: 'improvised',
          agents: [{ agentId: 'instant-coffee', amountPerL: 40 }],
          ascorbicGPerL: 16,
          sodaGPerL: 10,
        },
      },
      'developer.sodaGPerL',
      /use up 14 g\/l/,
    ],
    [
      'no water and no concentrate',
      {
        ...coffeeRequest,
        developer: { kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 0, water: 0 } },
      },
      'developer.parts.concentrate',
      /0\.1 to 100/,
    ],
    ['an unknown field', { ...coffeeRequest, colour: 'red' }, 'colour', /colour/],
    [
      'a bad year deep inside',
      { ...coffeeRequest, age: { storage: [{ years: -4, temperatureC: 20 }] } },
      'age.storage[0].years',
      /0 to 150/,
    ],
  ])('%s names its path', (_what, input, path, sentence) => {
    const found = problems(input);
    expect(found.map((problem) => problem.path)).toContain(path);
    expect(found.find((problem) => problem.path === path)?.message).toMatch(sentence);
  });
  test('whatever is sent, the answer is a problem or finite numbers', () => {
    fc.assert(
      fc.property(fc.object({ maxDepth: 3 }), fc.double(), (noise, number) => {
        for (const input of [noise, { ...coffeeRequest, ...noise }, { ...coffeeRequest, temperatureC: number }]) {
          const answer = estimateFrom(input);
          if (answer.ok) expect(Number.isFinite(answer.value.timeMin)).toBe(true);
          else expect(answer.problems.length).toBeGreaterThan(0);
        }
      }),
      { numRuns: cases(120, 400) },
    );
  });
});

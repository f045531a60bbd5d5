import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { anyEvidence, anyRequest } from '../testing/anyRequest';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { estimate, estimateFrom, fitOf, workOut, type EstimateContext } from './estimate';
import type { Fit } from './fit';
import { evidenceEffects } from './evidenceEffects';
import type { EvidenceInput } from './evidenceSchema';
import { USUAL_KNOWN_DEVELOPER, nextTests } from './nextTests';
import { LN_GRADIENT_PER_GRADE } from '../outcome/grades';
import { piecesOf } from './pieces';
import type { EstimateRequestInput } from './request';
import { estimateSchema } from './result';
import { cases } from '../testing/cases';

const old: Partial<EstimateRequestInput> = { age: roomYears(25), strategy: { id: 'extend', liftCap: true } };
const withEvidence = (evidence: EvidenceInput[], part: Partial<EstimateRequestInput> = old) =>
  sampleRequest({ ...part, evidence });
const clip = (gradient: number, id = 'clip', timeMin = 12): EvidenceInput => ({
  kind: 'clip',
  id,
  timeMin,
  gradient,
  baseFogD: 0.45,
  method: 'densities',
});

describe('properties with evidence', () => {
  test('the ledger multiplies out, shares add up to one, the band holds the time, all is finite', () => {
    fc.assert(
      fc.property(anyRequest, fc.array(anyEvidence, { maxLength: 4 }), (request, evidence) => {
        const answer = estimate({
          ...request,
          evidence: evidence.map((piece, index) => ({ ...piece, id: `${index}` })),
        });
        expect(estimateSchema.safeParse(answer).error?.issues ?? []).toEqual([]);
        const product = answer.ledger.reduce(
          (running, row) => (row.ratio === null ? row.timeMin : running * row.ratio),
          1,
        );
        expect(Math.abs(product / answer.timeMin - 1)).toBeLessThan(1e-9);
        expect(answer.ledger.reduce((sum, row) => sum + row.varianceShare, 0)).toBeCloseTo(1, 9);
        expect(answer.band.lowMin).toBeLessThanOrEqual(answer.timeMin);
        expect(answer.band.highMin).toBeGreaterThanOrEqual(answer.timeMin);
      }),
      { numRuns: cases(50, 150) },
    );
  });
  test('the order of the pieces does not matter', () => {
    const pieces = [
      clip(0.4, 'a'),
      clip(0.5, 'b', 15),
      { kind: 'chart', id: 'c', timeMin: 11, source: 'leaflet' } as const,
    ];
    expect(estimate(withEvidence([...pieces].reverse())).timeMin).toBeCloseTo(
      estimate(withEvidence(pieces)).timeMin,
      5,
    );
  });
});

describe('each kind of evidence', () => {
  const before = estimate(withEvidence([]));
  test('a thin clip lengthens the time, a dense one shortens it, and both narrow the band', () => {
    const thin = estimate(withEvidence([clip(0.35)]));
    const dense = estimate(withEvidence([clip(0.65)]));
    expect(thin.timeMin).toBeGreaterThan(before.timeMin);
    expect(dense.timeMin).toBeLessThan(before.timeMin);
    expect(thin.lnSd).toBeLessThan(before.lnSd * 0.75);
  });
  test('densities count for more than an eye', () => {
    const by = (method: 'densities' | 'eye') =>
      estimate(withEvidence([{ kind: 'clip', id: 'c', timeMin: 12, gradient: 0.4, method }])).lnSd;
    expect(by('densities')).toBeLessThan(by('eye'));
    expect(by('eye')).toBeLessThan(before.lnSd);
  });
  test('a slow drop lengthens the time by less than it says, since it is only known to 15 %', () => {
    const known = { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } } as const;
    const usual = 1 / 1.6;
    const drop = (rateRatio: number) => estimate(withEvidence([{ kind: 'drop', id: 'd', rateRatio, known }])).timeMin;
    expect(drop(usual)).toBeCloseTo(before.timeMin, 0);
    expect(drop(usual / 1.5)).toBeGreaterThan(before.timeMin * 1.1);
    expect(drop(usual / 1.5)).toBeLessThan(before.timeMin * 1.5);
  });
  test('a verdict of too soft lengthens the next time', () => {
    const verdict = (contrast: number) =>
      estimate(withEvidence([{ kind: 'verdict', id: 'v', timeMin: before.timeMin, contrast }])).timeMin;
    expect(verdict(-2)).toBeGreaterThan(verdict(-1));
    expect(verdict(-1)).toBeGreaterThan(before.timeMin);
    expect(verdict(1)).toBeLessThan(before.timeMin);
  });
  test('a measured base + fog overrides the fog, and pulls the lost speed along', () => {
    const foggy = estimate(withEvidence([{ kind: 'fog', id: 'f', timeMin: 12, baseFogD: 1.0, method: 'densities' }]));
    expect(foggy.baseFogD.value).toBeGreaterThan(0.8);
    expect(foggy.baseFogD.high - foggy.baseFogD.low).toBeLessThan(before.baseFogD.high - before.baseFogD.low);
    expect(foggy.imageLossStops.value).toBeGreaterThan(before.imageLossStops.value * 1.2);
  });
  test('a chart time in another developer tells of the film, not of the brew', () => {
    const inMq: EvidenceInput = {
      kind: 'chart',
      id: 'c',
      timeMin: 12,
      source: 'leaflet',
      setting: {
        developer: { kind: 'concentrate', familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } },
        temperatureC: 20,
      },
    };
    const answer = estimate(withEvidence([inMq]));
    // The chart says 1.5 times the family's time; the stock takes about a third of that, the other developer and the pair the rest.
    expect(answer.timeMin).toBeGreaterThan(before.timeMin * 1.08);
    expect(answer.timeMin).toBeLessThan(before.timeMin * 1.25);
    expect(answer.lnSd).toBeLessThan(before.lnSd);
  });
  test('what another stock did in the same developer bears on the developer alone', () => {
    const other: EvidenceInput = {
      kind: 'verdict',
      id: 'v',
      timeMin: 12,
      contrast: -2,
      setting: {
        stockId: 'another',
        rollId: 'another',
        film: { familyId: 'pan-cubic-fast', iso: 400 },
        age: roomYears(0),
      },
    };
    const own: EvidenceInput = { ...other, setting: { rollId: 'another', age: roomYears(0) } };
    const [far, near] = [estimate(withEvidence([other])).timeMin, estimate(withEvidence([own])).timeMin];
    expect(far).toBeGreaterThan(before.timeMin);
    expect(near).toBeGreaterThan(far);
  });
});

describe('conflicting evidence', () => {
  const sound = [
    clip(0.42, 'a', 12),
    clip(0.46, 'b', 14),
    { kind: 'chart', id: 'c', timeMin: 13, source: 'leaflet' } as const,
  ];
  const wild: EvidenceInput = { kind: 'clip', id: 'wild', timeMin: 13, gradient: 1.1, method: 'densities' };
  test('a piece far from everything else is named, above or below, and weighed down', () => {
    const [conflict, ...others] = estimate(withEvidence([...sound, wild])).conflicts;
    expect(others).toEqual([]);
    expect(conflict).toMatchObject({ pieceId: 'wild', measure: 'gradient', above: true });
    expect(conflict?.distanceSd).toBeGreaterThan(3);
    expect(conflict?.weight).toBeLessThan(0.5);
  });
  test('it moves the time far less than its face value, and sound evidence has no conflict', () => {
    const without = estimate(withEvidence(sound));
    expect(without.conflicts).toEqual([]);
    expect(Math.abs(Math.log(estimate(withEvidence([...sound, wild])).timeMin / without.timeMin))).toBeLessThan(0.15);
  });
});

describe('what each piece does', () => {
  test('the time without a piece is near the time that is estimated without it', () => {
    const pieces = [
      clip(0.4, 'a'),
      { kind: 'chart', id: 'c', timeMin: 11, source: 'somebody' } as const,
      clip(0.5, 'b', 15),
    ];
    const effects = evidenceEffects(workOut(withEvidence(pieces)), ['a', 'b', 'nobody']);
    expect(effects.map(({ pieceId }) => pieceId)).toEqual(['a', 'b']);
    for (const { pieceId, timeWithoutMin } of effects) {
      const without = estimate(withEvidence(pieces.filter(({ id }) => id !== pieceId))).timeMin;
      expect(Math.abs(Math.log(timeWithoutMin / without))).toBeLessThan(0.05);
    }
  });
});

/** Variance of ln(time) by the slopes of one estimate and the covariance of a fit. */
function variance({ posterior, slopes }: EstimateContext, fit: Fit): number {
  const keys = posterior.situation.unknowns.map(({ key }) => key);
  return keys.reduce(
    (sum, a, i) =>
      sum + keys.reduce((inner, b, j) => inner + (slopes[i] ?? 0) * (slopes[j] ?? 0) * fit.covariance(a, b), 0),
    0,
  );
}

/** The ratio that a drop test would find if the model were right. */
function expectedRatio({ request, prediction, fit }: EstimateContext): number {
  const known = workOut({ ...request, developer: USUAL_KNOWN_DEVELOPER, evidence: [] }, fit);
  return prediction.film.ratePerMin / known.prediction.film.ratePerMin;
}

describe('the value of the next test', () => {
  const known: EvidenceInput = { kind: 'chart', id: 'chart', timeMin: 11, source: 'leaflet' };
  test.each([
    ['nothing known', []],
    ['a chart time known', [known]],
    ['a chart and a clip known', [known, clip(0.45, 'before')]],
  ] as const)('every kind of test promises the variance that the refit then gives: %s', (_what, evidence) => {
    const worked = workOut(withEvidence([...evidence]));
    for (const { id, atMin, widthRatio } of nextTests(worked).tests) {
      const { film } = worked.prediction;
      // What the test would find if everything is as it is thought to be: then only the doubt changes.
      const found: EvidenceInput =
        id === 'drop'
          ? { kind: 'drop', id: 'next', rateRatio: expectedRatio(worked), known: USUAL_KNOWN_DEVELOPER }
          : {
              kind: 'clip',
              id: 'next',
              timeMin: atMin ?? 1,
              gradient: film.netGradientAt(atMin ?? 1),
              baseFogD: film.baseFogAt(atMin ?? 1),
              method: id === 'clip-by-eye' ? 'eye' : 'densities',
              ...(id === 'roll' ? { setting: { rollId: 'another roll' } } : {}),
            };
      const taken = fitOf(withEvidence([...evidence, found]));
      // Another roll of the same film is not quite expected to find what this one would, and a refit moves a little with it.
      expect(variance(worked, taken) / (variance(worked, worked.fit) * widthRatio ** 2), id).toBeCloseTo(
        1,
        id === 'roll' ? 1.1 : 1.5,
      );
    }
  });
  test('another roll is not this one: what this roll alone went through stays in doubt', () => {
    const { tests } = nextTests(workOut(withEvidence([])));
    const ratio = (of: string): number => tests.find(({ id }) => id === of)?.widthRatio ?? 0;
    // At its own time a clip of this roll would tell more than a whole roll of the same film.
    expect(ratio('roll')).toBeGreaterThan(ratio('clip') + 0.05);
  });
  test('tests never widen the band, and come best first', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const ratios = nextTests(workOut(request)).tests.map(({ widthRatio }) => widthRatio);
        for (const ratio of ratios) expect(ratio).toBeLessThanOrEqual(1 + 1e-9);
        expect(ratios).toEqual([...ratios].sort((a, b) => a - b));
      }),
      { numRuns: 50 },
    );
  });
  test('after many clips, doing nothing more is an answer', () => {
    expect(nextTests(workOut(withEvidence([]))).enough).toBe(false);
    // What one run does to the next stays: forty clips leave nothing that another test could narrow by a tenth.
    const many = Array.from({ length: 40 }, (_, index) => clip(0.44, `c${index}`, 12 + (index % 3)));
    expect(
      Math.min(...nextTests(workOut(withEvidence(many))).tests.map(({ widthRatio }) => widthRatio)),
    ).toBeGreaterThan(0.8);
  });
  test('a one-bath offers no drop test', () => {
    const { tests } = nextTests(workOut(sampleRequest({ developer: { kind: 'one-bath' }, temperatureC: 22 })));
    expect(tests.map(({ id }) => id)).not.toContain('drop');
  });
});

describe('the ends of the scale of grades', () => {
  const verdict = (contrast: number, timeMin: number): EvidenceInput => ({
    kind: 'verdict',
    id: 'seen',
    timeMin,
    contrast,
    fogD: null,
    target: { purpose: 'scan', pushStops: 0 },
  });
  test.each([
    ['two grades too hard', 2, 1],
    ['two grades too soft', -2, -1],
  ])('%s pulls nothing back that is beyond it already, by however little', (_what, contrast, side) => {
    const request = sampleRequest({ strategy: { id: 'hold' } });
    const plain = workOut(request);
    const { film } = plain.prediction;
    const end = Math.log(0.58) + LN_GRADIENT_PER_GRADE * contrast;
    // The time at which the film as it is thought to be stands a quarter of a grade beyond the end.
    let timeMin = 5;
    for (let t = 0.5; t < 200; t += 0.05)
      if (Math.abs(Math.log(film.netGradientAt(t)) - end - side * 0.25 * LN_GRADIENT_PER_GRADE) < 0.02) timeMin = t;
    const beyond = (Math.log(film.netGradientAt(timeMin)) - end) / LN_GRADIENT_PER_GRADE;
    expect(Math.abs(beyond - side * 0.25)).toBeLessThan(0.15);
    const told = workOut(sampleRequest({ strategy: { id: 'hold' }, evidence: [verdict(contrast, timeMin)] }));
    expect(told.estimate.timeMin).toBeCloseTo(plain.estimate.timeMin, 6);
  });
});

describe('bad evidence', () => {
  const problems = (evidence: unknown): string[] => {
    const answer = estimateFrom({ ...sampleRequest(), evidence });
    return answer.ok ? [] : answer.problems.map(({ path }) => path);
  };
  test.each<[string, unknown, string]>([
    ['an unknown kind', [{ kind: 'dream', id: 'x' }], 'evidence[0].kind'],
    ['a negative time', [{ kind: 'clip', id: 'x', timeMin: -4, gradient: 0.5, method: 'eye' }], 'evidence[0].timeMin'],
    [
      'not a number',
      [{ kind: 'drop', id: 'x', rateRatio: Number.NaN, known: { kind: 'one-bath' } }],
      'evidence[0].rateRatio',
    ],
    ['an absurd grade', [{ kind: 'verdict', id: 'x', timeMin: 10, contrast: 9 }], 'evidence[0].contrast'],
    [
      'a bad temperature deep inside',
      [{ kind: 'chart', id: 'x', timeMin: 10, source: 'own', setting: { temperatureC: 90 } }],
      'evidence[0].setting.temperatureC',
    ],
    ['no list', 'clip', 'evidence'],
  ])('%s names its path', (_what, evidence, path) => expect(problems(evidence)).toContain(path));
  test('contradictions of any size leave finite numbers', () => {
    const extremes = withEvidence([
      clip(0, 'a', 60),
      clip(5, 'b', 0.5),
      { kind: 'drop', id: 'c', rateRatio: 100, known: { kind: 'one-bath' } },
      { kind: 'chart', id: 'd', timeMin: 180, source: 'own' },
      { kind: 'chart', id: 'e', timeMin: 0.5, source: 'own' },
    ]);
    const answer = estimate(extremes);
    expect(estimateSchema.safeParse(answer).success).toBe(true);
    expect(fitOf(extremes).conflicts.length).toBeGreaterThan(0);
  });
});

describe('how a brew was measured', () => {
  test('stays with that brew: another brew, the known developer and a chart time do not take it over', () => {
    const request = sampleRequest({
      mixingLnSd: 0.2,
      knownTime: { timeMin: 14, temperatureC: 20, source: 'somebody' },
      evidence: [
        { kind: 'verdict', id: 'same', timeMin: 13, contrast: 0 },
        { kind: 'verdict', id: 'other', timeMin: 13, contrast: 0, setting: { brewId: 'another' } },
        { kind: 'verdict', id: 'measured', timeMin: 13, contrast: 0, setting: { brewId: 'third', mixingLnSd: 0.05 } },
      ],
    });
    expect(
      Object.fromEntries(piecesOf(request).map(({ evidence, setting }) => [evidence.id, setting.mixingLnSd])),
    ).toEqual({ 'known time': undefined, same: 0.2, other: undefined, measured: 0.05 });
  });
});

describe('clips that a camera read', () => {
  const by = (camera: string, id: string, timeMin = 12, cameraLnSd = 0.12): EvidenceInput => ({
    ...(clip(0.45, id, timeMin) as EvidenceInput & { kind: 'clip' }),
    doubt: { camera, cameraLnSd, ownLnSd: 0.02 },
  });
  const widthOf = (evidence: EvidenceInput[]): number => estimate(withEvidence(evidence)).lnSd;
  test('a camera that nobody knows narrows less than a densitometer, and a sure one as much', () => {
    expect(widthOf([by('phone', 'a')])).toBeGreaterThan(1.02 * widthOf([clip(0.45, 'a')]));
    expect(widthOf([by('phone', 'a', 12, 0)])).toBeCloseTo(widthOf([clip(0.45, 'a')]), 2);
  });
  test('two strips by one camera are not two independent gradients', () => {
    const one = widthOf([by('phone', 'a'), by('phone', 'b', 13)]);
    const two = widthOf([by('phone', 'a'), by('other phone', 'b', 13)]);
    expect(one).toBeGreaterThan(two);
    expect(one).toBeLessThan(widthOf([by('phone', 'a')]));
  });
  test('a strip of film that is known, by the same camera, tells the camera: the ratio keeps its few per cent', () => {
    const fresh = { storage: [], yearsSd: 0, sinceExposure: [], xrayPasses: 0 };
    const known = { age: fresh, stockId: 'control', rollId: 'control roll' };
    const control = (camera: string): EvidenceInput[] => [
      ...['c', 'd', 'e'].map((id, at): EvidenceInput => ({
        ...(clip(0.6, id, 10 + at) as EvidenceInput & { kind: 'clip' }),
        baseFogD: null,
        setting: known,
      })),
      {
        ...(by(camera, 'f', 11) as EvidenceInput & { kind: 'clip' }),
        gradient: 0.6,
        baseFogD: null,
        setting: known,
      },
    ];
    const shared = widthOf([by('phone', 'a'), ...control('phone')]);
    const apart = widthOf([by('phone', 'a'), ...control('other phone')]);
    expect(shared).toBeLessThan(apart);
  });
});

import { describe, expect, test } from 'vitest';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { completeRequest, estimate, workOut } from './estimate';
import { isGuess } from './isGuess';
import { estimateWith } from './learned';
import { ownTimeOutlook } from './ownTime';
import { piecesOf } from './pieces';
import { analysis } from './analysis';

const request = sampleRequest({ age: roomYears(31), strategy: { id: 'extend' } });
const worked = workOut(request);
const { timeMin, band } = worked.estimate;

describe('a time of one’s own beside the estimate', () => {
  test('the estimate’s own time gives what the estimate says', () => {
    const own = ownTimeOutlook(worked, timeMin);
    expect(own).toMatchObject({ ratio: 1, place: 'inside' });
    expect(own.netGradient).toBeCloseTo(worked.estimate.gradient.net, 9);
    expect(own.baseFogD).toBeCloseTo(worked.estimate.baseFogD.value, 9);
    const chosen = analysis(request).strategies.outlooks.find(({ id }) => id === 'extend');
    expect(own.densities).toEqual(chosen?.densities);
    expect(own.shadows).toEqual(chosen?.shadows);
  });
  test('shorter is softer with less fog, longer harder with more', () => {
    const [short, long] = [ownTimeOutlook(worked, timeMin * 0.73), ownTimeOutlook(worked, timeMin * 1.3)];
    expect(short.ratio).toBeCloseTo(0.73, 9);
    expect(short.netGradient).toBeLessThan(long.netGradient);
    expect(short.baseFogD).toBeLessThan(long.baseFogD);
  });
  test('it says on which side of the band it lies', () => {
    expect(ownTimeOutlook(worked, band.lowMin * 0.99).place).toBe('shorter');
    expect(ownTimeOutlook(worked, band.highMin * 1.01).place).toBe('longer');
    expect(ownTimeOutlook(worked, band.highMin).place).toBe('inside');
  });
  test('the curve of an analysis reaches beyond it, and without one there is none', () => {
    const own = analysis(request, undefined, undefined, band.highMin * 3);
    expect(own.curve.timesMin.at(-1)).toBeGreaterThan(band.highMin * 3);
    expect(own.own?.timeMin).toBe(band.highMin * 3);
    expect(analysis(request).own).toBeNull();
  });
  test('a clip is shown as the film would be after nine tenths of the time: softer, and no more fogged', () => {
    const { clip, estimate } = analysis(request);
    expect(clip.timeMin).toBeCloseTo(0.9 * estimate.timeMin, 9);
    expect(clip.place).toBe('inside');
    expect(clip.netGradient).toBeLessThan(estimate.gradient.net);
    expect(clip.baseFogD).toBeLessThanOrEqual(estimate.baseFogD.value);
    expect(clip).toEqual(analysis(request, undefined, undefined, clip.timeMin).own);
  });
});

describe('a developer of which nothing is known', () => {
  const other = (name: string, rollId: string) =>
    completeRequest({ ...sampleRequest(), developer: { kind: 'other', name }, rollId, brewId: `brew of ${rollId}` });
  /** Two runs of 20 min in it, both as wanted. */
  const judged = ['a', 'b'].flatMap((rollId) =>
    piecesOf(
      completeRequest({
        ...other('Heather tea', rollId),
        evidence: [{ kind: 'verdict', id: `verdict ${rollId}`, timeMin: 20, contrast: 0 }],
      }),
    ),
  );
  test('is a guess, and told as one; a known class is none', () => {
    expect(isGuess(estimate(other('Heather tea', 'c')))).toBe(true);
    expect(isGuess(estimate(sampleRequest()))).toBe(false);
  });
  test('gets an estimate of its own from its verdicts', () => {
    const after = estimateWith(other('Heather tea', 'c'), judged);
    expect(isGuess(after)).toBe(false);
    expect(after.timeMin).toBeGreaterThan(17);
    expect(after.timeMin).toBeLessThan(23);
  });
  test('shares them by its name alone, in any letters, and with no other', () => {
    expect(estimateWith(other('heather tea', 'c'), judged).timeMin).toBeCloseTo(
      estimateWith(other('Heather tea', 'c'), judged).timeMin,
      9,
    );
    expect(isGuess(estimateWith(other('Juniper tea', 'c'), judged))).toBe(true);
  });
});

describe('a movement of one’s own in the estimate', () => {
  const moved = (movement: ReturnType<typeof sampleRequest>['movement']) =>
    estimate(sampleRequest({ age: roomYears(0), movement }));
  const half = {
    continuous: false,
    first: null,
    stillFromMin: null,
    wakeUp: null,
    gesture: 'invert',
    tap: false,
  } as const;
  test('moves the time by its rate, and the band is a little wider than a school’s', () => {
    const school = estimate(sampleRequest({ age: roomYears(0), agitationId: 'ten-each-minute' }));
    const own = moved({
      ...half,
      every: { periodS: 60, placement: 'start', amount: { unit: 'seconds', n: 30 } },
    });
    const row = own.ledger.find(({ id }) => id === 'agitation');
    expect(row?.ratio).toBeGreaterThan(1 / 1.18);
    expect(row?.ratio).toBeLessThan(1 / 1.06);
    expect(own.timeMin).toBeCloseTo(school.timeMin * (row?.ratio ?? 0), 6);
    expect(own.lnSd).toBeGreaterThan(school.lnSd);
  });
});

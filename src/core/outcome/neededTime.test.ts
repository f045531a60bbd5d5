import jstat from 'jstat';
import { describe, expect, test } from 'vitest';
import { bandsHeld, neededTime } from './neededTime';
import { sampleRun } from '../testing/sampleRun';

const outlook = sampleRun().pinned.outlook as NonNullable<ReturnType<typeof sampleRun>['pinned']['outlook']>;

describe('the time that a film would have needed', () => {
  test('as wanted: what it got, whatever was planned', () => {
    expect(neededTime(12, 0, outlook)?.timeMin).toBeCloseTo(12, 6);
    expect(neededTime(15, 0, outlook)?.timeMin).toBeCloseTo(15, 6);
  });
  test('a grade soft: by the curve, G = 0.9(1 − e^(−0.0862 t)), worked by hand within the chords', () => {
    const t = (gradient: number): number => -Math.log(1 - gradient / 0.9) / 0.0862;
    const expected = (t(0.58) * 12) / t(0.58 * Math.exp(-0.18));
    expect(neededTime(12, -1, outlook)?.timeMin ?? 0).toBeGreaterThan(expected * 0.96);
    expect(neededTime(12, -1, outlook)?.timeMin ?? 0).toBeLessThan(expected * 1.04);
  });
  test('half a grade either way is its own doubt', () => {
    const { timeMin, lowMin, highMin } = neededTime(12, 1, outlook) ?? { timeMin: 0, lowMin: 0, highMin: 0 };
    expect(lowMin).toBeLessThan(timeMin);
    expect(highMin).toBeGreaterThan(timeMin);
    expect(timeMin).toBeLessThan(12);
  });
  test('out of the curve’s reach there is no time', () =>
    expect(neededTime(12, 0, { ...outlook, targetGradient: 1.4 })).toBeNull());
});

describe('how bands held', () => {
  const run = (neededMin: number) => ({ neededMin, lowMin: 9, highMin: 16 });
  test('eight of ten is as it should be', () => {
    const runs = [10, 11, 12, 13, 14, 9, 16, 12, 20, 4].map(run);
    expect(bandsHeld(runs)).toEqual({ runs: 10, inside: 8, tooFew: false, widening: 1 });
  });
  test('too few goes by the binomial distribution (against jstat)', () => {
    for (const n of [1, 3, 5, 10, 20])
      for (let k = 0; k <= n; k++) {
        const runs = Array.from({ length: n }, (_, at) => run(at < k ? 12 : 30));
        expect(bandsHeld(runs).tooFew).toBe(jstat.jStat.binomial.cdf(k, n, 0.8) < 0.05);
      }
  });
  test('misses of three standard deviations in seven of ten widen, worked by hand: √((8 + 7·9) / 18) = 1.99', () => {
    // Half the band is ln(4/3)/1.2816 for one standard deviation: 60 min is far beyond three of them.
    const runs = [12, 12, 12, 60, 60, 60, 60, 60, 60, 60].map((needed) => run(needed));
    expect(bandsHeld(runs).widening).toBeCloseTo(Math.sqrt((8 + 7 * 9) / 18), 9);
  });
  test('bands that were widened already stay so while the model alone would miss, and go back when it would hold', () => {
    const wide = (neededMin: number) => ({ neededMin, lowMin: 9 / 1.5, highMin: 16 * 1.5, widening: 2 });
    const missed = [7, 22, 7, 22, 7, 22, 7, 12, 12, 12].map(wide);
    expect(bandsHeld(missed)).toMatchObject({ inside: 10, tooFew: false });
    expect(bandsHeld(missed).widening).toBeGreaterThan(1);
    expect(bandsHeld(Array.from({ length: 10 }, () => wide(12))).widening).toBe(1);
  });
});

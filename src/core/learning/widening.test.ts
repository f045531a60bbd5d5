import { describe, expect, test } from 'vitest';
import { estimate, workOut } from '../estimate/estimate';
import { gradientCurve } from '../estimate/gradientCurve';
import { nextTests } from '../estimate/nextTests';
import { roomYears, sampleRequest } from '../testing/sampleRequest';
import { learnPieces } from './learning';

const request = sampleRequest({ age: roomYears(20), strategy: { id: 'extend' } });
const held = (widening: number) => ({ runs: 10, inside: 4, tooFew: widening > 1, widening });

describe('bands that did not hold are drawn wider', () => {
  const [plain, wide] = [1, 1.5].map((widening) => learnPieces([], null, held(widening)).fitFor(request, []));
  if (plain === undefined || wide === undefined) throw new Error('no fit');
  test('by the power in ln, on both sides, and the time stays', () => {
    const [usual, wider] = [estimate(request, plain), estimate(request, wide)];
    expect(wider.timeMin).toBe(usual.timeMin);
    const side = (end: 'lowMin' | 'highMin', { band, timeMin }: typeof usual) => Math.log(band[end] / timeMin);
    for (const end of ['lowMin', 'highMin'] as const) expect(side(end, wider)).toBeCloseTo(1.5 * side(end, usual), 9);
    expect([usual.widening, wider.widening]).toEqual([1, 1.5]);
    expect(wider.lnSd).toBeCloseTo(1.5 * usual.lnSd, 9);
  });
  test('the gradient’s band is drawn wider by the same measure, around the same curve', () => {
    const [usual, wider] = [plain, wide].map((fit) => gradientCurve(workOut(request, fit), 20, 5));
    expect(wider?.net).toEqual(usual?.net);
    usual?.net.forEach((net, at) => {
      const [low, high] = [usual.low[at] ?? 0, usual.high[at] ?? 0];
      expect(wider?.low[at]).toBeCloseTo(Math.max(0, net + 1.5 * (low - net)), 9);
      expect(wider?.high[at]).toBeCloseTo(net + 1.5 * (high - net), 9);
    });
  });
  test('what a test would leave is as wide as the estimate that it leaves', () => {
    const [usual, wider] = [plain, wide].map((fit) => nextTests(workOut(request, fit)).tests[0]);
    const width = (test_: typeof usual) => Math.log((test_?.highMin ?? 1) / (test_?.lowMin ?? 1));
    expect(width(wider)).toBeCloseTo(1.5 * width(usual), 9);
  });
});

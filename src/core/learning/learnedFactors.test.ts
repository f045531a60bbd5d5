import { describe, expect, test } from 'vitest';
import { estimate, completeRequest } from '../estimate/estimate';
import { fitEvidence } from '../estimate/fit';
import { fitWith } from '../estimate/learned';
import { settingOf } from '../estimate/pieces';
import type { EvidenceItem } from '../estimate/observations';
import { coffeeRequest, sampleRequest } from '../testing/sampleRequest';
import { USUAL_EYE_SD_GRADES, type EyeScatter } from '../outcome/eyeScatter';
import { seenBy } from './benchEvidence';
import { learnedFactors } from './learnedFactors';

/** Verdicts of one stock that is truly slower by a factor: each developed for the time asked for, and judged by what came out. */
function judgedRuns(count: number, slower: number): EvidenceItem[] {
  const pieces: EvidenceItem[] = [];
  for (let n = 0; n < count; n++) {
    const request = sampleRequest({ stockId: 'slow', rollId: `roll ${n}`, brewId: `brew ${n}` });
    const { timeMin } = estimate(request, fitWith(request, pieces));
    const fresh = estimate(sampleRequest()).timeMin;
    // The film reaches the target after `slower` times the time of the prior: contrast follows the logarithm of what is missing.
    const grade = Math.round((2.2 * Math.log(timeMin / (fresh * slower))) / 0.18) / 2;
    pieces.push({
      evidence: {
        kind: 'verdict',
        id: `run ${n}`,
        setting: {},
        timeMin,
        contrast: Math.max(-2, Math.min(2, Math.round(grade))),
        fogD: 0.05,
        target: request.target,
      },
      setting: settingOf(request),
    });
  }
  return pieces;
}

describe('what a bench has learned', () => {
  test('five logged runs of a stock that is 40 % slower bring the sixth within 10 %', () => {
    const pieces = judgedRuns(5, 1.4);
    const sixth = sampleRequest({ stockId: 'slow', rollId: 'sixth', brewId: 'sixth' });
    const { timeMin } = estimate(sixth, fitWith(sixth, pieces));
    const wanted = estimate(sampleRequest()).timeMin * 1.4;
    expect(Math.abs(Math.log(timeMin / wanted))).toBeLessThan(0.1);
  });
  test('its factors move from one towards what is true, and their bands shrink', () => {
    const pieces = judgedRuns(5, 1.4);
    const factors = learnedFactors(fitEvidence(pieces), pieces);
    const product = factors
      .filter(({ kind }) => kind === 'stock' || kind === 'developer' || kind === 'pair')
      .reduce((all, { factor }) => all * factor, 1);
    expect(product).toBeGreaterThan(1.1);
    for (const { low, high, priorLow, priorHigh, kind } of factors) {
      if (kind === 'eye') expect(high - low).toBeLessThan(priorHigh - priorLow);
      else expect(high / low).toBeLessThan(priorHigh / priorLow);
    }
  });
  test('a steady eye narrows the band of the next roll, a wavering one widens it, and an unknown one changes nothing', () => {
    const pieces = judgedRuns(5, 1);
    const sixth = sampleRequest({ stockId: 'slow', rollId: 'sixth', brewId: 'sixth' });
    const widthOf = (eye: EyeScatter): number => {
      const { lowMin, highMin } = estimate(sixth, fitWith(sixth, seenBy(eye, pieces))).band;
      return Math.log(highMin / lowMin);
    };
    const usual = widthOf({ sdGrades: USUAL_EYE_SD_GRADES, repeats: 0 });
    expect(widthOf({ sdGrades: USUAL_EYE_SD_GRADES, repeats: 4 })).toBeCloseTo(usual, 12);
    expect(widthOf({ sdGrades: 0.45, repeats: 20 })).toBeLessThan(usual - 0.01);
    expect(widthOf({ sdGrades: 1.4, repeats: 20 })).toBeGreaterThan(usual + 0.01);
  });
  test('nothing learned, nothing told', () => {
    expect(learnedFactors(fitEvidence([]), [])).toEqual([]);
    expect(completeRequest(coffeeRequest).stockId).toBeDefined();
  });
});

import { logBand } from './band';
import { estimate } from './estimate';
import type { Fit } from './fit';
import type { EstimateRequest } from './request';
import type { Estimate } from './result';

/** A fact about the roll that is not known, and the band that would be left if it were. */
export interface NarrowingFact {
  id: 'date' | 'storage';
  lowMin: number;
  highMin: number;
  /** Factor on the width of the band in ln; below 1. */
  widthRatio: number;
}

/** Spread of a storage temperature that somebody has measured or lived with, °C. Source: our choice. */
const KNOWN_STORAGE_SD_C = 1;

/** A fact is worth telling when it narrows the band at least by so much. Source: our choice. */
const WORTH = 0.99;

/**
 * Which missing fact about the roll would narrow the band most.
 * @param request a valid request whose age is a distribution
 * @param now its estimate
 * @param fit evidence
 * @returns facts worth asking for, the best first; empty where nothing about the roll is in doubt
 */
export function narrowingFacts(
  request: EstimateRequest,
  now: Pick<Estimate, 'timeMin' | 'lnSd'>,
  fit: Fit,
): NarrowingFact[] {
  const { dated } = request.age;
  if (dated === undefined) return [];
  const meanYear = Math.round(dated.made.reduce((sum, { year, weight }) => sum + year * weight, 0));
  const variants: [NarrowingFact['id'], EstimateRequest['age']][] = [
    ['date', { ...request.age, dated: { ...dated, made: [{ year: meanYear, weight: 1 }] } }],
    [
      'storage',
      {
        ...request.age,
        dated: {
          ...dated,
          stays: dated.stays.map((stay) => ({
            ...stay,
            temperatureSdC: Math.min(stay.temperatureSdC, KNOWN_STORAGE_SD_C),
          })),
        },
      },
    ],
  ];
  return variants
    .map(([id, age]): NarrowingFact => {
      const { lnSd } = estimate({ ...request, age }, fit);
      const { low, high } = logBand(now.timeMin, lnSd);
      return { id, lowMin: low, highMin: high, widthRatio: lnSd / now.lnSd };
    })
    .filter(({ widthRatio }) => widthRatio < WORTH)
    .sort((a, b) => a.widthRatio - b.widthRatio);
}

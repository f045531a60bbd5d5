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

/** A fact is worth telling when it narrows the band by a tenth at least. Source: our choice. */
const WORTH = 0.9;

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
  const answers: [NarrowingFact['id'], EstimateRequest['age'][]][] = [
    [
      'date',
      yearsToAnswer(dated.made).map((year) => ({ ...request.age, dated: { ...dated, made: [{ year, weight: 1 }] } })),
    ],
    [
      'storage',
      [
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
    ],
  ];
  return answers
    .map(([id, ages]): NarrowingFact => {
      // What is left on average, over the answers that may come.
      const variances = ages.map((age) => estimate({ ...request, age }, fit).lnSd ** 2);
      const lnSd = Math.sqrt(variances.reduce((sum, variance) => sum + variance, 0) / variances.length);
      const { low, high } = logBand(now.timeMin, lnSd);
      return { id, lowMin: low, highMin: high, widthRatio: lnSd / now.lnSd };
    })
    .filter(({ widthRatio }) => widthRatio < WORTH)
    .sort((a, b) => a.widthRatio - b.widthRatio);
}

/** The years that stand for an early, a middling and a late answer: the middles of three equal parts of the window. */
function yearsToAnswer(made: readonly { year: number; weight: number }[]): number[] {
  const inOrder = [...made].sort((a, b) => a.year - b.year);
  const whole = inOrder.reduce((sum, { weight }) => sum + weight, 0);
  return [1 / 6, 3 / 6, 5 / 6].map((position) => {
    let below = 0;
    for (const { year, weight } of inOrder) {
      below += weight;
      if (below >= position * whole) return year;
    }
    return inOrder.at(-1)?.year ?? 0;
  });
}

import type { EstimatePreview } from '../estimate/analysis';
import type { Pinned } from '../records/records';

/** One sample of the curve in so many goes to the tank, to so many digits: ten thousand runs keep theirs. */
const KEPT_SHARE = 3;
const DIGITS = 5;

/**
 * What is pinned of an estimate: the time, its reasons, and what the tank has to know.
 * @param glance the estimate with its curve
 * @param ownTimeMin a time of the user's own, min, which goes before the estimate; null for none
 * @param evidenceIds pieces of evidence that it rests on
 * @param atMs this instant, ms since the epoch
 */
export function pinOf(
  { estimate, curve, q10 }: Pick<EstimatePreview, 'estimate' | 'curve' | 'q10'>,
  ownTimeMin: number | null,
  evidenceIds: string[],
  atMs: number,
): Pinned {
  return {
    atMs,
    ...(ownTimeMin === null ? { timeMin: estimate.timeMin } : { timeMin: ownTimeMin, own: true }),
    lowMin: estimate.band.lowMin,
    highMin: estimate.band.highMin,
    ...(estimate.widening === 1 ? {} : { widening: estimate.widening }),
    ledger: estimate.ledger,
    evidenceIds,
    outlook: {
      targetGradient: estimate.gradient.target,
      curve: curve.timesMin.flatMap((timeMin, index) =>
        index % KEPT_SHARE === 0 || index === curve.timesMin.length - 1
          ? [{ timeMin: rounded(timeMin), net: rounded(curve.net[index] as number) }]
          : [],
      ),
      q10: rounded(q10),
    },
  };
}

function rounded(value: number): number {
  return Number(value.toPrecision(DIGITS));
}

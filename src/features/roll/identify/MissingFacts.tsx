'use client';

import type { EstimateAnalysis } from '@/core/estimate/analysis';
import { formatMinutes } from '@/core/units/duration';

const words = { date: 'when it was made', storage: 'storage temperature' } as const;

/** Which missing fact about the roll would narrow the band most. */
export function MissingFacts({ analysis: { missing, estimate } }: { analysis: EstimateAnalysis }) {
  const [best, ...others] = missing;
  if (best === undefined)
    return <p className="text-ink2">No further fact about the roll would narrow the time; a test would.</p>;
  return (
    <p>
      The likely range is {formatMinutes(estimate.band.lowMin)}–{formatMinutes(estimate.band.highMin)}. Knowing{' '}
      <b>{words[best.id]}</b> would narrow it most, to {formatMinutes(best.lowMin)}–{formatMinutes(best.highMin)}
      {others.map(({ id, lowMin, highMin }) => `; ${words[id]}, to ${formatMinutes(lowMin)}–${formatMinutes(highMin)}`)}
      .
    </p>
  );
}

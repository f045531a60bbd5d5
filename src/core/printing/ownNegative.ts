import { curveThrough } from '../densitometry/measuredCurve';
import type { StripRecord } from '../records/records';
import { readingOfKept } from '../records/keptStrip';

/**
 * The density of somebody's own negative by its exposure, from the strip of its roll that was read last.
 * @param strips strips of the roll, oldest first
 * @returns density by log10 of the exposure against the speed point, D; null where no strip has a curve with a speed point
 */
export function ownNegative(strips: readonly StripRecord[]): ((logH: number) => number) | null {
  for (const strip of [...strips].reverse()) {
    const { curve } = readingOfKept(strip);
    if (curve === null || curve.speedLogH === null) continue;
    const { speedLogH } = curve;
    const densityAt = curveThrough(curve.through);
    return (logH) => densityAt(speedLogH + logH);
  }
  return null;
}

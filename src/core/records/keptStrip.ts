import { patchOfKept } from '../densitometry/patchDensity';
import { separateDensities, stripReading, type StripReading } from '../evidence/stripReading';
import type { StripRecord } from './records';

/** A strip that was kept, read again: curve, speed and gradient. Densities were corrected when it was kept. */
export function readingOfKept({ clear, steps, meteredIso, doubt }: StripRecord): StripReading {
  const logH = steps.every((step) => step.logH !== null) ? steps.map((step) => step.logH ?? 0) : null;
  const densities = separateDensities(clear === null ? null : patchOfKept(clear), steps.map(patchOfKept));
  const reading = stripReading(densities, { logH, meteredIso, numbered: true });
  const { curve } = reading;
  if (curve?.gradient == null || doubt === undefined) return reading;
  // What moves all of its densities together was kept as one figure.
  const lnSd = Math.hypot(doubt.cameraLnSd, doubt.ownLnSd);
  return {
    ...reading,
    curve: {
      ...curve,
      gradient: { ...curve.gradient, se: lnSd * curve.gradient.value },
      doubt: { ...curve.doubt, gradient: { lnSd, ownLnSd: doubt.ownLnSd } },
    },
  };
}

import { spreadOfKept } from '../densitometry/keptSpread';
import { patchOfKept } from '../densitometry/patchDensity';
import { separateDensities, stripReading, type StripReading } from '../evidence/stripReading';
import type { StripRecord } from './records';

/** A strip that was kept, read again: curve, speed and gradient, with their doubts. Densities were corrected when it was kept. */
export function readingOfKept({ clear, steps, meteredIso, doubt, spread }: StripRecord): StripReading {
  const logH = steps.every((step) => step.logH !== null) ? steps.map((step) => step.logH ?? 0) : null;
  const plan = { logH, meteredIso, numbered: true };
  const apart = separateDensities(clear === null ? null : patchOfKept(clear), steps.map(patchOfKept));
  const together = spread === undefined ? null : spreadOfKept(spread, apart.covariance.length);
  if (together !== null) return stripReading({ ...apart, ...together }, plan);
  const reading = stripReading(apart, plan);
  const { curve } = reading;
  if (curve?.gradient == null || doubt === undefined) return reading;
  // From before their spread was kept: what moves all of its densities together is one figure.
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

import { patchOfKept } from '../densitometry/patchDensity';
import { stripReading, type StripReading } from '../evidence/stripReading';
import type { StripRecord } from './records';

/** A strip that was kept, read again: curve, speed and gradient. Densities were corrected when it was kept. */
export function readingOfKept({ clear, steps, meteredIso }: StripRecord): StripReading {
  const logH = steps.every((step) => step.logH !== null) ? steps.map((step) => step.logH ?? 0) : null;
  return stripReading(clear === null ? null : patchOfKept(clear), steps.map(patchOfKept), { logH, meteredIso });
}

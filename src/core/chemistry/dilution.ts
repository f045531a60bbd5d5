import { failure, success, type Result } from '../schema/result';

/** A dilution in parts: 1+9 is one part of concentrate and nine of water. */
export interface Parts {
  concentrate: number;
  water: number;
}

/**
 * Volume fraction of concentrate in a working solution.
 * @param parts concentrate above 0, water 0 or more
 * @returns concentrate / (concentrate + water)
 * @example concentrateFraction({ concentrate: 1, water: 31 }) // 1/32
 */
export function concentrateFraction(parts: Parts): number {
  return parts.concentrate / (parts.concentrate + parts.water);
}

/**
 * Volumes of concentrate and water for a total.
 * @param parts concentrate above 0, water 0 or more
 * @param totalMl working solution, ml; above 0
 * @returns volumes, ml, that add up to the total. Source: definition of a volume dilution.
 * @example dilute({ concentrate: 1, water: 31 }, 500) // { ok: true, value: { concentrateMl: 15.625, waterMl: 484.375 } }
 */
export function dilute(parts: Parts, totalMl: number): Result<{ concentrateMl: number; waterMl: number }> {
  if (!(parts.concentrate > 0) || !(parts.water >= 0)) {
    return failure({
      path: 'concentrateParts',
      message: 'A dilution needs more than 0 parts of concentrate and 0 or more parts of water.',
    });
  }
  if (!(totalMl > 0)) return failure({ path: 'totalMl', message: 'The total volume must be more than 0 ml.' });
  const concentrateMl = concentrateFraction(parts) * totalMl;
  return success({ concentrateMl, waterMl: totalMl - concentrateMl });
}

/**
 * Rate of development at a concentration relative to a reference: (c / c_ref)^n.
 * @param parts the dilution in use
 * @param reference the dilution at which the rate is 1
 * @param exponent n; 0 to 1.5
 * @returns relative rate. Source: our estimate for n; power law after common practice.
 * @example dilutionRate({ concentrate: 1, water: 63 }, { concentrate: 1, water: 31 }, 0.8) // 0.574
 */
export function dilutionRate(parts: Parts, reference: Parts, exponent: number): number {
  return (concentrateFraction(parts) / concentrateFraction(reference)) ** exponent;
}

import type { Fit } from './fit';

/** Covariances of unknowns, as a matrix in the order in which they are asked for. */
export type Covariances = (keys: readonly string[]) => Float64Array[];

/**
 * Covariances of a fit, each worked out once: an estimate, its tests and its evidence ask for the same ones again and again.
 * @param fit all evidence
 * @param plain whether what a surprise loosened is left as the fit has it: for taking pieces back out of the fit
 * @returns the matrix of some unknowns; the caller may change it
 */
export function covariancesOf(fit: Fit, plain = false): Covariances {
  const known = new Map<string, Map<string, number>>();
  const rowOf = (key: string): Map<string, number> => {
    const row = known.get(key) ?? new Map<string, number>();
    known.set(key, row);
    return row;
  };
  return (keys) => {
    const matrix = keys.map(() => new Float64Array(keys.length));
    keys.forEach((a, i) => {
      const row = rowOf(a);
      for (let j = 0; j <= i; j++) {
        const b = keys[j] as string;
        let value = row.get(b);
        if (value === undefined) {
          value = fit.covariance(a, b) * (plain ? 1 : fit.looseness(a) * fit.looseness(b));
          row.set(b, value);
          rowOf(b).set(a, value);
        }
        (matrix[i] as Float64Array)[j] = value;
        (matrix[j] as Float64Array)[i] = value;
      }
    });
    return matrix;
  };
}

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
  const numbers = new Map<string, number>();
  const looseness: number[] = [];
  /** One triangle over all keys that were asked for so far; NaN where nothing was worked out yet. */
  let known = new Float64Array(0);
  const numberOf = (key: string): number => {
    let number = numbers.get(key);
    if (number === undefined) {
      number = numbers.size;
      numbers.set(key, number);
      looseness.push(plain ? 1 : fit.looseness(key));
    }
    return number;
  };
  const makeRoom = () => {
    const cells = (numbers.size * (numbers.size + 1)) / 2;
    if (cells <= known.length) return;
    const larger = new Float64Array(2 * cells).fill(NaN);
    larger.set(known);
    known = larger;
  };
  return (keys) => {
    const order = keys.map(numberOf);
    makeRoom();
    const matrix = keys.map(() => new Float64Array(keys.length));
    for (let i = 0; i < order.length; i++) {
      const a = order[i] as number;
      const row = matrix[i] as Float64Array;
      for (let j = 0; j <= i; j++) {
        const b = order[j] as number;
        const cell = a > b ? (a * (a + 1)) / 2 + b : (b * (b + 1)) / 2 + a;
        let value = known[cell] as number;
        if (Number.isNaN(value)) {
          const loose = (looseness[a] as number) * (looseness[b] as number);
          value = fit.covariance(keys[i] as string, keys[j] as string) * loose;
          known[cell] = value;
        }
        row[j] = value;
        (matrix[j] as Float64Array)[i] = value;
      }
    }
    return matrix;
  };
}

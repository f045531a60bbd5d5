/**
 * Median of some numbers; of an even count the mean of the two in the middle.
 * @param values finite, in any order; at least one
 * @returns NaN for none
 * @example medianOf([3, 1, 2, 10]) // 2.5
 */
export function medianOf(values: Iterable<number>): number {
  // A typed array is copied whole, without asking for one number after the other.
  const sorted = (values instanceof Float64Array ? values.slice() : Float64Array.from(values)).sort();
  const half = sorted.length / 2;
  return ((sorted[Math.floor(half - 0.5)] ?? NaN) + (sorted[Math.floor(half)] ?? NaN)) / 2;
}

/**
 * A value between samples, by straight lines; the ends go on level.
 * @param count number of samples
 * @param x place of a sample, ascending with its index
 * @param y value of a sample
 * @param at where the value is asked for
 * @returns the value; 0 without samples
 * @example interpolate(2, (i) => [0, 10][i], (i) => [1, 3][i], 5) // 2
 */
export function interpolate(
  count: number,
  x: (index: number) => number,
  y: (index: number) => number,
  at: number,
): number {
  if (count === 0) return 0;
  let next = 0;
  while (next < count && x(next) < at) next += 1;
  if (next === 0) return y(0);
  if (next === count) return y(count - 1);
  const share = (at - x(next - 1)) / (x(next) - x(next - 1));
  return y(next - 1) + share * (y(next) - y(next - 1));
}

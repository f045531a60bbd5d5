/** Halvings that narrow any range of everyday numbers to the last digit that a double keeps. */
const HALVINGS = 60;

/**
 * Where a function that only rises first reaches a value, by halving.
 * @param rising the function
 * @param wanted the value
 * @param low where it is still below it
 * @param high where it has reached it
 * @param halvings how often the range is halved
 * @returns the upper end of the last range: there the value is reached
 * Source: bisection (textbook).
 * @example bisect((x) => x * x, 2, 0, 2) // 1.41421356…
 */
export function bisect(
  rising: (x: number) => number,
  wanted: number,
  low: number,
  high: number,
  halvings = HALVINGS,
): number {
  let [below, reached] = [low, high];
  for (let step = 0; step < halvings; step++) {
    const middle = (below + reached) / 2;
    if (rising(middle) < wanted) below = middle;
    else reached = middle;
  }
  return reached;
}

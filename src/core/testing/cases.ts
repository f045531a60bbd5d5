/**
 * How many cases a test draws: few in every run, many in the long one.
 * @param few enough to see a fault that is there
 * @param many enough to measure
 */
export function cases(few: number, many: number): number {
  return process.env.AETAS_LONG === '1' ? many : few;
}

/**
 * How many cases a test draws: few in every run, many in the long one.
 * @param few enough to see a fault that is there
 * @param many enough to measure
 */
export function cases(few: number, many: number): number {
  return process.env.AETAS_LONG === '1' ? many : few;
}

/**
 * How many cases a sweep draws: a quarter of them where only a part of the sweeps is run.
 * @param all of the whole sweep
 */
export function sweep(all: number): number {
  return process.env.AETAS_SHORT === '1' ? Math.round(all / 4) : all;
}

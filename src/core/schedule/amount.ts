/** Seconds that one inversion or twirl takes. Source: our estimate. */
export const SECONDS_PER_TURN = 2.5;

/** How long one movement lasts: by the clock, or by its turns. */
export interface Amount {
  unit: 'seconds' | 'turns';
  n: number;
}

/**
 * How long a movement lasts.
 * @param amount by the clock, or by turns
 * @returns s
 * @example amountS({ unit: 'turns', n: 4 }) // 10
 */
export function amountS({ unit, n }: Amount): number {
  return unit === 'seconds' ? n : n * SECONDS_PER_TURN;
}

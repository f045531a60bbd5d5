import type { LampStep } from './exposing';

/**
 * How much light a lamp loses each time that it goes on: it comes up late and slowly.
 * @param times how often the short exposure was given; 2 or more
 * @param shortS the short exposure, s
 * @param alikeS the one long exposure that came out as dark, s
 * @returns s for each time that it goes on; 0 where the long one was no shorter. Source: definition, n (t − L) = T − L
 * @example lampLag(10, 1, 8.2) // 0.2 s
 */
export function lampLag(times: number, shortS: number, alikeS: number): number {
  return Math.max(0, (times * shortS - alikeS) / (times - 1));
}

/** The steps of a lamp with what it loses made good each time that it goes on. */
export function withLag(steps: readonly LampStep[], lagS: number): LampStep[] {
  return lagS <= 0 ? [...steps] : steps.map((step) => ({ ...step, seconds: Number((step.seconds + lagS).toFixed(2)) }));
}

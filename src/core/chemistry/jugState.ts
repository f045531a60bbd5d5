import { BREW_GRACE_H, BREW_HALF_LIFE_H, brewAgeRate, brewUseRate } from './brewWear';

/** Share of its strength below which a brew counts as spent. Source: our choice. */
export const SPENT_SHARE = 0.5;

const HOUR_MS = 3_600_000;

/** What is left of a brew in its jug. */
export interface JugState {
  /** Strength left, 0 to 1. */
  strength: number;
  /** Factor on the time of the next film. */
  timeFactor: number;
  /** Instant at which it falls below half of its fresh strength, ms since the epoch; null when it does not wear. */
  goodUntilMs: number | null;
  spent: boolean;
}

/**
 * What is left of a brew.
 * @param brew when it was mixed, its volume, the films through it, and whether it wears like an organic brew
 * @param nowMs this instant, ms since the epoch
 * @returns strength by age and use. Source: our estimate and common practice; see brewWear.
 */
export function jugState(brew: { mixedMs: number; volumeMl: number; films: number; wears: boolean }, nowMs: number): JugState {
  if (!brew.wears) return { strength: 1, timeFactor: 1, goodUntilMs: null, spent: false };
  const useRate = brewUseRate(brew.films, brew.volumeMl);
  const strength = useRate * brewAgeRate(Math.max(0, nowMs - brew.mixedMs) / HOUR_MS);
  const hoursLeft = useRate <= SPENT_SHARE ? 0 : BREW_GRACE_H + BREW_HALF_LIFE_H * Math.log2(useRate / SPENT_SHARE);
  return { strength, timeFactor: 1 / strength, goodUntilMs: brew.mixedMs + hoursLeft * HOUR_MS, spent: strength < SPENT_SHARE };
}

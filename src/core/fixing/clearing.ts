import * as z from 'zod';
import { instantMs, limited } from '../schema/fields';

/** How long a scrap of film took to clear in a fixer, and how many films it had fixed by then. */
export const clearingReadingSchema = z.strictObject({
  atMs: instantMs,
  seconds: limited('clearingS'),
  films: limited('jugFilms'),
});

export type ClearingReading = z.infer<typeof clearingReadingSchema>;

/** A fixer is retired when clearing takes this many times what it took fresh. Source: common practice, no source. */
export const SPENT_CLEARING_FACTOR = 2;

/** What a fixer's clearing times say of it. */
export interface FixerState {
  freshS: number;
  lastS: number;
  /** How many times as long as fresh it takes now. */
  factor: number;
  spent: boolean;
}

/**
 * What a fixer's clearing times say of it.
 * @param readings oldest first
 * @returns null without a reading; the first one counts as fresh
 */
export function fixerState(readings: readonly ClearingReading[]): FixerState | null {
  const fresh = readings[0];
  const last = readings.at(-1);
  if (fresh === undefined || last === undefined) return null;
  const factor = last.seconds / fresh.seconds;
  return { freshS: fresh.seconds, lastS: last.seconds, factor, spent: factor >= SPENT_CLEARING_FACTOR };
}

/**
 * Clearing time to expect after some films: evenly from fresh to twice that at the end of the tally.
 * @param freshS clearing time of the fresh fixer, s; above 0
 * @param films films through it
 * @param filmsOfTally films that it is good for; above 0
 * @returns s. Source: our estimate, so that the tally and the test retire it together.
 */
export function expectedClearing(freshS: number, films: number, filmsOfTally: number): number {
  return freshS * (1 + ((SPENT_CLEARING_FACTOR - 1) * films) / filmsOfTally);
}

/**
 * Clearing time of a fixer at another dilution: in proportion to it.
 * @param clearingS clearing time as measured, s; above 0
 * @param shareThen share of concentrate, or g/l of the fixing salt, that it was measured with; above 0
 * @param shareNow the same of the fixer at hand; above 0
 * @returns s. Source: common practice, no source: 1+9 takes twice as long as 1+4.
 * @example clearingAtDilution(40, 1 / 5, 1 / 10) // 80
 */
export function clearingAtDilution(clearingS: number, shareThen: number, shareNow: number): number {
  return (clearingS * shareThen) / shareNow;
}

/** Share of a tally from which it is told. Source: our choice. */
export const TALLY_WARNS_AT = 0.8;

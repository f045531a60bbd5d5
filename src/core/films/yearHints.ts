import type { YearHint } from './ageWindow';
import { FIRST_FILM_YEAR } from './filmYears';
import type { UserHint } from './userHint';

/** Years from manufacture to the box date. Source: common practice (2–4 years), no source. */
export const SHELF_YEARS = { least: 2, most: 4 } as const;

/** Years that fresh film lies in shops. Source: our estimate. */
export const SHOP_YEARS = { common: 1, most: 2 } as const;

/** Years that film commonly lay between manufacture and exposure, and the most that is still believed. Source: our estimate. */
export const YEARS_TO_EXPOSURE = { common: 5, most: 15 } as const;

/**
 * A user's hint as years of manufacture.
 * @param hint the hint
 * @param index its place in the user's list, for its id
 * @returns years of manufacture; shoulders are our choice
 * @example hintYears({ kind: 'stamp', year: 1971, slackYears: 0 }, 0) // made 1967 to 1969
 */
export function hintYears(hint: UserHint, index: number): YearHint {
  const id = `hint-${index}`;
  switch (hint.kind) {
    case 'stamp':
      return {
        id,
        name: `Expiry year ${hint.year}${hint.slackYears > 0 ? ` ± ${hint.slackYears}` : ''}`,
        from: hint.year - SHELF_YEARS.most - hint.slackYears,
        coreFrom: hint.year - SHELF_YEARS.most,
        coreTo: hint.year - SHELF_YEARS.least,
        to: hint.year - SHELF_YEARS.least + hint.slackYears,
      };
    case 'bought':
      return {
        id,
        name: `Bought fresh in ${hint.year}`,
        from: hint.year - SHOP_YEARS.most,
        coreFrom: hint.year - SHOP_YEARS.common,
        coreTo: hint.year,
        to: hint.year,
      };
    case 'use':
      return {
        id,
        name: `${hint.what || 'In use'}, ${hint.from}–${hint.to}`,
        from: hint.from - YEARS_TO_EXPOSURE.most,
        coreFrom: hint.from - YEARS_TO_EXPOSURE.common,
        coreTo: hint.to,
        to: hint.to,
      };
    case 'story':
      return {
        id,
        name: `${hint.what || 'The story'}, about ${hint.year} ± ${hint.slackYears}`,
        from: hint.year - 2 * hint.slackYears - YEARS_TO_EXPOSURE.most,
        coreFrom: hint.year - hint.slackYears - YEARS_TO_EXPOSURE.common,
        coreTo: hint.year,
        to: hint.year + 2 * hint.slackYears,
      };
  }
}

/**
 * Years of manufacture as a hint.
 * @param id id of the hint
 * @param name how it reads
 * @param years first and last year of manufacture; an open end lasts until now
 * @param nowYear this year
 */
export function madeYears(
  id: string,
  name: string,
  years: { from: number; to: number | null },
  nowYear: number,
): YearHint {
  const from = Math.max(FIRST_FILM_YEAR, years.from);
  const to = years.to ?? nowYear;
  return { id, name: `${name}, ${from}–${years.to ?? 'now'}`, from, coreFrom: from, coreTo: to, to };
}

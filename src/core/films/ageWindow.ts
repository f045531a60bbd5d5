/** A hint about when a film was made: years that are fully likely, with shoulders on both sides. */
export interface YearHint {
  id: string;
  /** How the hint reads in a list or a contradiction. */
  name: string;
  /** First and last year that are possible at all. */
  from: number;
  to: number;
  /** First and last year of full likelihood; between these and the ends it falls in a line. */
  coreFrom: number;
  coreTo: number;
}

/** What the hints leave. */
export type AgeWindow =
  | { ok: true; from: number; to: number; years: readonly YearWeight[]; meanYear: number; sdYears: number }
  | { ok: false; contradictions: readonly (readonly [YearHint, YearHint])[] };

/** A year and how likely it is; the weights of a window add up to 1. */
export interface YearWeight {
  year: number;
  weight: number;
}

/**
 * Likelihood of a year under one hint.
 * @param hint the hint
 * @param year calendar year
 * @returns 1 within the core, falling in a line to 0 just outside the ends
 */
export function hintWeight(hint: YearHint, year: number): number {
  if (year < hint.from || year > hint.to) return 0;
  if (year < hint.coreFrom) return (year - hint.from + 1) / (hint.coreFrom - hint.from + 1);
  if (year > hint.coreTo) return (hint.to - year + 1) / (hint.to - hint.coreTo + 1);
  return 1;
}

/**
 * Intersects hints: a year is as likely as the product of what every hint says of it.
 * Intervals on a line meet all together exactly when they meet two by two, so a contradiction always shows as a pair.
 * @param hints any number of hints in any order; at least one
 * @returns the window with its distribution, or the pairs of hints that exclude each other
 * Source: product of independent likelihoods; the trapezoid is our choice.
 * @example ageWindow([made('1948–1985'), stamp(1971)]) // 1967 to 1969
 */
export function ageWindow(hints: readonly YearHint[]): AgeWindow {
  const sorted = [...hints].sort((a, b) => (a.id < b.id ? -1 : a.id > b.id ? 1 : a.from - b.from || a.to - b.to));
  const contradictions = sorted.flatMap((a, index) =>
    sorted.slice(index + 1).flatMap((b): [YearHint, YearHint][] => (a.from > b.to || b.from > a.to ? [[a, b]] : [])),
  );
  if (contradictions.length > 0 || sorted.length === 0) return { ok: false, contradictions };
  const from = Math.max(...sorted.map((hint) => hint.from));
  const to = Math.min(...sorted.map((hint) => hint.to));
  const raw = Array.from({ length: to - from + 1 }, (_, index) => from + index).map((year) => ({
    year,
    weight: sorted.reduce((product, hint) => product * hintWeight(hint, year), 1),
  }));
  const total = raw.reduce((sum, { weight }) => sum + weight, 0);
  const years = raw.map(({ year, weight }) => ({ year, weight: weight / total }));
  const meanYear = years.reduce((sum, { year, weight }) => sum + year * weight, 0);
  const variance = years.reduce((sum, { year, weight }) => sum + weight * (year - meanYear) ** 2, 0);
  return { ok: true, from, to, years, meanYear, sdYears: Math.sqrt(variance) };
}

/** Months by their first three letters. */
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** A date on a box as it was understood: its year is what the estimate takes. */
export interface YearReading {
  year: number;
  /** The other century, where two figures may mean both; null where they mean one. */
  other: number | null;
  /** Whether the century was filled in, or a month left out. */
  filledIn: boolean;
}

/** Years ahead of now that a box can be dated to: film sold today. */
const AHEAD = 10;

/** First year of roll film; two figures before it mean this century. */
const FIRST = 1888;

/**
 * Reads a year as people write dates: `1989`, `'89`, `89`, `03/89`, `3.1989`, `March 1989`, `1989-03`, `31.03.1989`.
 * @param text what was typed
 * @param nowYear this year, for the century of two figures
 * @returns null where it does not read as a date. Two figures mean the latest year that a box can carry; where the other
 *   century is possible for film, it is told.
 * Source: common practice, no source.
 * @example readYear("03/'89", 2026) // { year: 1989, other: null, filledIn: true }
 */
export function readYear(text: string, nowYear: number): YearReading | null {
  const plain = text.trim().toLowerCase().replace(/[’‘`]/g, "'");
  const figures = yearFigures(plain);
  if (figures === null) return null;
  const { digits, withMonth } = figures;
  if (digits.length === 4) return { year: Number(digits), other: null, filledIn: withMonth };
  const two = Number(digits);
  const century = Math.floor((nowYear + AHEAD) / 100) * 100;
  const year = century + two <= nowYear + AHEAD ? century + two : century - 100 + two;
  const before = year - 100;
  return { year, other: before >= FIRST ? before : null, filledIn: true };
}

/** The figures of the year within a date, and whether a month stands beside them. */
function yearFigures(plain: string): { digits: string; withMonth: boolean } | null {
  // The first half of a year that is being typed is none yet.
  if (/^(?:18|19|20)$/.test(plain)) return null;
  const alone = /^'?(\d{2}|\d{4})$/.exec(plain);
  if (alone !== null) return { digits: alone[1] ?? '', withMonth: false };
  const iso = /^(\d{4})[-./](\d{1,2})(?:[-./](\d{1,2}))?$/.exec(plain);
  if (iso !== null) return isMonth(iso[2]) ? { digits: iso[1] ?? '', withMonth: true } : null;
  const numbers = /^(?:(\d{1,2})\s*[-./]\s*)?(\d{1,2})\s*[-./]\s*'?(\d{2}|\d{4})$/.exec(plain);
  if (numbers !== null)
    return isMonth(numbers[2]) || (numbers[1] !== undefined && isMonth(numbers[1]))
      ? { digits: numbers[3] ?? '', withMonth: true }
      : null;
  const named = /^(?:\d{1,2}\.?\s+)?([a-z]{3,9})\.?,?\s*'?(\d{2}|\d{4})$/.exec(plain);
  if (named === null) return null;
  return MONTHS.includes((named[1] ?? '').slice(0, 3)) ? { digits: named[2] ?? '', withMonth: true } : null;
}

function isMonth(figures: string | undefined): boolean {
  const month = Number(figures);
  return month >= 1 && month <= 12;
}

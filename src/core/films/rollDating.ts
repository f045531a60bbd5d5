import { ageWindow, type AgeWindow, type YearHint, type YearWeight } from './ageWindow';
import { effectiveAgeLnSd } from './effectiveAge';
import { familyRecognition } from './familyRecognition';
import { filmFormats, type FilmFormatId } from './filmFormats';
import { historyRoomYears, stayParts, type StayPart, type StorageStay } from './storageHistory';
import { stockFamilies, type StockFamilyId } from './stockFamilies';
import type { UserHint } from './userHint';
import { hintYears, madeYears } from './yearHints';

/** Years after manufacture in which film counts as fresh: the middle of the usual shelf time. Source: common practice. */
export const FRESH_YEARS = 3;

/** What dates a roll. */
export interface DatingFacts {
  formatId: FilmFormatId;
  familyId: StockFamilyId;
  hints: readonly UserHint[];
}

/**
 * All hints about when a roll was made: its format, its family, and what the user knows.
 * @param facts format, family and the user's hints
 * @param nowYear this year
 */
export function datingHints({ formatId, familyId, hints }: DatingFacts, nowYear: number): YearHint[] {
  return [
    madeYears('format', filmFormats[formatId].name, filmFormats[formatId].yearsMade, nowYear),
    madeYears('family', stockFamilies[familyId].name, familyRecognition[familyId].yearsInUse, nowYear),
    ...hints.map(hintYears),
  ];
}

/**
 * When a roll was made.
 * @param facts format, family and the user's hints
 * @param nowYear this year
 * @returns the window, or the hints that contradict each other
 */
export function dateRoll(facts: DatingFacts, nowYear: number): AgeWindow {
  return ageWindow(datingHints(facts, nowYear));
}

/**
 * Earliest year in which a roll can have been made, for what must not be missed: hints that contradict each other count by
 * the earliest of them.
 * @param facts format, family and the user's hints
 * @returns calendar year
 */
export function earliestYear(facts: DatingFacts): number {
  const hints = datingHints(facts, Number.POSITIVE_INFINITY);
  const froms = hints.map((hint) => hint.from);
  const meet = hints.every((a) => hints.every((b) => a.from <= b.to));
  // The format itself bounds them all, whatever the others say against each other.
  const [format = 0, ...others] = froms;
  return meet ? Math.max(...froms) : Math.max(format, Math.min(...others));
}

/** How old a roll is in effect, over the whole distribution of its year. */
export interface RollAgeing {
  /** Mean and spread of the calendar years that count. */
  years: number;
  yearsSd: number;
  /** Mean effective age, room-years, and the standard deviation of its ln. */
  roomYears: number;
  roomYearsLnSd: number;
  /** What each stay adds on the mean. */
  parts: StayPart[];
}

/**
 * Effective age over a distribution of the year of manufacture: every year is carried through the storage history, and the
 * first two moments of the result are kept, with the doubt of the temperatures added.
 * @param distribution years of manufacture with weights that add up to 1
 * @param stays storage in order of time
 * @param nowYear this year
 * @returns the ageing of the roll
 */
export function ageRoll(
  distribution: readonly YearWeight[],
  stays: readonly StorageStay[],
  nowYear: number,
): RollAgeing {
  const ages = distribution.map(({ year, weight }) => {
    const from = year + FRESH_YEARS;
    return { weight, years: Math.max(0, nowYear - from), roomYears: historyRoomYears(stays, from, nowYear) };
  });
  const mean = (of: (age: (typeof ages)[number]) => number): number =>
    ages.reduce((sum, age) => sum + age.weight * of(age), 0);
  const years = mean((age) => age.years);
  const roomYears = mean((age) => age.roomYears);
  const yearsSd = Math.sqrt(Math.max(0, mean((age) => age.years ** 2) - years ** 2));
  const variance = Math.max(0, mean((age) => age.roomYears ** 2) - roomYears ** 2);
  const parts = stays.map((_, index) => ({ years: 0, roomYears: 0, index }));
  for (const { year, weight } of distribution) {
    stayParts(stays, year + FRESH_YEARS, nowYear).forEach((part, index) => {
      const total = parts[index];
      if (total === undefined) return;
      total.years += weight * part.years;
      total.roomYears += weight * part.roomYears;
    });
  }
  const fromTemperature = effectiveAgeLnSd(
    parts.map((part, index) => ({ ...(stays[index] as StorageStay), years: part.years })),
    0,
  );
  const fromYears = roomYears > 0 ? Math.log1p(variance / roomYears ** 2) : 0;
  return {
    years,
    yearsSd,
    roomYears,
    roomYearsLnSd: Math.sqrt(fromTemperature ** 2 + fromYears),
    parts: parts.map(({ years: partYears, roomYears: partRoomYears }) => ({
      years: partYears,
      roomYears: partRoomYears,
    })),
  };
}

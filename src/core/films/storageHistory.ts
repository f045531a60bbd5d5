import { storageFactor } from './effectiveAge';

/** A place where the film lay, until a year. The first place begins when the film was made. */
export interface StorageStay {
  temperatureC: number;
  /** Standard deviation of the mean temperature, °C. */
  temperatureSdC: number;
  humid: boolean;
  /** Calendar year in which the stay ended; null for the last one, which lasts until now. */
  untilYear: number | null;
}

/** A stay as it fell out for one year of manufacture. */
export interface StayPart {
  /** Calendar years from the end of the fresh years on. */
  years: number;
  /** What it adds, room-years. */
  roomYears: number;
}

/**
 * How long the film lay at each place, for one beginning.
 * @param stays stays in order of time; their years do not fall
 * @param fromYear year from which ageing counts; may be fractional
 * @param nowYear this year; may be fractional
 * @returns one part for each stay; a stay before the beginning counts nothing
 * @example stayParts([{ …room, untilYear: 1990 }, { …cellar, untilYear: null }], 1971, 2026) // 19 and 36 years
 */
export function stayParts(stays: readonly StorageStay[], fromYear: number, nowYear: number): StayPart[] {
  let begin = Math.min(fromYear, nowYear);
  return stays.map(({ temperatureC, humid, untilYear }) => {
    const end = Math.min(nowYear, Math.max(begin, untilYear ?? nowYear));
    const years = end - begin;
    begin = end;
    return { years, roomYears: years * storageFactor(temperatureC, humid) };
  });
}

/**
 * Effective age for one beginning.
 * @param stays stays in order of time
 * @param fromYear year from which ageing counts
 * @param nowYear this year
 * @returns room-years. Source: Arrhenius form, our coefficient; see effectiveAge.
 */
export function historyRoomYears(stays: readonly StorageStay[], fromYear: number, nowYear: number): number {
  return stayParts(stays, fromYear, nowYear).reduce((sum, part) => sum + part.roomYears, 0);
}

import { temperatureRate } from '../thermal/arrhenius';

/** Temperature of the room that a room-year is counted at, °C. Source: our choice. */
export const ROOM_TEMPERATURE_C = 21;

/** Factor by which ageing speeds up from 20 to 30 °C. Source: our estimate. */
export const AGEING_Q10 = 2.5;

/** Factor by which humid storage ages film faster. Source: our estimate. */
export const HUMID_FACTOR = 1.5;

/** Age below which film counts as fresh, room-years: half a minute. Source: our choice. */
const LEAST_AGE_ROOM_YEARS = 1e-6;

/** A stretch of years at one place. */
export interface StorageSegment {
  /** Length, years; 0 or more. */
  years: number;
  /** Mean temperature, °C. */
  temperatureC: number;
  humid: boolean;
}

/**
 * How many years at room temperature one year of a given storage is worth.
 * @param temperatureC mean temperature, °C; −40 to 60
 * @param humid whether the place was humid
 * @returns room-years per year. Source: Arrhenius equation; the coefficient of 2.5 is our estimate.
 * @example storageFactor(21, false) // 1
 */
export function storageFactor(temperatureC: number, humid: boolean): number {
  return temperatureRate(temperatureC, AGEING_Q10, ROOM_TEMPERATURE_C) * (humid ? HUMID_FACTOR : 1);
}

/**
 * Effective age of a film in room-years: the sum over its storage of years × storage factor.
 * @param segments stretches of storage
 * @returns effective age, room-years
 * @example effectiveAge([{ years: 10, temperatureC: 21, humid: false }]) // 10
 */
export function effectiveAge(segments: readonly StorageSegment[]): number {
  return segments.reduce((sum, segment) => sum + segment.years * storageFactor(segment.temperatureC, segment.humid), 0);
}

/**
 * Standard deviation of ln(effective age) from what is not known about years and temperatures. Temperature errors of
 * different segments are taken as independent, to first order; the error of the years scales the whole, and is matched to
 * a log-normal by its first two moments, so that it stays finite for film that is hardly old.
 * @param segments stretches of storage with the spread of each temperature, °C
 * @param yearsSd standard deviation of the calendar years, years
 * @returns sd of ln(effective age); 0 for a film without age
 */
export function effectiveAgeLnSd(
  segments: readonly (StorageSegment & { temperatureSdC: number })[],
  yearsSd: number,
): number {
  const total = effectiveAge(segments);
  const years = segments.reduce((sum, segment) => sum + segment.years, 0);
  if (total < LEAST_AGE_ROOM_YEARS) return 0;
  const fromTemperature = segments.reduce((sum, segment) => {
    const share = (segment.years * storageFactor(segment.temperatureC, segment.humid)) / total;
    return sum + (share * lnSdOfFactor(segment.temperatureC, segment.temperatureSdC)) ** 2;
  }, 0);
  return Math.sqrt(fromTemperature + Math.log1p((yearsSd / years) ** 2));
}

/** Half the change of ln(storage factor) over ± 1 sd of the temperature. */
function lnSdOfFactor(temperatureC: number, temperatureSdC: number): number {
  return (
    Math.log(
      storageFactor(temperatureC + temperatureSdC, false) / storageFactor(temperatureC - temperatureSdC, false),
    ) / 2
  );
}

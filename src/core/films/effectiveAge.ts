/** Temperature of the room that a room-year is counted at, °C. Source: our choice. */
export const ROOM_TEMPERATURE_C = 21;

/** Factor by which ageing speeds up for every 10 °C. Source: our estimate; the form is Arrhenius'. */
export const AGEING_Q10 = 2.5;

/** Factor by which humid storage ages film faster. Source: our estimate. */
export const HUMID_FACTOR = 1.5;

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
 * @returns room-years per year. Source: our estimate (Q10 = 2.5).
 * @example storageFactor(21, false) // 1
 */
export function storageFactor(temperatureC: number, humid: boolean): number {
  return AGEING_Q10 ** ((temperatureC - ROOM_TEMPERATURE_C) / 10) * (humid ? HUMID_FACTOR : 1);
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
 * Standard deviation of ln(effective age) from what is not known about years and temperatures, to first order.
 * Temperature errors of different segments are taken as independent; the error of the years scales the whole.
 * @param segments stretches of storage with the spread of each temperature, °C
 * @param yearsSd standard deviation of the calendar years, years
 * @returns sd of ln(effective age); 0 for a film without age
 */
export function effectiveAgeLnSd(segments: readonly (StorageSegment & { temperatureSdC: number })[], yearsSd: number): number {
  const total = effectiveAge(segments);
  const years = segments.reduce((sum, segment) => sum + segment.years, 0);
  if (total <= 0 || years <= 0) return 0;
  const perDegree = Math.log(AGEING_Q10) / 10;
  const fromTemperature = segments.reduce((sum, segment) => {
    const share = (segment.years * storageFactor(segment.temperatureC, segment.humid)) / total;
    return sum + (share * perDegree * segment.temperatureSdC) ** 2;
  }, 0);
  return Math.sqrt(fromTemperature + (yearsSd / years) ** 2);
}

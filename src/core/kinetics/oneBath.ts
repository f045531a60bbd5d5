import { celsiusToKelvin } from '../units/temperature';
import { temperatureRate } from '../thermal/arrhenius';

/** Times of a one-bath developer-fixer, °C and min. Source: common practice, no source. */
export const ONE_BATH_TIMES = [
  { temperatureC: 21.5, timeMin: 6 },
  { temperatureC: 24, timeMin: 4 },
  { temperatureC: 27, timeMin: 3 },
] as const;

/** Growth of its rate from 20 to 30 °C, used outside the temperatures above. Source: our estimate. */
export const ONE_BATH_Q10 = 3.4;

/** Prior spread of ln(time). Source: our estimate. */
export const ONE_BATH_TIME_LN_SD = 0.15;

/** Minutes more for each film already through a litre. Source: common practice, no source. */
export const ONE_BATH_MIN_PER_FILM_AND_LITRE = 0.25;

/** Temperature from which continuous agitation is usual; below it, gentle only. Source: common practice, no source. */
export const ONE_BATH_CONTINUOUS_FROM_C = 24;

/**
 * Share of its last gradient that development reaches at the time of a one-bath: it has run to completion but for a
 * twentieth. Source: our estimate.
 */
export const ONE_BATH_COMPLETION = 0.95;

/**
 * Time of a fresh one-bath developer-fixer to completion.
 * @param temperatureC °C; 15 to 32
 * @returns min, rounded up to the quarter minute; never under 6 below 24 °C; from there ln t runs straight in 1/T, outside it
 *   follows Q10 3.4
 * Source: common practice for the three times; our estimate beyond them.
 * @example oneBathTime(24) // 4
 */
export function oneBathTime(temperatureC: number): number {
  return Math.ceil(exactOneBathTime(temperatureC) / ROUNDED_MIN - 1e-9) * ROUNDED_MIN;
}

/** A one-bath that stops early leaves silver: its time is rounded up to the quarter minute. Source: common practice, no source. */
const ROUNDED_MIN = 0.25;

/** Least time below 24 °C, min. Source: common practice, no source. */
const LEAST_BELOW_24_MIN = 6;

function exactOneBathTime(temperatureC: number): number {
  const [cold, middle, warm] = ONE_BATH_TIMES;
  if (temperatureC < middle.temperatureC && temperatureC > cold.temperatureC) return LEAST_BELOW_24_MIN;
  if (temperatureC <= cold.temperatureC)
    return cold.timeMin / temperatureRate(temperatureC, ONE_BATH_Q10, cold.temperatureC);
  if (temperatureC >= warm.temperatureC)
    return warm.timeMin / temperatureRate(temperatureC, ONE_BATH_Q10, warm.temperatureC);
  const [from, to] = [middle, warm];
  const at = (celsius: number): number => 1 / celsiusToKelvin(celsius);
  const share = (at(temperatureC) - at(from.temperatureC)) / (at(to.temperatureC) - at(from.temperatureC));
  return from.timeMin * (to.timeMin / from.timeMin) ** share;
}

import { monotoneCurve } from '../inference/monotoneCurve';
import { celsiusToKelvin, fahrenheitToCelsius } from '../units/temperature';
import { temperatureRate } from '../thermal/arrhenius';

/** Times of a one-bath developer-fixer, °C and min: 22 °C, 75 °F and 27 °C. Source: common practice, no source. */
export const ONE_BATH_TIMES = [
  { temperatureC: 22, timeMin: 6 },
  { temperatureC: fahrenheitToCelsius(75), timeMin: 4 },
  { temperatureC: 27, timeMin: 3 },
] as const;

/** Growth of its rate from 20 to 30 °C, used outside the temperatures above. Source: our estimate. */
export const ONE_BATH_Q10 = 3.4;

/** Prior spread of ln(time). Source: our estimate. */
export const ONE_BATH_TIME_LN_SD = 0.15;

/** Minutes more for each film already through a litre. Source: common practice, no source. */
export const ONE_BATH_MIN_PER_FILM_AND_LITRE = 0.25;

/**
 * Temperatures up to which gentle agitation, and from which continuous, is usual for a one-bath, °C: either will do between them.
 * Source: common practice, no source.
 */
export const ONE_BATH_AGITATION_C = { gentleTo: 22.5, continuousFrom: 23.5 } as const;

/**
 * How a one-bath is usually agitated.
 * @param temperatureC °C
 * @returns `either` between the two: no thermometer decides there. Source: common practice, no source.
 * @example usualOneBathAgitation(23.9) // 'continuous'
 */
export function usualOneBathAgitation(temperatureC: number): 'gentle' | 'continuous' | 'either' {
  const { gentleTo, continuousFrom } = ONE_BATH_AGITATION_C;
  if (temperatureC < gentleTo) return 'gentle';
  return temperatureC > continuousFrom ? 'continuous' : 'either';
}

/**
 * Share of its last gradient that development reaches at the time of a one-bath: it has run to completion but for a
 * twentieth. Source: our estimate.
 */
export const ONE_BATH_COMPLETION = 0.95;

/**
 * Time of a fresh one-bath developer-fixer to completion.
 * @param temperatureC °C; 10 to 40
 * @returns min, not rounded: that is the last thing to happen to a time. ln t runs through the three usual times without a step, and
 *   goes on by Q10 3.4 beyond them.
 * Source: common practice for the three times; the curve between them is our choice, monotone (Steffen 1990); our estimate beyond them.
 * @example oneBathTime(22) // 6
 */
export function oneBathTime(temperatureC: number): number {
  return Math.exp(lnTime.at(inverse(temperatureC)));
}

/** Steps that a hand at a tank can keep, and what is no reason for another one, min. Source: our choice. */
const STEP_MIN = 5 / 60;
const NO_REASON_MIN = 0.25 / 60;

/**
 * Rounds a one-bath's time up to what a hand can pour: shorter leaves silver, longer does little. The last thing to happen to it.
 * @param timeMin min; above 0
 * @returns min, in steps of 5 s; a quarter of a second over a step is none. Source: common practice (round up), no source.
 * @example roundUpOneBath(3.94) // 4
 */
export function roundUpOneBath(timeMin: number): number {
  return Math.ceil((timeMin - NO_REASON_MIN) / STEP_MIN) * STEP_MIN;
}

/** Reciprocal absolute temperature, 1/K: ln t runs nearly straight in it. */
function inverse(temperatureC: number): number {
  return 1 / celsiusToKelvin(temperatureC);
}

/** How far beyond the usual times the points lie that Q10 gives, °C: they lend the curve its slope at its ends. */
const TAIL_C = 6;

/** The time that Q10 gives beyond a usual one. */
function beyond({ temperatureC, timeMin }: (typeof ONE_BATH_TIMES)[number], stepC: number): [number, number] {
  const there = temperatureC + stepC;
  return [inverse(there), Math.log(timeMin / temperatureRate(there, ONE_BATH_Q10, temperatureC))];
}

const [coldest, , warmest] = ONE_BATH_TIMES;

/** Places and values, the warmest first, since 1/T rises. */
const points: [number, number][] = [
  beyond(warmest, TAIL_C),
  ...[...ONE_BATH_TIMES]
    .reverse()
    .map(({ temperatureC, timeMin }): [number, number] => [inverse(temperatureC), Math.log(timeMin)]),
  beyond(coldest, -TAIL_C),
];

const lnTime = monotoneCurve(
  points.map(([x]) => x),
  points.map(([, y]) => y),
);

import { correctedTime } from './reciprocity';
import { filterFactor } from './filters';

/** What decides the time of one frame. */
export interface LongExposure {
  /** Time by the meter at its own index, s; above 0. */
  meteredS: number;
  /** Index that the meter was set to, ISO. */
  meterIndex: number;
  /** Index to expose the film at, ISO. */
  filmIndex: number;
  /** Light that the filter costs, stops. */
  filterStops: number;
  /** Reciprocity exponent p. */
  exponent: number;
}

/** The time of one frame, step by step. */
export interface LongExposureAnswer {
  /** After the index, s. */
  forIndexS: number;
  /** After the filter, s. */
  forFilterS: number;
  /** After reciprocity, s: what to expose. */
  exposeS: number;
  /** What reciprocity adds, stops. */
  reciprocityStops: number;
}

/**
 * Time of one frame from the meter to the shutter: index, then filter, then reciprocity.
 * @param exposure what the meter says, and film, filter and exponent
 * @returns the time after each step
 * Source: a stop is a factor of two; power law of reciprocity.
 * @example longExposure({ meteredS: 1, meterIndex: 400, filmIndex: 100, filterStops: 1, exponent: 1.3 }) // 4 s, 8 s, 14.9 s
 */
export function longExposure({
  meteredS,
  meterIndex,
  filmIndex,
  filterStops,
  exponent,
}: LongExposure): LongExposureAnswer {
  const forIndexS = meteredS * (meterIndex / filmIndex);
  const forFilterS = forIndexS * filterFactor(filterStops);
  const exposeS = correctedTime(forFilterS, exponent);
  return { forIndexS, forFilterS, exposeS, reciprocityStops: Math.log2(exposeS / forFilterS) };
}

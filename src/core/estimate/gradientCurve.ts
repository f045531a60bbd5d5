import { Development } from './development';
import type { EstimateContext } from './estimate';
import { sampleQuantile } from '../inference/quasiRandom';

/** Net gradient against time, with its 80 % band. */
export interface GradientCurve {
  /** Times, min, from 0 up. */
  timesMin: number[];
  net: number[];
  low: number[];
  high: number[];
}

/** So many draws, spread over all, make the band of the curve: it is drawn, not read. */
const DRAWN = 64;

/**
 * Samples the net gradient against development time, with the middle four fifths of the posterior's draws at each time.
 * @param worked an estimate with its posterior
 * @param lastMin last time, min; above 0
 * @param points number of samples; 2 or more
 * @returns samples from 0 to `lastMin`
 */
export function gradientCurve(
  { posterior, prediction, draws, estimate }: EstimateContext,
  lastMin: number,
  points = 41,
): GradientCurve {
  const { situation } = posterior;
  const every = Math.max(1, Math.floor(draws.deviations.length / DRAWN));
  const films = draws.deviations
    .filter((_, index) => index % every === 0)
    .map((deviations) => new Development(situation.conditions, deviations));
  const timesMin = Array.from({ length: points }, (_, index) => (lastMin * index) / (points - 1));
  const net = timesMin.map((timeMin) => prediction.film.netGradientAt(timeMin));
  const spread = timesMin.map((timeMin) => Float64Array.from(films.map((film) => film.netGradientAt(timeMin))).sort());
  /** An end of the band: on its own side of the curve, and as much farther out as the bench's bands are drawn wider. */
  const off = (values: Float64Array, index: number, p: number): number => {
    const centre = net[index] as number;
    const away = sampleQuantile(values, p) - centre;
    return Math.max(0, centre + estimate.widening * (p < 0.5 ? Math.min(0, away) : Math.max(0, away)));
  };
  return {
    timesMin,
    net,
    low: spread.map((values, index) => off(values, index, 0.1)),
    high: spread.map((values, index) => off(values, index, 0.9)),
  };
}

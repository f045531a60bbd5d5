import { Z80 } from './band';
import { resolveConditions } from './conditions';
import { noDeviations, parameterIds, parameters } from './parameters';
import { predict } from './predict';
import type { EstimateRequest } from './request';

/** Net gradient against time, with its 80 % band. */
export interface GradientCurve {
  /** Times, min, from 0 up. */
  timesMin: number[];
  net: number[];
  low: number[];
  high: number[];
}

/**
 * Samples the net gradient against development time, with a band from first-order propagation at each time.
 * @param request a valid request
 * @param lastMin last time, min; above 0
 * @param points number of samples; 2 or more
 * @returns samples from 0 to `lastMin`
 */
export function gradientCurve(request: EstimateRequest, lastMin: number, points = 49): GradientCurve {
  const conditions = resolveConditions(request);
  const centre = predict(conditions, noDeviations());
  const moved = parameterIds.map((id) => ({ id, width: parameters[id].sd(conditions) }))
    .filter(({ width }) => width > 0)
    .map(({ id, width }) => ({
      up: predict(conditions, { ...noDeviations(), [id]: width }),
      down: predict(conditions, { ...noDeviations(), [id]: -width }),
    }));
  const timesMin = Array.from({ length: points }, (_, index) => (lastMin * index) / (points - 1));
  const net = timesMin.map((timeMin) => centre.netGradientAt(timeMin));
  const halfWidth = timesMin.map((timeMin) =>
    Z80 * Math.sqrt(moved.reduce((sum, { up, down }) => sum + ((up.netGradientAt(timeMin) - down.netGradientAt(timeMin)) / 2) ** 2, 0)),
  );
  return {
    timesMin,
    net,
    low: net.map((value, index) => Math.max(0, value - (halfWidth[index] ?? 0))),
    high: net.map((value, index) => value + (halfWidth[index] ?? 0)),
  };
}

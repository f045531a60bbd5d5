import { stopsToLogExposure } from '../units/stops';

/** Filters and the light they cost on panchromatic film in daylight, stops. Source: common practice (+1 yellow, +2 orange), the others from memory. */
export const filters = {
  none: { name: 'None', stops: 0 },
  yellow: { name: 'Yellow', stops: 1 },
  'yellow-green': { name: 'Yellow-green', stops: 1 },
  orange: { name: 'Orange', stops: 2 },
  red: { name: 'Red', stops: 3 },
  blue: { name: 'Blue', stops: 1.5 },
  polariser: { name: 'Polariser', stops: 1.5 },
} as const;

export type FilterId = keyof typeof filters;

/**
 * Factor of a filter from its stops.
 * @param stops light that it costs, stops; 0 or more
 * @returns factor on the exposure, 2^stops
 * @example filterFactor(2) // 4
 */
export function filterFactor(stops: number): number {
  return 10 ** stopsToLogExposure(stops);
}

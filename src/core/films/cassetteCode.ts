import { failure, success, type Result } from '../schema/result';

/** Squares of the code in two rows of six, left to right with the spool's long end to the left; true is bare metal. */
export type CassetteSquares = readonly boolean[];

/** What the code on a 35 mm cassette says. */
export interface CassetteReading {
  iso: number;
  /** Number of exposures; null where the code says “other”. */
  exposures: number | null;
  /** Exposure tolerance, stops over and under. */
  toleranceStops: { over: number; under: number };
}

export const SQUARES = 12;

/** Squares that are always bare: the ground contact of each row. */
const GROUND = [0, 6] as const;

/** Speeds by thirds of a stop, from the three squares of the stop and the two of the third. */
const STOP_SPEEDS = [
  [25, 32, 40],
  [50, 64, 80],
  [100, 125, 160],
  [200, 250, 320],
  [400, 500, 640],
  [800, 1000, 1250],
  [1600, 2000, 2500],
  [3200, 4000, 5000],
] as const;

const EXPOSURES = [null, 12, 20, 24, 36, 48, 60, 72] as const;
const TOLERANCES = [
  { over: 0.5, under: 0.5 },
  { over: 1, under: 1 },
  { over: 2, under: 1 },
  { over: 3, under: 1 },
] as const;

/** Every speed that the code can say, ISO. */
export const cassetteSpeeds: readonly number[] = STOP_SPEEDS.flat();

/** Every number of exposures that the code can say. */
export const cassetteExposures = EXPOSURES;

const bit = (on: boolean | undefined): number => (on ? 1 : 0);

/**
 * Reads the code of a 35 mm cassette.
 * @param squares twelve squares, row by row; true is bare metal, false is paint
 * @returns speed, exposures and tolerance, or what cannot be right
 * Source: ISO 1007 (camera auto-sensing code), from memory.
 * @example readCassette([1,1,1,0,1,0, 1,0,0,1,1,1].map(Boolean)) // ISO 200, 36 exposures, +3 −1
 */
export function readCassette(squares: CassetteSquares): Result<CassetteReading> {
  if (squares.length !== SQUARES)
    return failure({ path: 'squares', message: `The code has ${SQUARES} squares, two rows of six.` });
  if (!GROUND.every((index) => squares[index])) {
    return failure({
      path: 'squares',
      message:
        'The first square of each row is always bare metal. Turn the cassette so that the long end of the spool points to the left.',
    });
  }
  const third = bit(squares[4]) + 2 * bit(squares[5]);
  if (third === 0)
    return failure({
      path: 'squares',
      message: 'In the upper row, one of the last two squares is always bare. Look again with it tilted to the light.',
    });
  const stop = bit(squares[1]) + 2 * bit(squares[2]) + 4 * bit(squares[3]);
  const thirdIndex = third === 1 ? 0 : third === 2 ? 1 : 2;
  const iso = STOP_SPEEDS[stop]?.[thirdIndex];
  const toleranceStops = TOLERANCES[bit(squares[10]) + 2 * bit(squares[11])];
  if (iso === undefined || toleranceStops === undefined)
    return failure({ path: 'squares', message: 'This pattern says no speed.' });
  return success({
    iso,
    exposures: EXPOSURES[bit(squares[7]) + 2 * bit(squares[8]) + 4 * bit(squares[9])] ?? null,
    toleranceStops,
  });
}

/**
 * Writes the code of a cassette.
 * @param reading a speed, a number of exposures and a tolerance that the code can say
 * @returns twelve squares, or the value that the code cannot say
 * Source: ISO 1007, from memory.
 */
export function writeCassette(reading: CassetteReading): Result<boolean[]> {
  const stop = STOP_SPEEDS.findIndex((speeds) => (speeds as readonly number[]).includes(reading.iso));
  if (stop < 0) return failure({ path: 'iso', message: `The code has no pattern for ISO ${reading.iso}.` });
  const third = (STOP_SPEEDS[stop] as readonly number[]).indexOf(reading.iso) + 1;
  const length = EXPOSURES.findIndex((exposures) => exposures === reading.exposures);
  if (length < 0)
    return failure({ path: 'exposures', message: `The code has no pattern for ${reading.exposures} exposures.` });
  const tolerance = TOLERANCES.findIndex(
    ({ over, under }) => over === reading.toleranceStops.over && under === reading.toleranceStops.under,
  );
  if (tolerance < 0) return failure({ path: 'toleranceStops', message: 'The code has no pattern for this tolerance.' });
  const bits = (value: number, count: number): boolean[] =>
    Array.from({ length: count }, (_, index) => ((value >> index) & 1) === 1);
  return success([true, ...bits(stop, 3), ...bits(third, 2), true, ...bits(length, 3), ...bits(tolerance, 2)]);
}

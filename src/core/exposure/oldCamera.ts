import { failure, success, type Result } from '../schema/result';
import { parseShutter } from '../units/shutter';

/** One setting of a camera, and how far it is from what was wanted. */
export interface CameraSetting {
  fNumber: number;
  /** As it is engraved, s. */
  speedS: number;
  /** Light beyond what was wanted, stops. */
  restStops: number;
}

/**
 * Reads f-numbers or shutter speeds from a line, as they stand on a lens: `4.5 6.3 8 11`, `1/25, 1/50, 1/100`.
 * @param text the line; spaces, commas followed by a space, and semicolons part the entries
 * @param path where a problem is told
 */
export function readRow(text: string, kind: 'f-numbers' | 'speeds', path: string): Result<number[]> {
  const entries = text
    .split(/[;\s]+|,\s+/)
    .map((entry) => entry.replace(/^f\s*\/?/i, '').replace(/,$/, ''))
    .filter((entry) => entry !== '' && !/^[bt]$/i.test(entry));
  const values = entries.map((entry) => {
    if (kind === 'speeds') return parseShutter(entry);
    const value = Number(entry.replace(',', '.'));
    return Number.isFinite(value) && value >= 0.5 && value <= 256 ? value : null;
  });
  const bad = values.indexOf(null);
  if (bad >= 0)
    return failure({
      path,
      message: `“${entries[bad] ?? ''}” does not read: type ${kind === 'speeds' ? 'speeds such as 1/25 1/50 1/100' : 'f-numbers such as 4.5 6.3 8 11'}.`,
    });
  if (values.length === 0) return failure({ path, message: 'Type what is engraved on the camera.' });
  return success(values as number[]);
}

/** Settings that are offered. */
const MOST = 4;

/**
 * Carries an exposure to a camera with other f-numbers and speeds.
 * @param wanted f-number and time that give the light that is wanted
 * @param fNumbers what the lens has
 * @param speedsS what the shutter has, as engraved, s
 * @param slowStops how slow the shutter is known to be, stops: it gives so much more light than is engraved
 * @returns the nearest settings, the best first
 * Source: light goes with time over the square of the f-number (definition).
 * @example carryExposure({ fNumber: 8, timeS: 1 / 125 }, [11], [1 / 50, 1 / 100], 0) // f/11 at 1/50, +0.4; at 1/100, −0.6
 */
export function carryExposure(
  wanted: { fNumber: number; timeS: number },
  fNumbers: readonly number[],
  speedsS: readonly number[],
  slowStops: number,
): CameraSetting[] {
  const light = (fNumber: number, timeS: number): number => Math.log2(timeS / fNumber ** 2);
  const aim = light(wanted.fNumber, wanted.timeS);
  return fNumbers
    .flatMap((fNumber) =>
      speedsS.map((speedS) => ({ fNumber, speedS, restStops: light(fNumber, speedS) + slowStops - aim })),
    )
    .sort((a, b) => Math.abs(a.restStops) - Math.abs(b.restStops))
    .slice(0, MOST);
}

/**
 * Index to set the meter to, so that its own reading allows for a filter.
 * @example meterSetting(400, 2) // 100
 */
export function meterSetting(filmIndex: number, filterStops: number): number {
  return filmIndex / 2 ** filterStops;
}

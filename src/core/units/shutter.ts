/** Shutter speeds as they are engraved, s: today’s row. Source: the usual row of halves (common practice). */
const SHUTTER_ROW: readonly number[] = [
  1 / 1000,
  1 / 500,
  1 / 250,
  1 / 125,
  1 / 60,
  1 / 30,
  1 / 15,
  1 / 8,
  1 / 4,
  1 / 2,
  1,
];

/**
 * Reads an exposure time as people write it: `1/125`, `1/60 s`, `4 s`, `0,5`, `2 min`.
 * @param text what was typed; a bare number is seconds
 * @returns s, above 0; null where it does not read as a time
 * @example parseShutter('1/125') // 0.008
 */
export function parseShutter(text: string): number | null {
  const plain = text.trim().replace(',', '.');
  const fraction = /^1\s*\/\s*(\d+(?:\.\d+)?)\s*(?:s|sec|seconds?)?$/i.exec(plain);
  if (fraction !== null) return Number(fraction[1]) > 0 ? 1 / Number(fraction[1]) : null;
  const timed = /^(\d+(?:\.\d+)?|\.\d+)\s*(s|sec|seconds?|min|minutes?|h)?$/i.exec(plain);
  if (timed === null) return null;
  const unit = (timed[2] ?? 's').toLowerCase();
  const seconds = Number(timed[1]) * (unit.startsWith('m') ? 60 : unit === 'h' ? 3600 : 1);
  return seconds > 0 ? seconds : null;
}

/** Third-stop marks of a shutter within each power of two, as cameras number them: 100, 125, 160, 200, … Source: common practice. */
const THIRDS = [1, 1.25, 1.6, 2, 2.5, 3.2, 4, 5, 6, 8];

/** Slowest fraction that a camera shows as one, s; from there on it shows seconds. */
const FRACTIONS_TO_S = 0.45;

/**
 * An exposure time as a camera shows it: the nearest third of a stop.
 * @param seconds time, s; above 0
 * @example cameraSpeed(1 / 156) // '1/160'
 * @example cameraSpeed(0.0512) // '1/20'
 */
export function cameraSpeed(seconds: number): string {
  if (seconds > FRACTIONS_TO_S) return String(Number(seconds.toPrecision(2)));
  const parts = 1 / seconds;
  const marks = [0, 1, 2, 3].flatMap((power) => THIRDS.map((third) => third * 10 ** power)).concat(15, 13, 30, 60);
  const nearest = marks.reduce((best, mark) =>
    Math.abs(Math.log(mark / parts)) < Math.abs(Math.log(best / parts)) ? mark : best,
  );
  return `1/${Number(nearest.toPrecision(3))}`;
}

/** A fraction is as near to a whole number of parts as an engraving ever is. */
const ENGRAVED = 0.02;

/**
 * An exposure time as a shutter has it.
 * @example shutterText(0.008) // '1/125'
 */
export function shutterText(seconds: number): string {
  const parts = 1 / seconds;
  if (seconds < 0.6 && Math.abs(parts - Math.round(parts)) < ENGRAVED * parts) return `1/${Math.round(parts)}`;
  return String(Number(seconds.toPrecision(3)));
}

/**
 * The engraved speed next to a time.
 * @param seconds time, s; above 0
 * @returns the speed, and how many stops more light it gives than the time
 * @example nearestShutter(0.02) // 1/60, −0.26 stops
 */
export function nearestShutter(seconds: number): { speedS: number; restStops: number } {
  const off = (speedS: number): number => Math.log2(speedS / seconds);
  const speedS = SHUTTER_ROW.reduce((best, one) => (Math.abs(off(one)) < Math.abs(off(best)) ? one : best), 1);
  return { speedS, restStops: off(speedS) };
}

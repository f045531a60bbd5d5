import { readNumber } from './readNumber';

/**
 * Writes a duration as m:ss, or h:mm:ss from one hour on.
 * @param seconds duration, s; rounded to the nearest second; negative is written with a minus sign
 * @returns text such as 15:20
 * @example formatDuration(920) // '15:20'
 */
export function formatDuration(seconds: number): string {
  const whole = Math.round(Math.abs(seconds));
  const sign = seconds < 0 && whole > 0 ? '−' : '';
  const s = String(whole % 60).padStart(2, '0');
  const minutes = Math.floor(whole / 60);
  if (minutes < 60) return `${sign}${minutes}:${s}`;
  return `${sign}${Math.floor(minutes / 60)}:${String(minutes % 60).padStart(2, '0')}:${s}`;
}

/** Hours, minutes and seconds with their letters, any of them left out. */
const PART = '(\\d+(?:[.,]\\d+)?|[½¼¾]|\\d+\\s*[½¼¾])';
const WORDED = new RegExp(
  `^(?:${PART}\\s*h(?:ours?|rs?)?)?\\s*(?:and\\s+)?(?:${PART}\\s*(?:m(?:in(?:ute)?s?\\.?)?|['′]))?\\s*(?:and\\s+)?(?:${PART}\\s*(?:s(?:ec(?:ond)?s?\\.?)?|["″]|''))?$`,
  'iu',
);

/** Units of time by the word that stands behind a number in words, min. */
const MINUTES_IN: readonly (readonly [RegExp, number])[] = [
  [/^h(?:ours?|rs?)?$/, 60],
  [/^m(?:in(?:ute)?s?)?$/, 1],
  [/^s(?:ec(?:ond)?s?)?$/, 1 / 60],
];

/** A length of time as it was understood. */
export interface MinutesReading {
  minutes: number;
  /** The other thing that the same figures may mean; null where they mean one. */
  other: { value: number; says: string } | null;
}

/** Hours up to which `1:30` may be meant as hours and minutes: a stand takes no longer. */
const MOST_HOURS = 3;

/**
 * Reads a length of time as people write it: `12`, `12:00`, `7:30`, `1:00:00`, `7 min 30 s`, `450 s`, `1 h`, `an hour`, `7'30"`, `12m`.
 * @param text what was typed; a bare number is minutes
 * @returns minutes, and the other reading: `1:30` may be an hour and a half, `7.30` half past seven; null where it does not read as a time
 * @example readMinutes('7 min 30 s') // { minutes: 7.5, other: null }
 */
export function readMinutes(text: string): MinutesReading | null {
  const plain = text.trim().toLowerCase();
  if (/^\d+(?:[.,]\d+)?$/.test(plain) || /^[.,]\d+$/.test(plain)) return decimalMinutes(plain);
  const clock = /^(?:(\d{1,3}):)?(\d{1,3}):(\d{2})$/.exec(plain);
  if (clock !== null) return clockMinutes(clock);
  const worded = plain === '' ? null : WORDED.exec(plain);
  if (worded !== null) {
    const part = (digits: string | undefined): number => (digits === undefined ? 0 : (readNumber(digits)?.value ?? 0));
    return { minutes: part(worded[1]) * 60 + part(worded[2]) + part(worded[3]) / 60, other: null };
  }
  const said = readNumber(plain);
  if (said === null || said.rest === '') return said === null ? null : { minutes: said.value, other: null };
  const unit = MINUTES_IN.find(([word]) => word.test(said.rest));
  return unit === undefined ? null : { minutes: said.value * unit[1], other: null };
}

function decimalMinutes(plain: string): MinutesReading {
  const minutes = Number(plain.replace(',', '.'));
  const seconds = /^(\d+)[.,]([0-5]\d)$/.exec(plain);
  if (seconds === null || seconds[2] === '00') return { minutes, other: null };
  const asClock = Number(seconds[1]) + Number(seconds[2]) / 60;
  return { minutes, other: { value: asClock, says: `${seconds[1] ?? ''} min ${Number(seconds[2])} s` } };
}

function clockMinutes([, hours, minutes = '', seconds = '']: RegExpExecArray): MinutesReading | null {
  if (Number(seconds) >= 60 || (hours !== undefined && Number(minutes) >= 60)) return null;
  const value = Number(hours ?? 0) * 60 + Number(minutes) + Number(seconds) / 60;
  if (hours !== undefined || Number(minutes) === 0 || Number(minutes) > MOST_HOURS)
    return { minutes: value, other: null };
  const asHours = Number(minutes) * 60 + Number(seconds);
  return { minutes: value, other: { value: asHours, says: `${Number(minutes)} h ${Number(seconds)} min` } };
}

/**
 * Reads a length of time, and takes what it most likely means.
 * @param text what was typed; a bare number is minutes
 * @returns minutes; null where it does not read as a time
 * @example parseMinutes('7 min 30 s') // 7.5
 */
export function parseMinutes(text: string): number | null {
  return readMinutes(text)?.minutes ?? null;
}

/**
 * Minutes as they stand in a field: whole ones as a number, others as a clock has them.
 * @example minutesToInput(7.5) // '7:30'
 */
export function minutesToInput(minutes: number): string {
  const s = Math.round(minutes * 60);
  if (Math.abs(minutes * 60 - s) > 1e-6) return String(Number(minutes.toFixed(4)));
  return s % 60 === 0 && s < 3600 ? String(s / 60) : formatDuration(s);
}

/**
 * Rounds a development time to what a hand at a tank can do: 5 s, or 30 s from half an hour on.
 * @param timeMin time, min; 0 or more
 * @returns rounded time, min. Our choice.
 * @example roundToPourable(12.77) // 12.75
 */
export function roundToPourable(timeMin: number): number {
  const stepS = timeMin < 30 ? 5 : 30;
  return (Math.round((timeMin * 60) / stepS) * stepS) / 60;
}

/**
 * Writes a development time in minutes as a rounded m:ss.
 * @param timeMin time, min
 * @example formatMinutes(15.33) // '15:20'
 */
export function formatMinutes(timeMin: number): string {
  return formatDuration(roundToPourable(timeMin) * 60);
}

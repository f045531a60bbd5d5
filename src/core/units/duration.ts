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
const WORDED =
  /^(?:(\d+(?:[.,]\d+)?)\s*h(?:ours?|rs?)?)?\s*(?:(\d+(?:[.,]\d+)?)\s*m(?:in(?:utes?)?)?)?\s*(?:(\d+(?:[.,]\d+)?)\s*s(?:ec(?:onds?)?)?)?$/iu;

/**
 * Reads a length of time as people write it: `12`, `12:00`, `7:30`, `1:00:00`, `7 min 30 s`, `450 s`, `1 h`.
 * @param text what was typed; a bare number is minutes
 * @returns minutes; null where it does not read as a time
 * @example parseMinutes('7 min 30 s') // 7.5
 */
export function parseMinutes(text: string): number | null {
  const plain = text.trim();
  const number = (digits: string | undefined): number => Number((digits ?? '0').replace(',', '.'));
  if (/^\d+(?:[.,]\d+)?$/.test(plain) || /^[.,]\d+$/.test(plain)) return number(plain);
  const clock = /^(?:(\d{1,3}):)?(\d{1,3}):(\d{2})$/.exec(plain);
  if (clock !== null) {
    const [, hours, minutes, seconds] = clock;
    if (number(seconds) >= 60 || (hours !== undefined && number(minutes) >= 60)) return null;
    return number(hours) * 60 + number(minutes) + number(seconds) / 60;
  }
  const worded = WORDED.exec(plain);
  if (worded === null || plain === '') return null;
  return number(worded[1]) * 60 + number(worded[2]) + number(worded[3]) / 60;
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

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

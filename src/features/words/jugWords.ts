import type { JugState } from '@/core/brewing/keeping';
import { dateLocale } from '@/core/units/language';
import { formatNumber } from '@/core/units/quantity';

/** What is left of a jug, in a line. */
export function jugWords(
  { left, timeFactor, goodUntilMs, filmsLeft, spent, oneShot }: JugState,
  nowMs: number,
): string {
  if (oneShot && filmsLeft === 0) return 'used once; a one-shot, poured away';
  if (spent) return 'spent';
  const words = [
    ...(timeFactor > 1.005 ? [`next × ${formatNumber(timeFactor, 2)}`] : []),
    ...(goodUntilMs === null
      ? []
      : [goodUntilMs <= nowMs ? 'past its usual time: test it' : `good for ${leftWords(goodUntilMs - nowMs)}`]),
    ...(filmsLeft === null ? [] : [`${Number(filmsLeft.toFixed(1))} more ${filmsLeft === 1 ? 'film' : 'films'}`]),
  ];
  return words.length === 0 && left === null ? 'wear not tracked' : words.join(' · ');
}

const HOUR_MS = 3_600_000;

/** A stretch that is left: hours and minutes, or days. */
export function leftWords(ms: number): string {
  if (ms <= 0) return 'no time';
  if (ms < HOUR_MS) return `${Math.ceil(ms / 60_000)} min`;
  if (ms < 48 * HOUR_MS) return `${Math.floor(ms / HOUR_MS)} h ${Math.floor((ms % HOUR_MS) / 60_000)} min`;
  return `${Math.round(ms / (24 * HOUR_MS))} days`;
}

/** Hours up to which a jug is told by the time of day at which it was mixed. */
const SAME_DAY_H = 20;

/** When a jug was mixed: the time within the day, the day before that, and the year where it is another. */
export function mixedWords(mixedMs: number, nowMs: number): string {
  const mixed = new Date(mixedMs);
  if (nowMs - mixedMs < SAME_DAY_H * 3_600_000)
    return mixed.toLocaleTimeString(dateLocale, { hour: '2-digit', minute: '2-digit' });
  const sameYear = mixed.getFullYear() === new Date(nowMs).getFullYear();
  return mixed.toLocaleDateString(dateLocale, {
    day: 'numeric',
    month: 'short',
    year: sameYear ? undefined : 'numeric',
  });
}

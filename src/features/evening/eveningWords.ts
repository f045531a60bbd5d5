import { format } from 'date-fns';
import type { EveningProblem, EveningShift } from '@/core/evening/evening';
import { waitWords } from '@/features/words/brewWords';

/**
 * A minute of the evening as the clock on the wall shows it.
 * @param zeroMs first instant of the evening's day, ms since the epoch
 * @param minutes min since then
 */
export function clockTime(zeroMs: number, minutes: number): string {
  return format(zeroMs + Math.round(minutes) * 60_000, 'HH:mm');
}

const reasons: Record<EveningShift['why'], string> = {
  pours: 'so that no two baths are poured within half a minute',
  tank: 'until a tank is free and its reel is dry',
  mixing: 'until its brew has been mixed and has stood',
};

/** What the plan changed, and why. */
export function shiftWords({ what, byMin, why }: EveningShift): string {
  const by = byMin < 1 ? `${Math.round(byMin * 60)} s` : waitWords(byMin);
  return `${what} waits ${by}, ${reasons[why]}.`;
}

/** What moving does not mend. */
export function problemWords({ what, why, left }: EveningProblem): string {
  const share = `${Math.round(left * 100)} % of its strength`;
  return why === 'spent'
    ? `${what}: its brew will be spent by then (${share}). Mix a fresh one for it.`
    : `${what}: its brew will be down to ${share}. The time grows with it; a fresh brew would be surer.`;
}

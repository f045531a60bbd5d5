import type { EveningProblem, EveningShift } from '@/core/evening/evening';
import { waitWords } from '@/features/words/brewWords';

/** A minute of the evening as the clock on the wall shows it. */
export function clockTime(minutes: number): string {
  const whole = ((Math.round(minutes) % 1440) + 1440) % 1440;
  return `${String(Math.floor(whole / 60)).padStart(2, '0')}:${String(whole % 60).padStart(2, '0')}`;
}

const reasons: Record<EveningShift['why'], string> = {
  pours: 'so that no two baths are poured within half a minute',
  tank: 'until a tank is free and its reel is dry',
  mixing: 'until its brew has been mixed and has stood',
};

/** What was moved, and why. */
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

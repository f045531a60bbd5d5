import type { Advice, PracticeScore } from '@/core/practice/practiceScore';
import { formatNumber } from '@/core/units/quantity';

/** The one sentence on what to do better. */
const advice: Record<Advice, string> = {
  'late-pour': 'Start to pour when the screen says so: the developer works until the tank is empty.',
  'early-pour': 'Leave it in until the clock is at its end: what is cut short cannot be made up later.',
  measure: 'Dip the thermometer in the first minute: the tank was not as warm as planned, and the end moves with it.',
  'measure-again': 'Dip the thermometer again half way: the temperature went on moving after your reading.',
  'late-baths': 'The development was right; have the next bath in hand before the clock ends.',
  none: 'Nothing: do it like this.',
};

/** What to do better next time. */
export function adviceWords(score: Pick<PracticeScore, 'advice'>): string {
  return advice[score.advice];
}

/** How far off in seconds, as people say it. */
export function missWords(seconds: number): string {
  const by = Math.round(Math.abs(seconds));
  return by === 0 ? 'to the second' : `${by} s ${seconds > 0 ? 'late' : 'early'}`;
}

/** What the hand did to the contrast, beside what nobody could know. */
export function handWords({ handGrades, forgiven }: PracticeScore): string {
  const by = Math.abs(handGrades);
  if (by < 0.1) return 'Your timing left the contrast as it was planned.';
  const size = `Your timing made it ${formatNumber(by, 1)} grades ${handGrades > 0 ? 'harder' : 'softer'}.`;
  return `${size} ${forgiven ? 'That is small beside what nobody could know about this film.' : 'That is more than the uncertainty covers.'}`;
}

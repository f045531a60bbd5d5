import type { Amount } from './amount';
import { gestures, type Movement } from './movement';

/**
 * A movement in words, for a name.
 * @example movementName(bursts(seconds(30), [60, 'start', seconds(10)])) // 'First 30 s, then 10 s each minute'
 */
export function movementName({ continuous, first, every, stillFromMin, wakeUp, gesture, tap }: Movement): string {
  if (continuous) return `Without a rest: ${gestures[gesture].name.toLowerCase()}`;
  const parts = [
    first === null ? null : `first ${amountName(first)}`,
    every === null ? null : `${first === null ? '' : 'then '}${everyName(every)}`,
    stillFromMin === null ? null : `still from ${clock(stillFromMin)}`,
    wakeUp === null
      ? null
      : `${amountName(wakeUp.amount)} at ${wakeUp.atMin === null ? 'half time' : clock(wakeUp.atMin)}`,
    tap ? 'tap once' : null,
  ].filter((part) => part !== null);
  if (first === null && every === null && wakeUp === null) return 'Still';
  const text = parts.join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
}

function everyName({ periodS, placement, amount }: NonNullable<Movement['every']>): string {
  const period = periodS === 60 ? 'minute' : periodS % 60 === 0 ? `${periodS / 60} minutes` : `${periodS} s`;
  return placement === 'end'
    ? `the last ${amountName(amount)} of each ${period}`
    : `${amountName(amount)} each ${period}`;
}

/** An amount in words. */
function amountName({ unit, n }: Amount): string {
  return unit === 'seconds' ? `${n} s` : n === 1 ? '1 turn' : `${n} turns`;
}

function clock(min: number): string {
  const s = Math.round(min * 60);
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`;
}

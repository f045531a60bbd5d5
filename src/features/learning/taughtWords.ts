import type { MovedRoll, VerdictEffect } from '@/core/plan/verdictEffect';
import { formatMinutes } from '@/core/units/duration';
import { percentWords } from '@/features/words/evidenceWords';

/** Rolls that are named; the rest are counted. */
const NAMED = 2;

/** Change of a band's width that is worth a word. */
const WORTH = 0.0099;

function movedWords(
  { rollId, beforeMin, afterMin, widthRatio }: MovedRoll,
  labelOf: (rollId: string) => string,
): string {
  const band =
    Math.abs(widthRatio - 1) < WORTH
      ? ''
      : `, its likely range ${Math.round(100 * Math.abs(1 - widthRatio))} % ${widthRatio < 1 ? 'narrower' : 'wider'}`;
  const same = formatMinutes(beforeMin) === formatMinutes(afterMin);
  return same
    ? `“${labelOf(rollId)}” stays at ${formatMinutes(afterMin)}${band}`
    : `“${labelOf(rollId)}” goes from ${formatMinutes(beforeMin)} to ${formatMinutes(afterMin)} (${percentWords(afterMin / beforeMin)}${band})`;
}

/** What a verdict taught, in a sentence or two. */
export function taughtWords({ teaches, moved, unmoved }: VerdictEffect, labelOf: (rollId: string) => string): string {
  if (!teaches)
    return 'This verdict teaches the estimates nothing: clear film without an image, or a run whose brew was not kept, says nothing of its development.';
  if (moved.length === 0)
    return unmoved === 0
      ? 'No roll waits that this verdict could change.'
      : 'This verdict agrees with what was known: no waiting roll changes.';
  const named = moved.slice(0, NAMED).map((one) => movedWords(one, labelOf));
  const more = moved.length - named.length;
  const rest = more > 0 ? `; ${more} more ${more === 1 ? 'moves' : 'move'} as well` : '';
  return `Other rolls changed: ${named.join('; ')}${rest}.`;
}

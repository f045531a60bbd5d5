import { useState } from 'react';

/** An axis is drawn anew once less than this share of it is used. Source: our choice. */
const LEAST_SHARE = 0.5;

/**
 * The end of an axis whose figures move under the hand: it stays while they fit and fill at least half of it, so that a curve
 * that moves is seen to move.
 * @param wanted where the axis would end for these figures alone; above 0
 */
export function useSteadyEnd(wanted: number): number {
  const [end, setEnd] = useState(wanted);
  const stays = wanted <= end && wanted >= end * LEAST_SHARE;
  if (!stays) setEnd(wanted);
  return stays ? end : wanted;
}

import { useState } from 'react';

/** An axis is drawn anew once less than this share of it is used. Source: our choice. */
const LEAST_SHARE = 0.5;

/**
 * Where an axis ends that ended elsewhere before.
 * @param end where it ends now; above 0
 * @param wanted where it would end for its figures alone; above 0
 * @example steadyEnd(30, 20) // 30
 */
export function steadyEnd(end: number, wanted: number): number {
  return wanted <= end && wanted >= end * LEAST_SHARE ? end : wanted;
}

/**
 * The end of an axis whose figures move under the hand: it stays while they fit and fill at least half of it, so that a curve
 * that moves is seen to move.
 * @param wanted where the axis would end for these figures alone; above 0
 */
export function useSteadyEnd(wanted: number): number {
  const [end, setEnd] = useState(wanted);
  const next = steadyEnd(end, wanted);
  if (next !== end) setEnd(next);
  return next;
}

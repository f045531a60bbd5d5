'use client';

import { useCallback, useEffect, useRef, useState } from 'react';

/** How long a press must be held to count, ms. Source: our choice. */
export const HOLD_MS = 1000;

/** A press that counts only when it is held. */
export interface Hold {
  holding: boolean;
  start: () => void;
  stop: () => void;
}

/**
 * Calls an act once a press has been held for a second.
 * @param act what the press does
 */
export function useHold(act: () => void): Hold {
  const [holding, setHolding] = useState(false);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  const latest = useRef(act);
  useEffect(() => {
    latest.current = act;
  }, [act]);
  const stop = useCallback(() => {
    clearTimeout(timer.current);
    timer.current = undefined;
    setHolding(false);
  }, []);
  const start = useCallback(() => {
    if (timer.current !== undefined) return;
    setHolding(true);
    timer.current = setTimeout(() => {
      stop();
      latest.current();
    }, HOLD_MS);
  }, [stop]);
  useEffect(() => stop, [stop]);
  return { holding, start, stop };
}

'use client';

import { useCallback, useEffect, useState } from 'react';
import { SteadyClock } from '@/ui/steadyClock';

/** The clock at the tank. */
export interface TankClock {
  /** This instant, ms since the epoch, counted evenly since the page opened. */
  nowMs: number;
  /** The same, at the moment of a press. */
  read: () => number;
  /** By how much the computer's clock was set since, ms; 0 while it was not. */
  jumpMs: number;
  /** Goes by the computer's clock from now on. */
  agree: () => void;
  /** Draws this instant at once, without waiting for the next look. */
  refresh: () => void;
  /** How many of its seconds go by in one: 1, except in practice. */
  pace: number;
}

/**
 * A clock that nobody can set, refreshed now and then.
 * @param everyMs how often, ms
 * @param pace how many of its seconds go by in one
 */
export function useTankClock(everyMs: number, pace = 1): TankClock {
  const [clock] = useState(() => (pace === 1 ? new SteadyClock() : quickClock(pace)));
  const [now, setNow] = useState(() => ({ nowMs: clock.now(), jumpMs: 0 }));
  const refresh = useCallback(() => setNow({ nowMs: clock.now(), jumpMs: clock.jumpMs() }), [clock]);
  useEffect(() => {
    const timer = setInterval(refresh, everyMs);
    document.addEventListener('visibilitychange', refresh);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', refresh);
    };
  }, [refresh, everyMs]);
  return { ...now, read: () => clock.now(), agree: () => clock.agree(), refresh, pace };
}

/** A clock for practice: it starts now and runs ahead of any other, which is no jump. */
function quickClock(pace: number): SteadyClock {
  const startMs = Date.now();
  const startWatch = performance.now();
  const quick = (): number => startMs + (performance.now() - startWatch) * pace;
  return new SteadyClock(quick, quick);
}

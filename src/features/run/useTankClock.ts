'use client';

import { useCallback, useEffect, useMemo, useState } from 'react';
import { SteadyClock } from '@/ui/steadyClock';

/** The clock at the tank. */
export interface TankClock {
  /** This instant, ms since the epoch, counted evenly since the page opened. */
  nowMs: number;
  /** The same, at the moment of a press. */
  read: () => number;
  /** By how much the computer's clock was set back since, ms, below 0; 0 while it was not. */
  jumpMs: number;
  /** Time that was counted because the computer's clock was ahead, ms: it slept, or was set. 0 where nothing is to be said of it. */
  sleptMs: number;
  /** Nothing more is to be said of the time that was counted. */
  settle: () => void;
  /** Goes by the computer's clock from now on. */
  agree: () => void;
  /** Draws this instant at once, without waiting for the next look. */
  refresh: () => void;
  /** How many of its seconds go by in one: 1, except in practice. */
  pace: number;
}

/**
 * A clock that nobody can set back, refreshed now and then. Time in which the computer slept counts.
 * @param everyMs how often, ms
 * @param pace how many of its seconds go by in one
 */
export function useTankClock(everyMs: number, pace = 1): TankClock {
  const [clock] = useState(() => (pace === 1 ? new SteadyClock() : quickClock(pace)));
  const [now, setNow] = useState(() => ({ nowMs: clock.now(), jumpMs: 0, sleptMs: 0 }));
  const look = useCallback((): number => {
    const slept = clock.catchUp();
    const nowMs = clock.now();
    setNow(({ sleptMs }) => ({ nowMs, jumpMs: clock.jumpMs(), sleptMs: sleptMs + slept }));
    return nowMs;
  }, [clock]);
  useEffect(() => {
    const refresh = (): void => void look();
    const timer = setInterval(refresh, everyMs);
    document.addEventListener('visibilitychange', refresh);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', refresh);
    };
  }, [look, everyMs]);
  return useMemo(
    () => ({
      ...now,
      // A press that is the first to notice counts the sleep as well.
      read: () => (clock.jumpMs() > 0 ? look() : clock.now()),
      settle: () => setNow((before) => ({ ...before, sleptMs: 0 })),
      agree: () => clock.agree(),
      refresh: () => void look(),
      pace,
    }),
    [now, clock, look, pace],
  );
}

/** A clock for practice: it starts now and runs ahead of any other, which is no jump. */
function quickClock(pace: number): SteadyClock {
  const startMs = Date.now();
  const startWatch = performance.now();
  const quick = (): number => startMs + (performance.now() - startWatch) * pace;
  return new SteadyClock(quick, quick);
}

'use client';

import { useEffect, useState } from 'react';
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
}

/**
 * A clock that nobody can set, refreshed now and then.
 * @param everyMs how often, ms
 */
export function useTankClock(everyMs: number): TankClock {
  const [clock] = useState(() => new SteadyClock());
  const [now, setNow] = useState(() => ({ nowMs: clock.now(), jumpMs: 0 }));
  useEffect(() => {
    const refresh = (): void => setNow({ nowMs: clock.now(), jumpMs: clock.jumpMs() });
    const timer = setInterval(refresh, everyMs);
    document.addEventListener('visibilitychange', refresh);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', refresh);
    };
  }, [clock, everyMs]);
  return { ...now, read: () => clock.now(), agree: () => clock.agree() };
}

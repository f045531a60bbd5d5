'use client';

import { useEffect, useState } from 'react';

/**
 * This instant, refreshed now and then and whenever the page comes back into view.
 * @param everyMs how often, ms
 */
export function useNow(everyMs: number): number {
  const [nowMs, setNowMs] = useState(() => Date.now());
  useEffect(() => {
    const refresh = (): void => setNowMs(Date.now());
    const timer = setInterval(refresh, everyMs);
    document.addEventListener('visibilitychange', refresh);
    window.addEventListener('focus', refresh);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', refresh);
      window.removeEventListener('focus', refresh);
    };
  }, [everyMs]);
  return nowMs;
}

'use client';

import { useCallback, useEffect, useState } from 'react';

/** Whether this tab leads a piece of work; null until the browser has said. */
export interface Leadership {
  leads: boolean | null;
  /** Makes this tab lead; the one that led follows from then on. */
  takeOver: () => void;
}

/**
 * Lets one tab lead and the others follow. When the leading tab closes, the next one leads.
 * Where the browser has no locks, every tab leads, and the database decides whose act counts.
 * @param name what is led
 */
export function useLeadership(name: string): Leadership {
  const [leads, setLeads] = useState<boolean | null>(null);
  const [steals, setSteals] = useState(0);
  useEffect(() => {
    if (navigator.locks === undefined) {
      const timer = setTimeout(() => setLeads(true));
      return () => clearTimeout(timer);
    }
    let release = (): void => undefined;
    let gone = false;
    const abort = new AbortController();
    const hold = (): Promise<void> =>
      new Promise((resolve) => {
        if (gone) resolve();
        else {
          release = resolve;
          setLeads(true);
        }
      });
    const queue = (): void => {
      navigator.locks.request(name, { signal: abort.signal }, hold).catch(onLoss);
    };
    const onLoss = (): void => {
      if (gone) return;
      setLeads(false);
      queue();
    };
    const follows = setTimeout(() => setLeads((now) => now ?? false), 250);
    if (steals > 0) navigator.locks.request(name, { steal: true }, hold).catch(onLoss);
    else queue();
    return () => {
      gone = true;
      clearTimeout(follows);
      release();
      abort.abort();
    };
  }, [name, steals]);
  return { leads, takeOver: useCallback(() => setSteals((count) => count + 1), []) };
}

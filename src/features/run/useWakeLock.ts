'use client';

import { useEffect, useState } from 'react';

/** Keeps the screen awake while wanted, and takes the lock again when the page comes back into view. */
export function useWakeLock(wanted: boolean): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let sentinel: WakeLockSentinel | null = null;
    let gone = false;
    const take = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      try {
        sentinel = await navigator.wakeLock.request('screen');
        if (gone) await sentinel.release();
        else setAwake(true);
      } catch {
        setAwake(false);
      }
    };
    void take();
    document.addEventListener('visibilitychange', take);
    return () => {
      gone = true;
      setAwake(false);
      document.removeEventListener('visibilitychange', take);
      void sentinel?.release();
    };
  }, [wanted]);
  return awake;
}

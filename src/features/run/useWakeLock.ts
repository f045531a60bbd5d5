'use client';

import { useEffect, useState } from 'react';
import { HANDS_LOCK } from '@/data/handsBusy';

/** How soon a lock that the browser took back is asked for again, ms. */
const AGAIN_MS = 5000;

/** Keeps the screen awake while wanted, and takes the lock again whenever it was lost. True while the lock is really held. */
export function useWakeLock(wanted: boolean): boolean {
  const [awake, setAwake] = useState(false);
  useHandsLock(wanted);
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return;
    let sentinel: WakeLockSentinel | null = null;
    let gone = false;
    let asking = false;
    const take = async (): Promise<void> => {
      if (gone || asking || document.visibilityState !== 'visible' || (sentinel !== null && !sentinel.released)) return;
      asking = true;
      try {
        const held = await navigator.wakeLock.request('screen');
        if (gone) return void held.release();
        sentinel = held;
        setAwake(!held.released);
        held.addEventListener('release', () => {
          if (!gone) setAwake(false);
        });
      } catch {
        setAwake(false);
      } finally {
        asking = false;
      }
    };
    void take();
    const again = setInterval(() => void take(), AGAIN_MS);
    const seen = (): void => void take();
    document.addEventListener('visibilitychange', seen);
    return () => {
      gone = true;
      setAwake(false);
      clearInterval(again);
      document.removeEventListener('visibilitychange', seen);
      void sentinel?.release();
    };
  }, [wanted]);
  return awake;
}

/** Says to other pages that hands work by this one. */
function useHandsLock(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || navigator.locks === undefined) return;
    const gone = new AbortController();
    let release = (): void => undefined;
    const held = new Promise<void>((resolve) => (release = resolve));
    navigator.locks.request(HANDS_LOCK, { mode: 'shared', signal: gone.signal }, () => held).catch(() => undefined);
    return () => {
      gone.abort();
      release();
    };
  }, [wanted]);
}

'use client';

import { useSyncExternalStore } from 'react';

/** Width from which two columns stand beside each other. */
const WIDE = '(min-width: 1024px)';

function follow(listener: () => void): () => void {
  const query = window.matchMedia(WIDE);
  query.addEventListener('change', listener);
  return () => query.removeEventListener('change', listener);
}

/** Whether there is room for a second column. */
export function useWide(): boolean {
  return useSyncExternalStore(
    follow,
    () => window.matchMedia(WIDE).matches,
    () => true,
  );
}

'use client';

import { useSyncExternalStore } from 'react';

let printing = false;

function subscribe(listener: () => void): () => void {
  const begin = (): void => {
    printing = true;
    listener();
  };
  const end = (): void => {
    printing = false;
    listener();
  };
  window.addEventListener('beforeprint', begin);
  window.addEventListener('afterprint', end);
  return () => {
    window.removeEventListener('beforeprint', begin);
    window.removeEventListener('afterprint', end);
  };
}

/** Whether the page is being printed: what draws its own colours draws those of the day. */
export function usePrinting(): boolean {
  return useSyncExternalStore(
    subscribe,
    () => printing,
    () => false,
  );
}

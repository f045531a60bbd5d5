'use client';

import { useEffect } from 'react';
import { useFolder } from '@/data/folder';
import { useFolderStep } from './useFolderStep';

/** How often the folder is looked at, ms: copies between devices take about as long. */
const EVERY_MS = 3 * 60_000;
/** After a page has opened, its own work goes first, ms. */
const LATER_MS = 8_000;

/** Keeps the bench in step with its folder while a page is open and looked at. Where the browser wants to be asked, it waits for that. */
export function FolderKeeper() {
  const folder = useFolder();
  const { step } = useFolderStep();
  const handle = folder?.handle;
  useEffect(() => {
    if (handle === undefined) return;
    const look = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      if ((await handle.queryPermission?.({ mode: 'readwrite' })) === 'prompt') return;
      await step(false);
    };
    const first = setTimeout(() => void look(), LATER_MS);
    const timer = setInterval(() => void look(), EVERY_MS);
    return () => {
      clearTimeout(first);
      clearInterval(timer);
    };
  }, [handle, step]);
  return null;
}

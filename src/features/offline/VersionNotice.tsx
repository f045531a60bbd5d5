'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useState } from 'react';
import { handsAreBusy } from '@/data/handsBusy';
import { keepOffline, lookForVersion, onVersions, takeNewest, versionsKept } from '@/workers/offline/client';

/** How often a page that stands looks for a newer version, ms. */
const LOOK_AGAIN_MS = 60 * 60_000;

/** Keeps Aetas for when there is no server, and offers a newer version in a line. It is taken on a word, and never during a run. */
export function VersionNotice() {
  const [ready, setReady] = useState(false);
  const [busy, setBusy] = useState(false);
  const path = usePathname();
  useEffect(() => {
    const look = (): void => void versionsKept().then((kept) => setReady(kept !== null && kept.newest !== kept.served));
    const stop = onVersions({ ready: look, taken: () => location.reload() });
    // The first page shows before all the others are fetched.
    const begin = setTimeout(() => void keepOffline().then(look), 1500);
    const again = setInterval(() => void lookForVersion(), LOOK_AGAIN_MS);
    return () => {
      stop();
      clearTimeout(begin);
      clearInterval(again);
    };
  }, []);
  if (!ready || /^\/runs\/|\/dark$/.test(path)) return null;
  const take = async (): Promise<void> => {
    const now = await handsAreBusy();
    setBusy(now);
    if (!now) await takeNewest();
  };
  return (
    <div role="status" className="no-print border-b border-ink bg-sheet text-[14px]">
      <p className="mx-auto flex frame flex-wrap items-center gap-x-4 px-4 sm:px-10">
        <span>
          {busy
            ? 'A film or a sheet is being worked on. The new version waits until that is done.'
            : 'A new version of Aetas is ready.'}
        </span>
        <button type="button" className="act-plain min-h-11 font-[620]" onClick={() => void take()}>
          {busy ? 'Try again' : 'Use it now'}
        </button>
      </p>
    </div>
  );
}

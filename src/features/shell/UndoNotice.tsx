'use client';

import { usePathname } from 'next/navigation';
import { useLastAct } from '@/data/queries';
import { useNow } from '@/ui/useNow';

/** How long the offer stays on every page; under Records it stays for good. */
const OFFER_MS = 10 * 60_000;

/** Offers to undo the last act that took something away: a bar at the foot, always in sight, and after the page’s own end. */
export function UndoNotice() {
  const last = useLastAct();
  const path = usePathname();
  const nowMs = useNow(30_000);
  const busyPlace = /^\/runs\/|\/dark$/.test(path);
  if (last === undefined || nowMs - last.atMs > OFFER_MS || busyPlace) return null;
  return (
    <div role="status" className="no-print sticky bottom-0 z-20 border-t-2 border-ink bg-sheet text-[14px]">
      <p className="mx-auto flex frame flex-wrap items-center gap-x-4 px-4 sm:px-10">
        <span>You can still undo {last.what}.</span>
        <button
          type="button"
          className="act-plain min-h-11 font-[620]"
          onClick={() => void import('@/data/undo').then(({ undoAct }) => undoAct(last.id)).catch(() => undefined)}
        >
          Undo
        </button>
        <button
          type="button"
          className="act-plain min-h-11 text-ink2"
          onClick={() => void import('@/data/undo').then(({ forgetAct }) => forgetAct(last.id)).catch(() => undefined)}
        >
          Dismiss
        </button>
      </p>
    </div>
  );
}

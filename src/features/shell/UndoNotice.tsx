'use client';

import { usePathname } from 'next/navigation';
import { useLastAct } from '@/data/queries';
import { useNow } from '@/ui/useNow';

/** How long the offer stays on every page; under Records it stays for good. */
const OFFER_MS = 10 * 60_000;

/** Offers to undo the last act that took something away: a line under the header, never over anything. */
export function UndoNotice() {
  const last = useLastAct();
  const path = usePathname();
  const nowMs = useNow(30_000);
  const busyPlace = /^\/runs\/|\/dark$/.test(path);
  if (last === undefined || nowMs - last.atMs > OFFER_MS || busyPlace) return null;
  return (
    <div role="status" className="no-print border-b border-hair bg-sheet text-[14px]">
      <p className="mx-auto flex max-w-[1280px] flex-wrap items-baseline gap-x-4 gap-y-1 px-4 py-2 sm:px-10">
        <span>You can still undo {last.what}.</span>
        <button
          type="button"
          className="act-plain font-[620]"
          onClick={() => void import('@/data/undo').then(({ undoAct }) => undoAct(last.id)).catch(() => undefined)}
        >
          Undo
        </button>
        <button
          type="button"
          className="act-plain text-ink2"
          onClick={() => void import('@/data/undo').then(({ forgetAct }) => forgetAct(last.id)).catch(() => undefined)}
        >
          Dismiss
        </button>
      </p>
    </div>
  );
}

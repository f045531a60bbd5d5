'use client';

import { useLastSafekeeping } from '@/data/queries';
import { useNow } from '@/ui/useNow';

/** How long the offer stays on every page; under Records it stays for good. */
const OFFER_MS = 10 * 60_000;

/** Offers to undo the last large act. */
export function UndoNotice() {
  const last = useLastSafekeeping();
  const nowMs = useNow(30_000);
  if (last === undefined || nowMs - last.atMs > OFFER_MS) return null;
  return (
    <div role="status" className="fixed inset-x-0 bottom-0 z-30 border-t-2 border-ink bg-sheet">
      <div className="mx-auto flex max-w-[1280px] flex-wrap items-center gap-4 px-4 py-3 sm:px-10">
        <span className="mr-auto">You can still undo {last.what}.</span>
        <button
          type="button"
          className="act act-primary"
          onClick={() => void import('@/data/safekeeping').then(({ undoLast }) => undoLast())}
        >
          Undo
        </button>
        <button
          type="button"
          className="act"
          onClick={() => void import('@/data/safekeeping').then(({ forgetLast }) => forgetLast())}
        >
          Let it be
        </button>
      </div>
    </div>
  );
}

'use client';

import Link from 'next/link';
import { useSyncExternalStore } from 'react';
import { onStorageTrouble, storageTrouble } from '@/data/trouble';

/** Says so when the browser refused a write. What was typed is still on the screen. */
export function StorageNotice() {
  const trouble = useSyncExternalStore(onStorageTrouble, storageTrouble, () => null);
  if (trouble === null) return null;
  return (
    <div role="alert" className="border-b-2 border-danger bg-sheet">
      <p className="mx-auto flex frame flex-wrap gap-x-4 px-4 py-3 text-danger sm:px-10">
        <span>
          <b>Not stored.</b> {trouble}
        </span>
        <Link href="/records" className="act-plain">
          Go to Records
        </Link>
      </p>
    </div>
  );
}

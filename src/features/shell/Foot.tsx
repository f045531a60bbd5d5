'use client';

import dynamic from 'next/dynamic';
import Link from 'next/link';
import { usePathname } from 'next/navigation';
import { useState } from 'react';

const KeysDialog = dynamic(() => import('./KeysDialog'), { ssr: false });

/** What is seldom wanted, at the foot of every page but the tank and the dark. */
export function Foot() {
  const [showing, setShowing] = useState(false);
  const path = usePathname();
  if (/^\/runs\/|\/dark$/.test(path)) return null;
  return (
    <footer className="no-print mt-6 border-t border-hair">
      <div className="mx-auto flex frame flex-wrap items-center gap-x-6 px-4 text-[14px] sm:px-10">
        <Link href="/settings" className="inline-flex min-h-11 items-center text-ink2 underline underline-offset-3">
          Settings
        </Link>
        <button
          type="button"
          className="min-h-11 text-ink2 underline underline-offset-3"
          onClick={() => setShowing(true)}
        >
          Keys
        </button>
        <Link href="/first" className="inline-flex min-h-11 items-center text-ink2 underline underline-offset-3">
          The first roll
        </Link>
      </div>
      {showing && <KeysDialog onClose={() => setShowing(false)} />}
    </footer>
  );
}

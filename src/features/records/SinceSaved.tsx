'use client';

import Link from 'next/link';
import { useEffect, useState } from 'react';
import { benchName } from '@/data/benchName';
import { useSinceSaved } from '@/data/lastSaved';
import { useNow } from '@/ui/useNow';
import { sinceSavedWords, wantsSaving } from './sinceSavedWords';

/** How often the days are looked at again, ms. */
const LOOK_AGAIN_MS = 60_000;
/** How long the bench is left alone before its log is counted, ms. */
const LATER_MS = 3000;

/** When everything was last saved as a file, and the runs since. */
export function SinceSaved() {
  const since = useSinceSaved();
  const nowMs = useNow(LOOK_AGAIN_MS);
  return <p className="mt-1 min-h-[22px] text-ink2">{since === undefined ? '' : sinceSavedWords(since, nowMs)}</p>;
}

/** The same on the bench, once it is worth a word: records live in this browser only. */
export function SaveReminder() {
  const [later, setLater] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLater(true), LATER_MS);
    return () => clearTimeout(timer);
  }, []);
  // The demo can be laid out anew at any time.
  return later && benchName() === 'own' ? <Reminder /> : null;
}

function Reminder() {
  const since = useSinceSaved();
  const nowMs = useNow(LOOK_AGAIN_MS);
  if (since === undefined || !wantsSaving(since, nowMs)) return null;
  return (
    <p className="mt-4 text-[14px] text-ink2">
      {sinceSavedWords(since, nowMs)}{' '}
      <Link href="/records" className="act-plain">
        Save all records
      </Link>
    </p>
  );
}

import { useEffect, useState } from 'react';
import { readDraft } from '@/data/drafts';
import { FIRST_ROLL_DRAFT, progressSchema } from './firstRollProgress';

/** Whether somebody is on the way to a first roll and has not run a tank yet. */
export function useFirstRun(): boolean {
  const [first, setFirst] = useState(false);
  useEffect(() => {
    let gone = false;
    void readDraft(FIRST_ROLL_DRAFT).then(
      (kept) => {
        const read = progressSchema.safeParse(kept);
        if (!gone) setFirst(kept != null && read.success && !read.data.done.includes('run'));
      },
      () => undefined,
    );
    return () => {
      gone = true;
    };
  }, []);
  return first;
}

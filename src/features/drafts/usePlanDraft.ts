'use client';

import { useEffect, useState } from 'react';
import { readDraft } from '@/data/drafts';
import { planDraftKey } from '@/data/plans';

/** The plan's form of a roll as it was typed when the page opened; null while it is read. */
export function usePlanDraft(rollId: string): { values: unknown } | null {
  const [draft, setDraft] = useState<{ rollId: string; values: unknown } | null>(null);
  useEffect(() => {
    let gone = false;
    void readDraft(planDraftKey(rollId)).then((values) => {
      if (!gone) setDraft({ rollId, values });
    });
    return () => {
      gone = true;
    };
  }, [rollId]);
  return draft?.rollId === rollId ? draft : null;
}

'use client';

import { useEffect, useState } from 'react';
import type { Trial } from '@/core/records/records';
import type { TrialAnswer } from '@/core/trial/trialAnswer';
import { trialValues } from '@/data/trials';
import { coreWorker } from '@/workers/core';

/**
 * What a trial says, worked out beside the page.
 * @param open whether it may be told: a trial that is read blind says nothing
 * @returns null until it is known; the answers before stay while others are on their way
 */
export function useTrialAnswers(trial: Trial, open: boolean): { answers: TrialAnswer[] | null; failed: string | null } {
  const [answers, setAnswers] = useState<TrialAnswer[] | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    if (!open) return;
    let stale = false;
    coreWorker()
      .trialAnswers(trialValues(trial))
      .then(
        (found) => {
          if (stale) return;
          setAnswers(found);
          setFailed(null);
        },
        (error: unknown) => {
          if (!stale) setFailed(error instanceof Error ? error.message : 'The analysis stopped for an unknown reason.');
        },
      );
    return () => {
      stale = true;
    };
  }, [trial, open]);
  return { answers, failed };
}

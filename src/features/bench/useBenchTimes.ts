'use client';

import { useEffect, useState } from 'react';
import type { BenchTime } from '@/core/plan/benchTimes';
import type { Bench, RollDossier } from '@/data/queries';
import { useLearned } from '@/features/learning/useLearned';
import { coreWorker } from '@/workers/core';

/** Times of the rolls that have one, by roll id; they come from the worker a moment after the rolls. */
export function useBenchTimes(bench: Bench | undefined, nowMs: number): ReadonlyMap<string, BenchTime> {
  const learned = useLearned();
  const [times, setTimes] = useState<ReadonlyMap<string, BenchTime>>(new Map());
  useEffect(() => {
    if (bench === undefined || learned === null) return;
    let stale = false;
    const rolls = bench.dossiers
      .filter(showsTime)
      .map(({ roll, stock, plan, planDraft }) => ({ roll, stock, plan, planDraft }));
    void coreWorker()
      .benchTimes(rolls, bench.brews, nowMs)
      .then((found) => {
        if (!stale) setTimes(new Map(found.map((time) => [time.rollId, time])));
      })
      .catch(() => undefined);
    return () => {
      stale = true;
    };
  }, [bench, nowMs, learned]);
  return times;
}

function showsTime({ standing }: RollDossier): boolean {
  return !standing.forbidden && standing.atHand !== 'judge' && standing.atHand !== null;
}

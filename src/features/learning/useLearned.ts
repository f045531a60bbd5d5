'use client';

import { useEffect, useState } from 'react';
import { useLearningRecords } from '@/data/queries';
import { coreWorker } from '@/workers/core';

/**
 * Tells the worker what the bench knows, whenever that changes.
 * @param nowYear this year
 * @returns a number that grows with each change; null until the worker knows
 */
export function useLearned(nowYear: number): number | null {
  const records = useLearningRecords();
  const [told, setTold] = useState<number | null>(null);
  useEffect(() => {
    if (records === undefined) return;
    let stale = false;
    void coreWorker()
      .learn(records, nowYear)
      .then(() => {
        if (!stale) setTold((before) => (before ?? 0) + 1);
      });
    return () => {
      stale = true;
    };
  }, [records, nowYear]);
  return told;
}

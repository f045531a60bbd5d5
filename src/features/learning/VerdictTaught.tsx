'use client';

import { useEffect, useState } from 'react';
import type { VerdictEffect } from '@/core/plan/verdictEffect';
import { useBench } from '@/data/queries';
import { useNow } from '@/ui/useNow';
import { coreWorker } from '@/workers/core';
import { taughtWords } from './taughtWords';
import { useLearned } from './useLearned';

/** How often the age of brews is looked at again, ms. */
const LOOK_AGAIN_MS = 5 * 60_000;

/** What a verdict taught, in a sentence: which waiting rolls it moved. */
export function VerdictTaught({
  verdictId,
  mayTeach,
}: {
  verdictId: string;
  /** Whether it is evidence at all; then nothing is said until it has been taken in. */
  mayTeach: boolean;
}) {
  const bench = useBench();
  const learned = useLearned();
  const nowMs = useNow(LOOK_AGAIN_MS);
  const [effect, setEffect] = useState<VerdictEffect | null>(null);
  useEffect(() => {
    if (bench === undefined || learned?.all !== true) return;
    let gone = false;
    const rolls = bench.dossiers
      .filter(({ standing }) => !standing.forbidden && standing.atHand !== 'judge' && standing.atHand !== null)
      .map(({ roll, stock, plan, planDraft }) => ({ roll, stock, plan, planDraft }));
    void coreWorker()
      .verdictEffect(verdictId, rolls, bench.brews, nowMs)
      .then((found) => {
        if (!gone) setEffect(found);
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [verdictId, bench, learned, nowMs]);
  if (effect === null || bench === undefined || (mayTeach && !effect.teaches)) return null;
  const labelOf = (rollId: string): string =>
    bench.dossiers.find(({ roll }) => roll.id === rollId)?.roll.label ?? 'another roll';
  return (
    <p className="mt-2" data-testid="taught">
      {taughtWords(effect, labelOf)}
    </p>
  );
}

'use client';

import { useEffect, useMemo, useState } from 'react';
import { timeInHand } from '@/core/plan/planInHand';
import type { Bench, RollDossier } from '@/data/queries';
import { coreWorker } from '@/workers/core';

/** A time with its band, and whether it is decided. */
export interface BenchTime {
  timeMin: number;
  lowMin: number;
  highMin: number;
  pinned: boolean;
}

/** Times of the rolls that have one, by roll id. Estimates come from the worker a moment later. */
export function useBenchTimes(bench: Bench | undefined, nowMs: number): Map<string, BenchTime> {
  const [estimated, setEstimated] = useState<ReadonlyMap<string, BenchTime>>(new Map());
  const inHand = useMemo(() => (bench?.dossiers ?? []).filter(showsTime).map((dossier) => ({ id: dossier.roll.id, time: timeInHand(dossier, bench?.brews ?? [], nowMs) })), [bench, nowMs]);

  useEffect(() => {
    const asked = inHand.flatMap(({ id, time }) => (time?.kind === 'request' ? [{ id, request: time.request }] : []));
    if (asked.length === 0) return;
    let stale = false;
    void coreWorker()
      .estimateAll(asked.map(({ request }) => request))
      .then((answers) => {
        if (stale) return;
        setEstimated(
          new Map(
            asked.flatMap(({ id }, index) => {
              const answer = answers[index];
              return answer === undefined ? [] : [[id, { timeMin: answer.timeMin, ...answer.band, pinned: false }] as const];
            }),
          ),
        );
      });
    return () => {
      stale = true;
    };
  }, [inHand]);

  return useMemo(() => {
    const times = new Map<string, BenchTime>();
    for (const { id, time } of inHand) {
      if (time?.kind === 'pinned') times.set(id, { ...time.pinned, pinned: true });
      else if (time?.kind === 'request') {
        const answer = estimated.get(id);
        if (answer !== undefined) times.set(id, answer);
      }
    }
    return times;
  }, [inHand, estimated]);
}

function showsTime({ standing }: RollDossier): boolean {
  return !standing.forbidden && standing.atHand !== 'judge' && standing.atHand !== null;
}

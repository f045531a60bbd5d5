'use client';

import { useState } from 'react';
import { CLEARING_MULTIPLE } from '@/core/fixing/fixTime';
import { clearingToExpect } from '@/core/plan/tankChecks';
import type { RunProgress } from '@/core/schedule/runState';
import { formatDuration } from '@/core/units/duration';
import { useBrews } from '@/data/queries';
import type { TankClock } from './useTankClock';

interface ClearingTestProps {
  /** The jug that the fixer comes from; null where nobody said. */
  fixerId: string | null;
  clearing: RunProgress['clearing'];
  clock: TankClock;
  disabled: boolean;
  onKeep: (seconds: number, factor: 2 | 3) => void;
}

/** A scrap of the film in the fixer: dropped, clear, and the fixing time that follows. */
export function ClearingTest({ fixerId, clearing, clock, disabled, onKeep }: ClearingTestProps) {
  const brews = useBrews();
  const fixer = brews?.find(({ id }) => id === fixerId);
  const expectedS = fixer === undefined ? null : clearingToExpect(fixer, clock.nowMs, brews);
  const [droppedMs, setDroppedMs] = useState<number | null>(null);
  const [clearS, setClearS] = useState<number | null>(null);
  const key = 'act min-h-16 text-[17px]';
  return (
    <section aria-label="Clearing test" className="border-t border-hair pt-3">
      <p className="min-h-[2.8em] text-[16px]">
        {clearS !== null
          ? `Clear after ${formatDuration(clearS)}.`
          : droppedMs !== null
            ? `In the fixer for ${formatDuration(Math.max(0, Math.floor((clock.nowMs - droppedMs) / 1000)))}. Press when the scrap is clear.`
            : clearing !== null
              ? `Cleared in ${formatDuration(clearing.seconds)}: fixing for ${formatDuration(clearing.seconds * clearing.factor)}.`
              : `Clearing test: drop a scrap of the leader into this fixer.${expectedS === null ? '' : ` Expect about ${formatDuration(Math.round(expectedS))}.`}`}
      </p>
      <div className="grid grid-cols-2 gap-2.5">
        {clearS !== null ? (
          ([CLEARING_MULTIPLE.usual, CLEARING_MULTIPLE.cautious] as const).map((factor) => (
            <button
              key={factor}
              type="button"
              className={key}
              disabled={disabled}
              onClick={() => {
                onKeep(clearS, factor);
                setClearS(null);
              }}
            >
              × {factor}: {formatDuration(clearS * factor)}
            </button>
          ))
        ) : droppedMs === null ? (
          <button
            type="button"
            className={`${key} col-span-2`}
            disabled={disabled}
            onClick={() => setDroppedMs(clock.read())}
          >
            The scrap is in
          </button>
        ) : (
          <>
            <button
              type="button"
              className={`${key} border-2 font-bold`}
              disabled={disabled}
              onClick={() => {
                setClearS(Math.max(1, Math.round((clock.read() - droppedMs) / 1000)));
                setDroppedMs(null);
              }}
            >
              It is clear
            </button>
            <button type="button" className={key} onClick={() => setDroppedMs(null)}>
              Not now
            </button>
          </>
        )}
      </div>
    </section>
  );
}

'use client';

import * as z from 'zod';
import { CLEARING_MULTIPLE } from '@/core/fixing/fixTime';
import { clearingToExpect } from '@/core/run/tankChecks';
import type { RunProgress } from '@/core/run/runProgress';
import { formatDuration } from '@/core/units/duration';
import { useBrews } from '@/data/queries';
import { useDraft } from '@/features/drafts/useDraft';
import type { TankClock } from './useTankClock';

/** The stopwatch as it was pressed: a page that is closed and opened again goes on counting. */
const clearingFormSchema = z.object({
  droppedMs: z.number().nullable(),
  clearS: z.number().positive().nullable(),
});
type ClearingForm = z.infer<typeof clearingFormSchema>;

const atRest: ClearingForm = { droppedMs: null, clearS: null };

/** A scrap that was dropped so long ago was forgotten, ms. Source: our choice; no fixer that still works takes so long. */
const FORGOTTEN_MS = 30 * 60_000;

const opened = (kept: ClearingForm | null): ClearingForm =>
  kept === null || (kept.droppedMs !== null && Math.abs(Date.now() - kept.droppedMs) > FORGOTTEN_MS) ? atRest : kept;

interface ClearingTestProps {
  runId: string;
  /** The jug that the fixer comes from; null where nobody said. */
  fixerId: string | null;
  clearing: RunProgress['clearing'];
  clock: TankClock;
  disabled: boolean;
  onKeep: (seconds: number, factor: 2 | 3) => void;
}

/** A scrap of the film in the fixer: dropped, clear, and the fixing time that follows. */
export function ClearingTest({ runId, fixerId, clearing, clock, disabled, onKeep }: ClearingTestProps) {
  const brews = useBrews();
  const fixer = brews?.find(({ id }) => id === fixerId);
  const expectedS = fixer === undefined ? null : clearingToExpect(fixer, clock.nowMs, brews);
  const { form, change } = useDraft(`clearing:${runId}`, clearingFormSchema, opened);
  const { droppedMs, clearS } = form ?? atRest;
  const key = 'act min-h-16 text-[17px]';
  return (
    <section
      aria-label="Clearing test"
      className="grid items-center gap-x-6 border-t border-hair pt-3 lg:grid-cols-[minmax(0,1fr)_360px]"
    >
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
                change(atRest);
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
            onClick={() => change({ droppedMs: clock.read() })}
          >
            The scrap is in
          </button>
        ) : (
          <>
            <button
              type="button"
              className={`${key} border-2 font-bold`}
              disabled={disabled}
              onClick={() =>
                change({ droppedMs: null, clearS: Math.max(1, Math.round((clock.read() - droppedMs) / 1000)) })
              }
            >
              It is clear
            </button>
            <button type="button" className={key} onClick={() => change(atRest)}>
              Not now
            </button>
          </>
        )}
      </div>
    </section>
  );
}

'use client';

import { pinShift } from '@/core/plan/pinShift';
import type { Pinned, Roll } from '@/core/records/records';
import { developSeconds } from '@/core/plan/developSeconds';
import { formatDuration, formatMinutes } from '@/core/units/duration';
import type { UnitChoice } from '@/core/units/quantity';
import type { RollAnalysis } from '@/workers/coreApi';
import { percentWords, shiftReasonWords } from '@/features/words/evidenceWords';

/** The time that was set beside the new one, and why it moved. */
export function PinNote({
  pinned,
  analysis,
  units,
  rolls,
}: {
  pinned: Pinned;
  analysis: RollAnalysis;
  units: UnitChoice;
  rolls: readonly Pick<Roll, 'id' | 'label'>[];
}) {
  if (pinned.own === true) {
    return (
      <p>
        You set <b className="num">{formatDuration(developSeconds(pinned))}</b>, your own time.
      </p>
    );
  }
  const shift = pinShift(pinned, analysis.estimate, analysis.effects);
  if (shift === null) {
    return (
      <p>
        You set <b className="num">{formatMinutes(pinned.timeMin)}</b>; nothing has changed.
      </p>
    );
  }
  return (
    <div className="border-s-4 border-heat ps-3" role="status">
      <p>
        You set <b className="num">{formatMinutes(pinned.timeMin)}</b>; now it would be{' '}
        <b className="num">{formatMinutes(analysis.estimate.timeMin)}</b> ({percentWords(shift.ratio)}).
      </p>
      {shift.reasons.length > 0 && (
        <p className="text-[14px] text-ink2">
          It moved because of{' '}
          {shift.reasons.map((reason) => shiftReasonWords(reason, analysis, units, rolls)).join('; ')}.
        </p>
      )}
    </div>
  );
}

'use client';

import { timeGradient, timeGradientRanges } from '@/core/densitometry/timeGradient';
import { readingOfKept } from '@/core/records/keptStrip';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { useReadings } from '@/data/readings';

/** Time before anything shows, as a share of the development time. Source: science of the estimate, our estimate. */
const INDUCTION_SHARE = 0.06;

/** No gradient is better than this, ln: film, bath and hands repeat no better. Source: our estimate. */
const LEAST_LN_SD = 0.02;

interface TimeGradientNoteProps {
  rollId: string;
  timeMin: number;
  gradient: number | null;
  /** Spread of ln(gradient) that this strip has for itself, and that it shares with others by its camera. */
  doubt: { ownLnSd: number; cameraLnSd: number; camera: string | null };
  targetGradient: number | null;
}

/** Two strips at two times: where contrast levels off, and when the wanted one is reached. */
export function TimeGradientNote({ rollId, timeMin, gradient, doubt, targetGradient }: TimeGradientNoteProps) {
  const kept = useReadings(rollId) ?? [];
  if (gradient === null) return null;
  const others = kept.flatMap((record) => {
    const value = readingOfKept(record).curve?.gradient?.value;
    return value === undefined || Math.abs(record.timeMin / timeMin - 1) < 0.1 ? [] : [{ record, value }];
  });
  const other = others.at(-1);
  if (other === undefined) return null;
  const curve = timeGradient(
    { timeMin, gradient },
    { timeMin: other.record.timeMin, gradient: other.value },
    INDUCTION_SHARE,
  );
  const beside = `With “${other.record.name}” (${formatMinutes(other.record.timeMin)}, gradient ${formatNumber(other.value, 2)})`;
  const { doubt: before } = other.record;
  // One camera stretches both alike; two do so each for itself.
  const shared = doubt.camera !== null && before?.camera === doubt.camera;
  const own = (ownLnSd: number, cameraLnSd: number): number => (shared ? ownLnSd : Math.hypot(ownLnSd, cameraLnSd));
  const { largest, timeMin: time } = timeGradientRanges(
    { timeMin, gradient, ownLnSd: Math.max(LEAST_LN_SD, own(doubt.ownLnSd, doubt.cameraLnSd)) },
    {
      timeMin: other.record.timeMin,
      gradient: other.value,
      ownLnSd: Math.max(LEAST_LN_SD, own(before?.ownLnSd ?? 0, before?.cameraLnSd ?? 0)),
    },
    shared ? doubt.cameraLnSd : 0,
    INDUCTION_SHARE,
    targetGradient,
  );
  const likely =
    largest === null ? '' : `, 80 % likely ${formatNumber(largest.low, 2)} to ${formatNumber(largest.high, 2)}`;
  const wanted =
    !curve.ok || targetGradient === null
      ? ''
      : curve.value.timeFor(targetGradient) === null
        ? ` ${formatNumber(targetGradient, 2)} is out of its reach.`
        : ` ${formatNumber(targetGradient, 2)} would take ${formatMinutes(curve.value.timeFor(targetGradient) ?? 0)} in the same bath${time === null ? ': the two strips leave it wide open' : `, 80 % likely ${formatMinutes(time.low)} to ${formatMinutes(time.high)}`}.`;
  return (
    <p className="mt-2 max-w-[72ch]" data-testid="two-strips">
      {curve.ok
        ? `${beside}: contrast levels off at ${formatNumber(curve.value.largest, 2)}${likely}.${wanted}`
        : `${beside}: ${curve.problems[0]?.message ?? ''}`}
    </p>
  );
}

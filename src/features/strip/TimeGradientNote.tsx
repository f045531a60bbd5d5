'use client';

import { timeGradient } from '@/core/densitometry/timeGradient';
import { readingOfKept } from '@/core/records/keptStrip';
import { formatMinutes } from '@/core/units/duration';
import { formatNumber } from '@/core/units/quantity';
import { useReadings } from '@/data/readings';

/** Time before anything shows, as a share of the development time. Source: science of the estimate, our estimate. */
const INDUCTION_SHARE = 0.06;

interface TimeGradientNoteProps {
  rollId: string;
  timeMin: number;
  gradient: number | null;
  targetGradient: number | null;
}

/** Two strips at two times: where contrast levels off, and when the wanted one is reached. */
export function TimeGradientNote({ rollId, timeMin, gradient, targetGradient }: TimeGradientNoteProps) {
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
  const wanted =
    !curve.ok || targetGradient === null
      ? ''
      : curve.value.timeFor(targetGradient) === null
        ? ` ${formatNumber(targetGradient, 2)} is out of its reach.`
        : ` ${formatNumber(targetGradient, 2)} would take ${formatMinutes(curve.value.timeFor(targetGradient) ?? 0)} in the same bath.`;
  return (
    <p className="mt-2 max-w-[72ch]" data-testid="two-strips">
      {curve.ok
        ? `${beside}: contrast levels off at ${formatNumber(curve.value.largest, 2)}.${wanted}`
        : `${beside}: ${curve.problems[0]?.message ?? ''}`}
    </p>
  );
}

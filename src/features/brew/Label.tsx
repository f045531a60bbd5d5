'use client';

import { format } from 'date-fns';
import { labelHazards } from '@/core/brewing/labelHazards';
import { labelText } from '@/core/brewing/finishMix';
import { amountDigits, amountOf } from '@/core/brewing/part';
import type { Brew } from '@/core/records/records';
import { formatNumber, formatQuantity } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { QrCode } from '@/ui/QrCode';
import { amountWords } from '@/features/words/brewWords';

/** What is stuck on the jug: contents, date, hazards, and a code that holds the same as text. */
export function Label({ brew }: { brew: Brew }) {
  const units = useSettings();
  const mixed = format(brew.mixedMs, 'd MMM yyyy, HH:mm');
  const hazards = labelHazards(brew.parts, brew.ph);
  return (
    <div className="w-full max-w-[372px] border-2 border-ink p-3" data-testid="label">
      <div className="flex items-start justify-between gap-3">
        <div className="min-w-0">
          <p className="num text-[20px] leading-tight">{brew.name}</p>
          <p className="num mt-1 text-[30px] leading-none tracking-[.08em]">{brew.code}</p>
        </div>
        <QrCode label="Label as a code to scan" text={labelText(brew, mixed, units)} />
      </div>
      <p className="mt-2 border-t border-ink pt-1 text-[13px]">
        {mixed} · {formatQuantity(brew.volumeMl, 'volume', units)}
        {brew.ph !== null && ` · pH about ${formatNumber(brew.ph, 1)}`}
      </p>
      {brew.parts.length > 0 && (
        <p className="mt-1 text-[13px]">
          {brew.parts
            .map(
              (part) =>
                `${part.name} ${amountWords(amountOf(part), part.unit, amountDigits(amountOf(part), part.unit), units)}`,
            )
            .join(', ')}
        </p>
      )}
      <p className="mt-2 border-t border-ink pt-1 text-[13px]">{hazards.join(' ')}</p>
      <p className="num mt-1 text-[22px]">Not a drink</p>
    </div>
  );
}

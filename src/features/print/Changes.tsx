'use client';

import { useState } from 'react';
import type { PrintForm } from '@/core/printing/print';
import { apertureFactor, dryDown, matchFactor, sizeFactor } from '@/core/printing/printPlan';
import { formatNumber } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { Quantity } from '@/ui/Quantity';

const above0 = (value: number | string): value is number => typeof value === 'number' && value > 0;

/** Another size, another aperture, and what the paper darkens while it dries: each with the exposure that follows. */
export function Changes({
  form,
  change,
  errors,
}: {
  form: PrintForm;
  change: (part: Partial<PrintForm>) => void;
  errors: Partial<Record<string, string>>;
}) {
  const units = useSettings();
  const [toMm, setToMm] = useState<number | string>('');
  const [toF, setToF] = useState<number | string>('');
  const [beforeS, setBeforeS] = useState<number | string>('');
  const [nowS, setNowS] = useState<number | string>('');
  const { baseS, sideMm, negativeMm, fNumber, dryDown: percent } = form;
  const field = (id: 'sideMm' | 'negativeMm', label: string) => (
    <Quantity
      id={id}
      label={label}
      kind="count"
      units={units}
      value={form[id]}
      onChange={(value) => change({ [id]: value })}
      error={errors[id]}
    />
  );
  const bySize =
    above0(baseS) && above0(sideMm) && above0(negativeMm) && above0(toMm)
      ? baseS * sizeFactor(sideMm, toMm, negativeMm)
      : null;
  const byAperture = above0(baseS) && above0(fNumber) && above0(toF) ? baseS * apertureFactor(fNumber, toF) : null;
  const byMatch = above0(baseS) && above0(beforeS) && above0(nowS) ? baseS * matchFactor(beforeS, nowS) : null;
  const dried = above0(baseS) && above0(percent) && percent <= 30 ? dryDown(baseS, percent) : null;
  const take = (seconds: number | null, words: string, part: Partial<PrintForm>, done: () => void) =>
    seconds !== null && (
      <button
        type="button"
        className="act self-end"
        onClick={() => {
          change({ ...part, baseS: Math.round(seconds * 10) / 10 });
          done();
        }}
      >
        {words}: {formatNumber(seconds, 1)} s
      </button>
    );
  return (
    <details className="mt-6 border-t border-hair pt-2 print:hidden">
      <summary className="act-plain">Another size, aperture, bulb or box; drying</summary>
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-4">
        {field('negativeMm', 'On the negative, mm')}
        {field('sideMm', 'On the print, mm')}
        <Quantity id="toMm" label="New size, mm" kind="count" units={units} optional value={toMm} onChange={setToMm} />
        {take(bySize, 'At that size', { sideMm: toMm }, () => setToMm(''))}
      </div>
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-4">
        <Quantity
          id="toF"
          label="New aperture, f/"
          kind="fNumber"
          units={units}
          optional
          value={toF}
          onChange={setToF}
        />
        {take(byAperture, 'At that aperture', { fNumber: toF }, () => setToF(''))}
        <Quantity
          id="dryDown"
          label="Dries darker by"
          kind="percent"
          units={units}
          value={percent}
          onChange={(value) => change({ dryDown: value })}
          error={errors.dryDown}
        />
        {take(dried, 'Taken off', { dryDown: 0 }, () => undefined)}
      </div>
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-4">
        <Quantity
          id="beforeS"
          label="One grey took"
          kind="shutter"
          units={units}
          optional
          value={beforeS}
          onChange={setBeforeS}
        />
        <Quantity
          id="nowS"
          label="Now it takes"
          kind="shutter"
          units={units}
          optional
          value={nowS}
          onChange={setNowS}
        />
        {take(byMatch, 'With the new one', {}, () => {
          setBeforeS('');
          setNowS('');
        })}
      </div>
      <p className="mt-1 max-w-[62ch] text-[14px] text-ink2">
        A new bulb, or a new box of paper: print the strip of before once more, and find the grey that was right.
      </p>
    </details>
  );
}

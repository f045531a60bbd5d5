'use client';

import { useState } from 'react';
import type { GradeStep } from '@/core/printing/gradeCost';
import type { PaperDries } from '@/core/printing/paperDries';
import type { PrintForm } from '@/core/printing/print';
import { noChanges, printChanges, scaledTo, type ChangesTyped } from '@/core/printing/printChanges';
import { formatNumber } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { Field } from '@/ui/Field';
import { Quantity, type QuantityProps } from '@/ui/Quantity';

interface ChangesProps {
  form: PrintForm;
  change: (part: Partial<PrintForm>) => void;
  errors: Partial<Record<string, string>>;
  /** What grades of this paper cost, as far as they were compared. */
  steps: readonly GradeStep[];
  /** How much darker this paper dries, by its other prints. */
  dries: PaperDries | null;
}

/** Another grade, size, aperture or bulb, and what the paper darkens while it dries: each with the exposure that follows. */
export function Changes({ form, change, errors, steps, dries }: ChangesProps) {
  const units = useSettings();
  const [typed, setTyped] = useState<ChangesTyped>(noChanges);
  const found = printChanges(form, typed, steps);
  const type = (part: Partial<ChangesTyped>): void => setTyped((before) => ({ ...before, ...part }));
  const own = (id: 'sideMm' | 'negativeMm' | 'dryDown', label: string, kind: QuantityProps['kind']) => (
    <Quantity
      id={id}
      label={label}
      kind={kind}
      units={units}
      value={form[id]}
      onChange={(value) => change({ [id]: value })}
      error={errors[id]}
    />
  );
  const other = (
    id: 'toMm' | 'fromCm' | 'toCm' | 'toF' | 'beforeS' | 'nowS',
    label: string,
    kind: QuantityProps['kind'],
  ) => (
    <Quantity
      id={id}
      label={label}
      kind={kind}
      units={units}
      optional
      value={typed[id]}
      onChange={(value) => type({ [id]: value })}
    />
  );
  const take = (seconds: number | null, words: string, part: Partial<PrintForm>, done: Partial<ChangesTyped>) =>
    seconds !== null && (
      <button
        type="button"
        className="act self-end"
        onClick={() => {
          change({ ...scaledTo(form, seconds), ...part });
          type(done);
        }}
      >
        {words}: {formatNumber(seconds, 1)} s
      </button>
    );
  const { byGrade, step } = found;
  return (
    <details className="mt-6 border-t border-hair pt-2 print:hidden">
      <summary className="act-plain">Another grade, size, aperture, bulb or box; drying</summary>
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-4">
        {own('negativeMm', 'On the negative, mm', 'count')}
        {own('sideMm', 'On the print, mm', 'count')}
        {other('toMm', 'New size, mm', 'count')}
        {take(found.bySize, 'At that size', { sideMm: typed.toMm }, { toMm: '' })}
      </div>
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-4">
        {other('fromCm', 'Lens to paper, cm', 'count')}
        {other('toCm', 'Now, cm', 'count')}
        {take(found.byDistance, 'At that distance', {}, { fromCm: '', toCm: '' })}
      </div>
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-4">
        {other('toF', 'New aperture, f/', 'fNumber')}
        {take(found.byAperture, 'At that aperture', { fNumber: typed.toF }, { toF: '' })}
        {own('dryDown', 'Dries darker by', 'percent')}
        {take(found.dried, 'Taken off', { dryDown: 0, dries: Number(form.dryDown) }, {})}
      </div>
      {dries !== null && form.dries === null && form.dryDown === 0 && (
        <p className="mt-2 max-w-[62ch] text-[14px]">
          {dries.prints === 1 ? 'One print' : `${dries.prints} prints`} on this paper had{' '}
          {formatNumber(dries.percent, 0)} % taken off for drying.{' '}
          <button
            type="button"
            className="act-plain"
            onClick={() => change({ dryDown: Number(dries.percent.toFixed(1)) })}
          >
            Do the same here
          </button>
        </p>
      )}
      <div className="mt-3 grid max-w-[640px] grid-cols-2 gap-4 sm:grid-cols-4">
        <Field id="toGrade" label="New grade or filter">
          <input
            id="toGrade"
            className="box"
            autoComplete="off"
            maxLength={40}
            value={typed.toGrade}
            onChange={(event) => type({ toGrade: event.target.value })}
          />
        </Field>
        {other('beforeS', 'One grey took', 'shutter')}
        {other('nowS', 'Now it takes', 'shutter')}
        {take(found.byMatch, 'With the new one', {}, { beforeS: '', nowS: '' })}
        {step !== null && (
          <button
            type="button"
            className="act self-end"
            onClick={() => {
              change({ gradeStep: step });
              type({ beforeS: '', nowS: '' });
            }}
          >
            Keep it: {formatNumber(step.factor, 2)} × the time
          </button>
        )}
      </div>
      {byGrade !== null && (
        <p className="mt-3 max-w-[62ch] space-y-2" data-testid="grade-cost">
          Grade {typed.toGrade.trim()} takes {formatNumber(byGrade.factor, 2)} × the time of grade {form.grade.trim()}{' '}
          for the same grey ({formatNumber(byGrade.low, 2)} to {formatNumber(byGrade.high, 2)}),{' '}
          {byGrade.compared === 0
            ? 'by common practice: filters from 4 on take twice the light. One grey on both grades tells it of your paper.'
            : `by ${byGrade.compared === 1 ? 'one comparison' : `${byGrade.compared} comparisons`} on this paper.`}{' '}
          {take(
            byGrade.seconds,
            `Take grade ${typed.toGrade.trim()}`,
            { grade: typed.toGrade.trim() },
            { toGrade: '' },
          )}
        </p>
      )}
      <p className="mt-1 max-w-[62ch] text-[14px] text-ink2">
        A new bulb, box or filter: print the strip of before once more, and find the grey that was right.
      </p>
    </details>
  );
}

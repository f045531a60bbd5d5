'use client';

import { readCarried, type ExposureForm } from '@/core/plan/exposureForm';
import { formatNumber, type UnitChoice } from '@/core/units/quantity';
import { shutterText } from '@/core/units/shutter';
import { FieldError } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Tick } from '@/ui/Tick';

/** What is left over, in stops of light. */
export function restText(restStops: number): string {
  return `${formatNumber(Math.abs(restStops), 1)} stops ${restStops > 0 ? 'more' : 'less'} light`;
}

interface OldCameraProps {
  form: ExposureForm;
  change: (part: Partial<ExposureForm>) => void;
  /** Time at the f-number of the meter, s; null while it is not known. */
  exposeS: number | null;
  units: UnitChoice;
}

/** The exposure, carried to the f-numbers and speeds that an old camera has. */
export function OldCamera({ form, change, exposeS, units }: OldCameraProps) {
  const carried = form.carry && exposeS !== null ? readCarried(form, exposeS) : null;
  const errors: Partial<Record<string, string>> =
    carried === null || carried.ok
      ? {}
      : Object.fromEntries(carried.problems.map(({ path, message }) => [path, message]));
  const row = (id: 'ownF' | 'ownSpeeds', label: string) => (
    <div>
      <label htmlFor={id} className="text-[14px]">
        {label}
      </label>
      <input
        id={id}
        className="box num"
        value={form[id]}
        maxLength={200}
        aria-invalid={errors[id] !== undefined || undefined}
        aria-describedby={errors[id] === undefined ? undefined : `${id}-error`}
        onChange={(event) => change({ [id]: event.target.value })}
      />
      <FieldError id={id} error={errors[id]} />
    </div>
  );
  return (
    <div className="border-t border-hair pt-3">
      <Tick
        id="carry"
        label="Settings for an old camera"
        checked={form.carry}
        onChange={(carry) => change({ carry })}
      />
      {form.carry && (
        <div className="mt-2 space-y-3">
          <div className="flex flex-wrap gap-x-5 gap-y-2">
            <Quantity
              id="meterF"
              label="The meter’s time is for f/"
              kind="fNumber"
              units={units}
              value={form.meterF}
              onChange={(meterF) => change({ meterF })}
              error={errors.meterF}
              inline
            />
            <Quantity
              id="slowStops"
              label="Its shutter is slow by"
              kind="stops"
              units={units}
              value={form.slowStops}
              onChange={(slowStops) => change({ slowStops })}
              error={errors.slowStops}
              inline
            />
          </div>
          {row('ownF', 'f-numbers on the lens')}
          {row('ownSpeeds', 'Speeds on the shutter')}
          {carried?.ok === true && (
            <ol aria-label="Settings of the old camera">
              {carried.value.map(({ fNumber, speedS, restStops }) => (
                <li key={`${fNumber} ${speedS}`} className="rule-row flex justify-between gap-4 py-1.5">
                  <span className="num text-[18px]">
                    f/{formatNumber(fNumber, fNumber % 1 === 0 ? 0 : 1)} at {shutterText(speedS)} s
                  </span>
                  <span className="text-[14px] text-ink2">
                    {Math.abs(restStops) < 0.05 ? 'exact' : restText(restStops)}
                  </span>
                </li>
              ))}
            </ol>
          )}
        </div>
      )}
    </div>
  );
}

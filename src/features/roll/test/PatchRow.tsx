'use client';

import { Label, Radio, RadioGroup } from '@headlessui/react';
import { EYE_PATCHES_D } from '@/core/densitometry/patchGradient';
import { patchGrey } from '@/core/densitometry/patchGrey';
import { FieldError } from '@/ui/Field';
import { formatNumber } from '@/core/units/quantity';

interface PatchRowProps {
  id: string;
  label: string;
  hint: string;
  /** Density of the patch that was pressed; empty until then. */
  value: number | string;
  onChange: (densityD: number) => void;
  error?: string;
}

/** The light table behind the patches. */
const WHITE = '#ffffff';

/** Greys of known density on white, to hold a strip against. */
export function PatchRow({ id, label, hint, value, onChange, error }: PatchRowProps) {
  return (
    <div>
      <RadioGroup
        id={id}
        value={typeof value === 'number' ? value : null}
        onChange={(next: number | null) => next !== null && onChange(next)}
      >
        <div className="flex flex-wrap items-baseline gap-x-4">
          <Label className="font-[620]">{label}</Label>
          <span className="text-[13px] text-ink2">{hint}</span>
        </div>
        <div className="mt-1 flex measure flex-wrap p-2" style={{ background: WHITE }}>
          {EYE_PATCHES_D.map((densityD) => {
            const grey = patchGrey(densityD);
            return (
              <Radio
                key={densityD}
                value={densityD}
                aria-label={`Density ${formatNumber(densityD, 2)}`}
                className="group flex h-[72px] min-w-[44px] flex-1 cursor-pointer items-end justify-center focus:outline-none data-focus:outline-solid data-focus:outline-3 data-focus:outline-offset-2 data-focus:outline-[var(--focus)] data-checked:shadow-[inset_0_0_0_3px_#000,inset_0_0_0_6px_#fff]"
                style={{ background: `rgb(${grey} ${grey} ${grey})`, color: grey > 128 ? '#000' : '#fff' }}
              >
                <span className="pb-1 text-[12px]">{formatNumber(densityD, 2)}</span>
              </Radio>
            );
          })}
        </div>
      </RadioGroup>
      <FieldError id={id} error={error} />
    </div>
  );
}

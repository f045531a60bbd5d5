'use client';

import { Label, Radio, RadioGroup } from '@headlessui/react';
import type { ReactNode } from 'react';
import { FieldError } from '@/ui/Field';

interface PictureChoiceProps<T extends string> {
  id: string;
  label: string;
  hint: string;
  /** Null while nothing is chosen. */
  value: T | null;
  options: readonly { value: T; name: string; picture: ReactNode }[];
  onChange: (value: T) => void;
  error?: string;
}

/** One of a few pictures: the one that looks like what lies on the table. The words stand beneath. */
export function PictureChoice<T extends string>({
  id,
  label,
  hint,
  value,
  options,
  onChange,
  error,
}: PictureChoiceProps<T>) {
  return (
    <div className="min-w-0">
      <RadioGroup id={id} value={value} onChange={(next: T | null) => next !== null && onChange(next)}>
        <div className="flex flex-wrap items-baseline gap-x-4">
          <Label className="font-[620]">{label}</Label>
          <span className="text-[13px] text-ink2">{hint}</span>
        </div>
        <div className="mt-1 grid grid-cols-2 gap-2 sm:flex">
          {options.map((option) => (
            <Radio
              key={option.value}
              value={option.value}
              aria-label={option.name}
              className="min-w-0 cursor-pointer border border-edge bg-sheet p-1 data-checked:border-ink data-checked:font-[650] data-checked:outline-3 data-checked:outline-ink focus:outline-none data-focus:outline-solid data-focus:outline-3 data-focus:outline-offset-2 data-focus:outline-[var(--focus)] sm:flex-1"
            >
              {option.picture}
              <span className="mt-1 block text-center text-[13px] leading-tight">{option.name}</span>
            </Radio>
          ))}
        </div>
      </RadioGroup>
      <FieldError id={id} error={error} />
    </div>
  );
}

'use client';

import { Label, Radio, RadioGroup } from '@headlessui/react';
import { FieldError } from './Field';
import type { Option } from './Choice';

interface SegmentsProps<T extends string> {
  id: string;
  label: string;
  /** Null while nothing is chosen. */
  value: T | null;
  options: readonly Option<T>[];
  onChange: (value: T) => void;
  error?: string;
}

/** One of a few, all in view. */
export function Segments<T extends string>({ id, label, value, options, onChange, error }: SegmentsProps<T>) {
  return (
    <div className="min-w-0">
      <RadioGroup id={id} value={value} onChange={(next: T | null) => next !== null && onChange(next)}>
        <Label className="font-[620]">{label}</Label>
        {/* Every option carries its own border and lies over its neighbour’s, so that rows that wrap close as well. */}
        <div className="mt-1 flex flex-wrap pt-px pl-px">
          {options.map((option) => (
            <Radio
              key={option.value}
              value={option.value}
              className="-mt-px -ml-px min-h-[42px] flex-1 cursor-pointer border border-edge px-3 py-2 text-center whitespace-nowrap data-checked:bg-ink data-checked:font-[620] data-checked:text-ground focus:outline-none data-focus:relative data-focus:z-10 data-focus:outline-2 data-focus:outline-offset-2 data-focus:outline-[var(--focus)]"
            >
              {option.name}
            </Radio>
          ))}
        </div>
      </RadioGroup>
      <FieldError id={id} error={error} />
    </div>
  );
}

'use client';

import { Label, Radio, RadioGroup } from '@headlessui/react';
import { classes } from './classes';
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
  /** In a line of text: the label before it. */
  inline?: boolean;
  /** The label is for those who cannot see what stands around it. */
  quietLabel?: boolean;
}

/** One of a few, all in view. */
export function Segments<T extends string>({
  id,
  label,
  value,
  options,
  onChange,
  error,
  inline = false,
  quietLabel = false,
}: SegmentsProps<T>) {
  return (
    <div className="min-w-0">
      <RadioGroup
        id={id}
        value={value}
        className={classes(inline && 'flex flex-wrap items-center gap-x-2')}
        onChange={(next: T | null) => next !== null && onChange(next)}
      >
        <Label className={quietLabel ? 'sr-only' : inline ? 'text-[14px]' : 'font-[620]'}>{label}</Label>
        {/* Every option carries its own border and lies over its neighbour’s, so that rows that wrap close as well. */}
        <div className={classes('flex flex-wrap pt-px ps-px', !inline && 'mt-1')}>
          {options.map((option) => (
            <Radio
              key={option.value}
              value={option.value}
              className={classes(
                inline ? 'min-h-[34px] px-2.5 py-1 text-[14px]' : 'min-h-[42px] flex-1 px-3 py-2',
                '-mt-px -ms-px cursor-pointer border border-edge text-center whitespace-nowrap data-checked:bg-ink data-checked:font-[620] data-checked:text-ground focus:outline-none data-focus:relative data-focus:z-10 data-focus:outline-2 data-focus:outline-solid data-focus:outline-offset-2 data-focus:outline-[var(--focus)]',
              )}
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

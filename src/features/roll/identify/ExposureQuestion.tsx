'use client';

import { Label, Radio, RadioGroup } from '@headlessui/react';
import { exposureStates, type ExposureState } from '@/core/records/records';
import { classes } from '@/ui/classes';

/** The two that decide the strategy come first, and large; the others are for those who know more. */
const answers: readonly { value: ExposureState; large: boolean; hint: string }[] = [
  { value: 'unknown', large: true, hint: 'It came with pictures on it' },
  { value: 'unexposed', large: true, hint: 'I will shoot it myself' },
  { value: 'known', large: false, hint: '' },
  { value: 'mixed', large: false, hint: '' },
];

/** How the roll was exposed: it decides between a time of minutes and a stand of more than an hour. */
export function ExposureQuestion({
  value,
  onChange,
}: {
  value: ExposureState;
  onChange: (value: ExposureState) => void;
}) {
  return (
    <RadioGroup
      id="exposureState"
      value={value}
      onChange={(next: ExposureState | null) => next !== null && onChange(next)}
    >
      <Label className="font-[620]">Is it exposed?</Label>
      <div className="mt-1 grid grid-cols-2 gap-2">
        {answers.map(({ value: answer, large, hint }) => (
          <Radio
            key={answer}
            value={answer}
            className={classes(
              'cursor-pointer border px-3 text-start focus:outline-none data-focus:outline-3 data-focus:outline-offset-2 data-focus:outline-solid data-focus:outline-[var(--focus)]',
              large ? 'min-h-16 py-2.5 text-[17px]' : 'min-h-11 py-2 text-[15px]',
              answer === value ? 'border-ink bg-ink text-ground' : 'border-edge bg-sheet',
            )}
          >
            <span className={classes(large && 'num')}>{exposureStates[answer]}</span>
            {hint !== '' && <span className="block text-[13px] opacity-80">{hint}</span>}
          </Radio>
        ))}
      </div>
    </RadioGroup>
  );
}

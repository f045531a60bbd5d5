'use client';

import { Field, Label, Listbox, ListboxButton, ListboxOptions } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import { classes } from './classes';
import { FieldError } from './Field';
import { ListOption } from './ListOption';
import { openByEnter } from './openByEnter';

export interface Option<T extends string> {
  value: T;
  name: string;
  /** One line that tells this option from the others. */
  hint?: string;
}

interface ChoiceProps<T extends string> {
  id: string;
  label: string;
  value: T;
  options: readonly Option<T>[];
  onChange: (value: T) => void;
  hint?: string;
  error?: string;
  /** In a line of text: the label before it. */
  inline?: boolean;
  /** The label is for those who cannot see what stands around it. */
  quietLabel?: boolean;
}

/** One of a list. Drawn by the page, so that Safe light covers the open list too. */
export function Choice<T extends string>({
  id,
  label,
  value,
  options,
  onChange,
  hint,
  error,
  inline = false,
  quietLabel = false,
}: ChoiceProps<T>) {
  const chosen = options.find((option) => option.value === value);
  return (
    <Field
      className={classes('min-w-0', inline && 'flex max-w-full items-center', inline && !quietLabel && 'gap-x-1.5')}
    >
      <div className={inline ? '' : 'flex flex-wrap items-baseline justify-between gap-x-3'}>
        <Label className={quietLabel ? 'sr-only' : inline ? 'text-[14px]' : 'font-[620]'}>{label}</Label>
        {hint && <span className="text-[13px] text-ink2">{hint}</span>}
      </div>
      <Listbox value={value} onChange={onChange}>
        <div className={inline ? 'relative max-w-full min-w-0' : 'relative mt-1'}>
          <ListboxButton
            id={id}
            onKeyDown={openByEnter}
            className={classes('box flex items-center justify-between gap-3 text-start', inline && 'min-h-[34px] py-1')}
          >
            <span className="min-w-0 truncate">{chosen?.name ?? 'Choose'}</span>
            <ChevronDown aria-hidden size={18} className="shrink-0" />
          </ListboxButton>
          <ListboxOptions className="absolute start-0 z-20 mt-1 max-h-80 w-max max-w-[min(92vw,420px)] min-w-full overflow-y-auto border border-ink bg-sheet py-1 focus:outline-none">
            {options.map((option) => (
              <ListOption key={option.value} {...option} />
            ))}
          </ListboxOptions>
        </div>
      </Listbox>
      <FieldError id={id} error={error} />
    </Field>
  );
}

'use client';

import { ListboxOption } from '@headlessui/react';
import { Check } from 'lucide-react';

interface ListOptionProps<T extends string> {
  value: T;
  name: string;
  hint?: string;
}

/** One line of an open list, 44 px for a finger. */
export function ListOption<T extends string>({ value, name, hint }: ListOptionProps<T>) {
  return (
    <ListboxOption
      value={value}
      className="group flex min-h-11 items-center gap-2 px-3 py-1.5 data-focus:bg-ink data-focus:text-ground"
    >
      <Check aria-hidden size={15} className="invisible shrink-0 self-center group-data-selected:visible" />
      <span className="min-w-0">
        <span className="block">{name}</span>
        {hint && <span className="block text-[13px] opacity-90">{hint}</span>}
      </span>
    </ListboxOption>
  );
}

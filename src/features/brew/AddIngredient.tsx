'use client';

import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions, Field, Label } from '@headlessui/react';
import { useMemo, useState } from 'react';
import { substanceIds, substanceOf } from '@/core/chemistry/substances';
import { freeKey, lineForName } from '@/core/brewing/workbenchForm';
import type { BenchPart } from './Workbench';

const names = substanceIds.map((id) => ({ name: substanceOf(id).name, search: [substanceOf(id).name, ...substanceOf(id).alsoCalled].join(' ').toLowerCase() }));

/** How many names are offered at once. */
const OFFERED = 8;

/** One more ingredient: one that Aetas knows, or any other by its name. */
export function AddIngredient({ inHand: { form, change } }: Pick<BenchPart, 'inHand'>) {
  const [typed, setTyped] = useState('');
  const plain = typed.trim().toLowerCase();
  const offered = useMemo(() => names.filter(({ search }) => search.includes(plain)).slice(0, OFFERED), [plain]);
  const known = offered.some(({ name }) => name.toLowerCase() === plain);
  const add = (name: string | null): void => {
    setTyped('');
    if (name === null || name.trim() === '') return;
    change((now) => ({ lines: [...now.lines, lineForName(name, freeKey(now.lines))] }));
  };
  if (form.lines.length >= 12) return <p className="border-t border-hair pt-2 text-[14px] text-ink2">Twelve ingredients are the most that a sheet takes.</p>;
  return (
    <Field className="border-t border-hair pt-2">
      <Label className="sr-only">Add an ingredient</Label>
      <Combobox<string | null> value={null} onChange={add} immediate>
        <div className="relative max-w-[340px]">
          <ComboboxInput className="box" placeholder="Add an ingredient" autoComplete="off" displayValue={() => typed} value={typed} onChange={(event) => setTyped(event.target.value)} />
          <ComboboxOptions className="absolute left-0 right-0 z-20 mt-1 max-h-80 overflow-y-auto border border-ink bg-sheet py-1 empty:hidden focus:outline-none">
            {offered.map(({ name }) => (
              <ComboboxOption key={name} value={name} className="px-3 py-2 data-focus:bg-ink data-focus:text-ground">
                {name}
              </ComboboxOption>
            ))}
            {plain !== '' && !known && (
              <ComboboxOption value={typed} className="px-3 py-2 data-focus:bg-ink data-focus:text-ground">
                “{typed.trim()}”, as something of your own
              </ComboboxOption>
            )}
          </ComboboxOptions>
        </div>
      </Combobox>
    </Field>
  );
}

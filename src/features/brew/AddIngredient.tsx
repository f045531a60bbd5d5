'use client';

import { Combobox, ComboboxInput, ComboboxOption, ComboboxOptions, Field, Label } from '@headlessui/react';
import { useMemo, useState } from 'react';
import { developerFamilies, developerFamilyIds } from '@/core/chemistry/developerFamilies';
import { substanceIds, substanceOf } from '@/core/chemistry/substances';
import { freeKey, lineForName, lineOfKind, type LineForm } from '@/core/brewing/workbenchForm';
import type { BenchPart } from './Workbench';

/** Something that can be added: how it reads, by what it is found, and the line that it makes. */
interface Offer {
  id: string;
  text: string;
  search: string;
  line: (key: string) => LineForm;
}

const substanceOffers: readonly Offer[] = substanceIds.map((id) => {
  const { name, alsoCalled } = substanceOf(id);
  return {
    id,
    text: name,
    search: [name, ...alsoCalled].join(' ').toLowerCase(),
    line: (key) => lineForName(name, key),
  };
});
const developerOffers: readonly Offer[] = developerFamilyIds.map((id) => {
  const { name } = developerFamilies[id];
  return {
    id,
    text: `${name}, by dilution`,
    search: name.toLowerCase(),
    line: (key) => lineOfKind(name, 'concentrate', key, id),
  };
});
const known = [...substanceOffers, ...developerOffers];

/** What a name that nobody knows can stand for. */
function ownOffers(name: string): Offer[] {
  const offer = (id: 'own' | 'concentrate' | 'packet', text: string): Offer => ({
    id,
    text: `“${name}”, ${text}`,
    search: '',
    line: (key) => lineOfKind(name, id, key),
  });
  return [
    offer('own', 'as your own ingredient'),
    offer('concentrate', 'a concentrate to dilute'),
    offer('packet', 'a packet, of which a part is taken'),
  ];
}

/** How many names are offered at once. */
const OFFERED = 8;

/** Most ingredients of a sheet. */
const MOST = 12;

/** One more ingredient: one that Aetas knows, or any other by its name. */
export function AddIngredient({ inHand: { form, change } }: Pick<BenchPart, 'inHand'>) {
  const [typed, setTyped] = useState('');
  const plain = typed.trim().toLowerCase();
  const offers = useMemo(() => {
    const found = known.filter(({ search }) => search.includes(plain)).slice(0, OFFERED);
    const exact = found.some(({ search }) => search === plain || search.startsWith(`${plain} `));
    return plain === '' || exact ? found : [...found, ...ownOffers(typed.trim())];
  }, [plain, typed]);
  const add = (offer: Offer | null): void => {
    setTyped('');
    if (offer !== null) change((now) => ({ lines: [...now.lines, offer.line(freeKey(now.lines))] }));
  };
  if (form.lines.length >= MOST)
    return (
      <p className="border-t border-hair pt-2 text-[14px] text-ink2">A sheet can hold twelve ingredients at most.</p>
    );
  return (
    <Field className="border-t border-hair pt-2">
      <Label className="sr-only">Add an ingredient</Label>
      <Combobox<Offer | null> value={null} onChange={add} immediate>
        <div className="relative max-w-[400px]">
          <ComboboxInput
            className="box"
            placeholder="Add an ingredient"
            autoComplete="off"
            displayValue={() => typed}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
          <ComboboxOptions className="absolute start-0 end-0 z-20 mt-1 max-h-80 overflow-y-auto border border-ink bg-sheet py-1 empty:hidden focus:outline-none">
            {offers.map((offer) => (
              <ComboboxOption
                key={`${offer.id}${offer.text}`}
                value={offer}
                className="px-3 py-2 data-focus:bg-ink data-focus:text-ground"
              >
                {offer.text}
              </ComboboxOption>
            ))}
          </ComboboxOptions>
        </div>
      </Combobox>
    </Field>
  );
}

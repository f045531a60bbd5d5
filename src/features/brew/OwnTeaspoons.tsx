'use client';

import { substanceIds, substances, type SubstanceId } from '@/core/chemistry/substances';
import type { UnitChoice } from '@/core/units/quantity';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';

type Typed = Record<string, number | string>;

/** What people spoon. */
const spooned = substanceIds.filter((id) => substances[id].teaspoon !== null);

interface OwnTeaspoonsProps {
  /** Grams by substance, as typed. */
  teaspoons: Typed;
  onChange: (teaspoons: Typed) => void;
  units: UnitChoice;
  errors: Partial<Record<string, string>>;
}

/** What a level teaspoon of one's own weighs: it goes before the tables. */
export function OwnTeaspoons({ teaspoons, onChange, units, errors }: OwnTeaspoonsProps) {
  const known: SubstanceId[] = substanceIds.filter((id) => Object.hasOwn(teaspoons, id));
  const others = spooned.filter((id) => !known.includes(id));
  return (
    <div className="mt-4">
      <h3>A level teaspoon of mine weighs</h3>
      <p className="max-w-[62ch] text-[14px] text-ink2">
        Weigh ten of them once and divide: it narrows every brew that is measured by spoons.
      </p>
      <ul className="mt-1 sm:max-w-[420px]">
        {known.map((id) => (
          <li key={id} className="flex items-end gap-4 pt-2">
            <div className="flex-1">
              <Quantity
                id={`teaspoon-${id}`}
                label={substances[id].name}
                kind="mass"
                units={units}
                value={teaspoons[id] ?? ''}
                onChange={(value) => onChange({ ...teaspoons, [id]: value })}
                error={teaspoons[id] === '' ? undefined : errors[`teaspoons.${id}`]}
              />
            </div>
            <button
              type="button"
              className="act-plain pb-2"
              onClick={() => onChange(Object.fromEntries(Object.entries(teaspoons).filter(([other]) => other !== id)))}
            >
              Remove<span className="sr-only"> {substances[id].name}</span>
            </button>
          </li>
        ))}
      </ul>
      {others.length > 0 && (
        <div className="mt-2 sm:max-w-[420px]">
          <Choice
            id="teaspoonOf"
            label="A teaspoon of"
            quietLabel
            value=""
            options={[
              { value: '', name: 'Add one that I weighed' },
              ...others.map((id) => ({ value: id, name: substances[id].name })),
            ]}
            onChange={(id) => id !== '' && onChange({ ...teaspoons, [id]: '' })}
          />
        </div>
      )}
    </div>
  );
}

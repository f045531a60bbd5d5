'use client';

import { useState } from 'react';
import { processParts, schoolOf, withPart, type ProcessPart } from '@/core/plan/wetProcess';
import { bathFormOf, bathFormsOf, freeKey, type BathForm } from '@/core/schedule/bathForm';
import type { Bath, PourIn } from '@/core/schedule/baths';
import { ownNote } from '@/core/schedule/wetSteps';
import { keepBaths, removeHabit, useHabits } from '@/data/habits';
import { GiveButton } from '@/features/offline/GiveButton';
import { useDraftText } from '@/features/drafts/useDraft';
import { Choice } from '@/ui/Choice';
import { Tick } from '@/ui/Tick';

interface WaysProps {
  forms: readonly BathForm[];
  /** The baths as they read; null while something in them is wrong. */
  baths: readonly Bath[] | null;
  pourIn: PourIn | null;
  onChange: (forms: BathForm[]) => void;
  onPourIn: (pourIn: PourIn) => void;
}

function withoutOwnNote(bath: Bath): Bath {
  return ownNote(bath) === '' ? bath : { ...bath, note: '' };
}

const OWN = 'own';
const parts = Object.keys(processParts) as ProcessPart[];

/** Presets for each part of the process, and whole ways that the user keeps under a name. */
export function WaysOfDoing({ forms, baths, pourIn, onChange, onPourIn }: WaysProps) {
  const habits = (useHabits() ?? []).flatMap((habit) => (habit.kind === 'baths' ? [habit] : []));
  const [name, setName] = useDraftText('way:name');
  const [usual, setUsual] = useState(false);
  const choosePart = (part: ProcessPart, schoolId: string): void => {
    const { kind, schools } = processParts[part];
    const table: Record<string, { baths: readonly Bath[] }> = schools;
    const chosen = table[schoolId];
    if (chosen === undefined) return;
    const made: BathForm[] = [];
    for (const bath of chosen.baths) made.push(bathFormOf(bath, freeKey([...forms, ...made])));
    onChange(withPart(forms, kind, made));
  };
  const same =
    baths === null ? undefined : habits.find((habit) => JSON.stringify(habit.baths) === JSON.stringify(baths));
  return (
    <section aria-labelledby="ways">
      <h3 id="ways">Presets</h3>
      <div className="mt-2 grid gap-x-5 gap-y-3 sm:grid-cols-2">
        {parts.map((part) => {
          const { name: label, ids, schools } = processParts[part];
          const table: Record<string, { name: string }> = schools;
          const value = baths === null ? OWN : (schoolOf(part, baths) ?? OWN);
          return (
            <Choice
              key={part}
              id={part}
              label={label}
              value={value}
              options={[
                ...(value === OWN ? [{ value: OWN, name: 'As you wrote it' }] : []),
                ...ids.map((id) => ({ value: id as string, name: table[id]?.name ?? id })),
              ]}
              onChange={(next) => choosePart(part, next)}
            />
          );
        })}
      </div>
      <h3 className="mt-6">My presets</h3>
      {habits.length > 0 && (
        <ul className="mt-1">
          {habits.map((habit) => (
            <li key={habit.id} className="rule-row flex flex-wrap items-baseline gap-x-4 py-1.5">
              <span className="min-w-0 flex-1">
                {habit.name}
                {habit.usual && <span className="text-[13px] text-ink2"> · default</span>}
                {habit === same && <span className="text-[13px] text-ink2"> · in use</span>}
              </span>
              <button
                type="button"
                className="act-plain text-[14px]"
                onClick={() => {
                  onChange(bathFormsOf(habit.baths));
                  onPourIn(habit.pourIn);
                }}
              >
                Use it
              </button>
              {!habit.usual && (
                <button
                  type="button"
                  className="act-plain text-[14px]"
                  onClick={() => void keepBaths({ ...habit, usual: true })}
                >
                  Make it the default
                </button>
              )}
              <GiveButton
                name={habit.name}
                className="act-plain text-[14px]"
                gift={{ kind: 'baths', name: habit.name, baths: habit.baths, pourIn: habit.pourIn }}
              />
              <button type="button" className="act-plain text-[14px]" onClick={() => void removeHabit(habit)}>
                Delete
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="mt-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <label htmlFor="wayName" className="text-[14px]">
          Keep these baths as
        </label>
        <input
          id="wayName"
          className="box max-w-[220px]"
          value={name}
          maxLength={120}
          onChange={(event) => setName(event.target.value)}
        />
        <Tick id="wayUsual" label="default" checked={usual} onChange={setUsual} />
        <button
          type="button"
          className="act"
          disabled={name.trim() === '' || baths === null || pourIn === null}
          onClick={() => {
            if (baths === null || pourIn === null) return;
            // A note is for one roll; a way is for many.
            void keepBaths({ name: name.trim(), baths: baths.map(withoutOwnNote), pourIn, usual });
            setName('');
          }}
        >
          Save preset
        </button>
        {baths?.some((bath) => ownNote(bath) !== '') === true && (
          <span className="text-[13px] text-ink2">Notes for single baths stay with this roll.</span>
        )}
      </div>
    </section>
  );
}

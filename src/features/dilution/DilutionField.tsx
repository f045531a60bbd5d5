'use client';

import { useState } from 'react';
import { dilute, type Parts } from '@/core/chemistry/dilution';
import { dilutionName, readDilution, type NamedDilutions } from '@/core/chemistry/readDilution';
import type { UnitChoice } from '@/core/units/quantity';
import { keepDilution, useHabits } from '@/data/habits';
import { Field } from '@/ui/Field';
import { dilutionWords, partsWords, twoPartWords } from './dilutionWords';

/** The fields of a form that a written dilution fills. */
export interface DilutionFields {
  dilutionText: string;
  concentrateParts: number | string;
  waterParts: number | string;
}

interface DilutionFieldProps {
  id: string;
  fields: DilutionFields;
  change: (part: Partial<DilutionFields>) => void;
  /** What full strength means for this developer. */
  usual: Parts;
  /** The bottle whose letters may stand for dilutions: a class of developer, or a name. */
  bottle: string;
  /** Volume to make, ml; anything else leaves the volumes out. */
  volumeMl: number | string | null;
  units: UnitChoice;
}

/** A dilution as it is written on a bottle or in a recipe, and how it was read. */
export function DilutionField({ id, fields, change, usual, bottle, volumeMl, units }: DilutionFieldProps) {
  const { dilutionText } = fields;
  const names = useNames(bottle);
  /** The other reading, once it was taken, with the words that both come from. */
  const [taken, setTaken] = useState<{ text: string; parts: Parts; instead: Parts } | null>(null);
  const read = dilutionText.trim() === '' ? null : readDilution(dilutionText, usual, names);
  const write = (text: string): void => {
    const next = readDilution(text, usual, names);
    setTaken(null);
    change({
      dilutionText: text,
      // What does not read is no dilution: the one before would be another than the field shows.
      ...(next.ok ? fieldsOf(next.value.parts) : text.trim() === '' ? {} : { concentrateParts: '', waterParts: '' }),
    });
  };
  const parts = { concentrate: Number(fields.concentrateParts), water: Number(fields.waterParts) };
  const volumes = typeof volumeMl === 'number' ? dilute(parts, volumeMl) : null;
  const reading = read?.ok ? read.value : null;
  const other = reading?.other ?? null;
  const take = (text: string, next: Parts, instead: Parts): void => {
    setTaken({ text, parts: next, instead });
    change({ dilutionText: '', ...fieldsOf(next) });
  };
  const swapped = taken !== null && dilutionText === '' && samePart(taken.parts, parts) ? taken : null;
  const unnamed = read?.ok === false && read.problems[0]?.path === 'dilutionName';
  return (
    <Field
      id={id}
      label="Dilution, as written"
      hint="1+9, 1:31, 15 in 500, half strength"
      error={read?.ok === false ? read.problems[0]?.message : undefined}
    >
      <input
        id={id}
        className="box num text-[17px]"
        autoComplete="off"
        value={dilutionText}
        placeholder={fields.concentrateParts === '' ? '1+9' : partsWords(parts)}
        aria-describedby={`${id}-hint ${id}-reading`}
        onChange={(event) => write(event.target.value)}
      />
      <p id={`${id}-reading`} className="mt-1 text-[14px]" aria-live="polite">
        {reading?.twoPart !== undefined && typeof volumeMl === 'number'
          ? twoPartWords(reading.twoPart, volumeMl, units)
          : volumes?.ok && dilutionWords(reading?.notation ?? null, parts, volumes.value, units)}{' '}
        {reading !== null && other !== null && (
          <button type="button" className="act-plain" onClick={() => take(dilutionText, other.parts, reading.parts)}>
            Read it as {partsWords(other.parts)} instead
          </button>
        )}
        {swapped !== null && (
          <>
            “{swapped.text}” is read as {partsWords(swapped.parts)}.{' '}
            <button
              type="button"
              className="act-plain"
              onClick={() => take(swapped.text, swapped.instead, swapped.parts)}
            >
              Read it as {partsWords(swapped.instead)} instead
            </button>
          </>
        )}
      </p>
      {unnamed && (
        <NameIt
          id={`${id}-meaning`}
          text={dilutionText}
          usual={usual}
          onMeaning={(meaning) => {
            void keepDilution({ name: dilutionName(dilutionText) ?? dilutionText, bottle, parts: meaning }).catch(
              () => undefined,
            );
            change(fieldsOf(meaning));
          }}
        />
      )}
    </Field>
  );
}

/** What a letter on a bottle means: asked once. */
function NameIt({
  id,
  text,
  usual,
  onMeaning,
}: {
  id: string;
  text: string;
  usual: Parts;
  onMeaning: (parts: Parts) => void;
}) {
  const [meaning, setMeaning] = useState('');
  const read = meaning.trim() === '' ? null : readDilution(meaning, usual);
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2">
      <label htmlFor={id} className="text-[14px]">
        “{text.trim()}” on this bottle is
      </label>
      <input
        id={id}
        className="box num w-[120px] py-1"
        autoComplete="off"
        placeholder="1+31"
        value={meaning}
        onChange={(event) => setMeaning(event.target.value)}
      />
      <button
        type="button"
        className="act min-h-9 py-1"
        disabled={read?.ok !== true}
        onClick={() => {
          if (read?.ok === true) onMeaning(read.value.parts);
        }}
      >
        {read?.ok === true ? `Save as ${partsWords(read.value.parts)}` : 'Save'}
      </button>
    </div>
  );
}

function fieldsOf({ concentrate, water }: Parts): Pick<DilutionFields, 'concentrateParts' | 'waterParts'> {
  return { concentrateParts: concentrate, waterParts: water };
}

function samePart(a: Parts, b: Parts): boolean {
  return a.concentrate === b.concentrate && a.water === b.water;
}

/** What the letters on a bottle mean. */
function useNames(bottle: string): NamedDilutions {
  const habits = useHabits() ?? [];
  return Object.fromEntries(
    habits.flatMap((habit) =>
      habit.kind === 'dilution' && habit.bottle === bottle ? [[habit.name, habit.parts] as const] : [],
    ),
  );
}

'use client';

import { dilute, type Parts } from '@/core/chemistry/dilution';
import { readDilution } from '@/core/chemistry/readDilution';
import type { UnitChoice } from '@/core/units/quantity';
import { Field } from '@/ui/Field';
import { dilutionWords, partsWords } from './dilutionWords';

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
  /** Volume to make, ml; anything else leaves the volumes out. */
  volumeMl: number | string | null;
  units: UnitChoice;
}

/** A dilution as it is written on a bottle or in a recipe, and how it was read. */
export function DilutionField({ id, fields, change, usual, volumeMl, units }: DilutionFieldProps) {
  const { dilutionText } = fields;
  const read = dilutionText.trim() === '' ? null : readDilution(dilutionText, usual);
  const write = (text: string): void => {
    const next = readDilution(text, usual);
    change({
      dilutionText: text,
      // What does not read is no dilution: the one before would be another than the field shows.
      ...(next.ok
        ? { concentrateParts: next.value.parts.concentrate, waterParts: next.value.parts.water }
        : text.trim() === ''
          ? {}
          : { concentrateParts: '', waterParts: '' }),
    });
  };
  const parts = { concentrate: Number(fields.concentrateParts), water: Number(fields.waterParts) };
  const volumes = typeof volumeMl === 'number' ? dilute(parts, volumeMl) : null;
  const other = read?.ok ? read.value.other : null;
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
        placeholder={partsWords(parts)}
        aria-describedby={`${id}-hint ${id}-reading`}
        onChange={(event) => write(event.target.value)}
      />
      <p id={`${id}-reading`} className="mt-1 text-[14px]" aria-live="polite">
        {volumes?.ok && dilutionWords(read?.ok ? read.value.notation : null, parts, volumes.value, units)}{' '}
        {other != null && (
          <button
            type="button"
            className="act-plain"
            onClick={() =>
              change({ dilutionText: '', concentrateParts: other.parts.concentrate, waterParts: other.parts.water })
            }
          >
            Read it as {partsWords(other.parts)} instead
          </button>
        )}
      </p>
    </Field>
  );
}

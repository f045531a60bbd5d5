'use client';

import { developerFamilies } from '@/core/chemistry/developerFamilies';
import { dilute } from '@/core/chemistry/dilution';
import { readDilution } from '@/core/chemistry/readDilution';
import type { UnitChoice } from '@/core/units/quantity';
import { Field } from '@/ui/Field';
import { dilutionWords, partsWords } from './dilutionWords';
import type { PlanInHand } from './usePlanForm';

/** A dilution as it is written on a bottle or in a recipe, and how it was read. */
export function DilutionField({ form, change, units, idPrefix }: Pick<PlanInHand, 'form' | 'change'> & { units: UnitChoice; idPrefix: string }) {
  const id = `${idPrefix}dilutionText`;
  const { dilutionText, concentrateFamilyId, volumeMl } = form;
  const usual = developerFamilies[concentrateFamilyId].referenceParts;
  const read = dilutionText.trim() === '' ? null : readDilution(dilutionText, usual);
  const write = (text: string): void => {
    const next = readDilution(text, usual);
    change({ dilutionText: text, ...(next.ok ? { concentrateParts: next.value.parts.concentrate, waterParts: next.value.parts.water } : {}) });
  };
  const parts = { concentrate: Number(form.concentrateParts), water: Number(form.waterParts) };
  const volumes = typeof volumeMl === 'number' ? dilute(parts, volumeMl) : null;
  const other = read?.ok ? read.value.other : null;
  return (
    <Field id={id} label="Dilution, as it is written" hint="1+9, 1:31, 15 in 500, half strength" error={read?.ok === false ? read.problems[0]?.message : undefined}>
      <input id={id} className="box num text-[17px]" autoComplete="off" value={dilutionText} placeholder={partsWords(parts)} aria-describedby={`${id}-hint ${id}-reading`} onChange={(event) => write(event.target.value)} />
      <p id={`${id}-reading`} className="mt-1 text-[14px]" aria-live="polite">
        {volumes?.ok && dilutionWords(read?.ok ? read.value.notation : null, parts, volumes.value, units)}{' '}
        {other != null && (
          <button type="button" className="act-plain" onClick={() => change({ dilutionText: '', concentrateParts: other.parts.concentrate, waterParts: other.parts.water })}>
            Read it as {partsWords(other.parts)} instead
          </button>
        )}
      </p>
    </Field>
  );
}

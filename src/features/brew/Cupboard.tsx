'use client';

import { ascorbicFormIds, ascorbicForms } from '@/core/chemistry/ascorbicForms';
import { sodaForms } from '@/core/chemistry/sodas';
import { sodaChoices, type WorkbenchForm } from '@/core/brewing/workbenchForm';
import { decimalsOf } from '@/core/kit/readable';
import { spoonSets } from '@/core/kit/kit';
import { formatNumber } from '@/core/units/quantity';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import type { BenchPart } from './Workbench';

const sodaOptions = sodaChoices.map((value) =>
  value === 'oven'
    ? {
        value,
        name: 'Baking soda, dried in the oven',
        hint: 'Washing soda you make yourself, when there is no other.',
      }
    : { value, name: sodaForms[value].name, hint: sodaForms[value].tell },
);
const ascorbicOptions = ascorbicFormIds.map((value) => ({ value, ...ascorbicForms[value] }));

/** What lies in the cupboard: which soda it is, in what shape the ascorbic acid comes, and with what it is measured. */
export function Cupboard({ inHand: { form, change, errors }, settings }: BenchPart) {
  const has = (id: string): boolean => form.lines.some(({ substanceId }) => substanceId === id);
  const { scaleStepG, spoons } = settings.kit;
  const tablets = form.ascorbicForm === 'tablets' || form.ascorbicForm === 'effervescent';
  return (
    <div className="mt-6 grid gap-x-6 gap-y-4 sm:grid-cols-2">
      {has('soda-anhydrous') && (
        <div className="min-w-0">
          <Choice
            id="sodaForm"
            label="Which soda do you have?"
            value={form.sodaForm}
            options={sodaOptions}
            onChange={(sodaForm: WorkbenchForm['sodaForm']) => change({ sodaForm })}
          />
          <p className="mt-1 text-[13px] text-ink2">{sodaOptions.find(({ value }) => value === form.sodaForm)?.hint}</p>
        </div>
      )}
      {has('ascorbic-acid') && (
        <Choice
          id="ascorbicForm"
          label="Form of ascorbic acid"
          value={form.ascorbicForm}
          options={ascorbicOptions}
          onChange={(ascorbicForm: WorkbenchForm['ascorbicForm']) => change({ ascorbicForm })}
        />
      )}
      {has('ascorbic-acid') && tablets && (
        <div className="grid grid-cols-2 gap-4 sm:col-start-2">
          <Quantity
            id="tabletMg"
            label="One contains"
            kind="milligrams"
            units={settings}
            value={form.tabletMg}
            onChange={(tabletMg) => change({ tabletMg })}
            error={errors.tabletMg}
          />
          <Quantity
            id="tabletG"
            label="and weighs"
            kind="mass"
            units={settings}
            value={form.tabletG}
            onChange={(tabletG) => change({ tabletG })}
            error={errors.tabletG}
          />
        </div>
      )}
      <div className="sm:col-span-2">
        <Segments
          id="measureBy"
          label="Powders are measured with"
          value={form.measureBy}
          options={[
            { value: 'scale', name: `A scale, to ${formatNumber(scaleStepG, decimalsOf(scaleStepG))} g` },
            { value: 'spoons', name: `${spoonSets[spoons].name} spoons, level` },
          ]}
          onChange={(measureBy) => change({ measureBy })}
        />
      </div>
    </div>
  );
}

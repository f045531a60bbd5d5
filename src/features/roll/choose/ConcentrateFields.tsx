'use client';

import { developerFamilies } from '@/core/chemistry/developerFamilies';
import type { UnitChoice } from '@/core/units/quantity';
import { DilutionField } from '@/features/dilution/DilutionField';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { Quantity } from '@/ui/Quantity';
import { StandProposal } from './StandProposal';

/** How a concentrate is diluted: as written on the bottle, or in parts. */
export function ConcentrateFields({ plan: { form, change, errors }, units }: { plan: CurrentPlan; units: UnitChoice }) {
  return (
    <>
      <div className="w-full max-w-[420px]">
        <DilutionField
          id="dilutionText"
          fields={form}
          change={change}
          usual={developerFamilies[form.concentrateFamilyId].referenceParts}
          bottle={form.concentrateFamilyId}
          volumeMl={form.volumeMl}
          units={units}
        />
      </div>
      <Quantity
        id="concentrateParts"
        label="Concentrate"
        kind="parts"
        units={units}
        value={form.concentrateParts}
        onChange={(concentrateParts) => change({ concentrateParts, dilutionText: '' })}
        error={form.dilutionText === '' ? errors.concentrateParts : undefined}
        inline
      />
      <Quantity
        id="waterParts"
        label="Water"
        kind="parts"
        units={units}
        value={form.waterParts}
        onChange={(waterParts) => change({ waterParts, dilutionText: '' })}
        error={form.dilutionText === '' ? errors.waterParts : undefined}
        inline
      />
      <StandProposal form={form} change={change} />
    </>
  );
}

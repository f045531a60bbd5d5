'use client';

import { organicAgents } from '@/core/chemistry/organicAgents';
import type { SubstanceId } from '@/core/chemistry/substances';
import { lowerFirst } from '@/core/units/lowerFirst';
import { inAJug, inALitre } from '@/core/units/perLitre';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { useSettings } from '@/data/queries';
import { AmountInput } from '@/features/amount/AmountInput';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { amountBeside } from '@/features/words/brewWords';
import { Segments } from '@/ui/Segments';
import { besidesWords } from './besidesWords';
import { StandProposal } from './StandProposal';

/** Ascorbic acid of a tablet where nobody says another, mg: as on the workbench. Source: common practice, no source. */
const USUAL_TABLET_MG = 1000;

function tabletOf(substanceId: SubstanceId): number | null {
  return substanceId === 'ascorbic-acid' ? USUAL_TABLET_MG : null;
}

/** A jug for amounts in a litre while its volume does not read. */
const LITRE_ML = 1000;

/** The amounts of a kitchen brew, in a litre or in the jug. */
export function BrewFields({ plan: { form, change, errors }, units }: { plan: CurrentPlan; units: UnitChoice }) {
  const { kit } = useSettings();
  const agent = organicAgents[form.agentId];
  const inJug = form.amountsFor === 'jug';
  const volumeMl =
    typeof form.volumeMl === 'number' && form.volumeMl > 0 ? form.volumeMl : (form.amountsMl ?? LITRE_ML);
  const amount = (
    field: 'sodaGPerL' | 'ascorbicGPerL' | 'agentPerL',
    name: string,
    substanceId: SubstanceId,
    unit: 'g' | 'ml',
  ) => {
    const perL = form[field];
    const shown = typeof perL === 'number' && inJug ? inAJug(perL, volumeMl) : perL;
    return (
      <div className="w-full">
        <AmountInput
          id={field}
          label={name}
          value={shown}
          said={{ substanceId, unit, kit, tabletMg: tabletOf(substanceId), volumeMl, usual: form.amountsFor }}
          error={errors[field]}
          onChange={(value) =>
            change({ [field]: typeof value === 'number' && inJug ? inALitre(value, volumeMl) : value })
          }
          className="w-[76px] shrink-0 text-end"
          beside={
            <span className="block leading-tight">
              <label htmlFor={field} className="block text-[14px] text-ink">
                {inJug ? unit : `${unit}/l`} {lowerFirst(name)}
              </label>
              {typeof perL === 'number' && amountBeside(perL, { unit, inJug, volumeMl, substanceId, kit })}
            </span>
          }
        />
      </div>
    );
  };
  return (
    <>
      <div>
        <Segments
          id="amountsFor"
          label="Amounts for"
          inline
          quietLabel
          value={form.amountsFor}
          options={[
            { value: 'litre', name: 'a litre' },
            { value: 'jug', name: `this jug of ${formatQuantity(volumeMl, 'volume', units)}` },
          ]}
          onChange={(amountsFor) => change({ amountsFor })}
        />
      </div>
      {amount('sodaGPerL', 'Washing soda', 'soda-anhydrous', 'g')}
      {amount('ascorbicGPerL', 'Ascorbic acid', 'ascorbic-acid', 'g')}
      {amount('agentPerL', agent.name, form.agentId, agent.unit)}
      {form.besides.agents.length + form.besides.others.length > 0 && (
        <p className="w-full text-[14px]">
          Also in the jug, calculated as {besidesWords(form.besides)}.{' '}
          <button type="button" className="act-plain" onClick={() => change({ besides: { agents: [], others: [] } })}>
            Leave it out
          </button>
        </p>
      )}
      <StandProposal form={form} change={change} />
    </>
  );
}

import Link from 'next/link';
import { developerFamilies, developerFamilyIds } from '@/core/chemistry/developerFamilies';
import { organicAgentIds, organicAgents } from '@/core/chemistry/organicAgents';
import { substanceIds, substanceOf } from '@/core/chemistry/substances';
import { stockFamilies, stockFamilyIds } from '@/core/films/stockFamilies';
import { agitationSchoolIds, agitationSchools } from '@/core/schedule/agitationSchools';
import { formatNumber } from '@/core/units/quantity';
import { substanceHazards } from '@/core/brewing/labelHazards';
import { DataTable } from './DataTable';

/** What the numbers are built from. The method in full stands beside it. */
export function Tables() {
  return (
    <div className="space-y-10">
      <div>
        <p className="text-[14px] print:hidden">
          <Link href="/handbook" className="act-plain">
            Handbook
          </Link>
        </p>
        <h1>Tables</h1>
        <p className="mt-1 max-w-[70ch] text-ink2">
          Where every estimate starts. Figures are our own estimates unless a source is named.{' '}
          <Link href="/handbook/method" className="act-plain">
            The method in full
          </Link>{' '}
          gives every formula with its source.
        </p>
      </div>
      <DataTable
        title="Stock families"
        note="Fresh film. Time in a metol–hydroquinone borax developer at stock strength and 20 °C, to the scan gradient; figures for each year at room temperature."
        head={['Family', 'Time, min', 'Largest gradient', 'Base + fog', 'Stops lost per year', 'Fog per year']}
        rows={stockFamilyIds.map((id) => {
          const family = stockFamilies[id];
          return [
            family.name,
            formatNumber(family.referenceTimeMin, 1),
            formatNumber(family.maximumGradient, 2),
            formatNumber(family.freshBaseFogD, 2),
            formatNumber(family.speedLossStopsPerYear, 3),
            formatNumber(family.fogDPerYear, 3),
          ];
        })}
      />
      <DataTable
        title="Ingredients"
        note="Molar masses from standard atomic masses. Heat of solution, where a plus cools the water, and what 100 ml take at 20 °C: CRC Handbook, from memory. A level teaspoon of 4.93 ml: common practice, from memory."
        head={['Ingredient', 'Formula', 'g/mol', 'kJ/mol', 'g in 100 ml', 'g per teaspoon']}
        rows={substanceIds.map((id) => {
          const { name, formula, molarMassG, heatKJPerMol, solubilityGPer100Ml, teaspoon } = substanceOf(id);
          const number = (value: number | null, decimals: number): string =>
            value === null ? '' : formatNumber(value, decimals);
          return [
            name,
            formula ?? '',
            number(molarMassG, 2),
            number(heatKJPerMol, 1),
            number(solubilityGPer100Ml, 1),
            number(teaspoon?.massG ?? null, 1),
          ];
        })}
      />
      <DataTable
        title="Hazards of the ingredients"
        note="By itself, in plain words: common practice and from memory. The safety sheet of what you bought goes before it, and so do the rules where you live."
        head={['Ingredient', 'What to mind']}
        rows={substanceIds.map((id) => [
          substanceOf(id).name,
          substanceHazards(id).join(' ') || 'Food, in kitchen amounts.',
        ])}
      />
      <DataTable
        title="Developer classes"
        note="Time at the usual dilution against the stock family’s time; how the rate follows dilution; how it grows from 20 to 30 °C."
        head={['Class', 'Usual dilution', 'Time ×', 'Exponent', 'Q10']}
        rows={developerFamilyIds.map((id) => {
          const family = developerFamilies[id];
          return [
            family.name,
            `${family.referenceParts.concentrate}+${family.referenceParts.water}`,
            formatNumber(family.timeFactor, 2),
            formatNumber(family.dilutionExponent, 2),
            formatNumber(family.q10, 1),
          ];
        })}
      />
      <DataTable
        title="Kitchen agents"
        note="What a gram or millilitre is worth in instant coffee, and within what factor that is known."
        head={['Agent', 'Worth in coffee', 'Known within a factor of']}
        rows={organicAgentIds.map((id) => {
          const agent = organicAgents[id];
          return [agent.name, `${agent.potency} per ${agent.unit}`, formatNumber(Math.exp(agent.potencyLnSd), 1)];
        })}
      />
      <DataTable
        title="Agitation"
        note="How much faster than once a minute."
        head={['School', 'Rate']}
        rows={agitationSchoolIds.map((id) => [
          agitationSchools[id].name,
          `× ${formatNumber(agitationSchools[id].rateFactor, 2)}`,
        ])}
      />
    </div>
  );
}

'use client';

import { CHART_AGITATION } from '@/core/estimate/pieces';
import { developerFamilies, developerFamilyIds } from '@/core/chemistry/developerFamilies';
import { organicAgentIds, organicAgents } from '@/core/chemistry/organicAgents';
import { BROMIDE_LIMIT_G_PER_L } from '@/core/chemistry/restrainer';
import type { Brew } from '@/core/records/records';
import { purposeIds, purposes } from '@/core/kinetics/targets';
import type { PlanForm } from '@/core/plan/planForm';
import { agitationSchoolIds, agitationSchools } from '@/core/schedule/agitationSchools';
import type { UnitChoice } from '@/core/units/quantity';
import { chartSourceOptions } from '@/features/roll/plan/chartSourceOptions';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import { Tick } from '@/ui/Tick';
import { besidesWords } from './besidesWords';
import { DilutionField } from '@/features/dilution/DilutionField';
import type { PlanInHand } from '@/features/roll/plan/usePlanForm';

const agentOptions = organicAgentIds.map((value) => ({ value, name: organicAgents[value].name }));
const concentrateOptions = developerFamilyIds.map((value) => {
  const { name, referenceParts } = developerFamilies[value];
  return { value, name, hint: `Usually ${referenceParts.concentrate}+${referenceParts.water}` };
});
const agitationOptions = agitationSchoolIds.map((value) => ({ value, name: agitationSchools[value].name }));
const knownAgitationOptions: { value: 'plan' | (typeof agitationSchoolIds)[number]; name: string }[] = [
  { value: 'plan', name: 'As planned here' },
  ...agitationOptions,
];
const purposeOptions = purposeIds.map((value) => ({
  value,
  name: purposes[value].name,
  hint: `Average gradient ${purposes[value].gradient}`,
}));

/** Everything that a plan decides before the wet steps. */
export function PlanChoicesForm({ plan, jugs, units }: { plan: PlanInHand; jugs: readonly Brew[]; units: UnitChoice }) {
  const { form, change, errors } = plan;
  const kinds = [
    { value: 'improvised', name: 'Kitchen brew' },
    { value: 'concentrate', name: 'Concentrate' },
    { value: 'one-bath', name: 'One-bath' },
    ...(jugs.length > 0 ? [{ value: 'jug', name: 'From a jug' } as const] : []),
  ] as const;
  return (
    <div className="space-y-5">
      <Segments
        id="developerKind"
        label="Developer"
        value={form.developerKind}
        options={kinds}
        onChange={(developerKind) =>
          change({
            developerKind,
            ...(developerKind === 'jug' && form.brewId === '' ? { brewId: jugs[0]?.id ?? '' } : {}),
          })
        }
        error={errors.developer}
      />
      {form.developerKind === 'improvised' && <BrewFields plan={plan} units={units} />}
      {form.developerKind === 'concentrate' && <ConcentrateFields plan={plan} units={units} />}
      {form.developerKind === 'one-bath' && (
        <p className="max-w-[56ch] text-[14px] text-ink2">
          Developer and fixer in one bath, mixed from its two-part kit. It runs to completion: temperature changes its
          time, the target does not.
        </p>
      )}
      {form.developerKind === 'jug' && (
        <Choice
          id="brewId"
          label="Jug"
          value={form.brewId}
          options={jugs.map(({ id, name, code }) => ({ value: id, name: `${name} · ${code}` }))}
          onChange={(brewId) => change({ brewId })}
          error={errors.brewId}
        />
      )}
      <div className="grid gap-x-5 gap-y-4 border-t border-hair pt-4 sm:grid-cols-2">
        <TemperatureFields plan={plan} units={units} />
        <Quantity
          id="volumeMl"
          label="In the tank"
          kind="volume"
          units={units}
          hint="covers the film"
          value={form.volumeMl}
          onChange={(volumeMl) => change({ volumeMl })}
          error={errors.volumeMl}
        />
        <AgitationField plan={plan} />
        <BromideField plan={plan} units={units} />
        <TargetFields plan={plan} units={units} />
      </div>
      <div className="border-t border-hair pt-4">
        <Tick
          id="knownTimeOn"
          label="I know a time for this film, fresh, in this developer"
          checked={form.knownTimeOn}
          onChange={(knownTimeOn) => change({ knownTimeOn })}
        />
        {form.knownTimeOn && <KnownTimeFields plan={plan} units={units} />}
      </div>
    </div>
  );
}

/** A group of fields; `idPrefix` keeps ids apart where a field stands twice on the page. */
interface PartProps {
  plan: PlanInHand;
  units: UnitChoice;
  idPrefix?: string;
}

export function BrewFields({ plan: { form, change, errors }, units, idPrefix = '' }: PartProps) {
  const agent = organicAgents[form.agentId];
  return (
    <div className="grid gap-x-5 gap-y-4 sm:grid-cols-2">
      <Choice
        id={`${idPrefix}agentId`}
        label="Made with"
        value={form.agentId}
        options={agentOptions}
        onChange={(agentId: PlanForm['agentId']) => change({ agentId, agentPerL: organicAgents[agentId].usualPerL })}
        error={errors.agents}
      />
      <Quantity
        id={`${idPrefix}agentPerL`}
        label={agent.name}
        kind={agent.unit === 'ml' ? 'volumeConcentration' : 'concentration'}
        units={units}
        range={[0, 1000]}
        value={form.agentPerL}
        onChange={(agentPerL) => change({ agentPerL })}
        error={errors.agentPerL}
      />
      <Quantity
        id={`${idPrefix}sodaGPerL`}
        label="Washing soda"
        kind="concentration"
        units={units}
        hint="anhydrous"
        range={[0, 200]}
        value={form.sodaGPerL}
        onChange={(sodaGPerL) => change({ sodaGPerL })}
        error={errors.sodaGPerL}
      />
      <Quantity
        id={`${idPrefix}ascorbicGPerL`}
        label="Ascorbic acid"
        kind="concentration"
        units={units}
        range={[0, 100]}
        value={form.ascorbicGPerL}
        onChange={(ascorbicGPerL) => change({ ascorbicGPerL })}
        error={errors.ascorbicGPerL}
      />
      {form.besides.agents.length + form.besides.others.length > 0 && (
        <p className="text-[14px] sm:col-span-2">
          Also in the jug, calculated as {besidesWords(form.besides)}.{' '}
          <button type="button" className="act-plain" onClick={() => change({ besides: { agents: [], others: [] } })}>
            Leave it out
          </button>
        </p>
      )}
    </div>
  );
}

export function ConcentrateFields({ plan: { form, change, errors }, units, idPrefix = '' }: PartProps) {
  return (
    <div className="grid gap-x-5 gap-y-4 sm:grid-cols-2">
      <div className="sm:col-span-2">
        <Choice
          id={`${idPrefix}concentrateFamilyId`}
          label="Kind of developer"
          value={form.concentrateFamilyId}
          options={concentrateOptions}
          onChange={(id: PlanForm['concentrateFamilyId']) => {
            const { concentrate, water } = developerFamilies[id].referenceParts;
            change({ concentrateFamilyId: id, concentrateParts: concentrate, waterParts: water, dilutionText: '' });
          }}
        />
      </div>
      <div className="sm:col-span-2">
        <DilutionField
          id={`${idPrefix}dilutionText`}
          fields={form}
          change={change}
          usual={developerFamilies[form.concentrateFamilyId].referenceParts}
          volumeMl={form.volumeMl}
          units={units}
        />
      </div>
      <Quantity
        id={`${idPrefix}concentrateParts`}
        label="Concentrate"
        kind="parts"
        units={units}
        range={[0.1, 100]}
        value={form.concentrateParts}
        onChange={(concentrateParts) => change({ concentrateParts, dilutionText: '' })}
        error={errors.concentrateParts}
      />
      <Quantity
        id={`${idPrefix}waterParts`}
        label="Water"
        kind="parts"
        units={units}
        range={[0, 1000]}
        value={form.waterParts}
        onChange={(waterParts) => change({ waterParts, dilutionText: '' })}
        error={errors.waterParts}
      />
    </div>
  );
}

export function KnownTimeFields({ plan: { form, change, errors }, units, idPrefix = '' }: PartProps) {
  return (
    <div className="mt-3 grid gap-x-5 gap-y-4 sm:grid-cols-2">
      <Quantity
        id={`${idPrefix}knownTimeMin`}
        label="Time"
        kind="minutes"
        units={units}
        range={[0.5, 300]}
        value={form.knownTimeMin}
        onChange={(knownTimeMin) => change({ knownTimeMin })}
        error={errors.knownTimeMin}
      />
      <Quantity
        id={`${idPrefix}knownTimeC`}
        label="At"
        kind="temperature"
        units={units}
        range={[5, 40]}
        value={form.knownTimeC}
        onChange={(knownTimeC) => change({ knownTimeC })}
        error={errors.knownTimeC}
      />
      <Choice
        id={`${idPrefix}knownTimeSource`}
        label="Source"
        value={form.knownTimeSource}
        options={chartSourceOptions}
        onChange={(knownTimeSource: PlanForm['knownTimeSource']) =>
          change({ knownTimeSource, knownTimeAgitation: knownTimeSource === 'own' ? 'plan' : CHART_AGITATION })
        }
        error={errors.knownTimeSource}
      />
      <Choice
        id={`${idPrefix}knownTimeAgitation`}
        label="Agitation then"
        value={form.knownTimeAgitation}
        options={knownAgitationOptions}
        onChange={(knownTimeAgitation: PlanForm['knownTimeAgitation']) => change({ knownTimeAgitation })}
      />
      {form.knownTimeSource === 'own' && (
        <Tick
          id={`${idPrefix}knownTimeAged`}
          label="It was on film as old as this"
          checked={form.knownTimeAged}
          onChange={(knownTimeAged) => change({ knownTimeAged })}
        />
      )}
    </div>
  );
}

export function TemperatureFields({ plan: { form, change, errors }, units, idPrefix = '' }: PartProps) {
  return (
    <>
      <Quantity
        id={`${idPrefix}temperatureC`}
        label="Temperature"
        kind="temperature"
        units={units}
        range={[5, 40]}
        value={form.temperatureC}
        onChange={(temperatureC) => change({ temperatureC })}
        error={errors.temperatureC}
      />
      <Quantity
        id={`${idPrefix}ambientC`}
        label="Around the tank"
        kind="temperature"
        units={units}
        hint="leave empty if a water bath holds it"
        optional
        value={form.ambientC}
        onChange={(ambientC) => change({ ambientC })}
        error={errors.ambientC}
      />
    </>
  );
}

export function AgitationField({ plan: { form, change }, idPrefix = '' }: Omit<PartProps, 'units'>) {
  return (
    <Choice
      id={`${idPrefix}agitationId`}
      label="Agitation"
      value={form.agitationId}
      options={agitationOptions}
      onChange={(agitationId) => change({ agitationId })}
    />
  );
}

/** A jug holds what it holds, and a one-bath takes none. */
export function BromideField({ plan: { form, change, errors }, units, idPrefix = '' }: PartProps) {
  if (form.developerKind === 'jug' || form.developerKind === 'one-bath') return null;
  return (
    <Quantity
      id={`${idPrefix}bromideGPerL`}
      label="Potassium bromide"
      kind="concentration"
      units={units}
      range={[0, BROMIDE_LIMIT_G_PER_L]}
      value={form.bromideGPerL}
      onChange={(bromideGPerL) => change({ bromideGPerL })}
      error={errors.bromideGPerL}
    />
  );
}

export function TargetFields({ plan: { form, change, errors }, units, idPrefix = '' }: PartProps) {
  return (
    <>
      <Choice
        id={`${idPrefix}purpose`}
        label="Negative intended for"
        value={form.purpose}
        options={purposeOptions}
        onChange={(purpose) => change({ purpose })}
      />
      <Quantity
        id={`${idPrefix}pushStops`}
        label="Push or pull"
        kind="stops"
        units={units}
        range={[-3, 3]}
        value={form.pushStops}
        onChange={(pushStops) => change({ pushStops })}
        error={errors.pushStops}
      />
    </>
  );
}

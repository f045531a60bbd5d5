'use client';

import { developerFamilies, developerFamilyIds } from '@/core/chemistry/developerFamilies';
import { organicAgentIds, organicAgents } from '@/core/chemistry/organicAgents';
import { BROMIDE_LIMIT_G_PER_L } from '@/core/chemistry/restrainer';
import type { Brew } from '@/core/formats/records';
import { purposeIds, purposes } from '@/core/kinetics/targets';
import type { PlanForm } from '@/core/plan/planForm';
import { agitationSchoolIds, agitationSchools } from '@/core/schedule/agitationSchools';
import type { UnitChoice } from '@/core/units/quantity';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Segments } from '@/ui/Segments';
import type { PlanInHand } from './usePlanForm';

const agentOptions = organicAgentIds.map((value) => ({ value, name: organicAgents[value].name }));
const concentrateOptions = developerFamilyIds.map((value) => {
  const { name, referenceParts } = developerFamilies[value];
  return { value, name, hint: `Usually ${referenceParts.concentrate}+${referenceParts.water}` };
});
const agitationOptions = agitationSchoolIds.map((value) => ({ value, name: agitationSchools[value].name }));
const purposeOptions = purposeIds.map((value) => ({ value, name: purposes[value].name, hint: `Average gradient ${purposes[value].gradient}` }));
const sourceOptions = [
  { value: 'leaflet', name: 'A leaflet', hint: 'Trusted to 12 %' },
  { value: 'somebody', name: 'Somebody’s time', hint: 'Trusted to 20 %' },
  { value: 'own', name: 'My own, repeated', hint: 'Trusted to 7 %' },
] as const;

/** Everything that a plan decides before the wet steps. */
export function PlanChoicesForm({ plan, jugs, units }: { plan: PlanInHand; jugs: readonly Brew[]; units: UnitChoice }) {
  const { form, change, errors } = plan;
  const kinds = [
    { value: 'improvised', name: 'Kitchen brew' },
    { value: 'concentrate', name: 'Concentrate' },
    ...(jugs.length > 0 ? [{ value: 'jug', name: 'A jug at hand' } as const] : []),
  ] as const;
  return (
    <div className="space-y-5">
      <Segments
        id="developerKind"
        label="Developer"
        value={form.developerKind}
        options={kinds}
        onChange={(developerKind) => change({ developerKind, ...(developerKind === 'jug' && form.brewId === '' ? { brewId: jugs[0]?.id ?? '' } : {}) })}
        error={errors.developer}
      />
      {form.developerKind === 'improvised' && <BrewFields plan={plan} units={units} />}
      {form.developerKind === 'concentrate' && <ConcentrateFields plan={plan} units={units} />}
      {form.developerKind === 'jug' && (
        <Choice id="brewId" label="Jug" value={form.brewId} options={jugs.map(({ id, name }) => ({ value: id, name }))} onChange={(brewId) => change({ brewId })} error={errors.brewId} />
      )}
      <div className="grid gap-x-5 gap-y-4 border-t border-hair pt-4 sm:grid-cols-2">
        <Quantity id="temperatureC" label="Temperature" kind="temperature" units={units} range={[5, 40]} value={form.temperatureC} onChange={(temperatureC) => change({ temperatureC })} error={errors.temperatureC} />
        <Quantity id="volumeMl" label="In the tank" kind="volume" units={units} hint="covers the film" value={form.volumeMl} onChange={(volumeMl) => change({ volumeMl })} error={errors.volumeMl} />
        <Choice id="agitationId" label="Agitation" value={form.agitationId} options={agitationOptions} onChange={(agitationId) => change({ agitationId })} />
        {form.developerKind !== 'jug' && (
          <Quantity id="bromideGPerL" label="Potassium bromide" kind="concentration" units={units} range={[0, BROMIDE_LIMIT_G_PER_L]} value={form.bromideGPerL} onChange={(bromideGPerL) => change({ bromideGPerL })} error={errors.bromideGPerL} />
        )}
        <Choice id="purpose" label="The negative is for" value={form.purpose} options={purposeOptions} onChange={(purpose) => change({ purpose })} />
        <Quantity id="pushStops" label="Push or pull" kind="stops" units={units} range={[-3, 3]} value={form.pushStops} onChange={(pushStops) => change({ pushStops })} error={errors.pushStops} />
      </div>
      <div className="border-t border-hair pt-4">
        <Segments
          id="strategyId"
          label="Old film"
          value={form.strategyId}
          options={[
            { value: 'hold', name: 'Hold: fresh-film time' },
            { value: 'extend', name: 'Extend: win contrast back' },
          ]}
          onChange={(strategyId) => change({ strategyId })}
        />
        {form.strategyId === 'extend' && <Tick id="liftCap" label="Lift the cap of 15 % a stop and 50 % in all" checked={form.liftCap} onChange={(liftCap) => change({ liftCap })} />}
      </div>
      <div className="border-t border-hair pt-4">
        <Tick id="knownTimeOn" label="I know a time for this film, fresh, in this developer" checked={form.knownTimeOn} onChange={(knownTimeOn) => change({ knownTimeOn })} />
        {form.knownTimeOn && <KnownTimeFields plan={plan} units={units} />}
      </div>
    </div>
  );
}

interface PartProps {
  plan: PlanInHand;
  units: UnitChoice;
}

function BrewFields({ plan: { form, change, errors }, units }: PartProps) {
  const agent = organicAgents[form.agentId];
  return (
    <div className="grid gap-x-5 gap-y-4 sm:grid-cols-2">
      <Choice
        id="agentId"
        label="Made with"
        value={form.agentId}
        options={agentOptions}
        onChange={(agentId: PlanForm['agentId']) => change({ agentId, agentPerL: organicAgents[agentId].usualPerL })}
        error={errors.agents}
      />
      <Quantity id="agentPerL" label={agent.name} kind={agent.unit === 'ml' ? 'volumeConcentration' : 'concentration'} units={units} range={[0, 1000]} value={form.agentPerL} onChange={(agentPerL) => change({ agentPerL })} error={errors.agentPerL} />
      <Quantity id="sodaGPerL" label="Washing soda" kind="concentration" units={units} hint="anhydrous" range={[0, 200]} value={form.sodaGPerL} onChange={(sodaGPerL) => change({ sodaGPerL })} error={errors.sodaGPerL} />
      <Quantity id="ascorbicGPerL" label="Ascorbic acid" kind="concentration" units={units} range={[0, 100]} value={form.ascorbicGPerL} onChange={(ascorbicGPerL) => change({ ascorbicGPerL })} error={errors.ascorbicGPerL} />
    </div>
  );
}

function ConcentrateFields({ plan: { form, change, errors }, units }: PartProps) {
  return (
    <div className="grid gap-x-5 gap-y-4 sm:grid-cols-2">
      <div className="sm:col-span-2">
        <Choice
          id="concentrateFamilyId"
          label="Kind of developer"
          value={form.concentrateFamilyId}
          options={concentrateOptions}
          onChange={(id: PlanForm['concentrateFamilyId']) => {
            const { concentrate, water } = developerFamilies[id].referenceParts;
            change({ concentrateFamilyId: id, concentrateParts: concentrate, waterParts: water });
          }}
        />
      </div>
      <Quantity id="concentrateParts" label="Concentrate" kind="parts" units={units} range={[0.1, 100]} value={form.concentrateParts} onChange={(concentrateParts) => change({ concentrateParts })} error={errors.concentrateParts} />
      <Quantity id="waterParts" label="Water" kind="parts" units={units} range={[0, 1000]} value={form.waterParts} onChange={(waterParts) => change({ waterParts })} error={errors.waterParts} />
    </div>
  );
}

function KnownTimeFields({ plan: { form, change, errors }, units }: PartProps) {
  return (
    <div className="mt-3 grid gap-x-5 gap-y-4 sm:grid-cols-2">
      <Quantity id="knownTimeMin" label="Its time" kind="minutes" units={units} range={[0.5, 180]} value={form.knownTimeMin} onChange={(knownTimeMin) => change({ knownTimeMin })} error={errors.knownTimeMin} />
      <Quantity id="knownTimeC" label="At" kind="temperature" units={units} range={[5, 40]} value={form.knownTimeC} onChange={(knownTimeC) => change({ knownTimeC })} error={errors.knownTimeC} />
      <Choice id="knownTimeSource" label="It comes from" value={form.knownTimeSource} options={sourceOptions} onChange={(knownTimeSource: PlanForm['knownTimeSource']) => change({ knownTimeSource })} error={errors.knownTimeSource} />
    </div>
  );
}

function Tick({ id, label, checked, onChange }: { id: string; label: string; checked: boolean; onChange: (checked: boolean) => void }) {
  return (
    <label htmlFor={id} className="mt-2 flex min-h-8 cursor-pointer items-center gap-2.5">
      <input id={id} type="checkbox" className="size-5" checked={checked} onChange={(event) => onChange(event.target.checked)} />
      {label}
    </label>
  );
}

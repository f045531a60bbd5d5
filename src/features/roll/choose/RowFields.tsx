'use client';

import { developerFamilies } from '@/core/chemistry/developerFamilies';
import { organicAgents } from '@/core/chemistry/organicAgents';
import type { LedgerRowId } from '@/core/estimate/parameters';
import { CHART_AGITATION } from '@/core/estimate/pieces';
import { purposeIds, purposes } from '@/core/kinetics/targets';
import type { PlanForm } from '@/core/plan/planForm';
import { agitationSchoolIds, agitationSchools } from '@/core/schedule/agitationSchools';
import type { UnitChoice } from '@/core/units/quantity';
import { DilutionField } from '@/features/dilution/DilutionField';
import { chartSourceOptions } from '@/features/roll/plan/chartSourceOptions';
import type { PlanInHand } from '@/features/roll/plan/usePlanForm';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Tick } from '@/ui/Tick';
import { Term } from '@/ui/Term';
import { besidesWords } from './besidesWords';
import { MovementChoice } from './MovementChoice';

const agitationOptions = agitationSchoolIds.map((value) => ({ value, name: agitationSchools[value].name }));
const knownAgitationOptions: { value: 'plan' | (typeof agitationSchoolIds)[number]; name: string }[] = [
  { value: 'plan', name: 'As planned here' },
  ...agitationOptions,
];
const purposeOptions = purposeIds.map((value) => ({
  value,
  name: purposes[value].name.toLowerCase(),
  hint: `Average gradient ${purposes[value].gradient}`,
}));

interface PartProps {
  plan: PlanInHand;
  units: UnitChoice;
}

/** The rows that carry fields for a kind of developer: they stand in the ledger whatever they do to the time. */
export function decidedRows({ developerKind }: PlanForm): LedgerRowId[] {
  switch (developerKind) {
    case 'improvised':
      return ['base', 'strength', 'temperature', 'agitation', 'bromide', 'strategy', 'target'];
    case 'concentrate':
      return ['base', 'dilution', 'temperature', 'agitation', 'bromide', 'strategy', 'target'];
    case 'jug':
    case 'other':
      return ['base', 'temperature', 'agitation', 'strategy', 'target'];
    case 'one-bath':
      return ['base', 'temperature', 'agitation'];
  }
}

/** The fields that move a row of the ledger, in the row itself; null for a row that follows from the roll or the jug. */
export function rowFields(rowId: LedgerRowId, plan: PlanInHand, units: UnitChoice): React.ReactNode {
  const { form } = plan;
  switch (rowId) {
    case 'base':
      return <KnownTimeFields plan={plan} units={units} />;
    case 'dilution':
      return form.developerKind === 'concentrate' ? <ConcentrateFields plan={plan} units={units} /> : null;
    case 'strength':
      return form.developerKind === 'improvised' ? <BrewFields plan={plan} units={units} /> : null;
    case 'temperature':
      return <TemperatureFields plan={plan} units={units} />;
    case 'agitation':
      return <MovementChoice plan={plan} />;
    case 'bromide':
      return form.developerKind === 'jug' || form.developerKind === 'one-bath' ? null : (
        <BromideField plan={plan} units={units} />
      );
    case 'target':
      return form.developerKind === 'one-bath' ? null : <TargetFields plan={plan} units={units} />;
    default:
      return null;
  }
}

function BrewFields({ plan: { form, change, errors }, units }: PartProps) {
  const agent = organicAgents[form.agentId];
  return (
    <>
      <Quantity
        id="sodaGPerL"
        label="Washing soda"
        kind="concentration"
        units={units}
        value={form.sodaGPerL}
        onChange={(sodaGPerL) => change({ sodaGPerL })}
        error={errors.sodaGPerL}
        inline
      />
      <Quantity
        id="ascorbicGPerL"
        label="Ascorbic acid"
        kind="concentration"
        units={units}
        value={form.ascorbicGPerL}
        onChange={(ascorbicGPerL) => change({ ascorbicGPerL })}
        error={errors.ascorbicGPerL}
        inline
      />
      <Quantity
        id="agentPerL"
        label={agent.name}
        kind={agent.unit === 'ml' ? 'volumeConcentration' : 'concentration'}
        units={units}
        value={form.agentPerL}
        onChange={(agentPerL) => change({ agentPerL })}
        error={errors.agentPerL}
        inline
      />
      {form.besides.agents.length + form.besides.others.length > 0 && (
        <p className="w-full text-[14px]">
          Also in the jug, calculated as {besidesWords(form.besides)}.{' '}
          <button type="button" className="act-plain" onClick={() => change({ besides: { agents: [], others: [] } })}>
            Leave it out
          </button>
        </p>
      )}
    </>
  );
}

function ConcentrateFields({ plan: { form, change, errors }, units }: PartProps) {
  return (
    <>
      <div className="w-full max-w-[420px]">
        <DilutionField
          id="dilutionText"
          fields={form}
          change={change}
          usual={developerFamilies[form.concentrateFamilyId].referenceParts}
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
        error={errors.concentrateParts}
        inline
      />
      <Quantity
        id="waterParts"
        label="Water"
        kind="parts"
        units={units}
        value={form.waterParts}
        onChange={(waterParts) => change({ waterParts, dilutionText: '' })}
        error={errors.waterParts}
        inline
      />
    </>
  );
}

function KnownTimeFields({ plan: { form, change, errors }, units }: PartProps) {
  return (
    <>
      <Tick
        id="knownTimeOn"
        label="I know a time for fresh film in this developer"
        checked={form.knownTimeOn}
        onChange={(knownTimeOn) => change({ knownTimeOn })}
      />
      {form.knownTimeOn && (
        <>
          <Quantity
            id="knownTimeMin"
            label="Time"
            kind="minutes"
            units={units}
            value={form.knownTimeMin}
            onChange={(knownTimeMin) => change({ knownTimeMin })}
            error={errors.knownTimeMin}
            inline
          />
          <Quantity
            id="knownTimeC"
            label="At"
            kind="temperature"
            units={units}
            value={form.knownTimeC}
            onChange={(knownTimeC) => change({ knownTimeC })}
            error={errors.knownTimeC}
            inline
          />
          <Choice
            id="knownTimeSource"
            label="Source"
            value={form.knownTimeSource}
            options={chartSourceOptions}
            onChange={(knownTimeSource: PlanForm['knownTimeSource']) =>
              change({ knownTimeSource, knownTimeAgitation: knownTimeSource === 'own' ? 'plan' : CHART_AGITATION })
            }
            error={errors.knownTimeSource}
            inline
          />
          <Choice
            id="knownTimeAgitation"
            label="Movement then"
            value={form.knownTimeAgitation}
            options={knownAgitationOptions}
            onChange={(knownTimeAgitation: PlanForm['knownTimeAgitation']) => change({ knownTimeAgitation })}
            inline
          />
          {form.developerKind === 'concentrate' && (
            <>
              <Quantity
                id="knownConcentrate"
                label="Diluted then"
                kind="parts"
                units={units}
                optional
                value={form.knownConcentrate}
                onChange={(knownConcentrate) => change({ knownConcentrate })}
                error={errors.knownConcentrate}
                inline
              />
              <Quantity
                id="knownWater"
                label="+"
                kind="parts"
                units={units}
                optional
                hint="empty: as planned here"
                value={form.knownWater}
                onChange={(knownWater) => change({ knownWater })}
                error={errors.knownWater}
                inline
              />
            </>
          )}
          {form.knownTimeSource === 'own' && (
            <Tick
              id="knownTimeAged"
              label="It was on film as old as this"
              checked={form.knownTimeAged}
              onChange={(knownTimeAged) => change({ knownTimeAged })}
            />
          )}
          <Field id="knownTimeNote" label="How was it found out?" error={errors.knownTimeNote} inline>
            <input
              id="knownTimeNote"
              className="box min-h-[34px] w-[min(100%,300px)] py-1"
              value={form.knownTimeNote}
              maxLength={300}
              placeholder="two rolls last winter, dense but good"
              onChange={(event) => change({ knownTimeNote: event.target.value })}
            />
          </Field>
        </>
      )}
    </>
  );
}

function TemperatureFields({ plan: { form, change, errors }, units }: PartProps) {
  return (
    <>
      <Quantity
        id="temperatureC"
        label="Temperature"
        kind="temperature"
        units={units}
        value={form.temperatureC}
        onChange={(temperatureC) => change({ temperatureC })}
        error={errors.temperatureC}
        inline
        quietLabel
      />
      <Quantity
        id="ambientC"
        label="around the tank"
        kind="temperature"
        units={units}
        optional
        value={form.ambientC}
        onChange={(ambientC) => change({ ambientC })}
        error={errors.ambientC}
        inline
      />
    </>
  );
}

/** A jug holds what it holds, and a one-bath takes none. */
function BromideField({ plan: { form, change, errors }, units }: PartProps) {
  return (
    <div className="flex flex-wrap items-center gap-x-4">
      <Quantity
        id="bromideGPerL"
        label="Potassium bromide"
        kind="concentration"
        units={units}
        value={form.bromideGPerL}
        onChange={(bromideGPerL) => change({ bromideGPerL })}
        error={errors.bromideGPerL}
        inline
        quietLabel
      />
      <span className="text-[13px] text-ink2">
        a <Term id="restrainer">restrainer</Term>
      </span>
    </div>
  );
}

function TargetFields({ plan: { form, change, errors }, units }: PartProps) {
  return (
    <>
      <Choice
        id="purpose"
        label="Negative intended for"
        value={form.purpose}
        options={purposeOptions}
        onChange={(purpose) => change({ purpose })}
        inline
        quietLabel
      />
      <Quantity
        id="pushStops"
        label="push or pull"
        kind="stops"
        units={units}
        value={form.pushStops}
        onChange={(pushStops) => change({ pushStops })}
        error={errors.pushStops}
        inline
      />
    </>
  );
}

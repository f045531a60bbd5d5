'use client';

import { developerFamilies } from '@/core/chemistry/developerFamilies';
import { organicAgents } from '@/core/chemistry/organicAgents';
import type { LedgerRowId } from '@/core/estimate/parameters';
import { CHART_AGITATION } from '@/core/estimate/pieces';
import { purposeIds, purposes } from '@/core/kinetics/targets';
import type { PlanForm } from '@/core/plan/planForm';
import { agitationSchoolIds, agitationSchools } from '@/core/schedule/agitationSchools';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { DilutionField } from '@/features/dilution/DilutionField';
import { chartSourceOptions } from '@/features/roll/plan/chartSourceOptions';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { AmountInput } from '@/features/amount/AmountInput';
import { amountBeside } from '@/features/words/brewWords';
import { partsWords } from '@/features/dilution/dilutionWords';
import type { SubstanceId } from '@/core/chemistry/substances';
import { knownTimeForNow } from '@/core/plan/changeForm';
import { amountsName, developerName } from '@/core/plan/developerName';
import { thinnedFrom } from '@/core/plan/withStrategy';
import { formatDuration } from '@/core/units/duration';
import { lowerFirst } from '@/core/units/lowerFirst';
import { inAJug, inALitre } from '@/core/units/perLitre';
import { useSettings } from '@/data/queries';
import { Choice } from '@/ui/Choice';
import { Segments } from '@/ui/Segments';
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
  plan: CurrentPlan;
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
export function rowFields(rowId: LedgerRowId, plan: CurrentPlan, units: UnitChoice): React.ReactNode {
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

/** Ascorbic acid of a tablet where nobody says another, mg: as on the workbench. Source: common practice, no source. */
const USUAL_TABLET_MG = 1000;

function tabletOf(substanceId: SubstanceId): number | null {
  return substanceId === 'ascorbic-acid' ? USUAL_TABLET_MG : null;
}

/** A jug for amounts in a litre while its volume does not read. */
const LITRE_ML = 1000;

function BrewFields({ plan: { form, change, errors }, units }: PartProps) {
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
      <span className="flex flex-wrap items-baseline gap-x-1.5">
        <label htmlFor={field} className="text-[14px]">
          {name}
        </label>
        <AmountInput
          id={field}
          label={name}
          value={shown}
          said={{ substanceId, unit, kit, tabletMg: tabletOf(substanceId), volumeMl, usual: form.amountsFor }}
          error={errors[field]}
          onChange={(value) =>
            change({ [field]: typeof value === 'number' && inJug ? inALitre(value, volumeMl) : value })
          }
          beside={
            <>
              {inJug ? unit : `${unit}/l`}
              {typeof perL === 'number' && `, ${amountBeside(perL, { unit, inJug, volumeMl, substanceId, kit })}`}
            </>
          }
        />
      </span>
    );
  };
  return (
    <>
      <div className="w-full">
        <Segments
          id="amountsFor"
          label="Amounts for"
          inline
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

/** What a stand put in the place of the developer as it was, and the way back. */
function StandProposal({ form, change }: Pick<CurrentPlan, 'form' | 'change'>) {
  const before = thinnedFrom(form);
  if (before === null) return null;
  const parts = { concentrate: Number(before.concentrateParts), water: Number(before.waterParts) };
  const own = form.developerKind === 'concentrate' ? partsWords(parts) : 'your amounts';
  const now =
    form.developerKind === 'concentrate'
      ? partsWords({ concentrate: Number(form.concentrateParts), water: Number(form.waterParts) })
      : 'a third of them';
  return (
    <p className="w-full text-[14px]" data-testid="stand-proposal">
      A stand is usually this thin: {now} in place of {own}.{' '}
      <button type="button" className="act-plain" onClick={() => change(before)}>
        Keep {own}
      </button>
    </p>
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

function KnownTimeFields({ plan, units }: PartProps) {
  const { form, change, errors } = plan;
  const elsewhere = form.knownElsewhere.filter(({ knownTimeOn }) => knownTimeOn);
  return (
    <>
      <Tick
        id="knownTimeOn"
        label="I know a time for fresh film in this developer"
        checked={form.knownTimeOn}
        onChange={(knownTimeOn) => change({ knownTimeOn })}
      />
      {elsewhere.map(({ key, knownTimeMin, knownTimeFor }) => (
        <p key={key} className="w-full text-[13px] text-ink2" data-testid="known-elsewhere">
          {typeof knownTimeMin === 'number' ? formatDuration(knownTimeMin * 60) : 'A time'} is known in{' '}
          {knownTimeFor === null ? 'another developer' : lowerFirst(developerName(knownTimeFor))}. It is kept for that
          developer, and not used here.
        </p>
      ))}
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
                value={form.knownWater}
                onChange={(knownWater) => change({ knownWater })}
                error={errors.knownWater}
                inline
              />
            </>
          )}
          <KnownFor plan={plan} />
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

/** Which brew a known time is for, where it is not the one that is planned. */
function KnownFor({ plan: { form, choices, change, jugs } }: { plan: CurrentPlan }) {
  if (choices?.knownTime?.developer === undefined) return null;
  return (
    <p className="w-full text-[14px]" data-testid="known-for">
      It was given for {lowerFirst(amountsName(choices.knownTime.developer))}.{' '}
      <button type="button" className="act-plain" onClick={() => change(knownTimeForNow(form, jugs))}>
        It is for the brew as it is here
      </button>
    </p>
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

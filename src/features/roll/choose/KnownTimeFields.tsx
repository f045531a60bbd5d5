'use client';

import { CHART_AGITATION } from '@/core/estimate/pieces';
import { knownTimeForNow } from '@/core/plan/changeForm';
import { amountsName, developerName } from '@/core/plan/developerName';
import type { PlanForm } from '@/core/plan/planForm';
import { agitationSchoolIds, agitationSchools } from '@/core/schedule/agitationSchools';
import { formatDuration } from '@/core/units/duration';
import { lowerFirst } from '@/core/units/lowerFirst';
import type { UnitChoice } from '@/core/units/quantity';
import { chartSourceOptions } from '@/features/roll/plan/chartSourceOptions';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { Quantity } from '@/ui/Quantity';
import { Tick } from '@/ui/Tick';

const agitationOptions = agitationSchoolIds.map((value) => ({ value, name: agitationSchools[value].name }));
const knownAgitationOptions: { value: 'plan' | (typeof agitationSchoolIds)[number]; name: string }[] = [
  { value: 'plan', name: 'As planned here' },
  ...agitationOptions,
];
interface PartProps {
  plan: CurrentPlan;
  units: UnitChoice;
}

/** A time that is known for fresh film in this developer, and what it was known for. */
export function KnownTimeFields({ plan, units }: PartProps) {
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
            label="Agitation then"
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

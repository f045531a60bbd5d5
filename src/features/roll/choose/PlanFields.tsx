'use client';

import type { ReactNode } from 'react';
import { purposeIds, purposes } from '@/core/kinetics/targets';
import type { Brew } from '@/core/records/records';
import type { UnitChoice } from '@/core/units/quantity';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';
import { Choice } from '@/ui/Choice';
import { Quantity } from '@/ui/Quantity';
import { Term } from '@/ui/Term';
import { BrewFields } from './BrewFields';
import { ConcentrateFields } from './ConcentrateFields';
import { DeveloperChoice } from './DeveloperChoice';
import { KnownTimeFields } from './KnownTimeFields';
import { LeafletOffer } from './LeafletOffer';
import { MovementChoice, OwnMovement } from './MovementChoice';

const purposeOptions = purposeIds.map((value) => ({
  value,
  name: purposes[value].name.toLowerCase(),
  hint: `Average gradient ${purposes[value].gradient}`,
}));

interface PartProps {
  plan: CurrentPlan;
  units: UnitChoice;
}

/** What people set, in the order in which they decide it. Each field moves the time beside it. */
export function PlanFields({ plan, jugs, film, units }: PartProps & { jugs: readonly Brew[]; film: string }) {
  const { form, change, errors } = plan;
  const kind = form.developerKind;
  return (
    <div className="border-b border-hair">
      <Row label="Developer">
        <DeveloperChoice plan={plan} jugs={jugs} />
      </Row>
      <Row label="In the tank">
        <Quantity
          id="volumeMl"
          label="In the tank"
          kind="volume"
          units={units}
          value={form.volumeMl}
          onChange={(volumeMl) => change({ volumeMl })}
          error={errors.volumeMl}
          inline
          quietLabel
        />
        {kind === 'improvised' && <BrewFields plan={plan} units={units} />}
        {kind === 'concentrate' && <ConcentrateFields plan={plan} units={units} />}
      </Row>
      <Row label="Temperature">
        <TemperatureFields plan={plan} units={units} />
      </Row>
      <Row label="Agitation">
        <MovementChoice plan={plan} />
        <OwnMovement plan={plan} units={units} />
      </Row>
      {kind !== 'one-bath' && (
        <Row label="For">
          <TargetFields plan={plan} units={units} />
        </Row>
      )}
      {(kind === 'improvised' || kind === 'concentrate') && (
        <Row label="Restrainer">
          <BromideField plan={plan} units={units} />
        </Row>
      )}
      {kind !== 'other' && (
        <Row label="Known time">
          <LeafletOffer plan={plan} jugs={jugs} film={film} units={units} />
          <KnownTimeFields plan={plan} units={units} />
        </Row>
      )}
    </div>
  );
}

function Row({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[92px_minmax(0,1fr)] gap-x-3 border-t border-hair py-2">
      <span aria-hidden className="pt-1.5 text-[14px] font-[620]">
        {label}
      </span>
      <div className="flex min-w-0 flex-wrap items-start gap-x-4 gap-y-1.5">{children}</div>
    </div>
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
        label="room"
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

'use client';

import { leafletTimeFor } from '@/core/brewing/leaflet';
import { CHART_AGITATION } from '@/core/estimate/pieces';
import type { Brew } from '@/core/records/records';
import { formatMinutes } from '@/core/units/duration';
import { formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { partsWords } from '@/features/dilution/dilutionWords';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';

/** What the leaflet of a bottle on the shelf says of this film, to be taken as the known time. */
export function LeafletOffer({
  plan: { form, shown, change },
  jugs,
  film,
  units,
}: {
  plan: CurrentPlan;
  jugs: readonly Brew[];
  film: string;
  units: UnitChoice;
}) {
  const developer = shown?.developer;
  if (form.knownTimeOn || developer?.kind !== 'concentrate') return null;
  const found = leafletTimeFor(jugs, film, developer.familyId, developer.parts, form.developerKind === 'jug');
  if (found === null) return null;
  const { time, bottle } = found;
  return (
    <p className="w-full text-[14px]" data-testid="leaflet-offer">
      The leaflet of {bottle} says {formatMinutes(time.timeMin)} at{' '}
      {formatQuantity(time.temperatureC, 'temperature', units)} for {partsWords(time.parts)}.{' '}
      <button
        type="button"
        className="act-plain"
        onClick={() =>
          change({
            knownTimeOn: true,
            knownTimeMin: time.timeMin,
            knownTimeC: time.temperatureC,
            knownTimeSource: 'leaflet',
            knownTimeAgitation: CHART_AGITATION,
            knownConcentrate: time.parts.concentrate,
            knownWater: time.parts.water,
          })
        }
      >
        Count with it
      </button>
    </p>
  );
}

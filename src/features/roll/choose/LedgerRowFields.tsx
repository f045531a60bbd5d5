'use client';

import type { LedgerRowId } from '@/core/estimate/parameters';
import { strategyIds } from '@/core/estimate/strategyIds';
import type { UnitChoice } from '@/core/units/quantity';
import { Segments } from '@/ui/Segments';
import {
  AgitationField,
  BrewFields,
  BromideField,
  ConcentrateFields,
  KnownTimeFields,
  TargetFields,
  TemperatureFields,
} from './PlanChoices';
import { strategyWords } from './strategyWords';
import type { PlanInHand } from '@/features/roll/plan/usePlanForm';

const PREFIX = 'row-';
const strategyOptions = strategyIds.map((value) => ({ value, name: strategyWords[value].name }));

/** The fields that change a row of the ledger, in the row itself. */
export function LedgerRowFields({ rowId, plan, units }: { rowId: LedgerRowId; plan: PlanInHand; units: UnitChoice }) {
  const { form, chooseStrategy } = plan;
  const part = { plan, units, idPrefix: PREFIX };
  const grid = (fields: React.ReactNode) => (
    <div className="mt-3 grid max-w-[520px] gap-x-5 gap-y-3 sm:grid-cols-2">{fields}</div>
  );
  switch (rowId) {
    case 'base':
      return form.knownTimeOn ? <KnownTimeFields {...part} /> : null;
    case 'dilution':
      return form.developerKind === 'concentrate' ? (
        <div className="mt-3 max-w-[520px]">
          <ConcentrateFields {...part} />
        </div>
      ) : null;
    case 'strength':
      return form.developerKind === 'improvised' ? (
        <div className="mt-3 max-w-[520px]">
          <BrewFields {...part} />
        </div>
      ) : null;
    case 'wear':
      return null;
    case 'temperature':
      return grid(<TemperatureFields {...part} />);
    case 'agitation':
      return grid(<AgitationField {...part} />);
    case 'age':
      return null;
    case 'bromide':
      return form.developerKind === 'jug' || form.developerKind === 'one-bath'
        ? null
        : grid(<BromideField {...part} />);
    case 'strategy':
      return form.developerKind === 'one-bath' ? null : (
        <div className="mt-3 max-w-[520px]">
          <Segments
            id={`${PREFIX}strategyId`}
            label="Strategy"
            value={form.strategyId}
            options={strategyOptions}
            onChange={chooseStrategy}
          />
        </div>
      );
    case 'target':
      return form.developerKind === 'one-bath' ? null : grid(<TargetFields {...part} />);
  }
}

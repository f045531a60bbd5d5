'use client';

import { format } from 'date-fns';
import { mixSheet } from '@/core/plan/mixSheet';
import { planFacts } from '@/core/plan/planFacts';
import { cautionsFor } from '@/core/safety/cautions';
import { formatNumber, formatQuantity, type UnitChoice } from '@/core/units/quantity';
import { mixBrewOf } from '@/data/brews';
import type { RollDossier } from '@/data/queries';
import { CautionList } from '@/ui/CautionList';
import type { PlanInHand } from './usePlanForm';

/** What goes into the jug, in order. */
export function MixStage({ dossier: { roll, stock, plan, brew }, inHand, units }: { dossier: RollDossier; inHand: PlanInHand; units: UnitChoice }) {
  if (plan === undefined || plan.pinned === null) return <p className="pt-2 text-ink2">Pin a time first; the amounts follow from it.</p>;
  const lines = mixSheet(plan.developer, plan.bromideGPerL, plan.volumeMl);
  const cautions = cautionsFor(planFacts({ familyId: stock.familyId, formatId: roll.formatId, condition: roll.condition }, plan), 'mix');
  return (
    <div className="grid gap-x-12 gap-y-6 pt-3 lg:grid-cols-[minmax(0,600px)_minmax(0,1fr)]">
      <div>
        <ol aria-label="What goes in, in order">
          {lines.map((line) => (
            <li key={line.id} className="rule-row flex items-baseline justify-between gap-6">
              <span>
                {line.name}
                {line.hint !== '' && <span className="block text-[13px] text-ink2">{line.hint}</span>}
              </span>
              <span className="num text-[20px] whitespace-nowrap">{line.unit === 'g' ? `${formatNumber(line.amount, 1)} g` : formatQuantity(line.amount, 'volume', units, line.amount < 100 ? 1 : undefined)}</span>
            </li>
          ))}
        </ol>
        {brew === undefined ? (
          <button type="button" className="act act-primary mt-4" data-next-step onClick={() => void mixBrewOf(plan).then((brewId) => inHand.change({ developerKind: 'jug', brewId }))}>
            It is mixed
          </button>
        ) : (
          <p className="mt-4">
            Mixed {format(brew.mixedMs, 'd MMM yyyy, HH:mm')}. It stands among the jugs on the bench.
          </p>
        )}
      </div>
      <CautionList cautions={cautions} />
    </div>
  );
}

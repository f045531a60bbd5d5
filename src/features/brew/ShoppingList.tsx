'use client';

import { amountDigits } from '@/core/brewing/part';
import { shoppingList } from '@/core/plan/shoppingList';
import type { Brew } from '@/core/records/records';
import { formatQuantity } from '@/core/units/quantity';
import { useSettings, useSettledBench } from '@/data/queries';
import { amountWords } from '@/features/words/brewWords';

/** What to mix and have in the house before the rolls that wait are developed. */
export function ShoppingList({ brews, nowMs }: { brews: readonly Brew[]; nowMs: number }) {
  const bench = useSettledBench();
  const units = useSettings();
  if (bench === undefined) return null;
  const waiting = bench.dossiers.flatMap(({ roll, plan, run, standing }) =>
    plan === undefined || run !== undefined || standing.forbidden
      ? []
      : [{ rollId: roll.id, label: roll.label, formatId: roll.formatId, plan }],
  );
  const { mix, have } = shoppingList(waiting, brews, units.kit, nowMs);
  if (mix.length === 0) return null;
  return (
    <section aria-labelledby="before-next" className="mt-6">
      <h2 id="before-next">Before the next evening</h2>
      <ul className="mt-1">
        {mix.map(({ name, volumeMl, labels, why }) => (
          <li key={name + labels.join()} className="rule-row">
            <b>{name}</b>
            {volumeMl !== null && `, ${formatQuantity(volumeMl, 'volume', units)}`}
            <span className="block text-[13px] text-ink2 wrap-anywhere">
              {labels.join(', ')}: {why}
            </span>
          </li>
        ))}
      </ul>
      {have.length > 0 && (
        <p className="rule-row">
          To have in the house:{' '}
          {have
            .map(({ name, amount, unit }) => `${name} ${amountWords(amount, unit, amountDigits(amount, unit), units)}`)
            .join(', ')}
          .
        </p>
      )}
    </section>
  );
}

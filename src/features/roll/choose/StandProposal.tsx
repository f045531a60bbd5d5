'use client';

import { thinnedFrom } from '@/core/plan/withStrategy';
import { partsWords } from '@/features/dilution/dilutionWords';
import type { CurrentPlan } from '@/features/roll/plan/usePlanForm';

/** What a stand put in the place of the developer as it was, and the way back. */
export function StandProposal({ form, change }: Pick<CurrentPlan, 'form' | 'change'>) {
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

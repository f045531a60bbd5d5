import { shortName, substanceOf } from '@/core/chemistry/substances';
import type { PlanForm } from '@/core/plan/planForm';
import { formatNumber } from '@/core/units/quantity';

/** What else a kitchen brew holds, in a few words: black tea leaf 20 g/l, borax 5 g/l. */
export function besidesWords({ agents, others }: PlanForm['besides']): string {
  return [...agents.map(({ agentId, amountPerL }) => ({ substanceId: agentId, amountPerL })), ...others]
    .map(
      ({ substanceId, amountPerL }) =>
        `${shortName(substanceId)} ${formatNumber(amountPerL, 1)} ${substanceOf(substanceId).unit}/l`,
    )
    .join(', ');
}

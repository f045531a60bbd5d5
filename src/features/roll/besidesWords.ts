import { organicAgents } from '@/core/chemistry/organicAgents';
import { shortName, substanceOf } from '@/core/chemistry/substances';
import type { PlanForm } from '@/core/plan/planForm';
import { formatNumber } from '@/core/units/quantity';

/** What else a kitchen brew holds, in a few words: black tea leaf 20 g/l, borax 5 g/l. */
export function besidesWords({ agents, others }: PlanForm['besides']): string {
  const amount = (perL: number, unit: string): string => `${formatNumber(perL, 1)} ${unit}/l`;
  return [
    ...agents.map(({ agentId, amountPerL }) => `${organicAgents[agentId].name.toLowerCase()} ${amount(amountPerL, organicAgents[agentId].unit)}`),
    ...others.map(({ substanceId, amountPerL }) => `${shortName(substanceId)} ${amount(amountPerL, substanceOf(substanceId).unit)}`),
  ].join(', ');
}

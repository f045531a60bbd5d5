import { organicAgents, type OrganicAgentId } from './organicAgents';

/** An organic agent and how much of it is in a litre, in its own unit (g or ml). */
export interface AgentAmount {
  agentId: OrganicAgentId;
  amountPerL: number;
}

/**
 * Strength of organic agents as instant coffee.
 * @param agents what is in a litre, g/l or ml/l
 * @returns Σ amount × potency, g/l of instant coffee. Source: our estimate of the potencies.
 * @example coffeeEquivalent([{ agentId: 'black-tea', amountPerL: 60 }]) // 36
 */
export function coffeeEquivalent(agents: readonly AgentAmount[]): number {
  return agents.reduce((sum, { agentId, amountPerL }) => sum + amountPerL * organicAgents[agentId].potency, 0);
}

/**
 * Spread of ln(coffee equivalent) from the spread of the potencies, to first order and taken as independent.
 * @param agents what is in a litre
 * @returns sd of the natural log; 0 for an empty list
 */
export function coffeeEquivalentLnSd(agents: readonly AgentAmount[]): number {
  const total = coffeeEquivalent(agents);
  if (total === 0) return 0;
  const variance = agents.reduce((sum, { agentId, amountPerL }) => {
    const { potency, potencyLnSd } = organicAgents[agentId];
    return sum + (((amountPerL * potency) / total) * potencyLnSd) ** 2;
  }, 0);
  return Math.sqrt(variance);
}

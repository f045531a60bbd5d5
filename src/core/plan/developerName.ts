import { developerFamilies } from '../chemistry/developerFamilies';
import { organicAgents } from '../chemistry/organicAgents';
import type { SituationInput } from '../estimate/situationSchema';

/**
 * A name for a brew or concentrate.
 * @example developerName({ kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 50 } })
 * // 'p-Aminophenol concentrate 1+50'
 */
export function developerName(developer: SituationInput['developer']): string {
  if (developer.kind === 'other') return developer.name;
  if (developer.kind === 'one-bath') return 'One-bath developer-fixer';
  if (developer.kind === 'concentrate') {
    const { concentrate, water } = developer.parts;
    const name = developerFamilies[developer.familyId].name;
    return water === 0 ? `${name}, undiluted` : `${name} ${concentrate}+${water}`;
  }
  const agents = developer.agents.filter((agent) => agent.amountPerL > 0);
  return agents
    .map(
      ({ agentId, amountPerL }) =>
        `${organicAgents[agentId].name}, ${Number(amountPerL.toFixed(1))} ${organicAgents[agentId].unit}/l`,
    )
    .join(' + ');
}

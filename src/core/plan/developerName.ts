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
    return water < NO_WATER ? `${name}, undiluted` : `${name} ${figures(concentrate, 2)}+${figures(water, 2)}`;
  }
  const agents = developer.agents.filter((agent) => agent.amountPerL > 0);
  return agents
    .map(
      ({ agentId, amountPerL }) =>
        `${organicAgents[agentId].name}, ${figures(amountPerL, 1)} ${organicAgents[agentId].unit}/l`,
    )
    .join(' + ');
}

/** Parts of water that are binary dust. */
const NO_WATER = 0.005;

function figures(value: number, digits: number): number {
  return Number(value.toFixed(digits));
}

/**
 * A developer with all its amounts, where two of one name are told apart.
 * @example amountsName(coffee) // 'Instant coffee, 40 g/l, ascorbic acid 16, soda 54 g/l'
 */
export function amountsName(developer: SituationInput['developer']): string {
  const name = developerName(developer);
  return developer.kind === 'improvised'
    ? `${name}, ascorbic acid ${figures(developer.ascorbicGPerL, 1)}, soda ${figures(developer.sodaGPerL, 1)} g/l`
    : name;
}

import { concentrateFraction } from '../chemistry/dilution';
import { organicAgents } from '../chemistry/organicAgents';
import { developerFamilies } from '../chemistry/developerFamilies';
import type { Brew } from '../formats/records';

/** Share of the water to start with, so that everything dissolves and there is room to top up. Source: common practice (¾–⅘), no source. */
export const FIRST_WATER_SHARE = 0.75;

/** One thing that goes into the jug, in order. */
export interface MixLine {
  id: string;
  name: string;
  amount: number;
  unit: 'g' | 'ml';
  /** What to watch while it goes in; empty when there is nothing. */
  hint: string;
}

/**
 * What goes into the jug, in order, for a volume.
 * @param developer the brew or concentrate
 * @param bromideGPerL potassium bromide, g/l
 * @param volumeMl working solution, ml; above 0
 * @returns lines whose volumes of water and concentrate add up to the total
 */
export function mixSheet(developer: Brew['developer'], bromideGPerL: number, volumeMl: number): MixLine[] {
  const perJug = (perL: number): number => (perL * volumeMl) / 1000;
  const bromide: MixLine[] =
    bromideGPerL > 0 ? [{ id: 'bromide', name: 'Potassium bromide', amount: perJug(bromideGPerL), unit: 'g', hint: 'Restrainer: it keeps fog down.' }] : [];
  if (developer.kind === 'concentrate') {
    const concentrateMl = concentrateFraction(developer.parts) * volumeMl;
    return [
      { id: 'water', name: 'Water at working temperature', amount: volumeMl - concentrateMl, unit: 'ml', hint: '' },
      { id: 'concentrate', name: developerFamilies[developer.familyId].name, amount: concentrateMl, unit: 'ml', hint: 'Rinse the measure with the working solution.' },
      ...bromide,
    ];
  }
  if (developer.kind === 'one-bath') {
    return [
      { id: 'water', name: 'Water, warm as the kit asks', amount: volumeMl * FIRST_WATER_SHARE, unit: 'ml', hint: 'Dissolve the first part whole before the second goes in.' },
      { id: 'top-up', name: 'Water to make', amount: volumeMl, unit: 'ml', hint: 'Both parts of the kit for its own volume: take the share that this tank needs, or mix it all and keep the rest.' },
    ];
  }
  const liquids = developer.agents.filter((agent) => organicAgents[agent.agentId].unit === 'ml');
  const liquidMl = liquids.reduce((sum, agent) => sum + perJug(agent.amountPerL), 0);
  const waterMl = Math.max(0, volumeMl - liquidMl);
  return [
    ...(waterMl > 0 ? [{ id: 'water', name: 'Water to start with', amount: waterMl * FIRST_WATER_SHARE, unit: 'ml' as const, hint: 'A little warmer than you develop.' }] : []),
    ...(liquidMl > 0
      ? liquids.map((agent) => ({ id: agent.agentId, name: organicAgents[agent.agentId].name, amount: perJug(agent.amountPerL), unit: 'ml' as const, hint: 'It foams when soda goes in: use a tall jug.' }))
      : []),
    { id: 'soda', name: 'Washing soda, anhydrous', amount: perJug(developer.sodaGPerL), unit: 'g', hint: 'Stir at once: it cakes. Not baking soda.' },
    ...(developer.ascorbicGPerL > 0
      ? [{ id: 'ascorbic', name: 'Ascorbic acid', amount: perJug(developer.ascorbicGPerL), unit: 'g' as const, hint: 'It fizzes: add it slowly.' }]
      : []),
    ...developer.agents
      .filter((agent) => organicAgents[agent.agentId].unit === 'g' && agent.amountPerL > 0)
      .map((agent) => ({ id: agent.agentId, name: organicAgents[agent.agentId].name, amount: perJug(agent.amountPerL), unit: 'g' as const, hint: 'Let it stand 5 to 10 minutes, then strain.' })),
    ...bromide,
    ...(waterMl > 0 ? [{ id: 'top-up', name: 'Water to make', amount: volumeMl, unit: 'ml' as const, hint: 'Cold or warm, to reach the temperature.' }] : []),
  ];
}

/**
 * A name for a brew or concentrate.
 * @example developerName({ kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 50 } })
 * // 'p-Aminophenol concentrate 1+50'
 */
export function developerName(developer: Brew['developer']): string {
  if (developer.kind === 'one-bath') return 'One-bath developer-fixer';
  if (developer.kind === 'concentrate') {
    const { concentrate, water } = developer.parts;
    const name = developerFamilies[developer.familyId].name;
    return water === 0 ? `${name}, undiluted` : `${name} ${concentrate}+${water}`;
  }
  const agents = developer.agents.filter((agent) => agent.amountPerL > 0);
  return agents.map(({ agentId, amountPerL }) => `${organicAgents[agentId].name}, ${Number(amountPerL.toFixed(1))} ${organicAgents[agentId].unit}/l`).join(' + ');
}

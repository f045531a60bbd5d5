import { coffeeEquivalent, type AgentAmount } from '../coffeeEquivalent';
import { REFERENCE_COFFEE_BREW } from '../improvisedStrength';
import { ASCORBIC_ACID_G_PER_MOL, COFFEE_ACID_MOL_PER_G, SODIUM_CARBONATE_G_PER_MOL } from '../sodaForAcid';
import { solvePh } from './solvePh';

/** pH below which a brew hardly develops. Source: common practice, no source. */
export const LEAST_DEVELOPING_PH = 9;

/** What decides the pH of an improvised brew, per litre. */
export interface AlkalineBrew {
  agents: readonly AgentAmount[];
  ascorbicGPerL: number;
  /** Anhydrous sodium carbonate. */
  sodaGPerL: number;
}

/**
 * pH of an improvised brew at 25 °C.
 * @param brew soda, ascorbic acid and organic agents, g/l or ml/l
 * @returns pH; titratable acid of the agents is counted as instant coffee's, 1.1 mmol/g. Source: solvePh; the acid is our estimate.
 * @example brewPh({ agents: [{ agentId: 'instant-coffee', amountPerL: 40 }], ascorbicGPerL: 16, sodaGPerL: 54 }) // about 10.4
 */
export function brewPh({ agents, ascorbicGPerL, sodaGPerL }: AlkalineBrew): number {
  const carbonate = sodaGPerL / SODIUM_CARBONATE_G_PER_MOL;
  return solvePh({
    acids: {
      carbonic: carbonate,
      ascorbic: ascorbicGPerL / ASCORBIC_ACID_G_PER_MOL,
      plant: coffeeEquivalent(agents) * COFFEE_ACID_MOL_PER_G,
    },
    strongCharge: 2 * carbonate,
    strongIons: 2 * carbonate,
  }).ph;
}

/** pH of the 54/16/40 coffee brew by this same solver: what the rate is relative to. */
export const REFERENCE_BREW_PH = brewPh({
  agents: [{ agentId: 'instant-coffee', amountPerL: REFERENCE_COFFEE_BREW.coffeeGPerL }],
  ascorbicGPerL: REFERENCE_COFFEE_BREW.ascorbicGPerL,
  sodaGPerL: REFERENCE_COFFEE_BREW.sodaGPerL,
});

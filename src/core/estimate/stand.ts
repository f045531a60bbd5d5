import { coffeeEquivalent } from '../chemistry/coffeeEquivalent';
import { concentrateFraction } from '../chemistry/dilution';
import { developerFamilies } from '../chemistry/developerFamilies';
import { REFERENCE_COFFEE_BREW } from '../chemistry/improvisedStrength';
import type { EstimateRequest } from './request';

/** Times between which a stand development is left, min. Source: common practice, no source. */
export const STAND_SHORTEST_MIN = 45;
export const STAND_LONGEST_MIN = 75;

/** How much weaker than usual the developer is for a stand. Source: common practice, no source. */
export const STAND_DILUTION = 3;

/**
 * Share of the density range that highlights use in a stand: dense parts exhaust the developer around them.
 * Source: our estimate.
 */
export const STAND_HIGHLIGHT_SHARE = 0.6;

/**
 * Time of a stand: that of the target, held between 45 and 75 min.
 * @param freshMin time that fresh film would take to the target under stand agitation, min; above 0
 * @returns min. Source: common practice for the limits.
 */
export function standTime(freshMin: number): number {
  return Math.min(STAND_LONGEST_MIN, Math.max(STAND_SHORTEST_MIN, freshMin));
}

/**
 * A developer thinned for a stand: at least three times as dilute as is usual for it.
 * @param developer the developer as planned
 * @returns the same developer where it is thin enough, else a thinner one; a one-bath stays as it is
 * @example standDeveloper({ kind: 'concentrate', familyId: 'p-aminophenol', parts: { concentrate: 1, water: 25 } }) // 1+77
 */
export function standDeveloper(developer: EstimateRequest['developer']): EstimateRequest['developer'] {
  switch (developer.kind) {
    case 'one-bath':
    case 'other':
      return developer;
    case 'concentrate': {
      const usual = concentrateFraction(developerFamilies[developer.familyId].referenceParts);
      if (isThin(concentrateFraction(developer.parts), usual)) return developer;
      const { concentrate } = developer.parts;
      return {
        ...developer,
        parts: { concentrate, water: Math.ceil(concentrate * (STAND_DILUTION / usual - 1) - 1e-9) },
      };
    }
    case 'improvised':
      if (isThin(coffeeEquivalent(developer.agents), REFERENCE_COFFEE_BREW.coffeeGPerL)) return developer;
      return {
        ...developer,
        agents: developer.agents.map((agent) => ({ ...agent, amountPerL: thinned(agent.amountPerL) })),
        ascorbicGPerL: thinned(developer.ascorbicGPerL),
        sodaGPerL: thinned(developer.sodaGPerL),
        others: developer.others.map((other) => ({ ...other, amountPerL: thinned(other.amountPerL) })),
      };
  }
}

/** A third, to the tenth of a gram below. */
function thinned(amountPerL: number): number {
  return Math.floor((amountPerL / STAND_DILUTION) * 10) / 10;
}

function isThin(strength: number, usual: number): boolean {
  return strength <= (usual / STAND_DILUTION) * (1 + 1e-9);
}

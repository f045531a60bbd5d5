import { coffeeEquivalent, type AgentAmount } from '../coffeeEquivalent';
import { REFERENCE_COFFEE_BREW } from '../improvisedStrength';
import { COFFEE_ACID_MOL_PER_G } from '../sodaForAcid';
import { molesIn, substanceOf, type SubstanceId } from '../substances';
import { solvePh, type Solution } from './solvePh';

/** pH below which a brew barely develops. Source: common practice, no source. */
export const LEAST_DEVELOPING_PH = 9;

/** A substance and how much of it is in a litre, in its own unit. */
export interface SubstanceAmount {
  substanceId: SubstanceId;
  amountPerL: number;
}

/** What decides the pH of an improvised brew, per litre. */
export interface AlkalineBrew {
  agents: readonly AgentAmount[];
  ascorbicGPerL: number;
  /** Anhydrous sodium carbonate. */
  sodaGPerL: number;
  /** Whatever else is dissolved. */
  others?: readonly SubstanceAmount[];
}

/**
 * A list of substances as the solution that they make.
 * @param contents substances with their amounts per litre
 * @param agents organic agents, whose acid is counted as instant coffee's, 1.1 mmol/g
 * @returns totals for solvePh. Source: formulas of the substances; the acid of agents is our estimate.
 */
export function solutionOf(contents: readonly SubstanceAmount[], agents: readonly AgentAmount[]): Solution {
  const solution: Solution = {
    acids: { plant: coffeeEquivalent(agents) * COFFEE_ACID_MOL_PER_G },
    strongCharge: 0,
    strongIons: 0,
  };
  for (const { substanceId, amountPerL } of contents) {
    const { dissolved } = substanceOf(substanceId);
    if (dissolved === null) continue;
    const moles = molesIn(substanceId, amountPerL);
    solution.strongCharge += dissolved.strongCharge * moles;
    solution.strongIons += dissolved.strongIons * moles;
    for (const [id, perMole] of Object.entries(dissolved.acids) as [keyof Solution['acids'], number][]) {
      solution.acids[id] = (solution.acids[id] ?? 0) + perMole * moles;
    }
  }
  return solution;
}

/** An improvised brew as a solution: see solutionOf. */
export function brewSolution({ agents, ascorbicGPerL, sodaGPerL, others = [] }: AlkalineBrew): Solution {
  const main = [
    { substanceId: 'ascorbic-acid', amountPerL: ascorbicGPerL },
    { substanceId: 'soda-anhydrous', amountPerL: sodaGPerL },
  ] as const;
  return solutionOf([...main, ...others], agents);
}

/**
 * pH of an improvised brew at 25 °C.
 * @param brew soda, ascorbic acid, organic agents and what else is in it, g/l or ml/l
 * @returns pH. Source: solvePh; the acid of the agents is our estimate.
 * @example brewPh({ agents: [{ agentId: 'instant-coffee', amountPerL: 40 }], ascorbicGPerL: 16, sodaGPerL: 54 }) // about 10.4
 */
export function brewPh(brew: AlkalineBrew): number {
  return solvePh(brewSolution(brew)).ph;
}

/** pH of the 54/16/40 coffee brew by this same solver: what the rate is relative to. */
export const REFERENCE_BREW_PH = brewPh({
  agents: [{ agentId: 'instant-coffee', amountPerL: REFERENCE_COFFEE_BREW.coffeeGPerL }],
  ascorbicGPerL: REFERENCE_COFFEE_BREW.ascorbicGPerL,
  sodaGPerL: REFERENCE_COFFEE_BREW.sodaGPerL,
});

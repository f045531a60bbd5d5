import { acidSystems, type AcidSystem } from '../chemistry/ph/acidSystems';
import { davies } from '../chemistry/ph/davies';
import { ionisedFractions } from '../chemistry/ph/solvePh';
import type { Composition } from './composition';

/** How much of an agent stands ready to develop: its ionised share. */
export interface IonisedShare {
  id: 'phenols' | 'ascorbate' | 'ascorbate-twice';
  name: string;
  /** 0 to 1. */
  share: number;
}

/**
 * The first phenol of coffee's, tea's and wine's catechols. It is not in the charge balance, since nobody knows how much of
 * it there is. Source: catechol's first pKa, CRC Handbook, from memory; that plant phenols follow it is our estimate.
 */
const plantPhenol: AcidSystem = { name: 'Plant phenols', chargeProtonated: 0, pKas: [9.34] };

/**
 * Ionised shares of the agents in a jug: only the ionised part develops.
 * @param composition what is in a litre
 * @param solution its pH and ionic strength, mol/l
 * @returns shares of what is in it. Source: mass action with Davies activities.
 */
export function ionisedShares(
  { agents, ascorbicGPerL }: Composition,
  { ph, ionicStrength }: { ph: number; ionicStrength: number },
): IonisedShare[] {
  const activity = davies(ionicStrength);
  const shares: IonisedShare[] = [];
  if (agents.some(({ amountPerL }) => amountPerL > 0)) {
    shares.push({
      id: 'phenols',
      name: 'Plant phenols, ionised',
      share: ionisedFractions(plantPhenol, ph, activity)[1] ?? 0,
    });
  }
  if (ascorbicGPerL > 0) {
    const [, once = 0, twice = 0] = ionisedFractions(acidSystems.ascorbic, ph, activity);
    shares.push(
      { id: 'ascorbate', name: 'Ascorbate, ionised once or twice', share: once + twice },
      { id: 'ascorbate-twice', name: 'Ascorbate, fully ionised (the fast form)', share: twice },
    );
  }
  return shares;
}

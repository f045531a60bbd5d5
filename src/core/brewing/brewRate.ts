import { coffeeEquivalent } from '../chemistry/coffeeEquivalent';
import { developerFamilies } from '../chemistry/developerFamilies';
import { dilutionRate } from '../chemistry/dilution';
import { ALKALINITY_EXPONENT, improvisedRate } from '../chemistry/improvisedStrength';
import { REFERENCE_BREW_PH } from '../chemistry/ph/brewPh';
import { restrainer } from '../chemistry/restrainer';
import { compositionOf, phOf, type Composition } from './composition';
import { amountOf, type BrewPart } from './part';

/**
 * Rate of a jug: a kitchen brew against the 54/16/40 coffee brew, a bought developer against its usual dilution.
 * @param composition what is in a litre
 * @param ph its pH; null where it is not known
 * @returns relative rate; null for what develops nothing. Source: the relations that it calls; see the estimate.
 */
export function brewRate(composition: Composition, ph: number | null): number | null {
  const { concentrate, oneBath, agents, ascorbicGPerL, bromideGPerL } = composition;
  if (oneBath) return 1;
  if (concentrate !== null && concentrate.fraction > 0) {
    const { referenceParts, dilutionExponent } = developerFamilies[concentrate.familyId];
    return dilutionRate(
      { concentrate: concentrate.fraction, water: Math.max(0, 1 - concentrate.fraction) },
      referenceParts,
      dilutionExponent,
    );
  }
  const equivalent = coffeeEquivalent(agents);
  if (equivalent + ascorbicGPerL === 0 || ph === null) return null;
  return (
    improvisedRate({ coffeeEquivalentGPerL: equivalent, ascorbicGPerL }) *
    Math.exp(ALKALINITY_EXPONENT.mean * (ph - REFERENCE_BREW_PH)) *
    restrainer(bromideGPerL).rateFactor
  );
}

/** Amounts, g or ml, and rates that count as none: far below what anybody weighs. */
const NOTHING = 1e-9;

/** Widest spread that is told apart: a factor of seven either way. Source: our choice. */
export const WIDEST_LN_SD = 2;

/** What mixing scatters beyond the weighing: the water's mark, what stays in the bag, what does not dissolve. Source: our estimate. */
export const MIXING_LEFT_LN_SD = { improvised: 0.04, bought: 0.02 } as const;

/**
 * Spread of ln(rate) that the measuring of the parts leaves in a jug.
 * @param parts what went in, each with its spread
 * @param volumeMl volume of the jug, ml; above 0
 * @returns sd of ln(rate), to first order and taken as independent; null for what develops nothing
 * Source: propagation of uncertainty (GUM, JCGM 100:2008, 5.1.2), derivatives by central differences over one sd.
 */
export function mixingLnSd(parts: readonly BrewPart[], volumeMl: number): number | null {
  const whole = compositionOf(parts, volumeMl);
  const rate = jugRate(parts, volumeMl);
  if (rate === null || rate < NOTHING) return null;
  const left = whole.concentrate !== null || whole.oneBath ? MIXING_LEFT_LN_SD.bought : MIXING_LEFT_LN_SD.improvised;
  const squares = parts.map((part, index) => {
    if (part.lnSd === 0 || amountOf(part) < NOTHING) return 0;
    const moved = (sign: number): number => {
      const changed = parts.map((other, at) =>
        at === index ? { ...other, actual: amountOf(other) * Math.exp(sign * part.lnSd) } : other,
      );
      return jugRate(changed, volumeMl) ?? rate;
    };
    return (Math.log(moved(1) / moved(-1)) / 2) ** 2;
  });
  return Math.min(WIDEST_LN_SD, Math.sqrt(left ** 2 + squares.reduce((sum, square) => sum + square, 0)));
}

/**
 * Rate of a jug from its parts.
 * @param parts what goes in
 * @param volumeMl volume of the jug, ml; above 0
 * @returns relative rate; null for what develops nothing
 */
export function jugRate(parts: readonly BrewPart[], volumeMl: number): number | null {
  const composition = compositionOf(parts, volumeMl);
  return brewRate(composition, phOf(composition)?.ph ?? null);
}

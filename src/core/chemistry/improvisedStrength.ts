/** The reference coffee brew, g/l: washing soda (anhydrous), ascorbic acid, instant coffee. Source: common practice, no source. */
export const REFERENCE_COFFEE_BREW = { sodaGPerL: 54, ascorbicGPerL: 16, coffeeGPerL: 40 } as const;

/** Coffee equivalents that a gram of ascorbic acid brings by itself. Source: our estimate. */
export const ASCORBIC_AS_COFFEE = 0.05;

/** Ascorbic acid that a brew without any behaves as if it had, g/l: keeps the rate above zero. Source: our estimate. */
export const ASCORBIC_FLOOR_G_PER_L = 0.5;

/** Exponents of the two agents and their prior spreads. Source: our estimate. */
export const AGENT_EXPONENT = { mean: 0.8, sd: 0.2 } as const;
export const ASCORBIC_EXPONENT = { mean: 0.25, sd: 0.1 } as const;

/** Growth of ln(rate) for each pH above the reference brew, and its prior spread. Source: our estimate. */
export const ALKALINITY_EXPONENT = { mean: 0.55, sd: 0.25 } as const;

/** Strength of a brew: coffee equivalents and ascorbic acid. */
export interface ImprovisedStrength {
  /** Instant-coffee equivalents of the organic agents, g/l; 0 or more. */
  coffeeEquivalentGPerL: number;
  /** Ascorbic or erythorbic acid, g/l; 0 or more. */
  ascorbicGPerL: number;
}

/**
 * Rate of an improvised brew relative to the 54/16/40 coffee brew: (P/P_ref)^a · (A/A_ref)^b, where
 * P counts the coffee equivalents and a twentieth of the ascorbic acid, and both A carry a floor of 0.5 g/l.
 * Superadditivity is in the product: either agent alone is weak.
 * @param strength what is in a litre
 * @param agentExponent a
 * @param ascorbicExponent b
 * @returns relative rate, 1 for the reference brew; 0 for a brew without either agent. Source: our estimate.
 * @example improvisedRate({ coffeeEquivalentGPerL: 20, ascorbicGPerL: 16 }) // 0.585
 */
export function improvisedRate(
  strength: ImprovisedStrength,
  agentExponent: number = AGENT_EXPONENT.mean,
  ascorbicExponent: number = ASCORBIC_EXPONENT.mean,
): number {
  const reference: ImprovisedStrength = {
    coffeeEquivalentGPerL: REFERENCE_COFFEE_BREW.coffeeGPerL,
    ascorbicGPerL: REFERENCE_COFFEE_BREW.ascorbicGPerL,
  };
  const phenolic = phenolicAgent(strength) / phenolicAgent(reference);
  const ascorbic =
    (strength.ascorbicGPerL + ASCORBIC_FLOOR_G_PER_L) / (reference.ascorbicGPerL + ASCORBIC_FLOOR_G_PER_L);
  return phenolic ** agentExponent * ascorbic ** ascorbicExponent;
}

function phenolicAgent(strength: ImprovisedStrength): number {
  return strength.coffeeEquivalentGPerL + ASCORBIC_AS_COFFEE * strength.ascorbicGPerL;
}

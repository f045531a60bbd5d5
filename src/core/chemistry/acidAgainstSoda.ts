import { coffeeEquivalent } from './coffeeEquivalent';
import { ALKALINITY_EXPONENT, improvisedRate } from './improvisedStrength';
import { brewPh, REFERENCE_BREW_PH, type AlkalineBrew } from './ph/brewPh';
import { sodaForAcid } from './sodaForAcid';

/** How much more acid is tried, as a share of what is in it, g/l at the least. Source: our choice. */
const MORE = { share: 0.25, leastGPerL: 2 } as const;

/** Rate of a kitchen brew at its pH, against the reference brew. Source: improvisedStrength and brewPh, as the estimate takes them. */
function rateAtPh(brew: AlkalineBrew): number {
  const strength = { coffeeEquivalentGPerL: coffeeEquivalent(brew.agents), ascorbicGPerL: brew.ascorbicGPerL };
  return improvisedRate(strength) * Math.exp(ALKALINITY_EXPONENT.mean * (brewPh(brew) - REFERENCE_BREW_PH));
}

/**
 * Whether more ascorbic acid would slow a brew down: it is an acid, and takes up soda that the agents need. With the soda held, past
 * some amount it costs more than it brings.
 * @param brew what is in a litre
 * @returns anhydrous washing soda to go along with 10 g more of the acid, g; null where more acid makes it faster as usual
 * Source: stoichiometry, and the exponents of the estimate.
 * @example acidSlows({ agents: [{ agentId: 'instant-coffee', amountPerL: 40 }], ascorbicGPerL: 30, sodaGPerL: 40 }) // 6.02
 */
export function acidSlows(brew: AlkalineBrew): number | null {
  const more = Math.max(MORE.leastGPerL, brew.ascorbicGPerL * MORE.share);
  if (brew.ascorbicGPerL <= 0 || rateAtPh({ ...brew, ascorbicGPerL: brew.ascorbicGPerL + more }) >= rateAtPh(brew))
    return null;
  return sodaForAcid(10, 0);
}

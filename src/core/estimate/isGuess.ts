import type { Estimate } from './result';

/** A spread of ln(time) beyond which a number would only pretend to know. Source: our choice: a factor of two either way. */
const GUESS_LN_SD = 0.7;

/**
 * Whether an estimate is hardly more than a guess: then no time of its own is shown, and the user's is asked for.
 * @param estimate the estimate
 */
export function isGuess({ lnSd }: Pick<Estimate, 'lnSd'>): boolean {
  return lnSd > GUESS_LN_SD;
}

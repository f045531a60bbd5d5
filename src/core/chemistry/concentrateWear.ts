import { bottleSigns } from './bottleSigns';
import { developerFamilies, type DeveloperFamilyId } from './developerFamilies';
import { concentrateFraction, type Parts } from './dilution';

/** A bought developer as it is diluted. */
interface Diluted {
  familyId: DeveloperFamilyId;
  parts: Parts;
}

/** Hours in which a thin working solution loses half of its strength in an open jug. Source: our estimate, a factor of 2 either way. */
export const WORKING_HALF_LIFE_H = 12;

/** Time that each film in a litre of stock adds to the next. Source: common practice (10 % a film), no source. */
const LONGER_PER_FILM_AND_LITRE = 0.1;

/** What is left of a working solution that is used up: the arithmetic goes on, and the caution says that nothing is to be had. Source: our choice. */
const SPENT_RATE = 0.02;

/**
 * Whether a working solution is used once and poured away: it is of a class that is, or thinner than the stock that is used again.
 * @param developer class and dilution
 * Source: common practice, no source.
 * @example isOneShot({ familyId: 'p-aminophenol', parts: { concentrate: 1, water: 100 } }) // true
 */
export function isOneShot({ familyId, parts }: Diluted): boolean {
  const { use } = bottleSigns[familyId];
  if (use !== 'either') return use === 'one-shot';
  return concentrateFraction(parts) < concentrateFraction(developerFamilies[familyId].referenceParts) * (1 - 1e-6);
}

/**
 * Strength that a bought developer keeps after films have been through it.
 * @param developer class and dilution
 * @param films films of 80 square inches already developed in it; 0 or more
 * @param volumeMl volume of the solution, ml; above 0
 * @returns relative rate. A concentrate of which a least amount for one film is known loses that much with each; any other takes a tenth
 *   longer for each film in a litre of its usual strength.
 * Source: common practice for the least amounts and the tenth, no source; that the rest works on by the power law of dilution is our estimate.
 * @example concentrateUseRate({ familyId: 'mq-borax', parts: { concentrate: 1, water: 0 } }, 1, 1000) // 0.909
 */
export function concentrateUseRate({ familyId, parts }: Diluted, films: number, volumeMl: number): number {
  if (films <= 0) return 1;
  const { leastConcentrateMl, dilutionExponent, referenceParts } = developerFamilies[familyId];
  const fraction = concentrateFraction(parts);
  if (leastConcentrateMl !== null) {
    const left = 1 - (films * leastConcentrateMl) / (fraction * volumeMl);
    return Math.max(SPENT_RATE, Math.max(0, left) ** dilutionExponent);
  }
  const weaker = concentrateFraction(referenceParts) / fraction;
  return Math.max(SPENT_RATE, 1 / (1 + LONGER_PER_FILM_AND_LITRE * films * (1000 / volumeMl) * weaker));
}

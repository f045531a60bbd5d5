/** Hours in which a brew open at room temperature loses half of its strength. Source: our estimate, a factor of 2 either way. */
export const BREW_HALF_LIFE_H = 4;
export const BREW_HALF_LIFE_LN_SD = Math.LN2;

/** Hours after mixing in which a brew does not fade yet. Source: our estimate. */
export const BREW_GRACE_H = 0.5;

/** Rate left after one film in 500 ml of coffee brew. Source: common practice (13 min, then 15 min), no source. */
export const RATE_AFTER_ONE_FILM = 13 / 15;
export const USE_LN_SD_SHARE = 0.5;

/**
 * Strength that a brew keeps with age.
 * @param ageH hours since mixing; 0 or more
 * @param halfLifeH hours in which it halves; above 0
 * @returns relative rate, 1 within the first half hour. Source: our estimate.
 * @example brewAgeRate(4.5) // 0.5
 */
export function brewAgeRate(ageH: number, halfLifeH: number = BREW_HALF_LIFE_H): number {
  return 2 ** (-Math.max(0, ageH - BREW_GRACE_H) / halfLifeH);
}

/** What is left of a brew that is spent: the arithmetic goes on, and the time says that nothing is to be had. Source: our choice. */
const SPENT_RATE = 1e-3;

/**
 * Strength that a brew keeps after films have been through it.
 * @param films films of 80 square inches already developed in it; 0 or more
 * @param volumeMl volume of the brew, ml; above 0
 * @returns relative rate. Source: common practice for one film in 500 ml; scaled with volume per film.
 * @example brewUseRate(1, 500) // 0.867
 */
export function brewUseRate(films: number, volumeMl: number): number {
  return Math.max(SPENT_RATE, RATE_AFTER_ONE_FILM ** (films * (500 / volumeMl)));
}

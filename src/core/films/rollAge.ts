import type { FilmAge } from './ageSchema';
import type { FilmFormatId } from './filmFormats';
import { dateRoll, FRESH_YEARS } from './rollDating';
import type { StockFamilyId } from './stockFamilies';
import { plainStay } from './storageStay';
import { stayParts } from './storageHistory';
import type { RollStay } from './storageStaySchema';
import type { UserHint } from './userHint';

/** Years and their spread of a roll whose hints contradict each other. Source: our estimate. */
export const CONTRADICTED_YEARS = { median: 30, sd: 15 } as const;

/** What of a roll decides its age. */
export interface RollHistory {
  formatId: FilmFormatId;
  hints: readonly UserHint[];
  storage: readonly RollStay[];
  xrayPasses: number;
  exposure: { state: 'unexposed' | 'known' | 'mixed' | 'unknown'; year: number | null };
}

/**
 * Age of a roll as the estimator wants it: the whole distribution of its year, and its storage.
 * @param roll what is known of the roll
 * @param familyId its stock family
 * @param nowYear this year
 * @returns the distribution carried by the request; for contradicting hints a wide guess in its place
 */
export function rollAge(roll: RollHistory, familyId: StockFamilyId, nowYear: number): FilmAge {
  const stays = roll.storage.map(plainStay);
  const window = dateRoll({ formatId: roll.formatId, familyId, hints: roll.hints }, nowYear);
  const begin = window.ok ? window.meanYear + FRESH_YEARS : nowYear - CONTRADICTED_YEARS.median;
  const exposedYear = roll.exposure.year ?? (roll.exposure.state === 'unexposed' ? nowYear : begin);
  const since = stayParts(stays, exposedYear, nowYear)
    .map(({ years }, index) => ({ ...stays[index], years }))
    .filter(({ years }) => years > 0)
    .map(({ years, temperatureC = 21, temperatureSdC = 2, humid = false }) => ({
      years,
      temperatureC,
      temperatureSdC,
      humid,
    }));
  const common = { storage: [], yearsSd: 0, sinceExposure: since, xrayPasses: roll.xrayPasses };
  if (window.ok) return { ...common, dated: { made: [...window.years], stays, nowYear } };
  const last = stays.at(-1);
  return {
    ...common,
    storage: [
      { years: CONTRADICTED_YEARS.median, temperatureC: last?.temperatureC ?? 19, temperatureSdC: 6, humid: false },
    ],
    yearsSd: CONTRADICTED_YEARS.sd,
  };
}

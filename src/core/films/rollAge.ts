import type { EstimateRequestInput } from '../estimate/request';
import type { Roll } from '../formats/records';
import { storagePresets } from './storagePresets';

/** Years since the box date, and their spread, of a roll that nobody can date. Source: our estimate. */
export const UNDATED_YEARS = { median: 30, sd: 15 } as const;

/** Years before the box date in which film was made, at most. Source: common practice (shelf time of 2–4 years) with a margin. */
export const LONGEST_SHELF_YEARS = 6;

type Age = NonNullable<EstimateRequestInput['age']>;
type RollHistory = Pick<Roll, 'expiredYear' | 'expiredYearSd' | 'storageId' | 'exposure'>;

/**
 * Age of a roll as the estimator wants it: calendar years since the box date at one kind of storage.
 * @param roll what is known of the roll
 * @param thisYear calendar year of the estimate
 * @returns storage, its doubt in years, and the storage since exposure for film exposed long ago
 * @example rollAge({ expiredYear: 1971, expiredYearSd: 2, storageId: 'room', … }, 2026) // 55 years at 21 °C
 */
export function rollAge(roll: RollHistory, thisYear: number): Age {
  const { temperatureC, temperatureSdC, humid } = storagePresets[roll.storageId];
  const kept = (years: number): Age['storage'] => (years <= 0 ? [] : [{ years, temperatureC, temperatureSdC, humid }]);
  const years = roll.expiredYear === null ? UNDATED_YEARS.median : Math.max(0, thisYear - roll.expiredYear);
  const exposedYear = roll.exposure.year ?? (roll.exposure.state === 'unexposed' ? thisYear : thisYear - years);
  return {
    storage: kept(years),
    yearsSd: roll.expiredYear === null ? UNDATED_YEARS.sd : roll.expiredYearSd,
    sinceExposure: kept(thisYear - exposedYear),
  };
}

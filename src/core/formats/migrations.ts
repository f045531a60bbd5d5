import { benchOfBlobs } from './migrations/benchOfBlobs';
import { boxes } from './migrations/boxes';
import { brewWorkshop } from './migrations/brewWorkshop';
import { evidence } from './migrations/evidence';
import { framesAndPhotos } from './migrations/framesAndPhotos';
import { guests } from './migrations/guests';
import { ownWays } from './migrations/ownWays';
import { rollDossiers } from './migrations/rollDossiers';
import { stripReadings } from './migrations/stripReadings';
import { wasteTrialsAndPrints } from './migrations/wasteTrialsAndPrints';
import type { Migration, RawRecords } from './migration';

export type { Migration, RawRecords } from './migration';

/** Every change of the record shape so far, oldest first. Version 1 is the first shape, so there is no step to it. */
export const migrations: readonly Migration[] = [
  rollDossiers,
  framesAndPhotos,
  evidence,
  brewWorkshop,
  benchOfBlobs,
  ownWays,
  stripReadings,
  boxes,
  wasteTrialsAndPrints,
  guests,
];

/**
 * Version of the record shape after a list of steps.
 * @param steps migrations, oldest first
 */
export function latestVersion(steps: readonly Migration[] = migrations): number {
  return 1 + steps.length;
}

/**
 * Brings records of an older shape to the newest.
 * @param records records by table
 * @param fromVersion version of their shape; 1 to the latest
 * @param steps migrations, oldest first
 * @returns records of the latest shape; the input is left as it is
 * @throws RangeError when the version is not among the known ones: callers check first
 */
export function migrate(
  records: RawRecords,
  fromVersion: number,
  steps: readonly Migration[] = migrations,
): RawRecords {
  if (!Number.isInteger(fromVersion) || fromVersion < 1 || fromVersion > latestVersion(steps)) {
    throw new RangeError(`No migration from version ${fromVersion}.`);
  }
  const wanted = steps.filter((step) => step.to > fromVersion);
  return wanted.length === 0
    ? records
    : wanted.reduce((current, step) => step.change(current), structuredClone(records));
}

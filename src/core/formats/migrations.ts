/** Records as read from an older database or file: of an unknown shape until they are checked. */
export type RawRecords = Record<string, unknown[]>;

/** One named step from a record shape to the next. The database and exported files take the same steps. */
export interface Migration {
  /** Version of the shape that the step produces; steps are numbered 2, 3, … without gaps. */
  to: number;
  name: string;
  change: (records: RawRecords) => RawRecords;
}

/** Every change of the record shape so far, oldest first. Version 1 is the first shape, so there is no step to it. */
export const migrations: readonly Migration[] = [];

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
export function migrate(records: RawRecords, fromVersion: number, steps: readonly Migration[] = migrations): RawRecords {
  if (!Number.isInteger(fromVersion) || fromVersion < 1 || fromVersion > latestVersion(steps)) {
    throw new RangeError(`No migration from version ${fromVersion}.`);
  }
  return steps.filter((step) => step.to > fromVersion).reduce((current, step) => step.change(current), structuredClone(records));
}

import type { Migration, RawRecords } from '../migration';

/** Strips that are read get a table. */
export const stripReadings: Migration = {
  to: 8,
  name: 'strip readings',
  tables: ['readings'],
  change: (records: RawRecords) => ({ ...records, readings: [] }),
};

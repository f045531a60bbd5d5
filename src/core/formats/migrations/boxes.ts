import type { Migration, RawRecords } from '../migration';

/** Rolls that came together get a table for their boxes. */
export const boxes: Migration = {
  to: 9,
  name: 'boxes',
  tables: ['boxes'],
  change: (records: RawRecords) => ({ ...records, boxes: [] }),
};

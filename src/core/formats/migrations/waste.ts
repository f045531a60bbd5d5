import type { Migration, RawRecords } from '../migration';

/** What was poured into waste bottles gets a table. */
export const waste: Migration = {
  to: 10,
  name: 'waste',
  tables: ['waste'],
  change: (records: RawRecords) => ({ ...records, waste: [] }),
};

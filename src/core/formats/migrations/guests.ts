import type { Migration, RawRecords } from '../migration';

/** Other people’s logs get their table. */
export const guests: Migration = {
  to: 11,
  name: 'other people’s logs',
  tables: ['guests'],
  change: (records: RawRecords) => ({ ...records, guests: [] }),
};

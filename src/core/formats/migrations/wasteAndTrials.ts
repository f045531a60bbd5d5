import type { Migration, RawRecords } from '../migration';

/** What was poured into waste bottles, and trials, get their tables. */
export const wasteAndTrials: Migration = {
  to: 10,
  name: 'waste and trials',
  tables: ['waste', 'trials'],
  change: (records: RawRecords) => ({ ...records, waste: [], trials: [] }),
};

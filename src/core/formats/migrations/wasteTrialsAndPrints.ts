import type { Migration, RawRecords } from '../migration';

/** What was poured into waste bottles, trials and prints get their tables. */
export const wasteTrialsAndPrints: Migration = {
  to: 10,
  name: 'waste, trials and prints',
  tables: ['waste', 'trials', 'prints'],
  change: (records: RawRecords) => ({ ...records, waste: [], trials: [], prints: [] }),
};

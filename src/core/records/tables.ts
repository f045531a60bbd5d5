import { ordinaryKit } from '../kit/kit';
import type { Records, Settings, TableName } from './records';

/** Every table of records. The database, the exported file and the import share this list. */
export const tableNames = [
  'settings',
  'stocks',
  'boxes',
  'rolls',
  'brews',
  'plans',
  'runs',
  'verdicts',
  'drafts',
  'photos',
  'evidence',
  'recipes',
  'mixes',
  'aside',
  'habits',
  'readings',
  'waste',
  'trials',
  'prints',
  'guests',
] as const satisfies readonly TableName[];

/** Settings of a bench that nobody has changed yet. */
export const defaultSettings: Settings = {
  id: 'bench',
  temperature: 'C',
  volume: 'ml',
  sound: true,
  keys: true,
  kit: ordinaryKit,
};

/** No records at all. */
export function noRecords(): Records {
  return {
    settings: [],
    stocks: [],
    boxes: [],
    rolls: [],
    brews: [],
    plans: [],
    runs: [],
    verdicts: [],
    drafts: [],
    photos: [],
    evidence: [],
    recipes: [],
    mixes: [],
    aside: [],
    habits: [],
    readings: [],
    waste: [],
    trials: [],
    prints: [],
    guests: [],
  };
}

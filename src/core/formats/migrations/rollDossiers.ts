import type { Migration } from '../migration';

/** Presets of version 1 with their numbers, as they were then. */
const places: Record<string, { temperatureC: number; temperatureSdC: number; humid: boolean }> = {
  freezer: { temperatureC: -18, temperatureSdC: 2, humid: false },
  fridge: { temperatureC: 4, temperatureSdC: 1.5, humid: false },
  cellar: { temperatureC: 12, temperatureSdC: 2, humid: false },
  'damp-cellar': { temperatureC: 12, temperatureSdC: 2, humid: true },
  room: { temperatureC: 21, temperatureSdC: 2, humid: false },
  attic: { temperatureC: 30, temperatureSdC: 4, humid: false },
  unknown: { temperatureC: 19, temperatureSdC: 6, humid: false },
};

/** Half width of a flat spread that has a standard deviation of 1, rounded. */
const SLACK_PER_SD = 1.5;

/**
 * A roll's box date becomes a hint among others, its one place becomes the first stay of a history, and its condition is
 * not looked at yet. Sheets of 4 × 5 in get their id in the larger table of formats.
 */
export const rollDossiers: Migration = {
  to: 2,
  name: 'roll dossiers',
  tables: ['rolls'],
  change: (records) => ({ ...records, rolls: (records.rolls ?? []).map(changeRoll) }),
};

function changeRoll(roll: unknown): unknown {
  if (typeof roll !== 'object' || roll === null) return roll;
  const { expiredYear, expiredYearSd, storageId, formatId, ...rest } = roll as Record<string, unknown>;
  const place = typeof storageId === 'string' && storageId in places ? storageId : 'unknown';
  return {
    ...rest,
    formatId: formatId === 'sheet45' ? 'sheet-4x5' : formatId,
    hints:
      typeof expiredYear === 'number'
        ? [{ kind: 'stamp', year: expiredYear, slackYears: Math.round(Number(expiredYearSd ?? 0) * SLACK_PER_SD) }]
        : [],
    storage: [{ placeId: place, ...places[place], untilYear: null }],
    xrayPasses: 0,
    condition: { backing: 'unknown', signs: [] },
  };
}

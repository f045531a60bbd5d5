import type { Migration, RawRecords } from '../migration';

type Raw = Record<string, unknown>;

/** An ordinary kitchen, as it was then. */
const kit = {
  scaleStepG: 1,
  scaleMostG: 5000,
  cylinderStepMl: 5,
  thermometerStepC: 0.5,
  thermometerLowC: 0,
  thermometerHighC: 100,
  spoons: 'metric',
  scale: 'none',
  probe: 'none',
};

/**
 * Brews keep what was weighed, what they are for, their pH and a code; recipes and mixings get tables; developers of the
 * kitchen note what else is dissolved; settings know the kit.
 */
export const brewWorkshop: Migration = {
  to: 5,
  name: 'brew workshop',
  tables: ['settings', 'brews', 'plans', 'runs', 'evidence', 'recipes', 'mixes'],
  change: (records) => ({
    ...records,
    recipes: [],
    mixes: [],
    settings: each(records, 'settings', (settings) => ({ ...settings, kit })),
    brews: each(records, 'brews', (brew) => ({
      ...brew,
      code: String(brew.id).slice(-4).toUpperCase(),
      use: 'film-developer',
      developer: withOthers(brew.developer),
      parts: [],
      temperatureC: null,
      ph: null,
      mixingLnSd: null,
    })),
    plans: each(records, 'plans', (plan) => ({ ...plan, developer: withOthers(plan.developer) })),
    runs: each(records, 'runs', (run) => ({ ...run, setup: changeSetting(run.setup) })),
    evidence: each(records, 'evidence', (piece) => ({
      ...piece,
      setting: changeSetting(piece.setting),
      finding: changeFinding(piece.finding),
    })),
  }),
};

function each(records: RawRecords, table: string, change: (record: Raw) => Raw): unknown[] {
  return (records[table] ?? []).map((record) => (isRaw(record) ? change(record) : record));
}

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null;
}

function withOthers(developer: unknown): unknown {
  return isRaw(developer) && developer.kind === 'improvised' ? { ...developer, others: [] } : developer;
}

function changeSetting(setting: unknown): unknown {
  return isRaw(setting)
    ? { ...setting, developer: withOthers(setting.developer), mixingLnSd: null }
    : (setting ?? null);
}

function changeFinding(finding: unknown): unknown {
  return isRaw(finding) && 'known' in finding ? { ...finding, known: withOthers(finding.known) } : finding;
}

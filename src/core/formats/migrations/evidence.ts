import type { Migration, RawRecords } from '../migration';

type Raw = Record<string, unknown>;

/**
 * Evidence gets a table of its own. Plans note which pieces are switched off and the temperature around the tank, pins note
 * which pieces they knew, and runs keep a copy of what they were set up with, taken from their plan.
 */
export const evidence: Migration = {
  to: 4,
  name: 'evidence',
  tables: ['plans', 'runs', 'evidence'],
  change: (records) => ({
    ...records,
    evidence: [],
    plans: each(records, 'plans', (plan) => ({
      ...plan,
      muted: [],
      ambientC: null,
      pinned: changePinned(plan.pinned),
    })),
    runs: each(records, 'runs', (run) => ({
      ...run,
      pinned: changePinned(run.pinned),
      setup: setupFrom(planOf(records, run.planId), run),
    })),
  }),
};

function each(records: RawRecords, table: string, change: (record: Raw) => Raw): unknown[] {
  return (records[table] ?? []).map((record) => (isRaw(record) ? change(record) : record));
}

function isRaw(value: unknown): value is Raw {
  return typeof value === 'object' && value !== null;
}

function planOf(records: RawRecords, planId: unknown): Raw | null {
  return (records.plans ?? []).filter(isRaw).find((plan) => plan.id === planId) ?? null;
}

function changePinned(pinned: unknown): unknown {
  return isRaw(pinned) ? { ...pinned, evidenceIds: [] } : (pinned ?? null);
}

function setupFrom(plan: Raw | null, run: Raw): Raw | null {
  if (plan === null) return null;
  return {
    developer: plan.developer,
    bromideGPerL: plan.bromideGPerL,
    wear: { ageH: 0, films: 0, volumeMl: plan.volumeMl },
    temperatureC: run.temperatureC,
    ambientC: null,
    agitationId: plan.agitationId,
    brewId: run.brewId ?? null,
    target: plan.target,
  };
}

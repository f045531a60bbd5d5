'use client';

import { useLiveQuery } from 'dexie-react-hooks';
import type { LearningRecords } from '@/core/learning/benchEvidence';
import type {
  Brew,
  EvidenceRecord,
  Mix,
  Photo,
  Plan,
  RecipeRecord,
  Roll,
  Run,
  Settings,
  Stock,
  TableName,
  Verdict,
} from '@/core/records/records';
import { defaultSettings, tableNames } from '@/core/records/tables';
import { rollStanding, type RollStanding } from '@/core/plan/rollStages';
import { database, type Safekeeping } from './database';

/** A roll with everything that hangs on it. */
export interface RollDossier {
  roll: Roll;
  stock: Stock;
  plan: Plan | undefined;
  brew: Brew | undefined;
  /** The last run. */
  run: Run | undefined;
  verdict: Verdict | undefined;
  /** Tests and chart times of this roll. */
  evidence: EvidenceRecord[];
  standing: RollStanding;
  /** The plan's form as last typed; undefined when it was never opened, or when drafts were not asked for. */
  planDraft: unknown;
}

/** Everything on the bench; undefined while it loads. */
export interface Bench {
  dossiers: RollDossier[];
  brews: Brew[];
  stocks: Stock[];
}

async function readBench(withDrafts: boolean): Promise<Bench> {
  const db = database();
  const [rolls, stocks, plans, brews, runs, verdicts, evidence, drafts] = await Promise.all([
    db.rolls.toArray(),
    db.stocks.toArray(),
    db.plans.toArray(),
    db.brews.orderBy('mixedMs').reverse().toArray(),
    db.runs.orderBy('createdMs').toArray(),
    db.verdicts.toArray(),
    db.evidence.toArray(),
    withDrafts ? db.drafts.toArray() : [],
  ]);
  const stockById = new Map(stocks.map((stock) => [stock.id, stock]));
  const brewById = new Map(brews.map((brew) => [brew.id, brew]));
  const planByRoll = new Map(plans.map((plan) => [plan.rollId, plan]));
  const lastRunByRoll = new Map(runs.map((run) => [run.rollId, run]));
  const verdictByRun = new Map(verdicts.map((verdict) => [verdict.runId, verdict]));
  const draftByKey = new Map(drafts.map((draft) => [draft.id, draft.values]));
  const dossiers = rolls.flatMap((roll): RollDossier[] => {
    const stock = stockById.get(roll.stockId);
    if (stock === undefined) return [];
    const plan = planByRoll.get(roll.id);
    const run = lastRunByRoll.get(roll.id);
    const verdict = run === undefined ? undefined : verdictByRun.get(run.id);
    const found = evidence.filter(({ rollId }) => rollId === roll.id);
    return [
      {
        roll,
        stock,
        plan,
        brew: plan?.brewId == null ? undefined : brewById.get(plan.brewId),
        run,
        verdict,
        evidence: found,
        standing: rollStanding(
          roll,
          stock,
          plan,
          run,
          verdict,
          found.some(({ finding }) => finding.kind !== 'chart'),
        ),
        planDraft: draftByKey.get(`plan:${roll.id}`),
      },
    ];
  });
  return { dossiers: dossiers.sort((a, b) => b.roll.updatedMs - a.roll.updatedMs), brews, stocks };
}

/** The whole bench, with plans as last typed; undefined while it loads. */
export function useBench(): Bench | undefined {
  return useLiveQuery(() => readBench(true));
}

/** The bench without what is being typed, so that typing does not read it all again; undefined while it loads. */
export function useSettledBench(): Bench | undefined {
  return useLiveQuery(() => readBench(false));
}

/** One roll with what hangs on it; undefined while it loads, null when there is no such roll. */
export function useDossier(rollId: string): RollDossier | null | undefined {
  return useLiveQuery(
    async () => (await readBench(false)).dossiers.find(({ roll }) => roll.id === rollId) ?? null,
    [rollId],
  );
}

/** One run with its roll; undefined while it loads, null when there is no such run. */
export function useRun(runId: string): { run: Run; roll: Roll } | null | undefined {
  return useLiveQuery(async () => {
    const db = database();
    const run = await db.runs.get(runId);
    const roll = run === undefined ? undefined : await db.rolls.get(run.rollId);
    return run === undefined || roll === undefined ? null : { run, roll };
  }, [runId]);
}

/** What the bench learns from: its films, runs, verdicts and tests; undefined while they load. */
export function useLearningRecords(): LearningRecords | undefined {
  return useLiveQuery(async () => {
    const db = database();
    const [stocks, rolls, runs, verdicts, evidence] = await Promise.all([
      db.stocks.toArray(),
      db.rolls.toArray(),
      db.runs.toArray(),
      db.verdicts.toArray(),
      db.evidence.toArray(),
    ]);
    return { stocks, rolls, runs, verdicts, evidence };
  });
}

/** The user's own recipes, by name; undefined while they load. */
export function useRecipes(): RecipeRecord[] | undefined {
  return useLiveQuery(async () => (await database().recipes.toArray()).sort((a, b) => a.name.localeCompare(b.name)));
}

/** Mixings under way, newest first; undefined while they load. */
export function useOpenMixes(): Mix[] | undefined {
  return useLiveQuery(async () =>
    (await database().mixes.toArray())
      .filter(({ brewId }) => brewId === null)
      .sort((a, b) => b.updatedMs - a.updatedMs),
  );
}

/** One mixing; undefined while it loads, null when there is no such mixing. */
export function useMix(mixId: string): Mix | null | undefined {
  return useLiveQuery(async () => (await database().mixes.get(mixId)) ?? null, [mixId]);
}

/** One brew; undefined while it loads, null when there is no such brew. */
export function useBrew(brewId: string): Brew | null | undefined {
  return useLiveQuery(async () => (await database().brews.get(brewId)) ?? null, [brewId]);
}

/** All brews, newest first; undefined while they load. */
export function useBrews(): Brew[] | undefined {
  return useLiveQuery(() => database().brews.orderBy('mixedMs').reverse().toArray());
}

/** Photographs of a roll, oldest first; undefined while they load. */
export function usePhotos(rollId: string): Photo[] | undefined {
  return useLiveQuery(() => database().photos.where({ rollId }).sortBy('createdMs'), [rollId]);
}

/** A line of the log: a run, what it ran, and how it was judged. */
export interface LogEntry {
  run: Run;
  roll: Roll;
  stock: Stock;
  verdict: Verdict | undefined;
}

/** All runs that have begun, newest first; undefined while they load. */
export function useLog(): LogEntry[] | undefined {
  return useLiveQuery(async () => {
    const db = database();
    const [runs, rolls, stocks, verdicts] = await Promise.all([
      db.runs.orderBy('createdMs').reverse().toArray(),
      db.rolls.toArray(),
      db.stocks.toArray(),
      db.verdicts.toArray(),
    ]);
    return runs.flatMap((run): LogEntry[] => {
      const roll = rolls.find(({ id }) => id === run.rollId);
      const stock = stocks.find(({ id }) => id === roll?.stockId);
      if (roll === undefined || stock === undefined || run.events.length === 0) return [];
      return [{ run, roll, stock, verdict: verdicts.find(({ runId }) => runId === run.id) }];
    });
  });
}

/** The bench's settings as they are kept; undefined while they load. For forms that must not begin from the defaults. */
export function useKeptSettings(): Settings | undefined {
  return useLiveQuery(async () => (await database().settings.get('bench')) ?? defaultSettings);
}

/** The bench's settings; the defaults while they load. */
export function useSettings(): Settings {
  return useLiveQuery(() => database().settings.get('bench')) ?? defaultSettings;
}

/** The last large act that can be undone. */
export function useLastSafekeeping(): Safekeeping | undefined {
  return useLiveQuery(() => database().safekeeping.orderBy('id').last());
}

/** How many records each table holds; undefined while they are counted. */
export function useRecordCounts(): Record<TableName, number> | undefined {
  return useLiveQuery(async () => {
    const db = database();
    const counts = await Promise.all(tableNames.map(async (name) => [name, await db.table(name).count()] as const));
    return Object.fromEntries(counts) as Record<TableName, number>;
  });
}

import { filmFormats } from '@/core/films/filmFormats';
import { storagePresets } from '@/core/films/storagePresets';
import type { EvidenceRecord, Plan, Roll, Run, Stock, Verdict } from '@/core/records/records';
import { rollStanding, type RollStanding } from '@/core/plan/rollStages';
import { runProgress } from '@/core/schedule/runState';
import type { AetasDatabase } from './database';

/*
 * Lists of ten thousand rolls and runs cannot read ten thousand plans, ledgers and event logs. Each roll and run has a line
 * of its own, written in the same transaction as what it follows from. Lines can be made anew from the records at any time.
 */

/** A roll as lists show it. */
export interface RollLine {
  id: string;
  /** 1 once its last run is judged: a number, since the browser cannot search for yes and no. */
  finished: 0 | 1;
  updatedMs: number;
  roll: Pick<Roll, 'id' | 'label' | 'formatId' | 'hints' | 'storage' | 'exposure' | 'condition'>;
  stock: Pick<Stock, 'name' | 'familyId' | 'iso'>;
  standing: RollStanding;
  /** What a search looks through, in small letters. */
  words: string;
}

/** A run as the log shows it. */
export interface RunLine {
  id: string;
  rollId: string;
  startedMs: number;
  updatedMs: number;
  roll: string;
  film: string;
  developer: string;
  temperatureC: number;
  plannedMin: number;
  lowMin: number;
  highMin: number;
  developedS: number | null;
  phase: 'ready' | 'running' | 'finished';
  verdict: Pick<Verdict, 'id' | 'contrast' | 'fog' | 'note' | 'createdMs' | 'updatedMs'> | null;
  /** What the verdict was found in; kept for judged runs, which estimates learn from. */
  setup: Run['setup'];
  /** What a search looks through, in small letters. */
  words: string;
}

/** The line of a roll. */
export function rollLineOf(
  roll: Roll,
  stock: Stock,
  plan: Plan | undefined,
  run: Run | undefined,
  verdict: Verdict | undefined,
  evidence: readonly EvidenceRecord[],
): RollLine {
  const tested = evidence.some(({ finding }) => finding.kind !== 'chart');
  const standing = rollStanding(roll, stock, plan, run, verdict, tested);
  const { id, label, formatId, hints, storage, exposure, condition } = roll;
  const places = storage.map(({ placeId }) => storagePresets[placeId].name);
  return {
    id,
    finished: standing.atHand === null ? 1 : 0,
    updatedMs: roll.updatedMs,
    roll: { id, label, formatId, hints, storage, exposure, condition },
    stock: { name: stock.name, familyId: stock.familyId, iso: stock.iso },
    standing,
    words: [label, roll.note, stock.name, filmFormats[formatId].name, ...places].join(' ').toLowerCase(),
  };
}

/** The line of a run; null for one that has not begun. */
export function runLineOf(run: Run, roll: Roll, stock: Stock, verdict: Verdict | undefined): RunLine | null {
  if (run.events.length === 0) return null;
  const progress = runProgress(run.steps, run.events);
  const developedS = progress.tookS[run.steps.findIndex((step) => step.kind === 'develop')] ?? null;
  const { id, contrast, fog, note, createdMs, updatedMs } = verdict ?? {};
  return {
    id: run.id,
    rollId: roll.id,
    startedMs: progress.startedMs ?? run.createdMs,
    updatedMs: Math.max(run.updatedMs, verdict?.updatedMs ?? 0),
    roll: roll.label,
    film: stock.name,
    developer: run.developerName,
    temperatureC: run.temperatureC,
    plannedMin: run.pinned.timeMin,
    lowMin: run.pinned.lowMin,
    highMin: run.pinned.highMin,
    developedS,
    phase: progress.phase,
    verdict: verdict === undefined ? null : ({ id, contrast, fog, note, createdMs, updatedMs } as RunLine['verdict']),
    setup: verdict === undefined ? null : run.setup,
    words: [roll.label, stock.name, run.developerName, note ?? ''].join(' ').toLowerCase(),
  };
}

type Tables = Pick<
  AetasDatabase,
  'rolls' | 'stocks' | 'plans' | 'runs' | 'verdicts' | 'evidence' | 'rollLines' | 'runLines'
>;

/** Makes the lines of some rolls and runs anew; lines whose record is gone go with it. Called within a transaction. */
export async function refreshLines(db: Tables, rollIds: Iterable<string>, runIds: Iterable<string>): Promise<void> {
  for (const rollId of rollIds) {
    const roll = await db.rolls.get(rollId);
    const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
    if (roll === undefined || stock === undefined) {
      await db.rollLines.delete(rollId);
      continue;
    }
    const plan = await db.plans.where({ rollId }).first();
    const run = (await db.runs.where({ rollId }).sortBy('createdMs')).at(-1);
    const verdict = run === undefined ? undefined : await db.verdicts.where({ runId: run.id }).first();
    const evidence = await db.evidence.where({ rollId }).toArray();
    await db.rollLines.put(rollLineOf(roll, stock, plan, run, verdict, evidence));
  }
  for (const runId of runIds) {
    const run = await db.runs.get(runId);
    const roll = run === undefined ? undefined : await db.rolls.get(run.rollId);
    const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
    const verdict = run === undefined ? undefined : await db.verdicts.where({ runId }).first();
    const line = run && roll && stock ? runLineOf(run, roll, stock, verdict) : null;
    if (line === null) await db.runLines.delete(runId);
    else await db.runLines.put(line);
  }
}

/** Rolls whose lines are made at a time. */
const BATCH = 250;

/** Makes all lines anew. Called within a transaction over all tables. */
export async function rebuildLines(db: Tables): Promise<void> {
  await Promise.all([db.rollLines.clear(), db.runLines.clear()]);
  const stocks = new Map((await db.stocks.toArray()).map((stock) => [stock.id, stock]));
  const ids = (await db.rolls.toCollection().primaryKeys()) as string[];
  for (let from = 0; from < ids.length; from += BATCH) {
    const some = ids.slice(from, from + BATCH);
    const [rolls, plans, runs, verdicts, evidence] = await Promise.all([
      db.rolls.bulkGet(some),
      db.plans.where('rollId').anyOf(some).toArray(),
      db.runs.where('rollId').anyOf(some).toArray(),
      db.verdicts.where('rollId').anyOf(some).toArray(),
      db.evidence.where('rollId').anyOf(some).toArray(),
    ]);
    const planOf = new Map(plans.map((plan) => [plan.rollId, plan]));
    const verdictOf = new Map(verdicts.map((verdict) => [verdict.runId, verdict]));
    const runsOf = byRoll(runs.sort((a, b) => a.createdMs - b.createdMs));
    const evidenceOf = byRoll(evidence);
    const rollLines: RollLine[] = [];
    const runLines: RunLine[] = [];
    for (const roll of rolls) {
      const stock = stocks.get(roll?.stockId ?? '');
      if (roll === undefined || stock === undefined) continue;
      const its = runsOf.get(roll.id) ?? [];
      const last = its.at(-1);
      const verdict = last === undefined ? undefined : verdictOf.get(last.id);
      rollLines.push(rollLineOf(roll, stock, planOf.get(roll.id), last, verdict, evidenceOf.get(roll.id) ?? []));
      runLines.push(...its.flatMap((run) => runLineOf(run, roll, stock, verdictOf.get(run.id)) ?? []));
    }
    await Promise.all([db.rollLines.bulkPut(rollLines), db.runLines.bulkPut(runLines)]);
  }
}

function byRoll<T extends { rollId: string }>(records: readonly T[]): Map<string, T[]> {
  const groups = new Map<string, T[]>();
  for (const record of records) {
    const group = groups.get(record.rollId);
    if (group === undefined) groups.set(record.rollId, [record]);
    else group.push(record);
  }
  return groups;
}

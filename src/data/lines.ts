import { archiveWords } from '@/core/archive/archive';
import { planOf } from '@/core/plan/planOf';
import { developedMin, judgedRun, type JudgedRun } from '@/core/run/judgedRun';
import { imageOf, type ImageId } from '@/core/outcome/grades';
import { neededTime, type NeededTime } from '@/core/outcome/neededTime';
import { filmFormats } from '@/core/films/filmFormats';
import { storagePresets } from '@/core/films/storagePresets';
import type { EvidenceRecord, Plan, Roll, Run, Stock, Verdict } from '@/core/records/records';
import { rollStanding, type RollStanding } from '@/core/plan/rollStages';
import type { RowSink } from '@/core/formats/benchFile';
import type { Result } from '@/core/schema/result';
import { agitationSchools } from '@/core/schedule/agitationSchools';
import { runProgress } from '@/core/run/runProgress';
import { planOfRoll } from './planOfRoll';
import { changeLines, shardsOf, replaceShards, type Shard } from './shards';
import { pack } from './packing';
import { inSteps, step } from './steps';
import type { AetasDatabase } from './database';

/*
 * Lists of ten thousand rolls and runs cannot read ten thousand plans, ledgers and event logs. Each roll and run has a line
 * of its own, written in the same transaction as what it follows from. Lines can be made anew from the records at any time.
 */

/** A roll as lists show it. */
export interface RollLine {
  id: string;
  /** 1 once its last run is judged. */
  finished: 0 | 1;
  updatedMs: number;
  roll: Pick<Roll, 'id' | 'label' | 'formatId' | 'hints' | 'storage' | 'exposure' | 'condition' | 'boxId'>;
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
  /** How the tank was moved; missing in lines from before it was kept. */
  movement?: string;
  plannedMin: number;
  /** Whether it was the user's own, to the second. */
  plannedOwn?: boolean;
  lowMin: number;
  highMin: number;
  /** How much wider than the model's own the band was; missing for 1. */
  widening?: number;
  developedS: number | null;
  phase: 'ready' | 'running' | 'finished';
  verdict:
    | (Pick<Verdict, 'id' | 'contrast' | 'fog' | 'note' | 'createdMs' | 'updatedMs' | 'again'> & { image: ImageId })
    | null;
  /** The time that the film would have needed, by its verdict; null or missing where that is not known. */
  needed?: NeededTime | null;
  /** What estimates learn from it, as the run itself gives it; null for a run that was not judged, or that teaches nothing. */
  judged: JudgedRun | null;
  /** What a search looks through, in small letters. */
  words: string;
}

/** Whether something was measured: a chart time alone is no test. */
function isTested(evidence: readonly EvidenceRecord[]): boolean {
  return evidence.some(({ finding }) => finding.kind !== 'chart');
}

/** What a verdict adds to the line of its run. */
function judgedPart(
  run: Run,
  verdict: Verdict | undefined,
): Pick<RunLine, 'verdict' | 'judged' | 'updatedMs' | 'needed'> {
  if (verdict === undefined) return { verdict: null, judged: null, updatedMs: run.updatedMs, needed: null };
  const { id, contrast, fog, note, createdMs, updatedMs, again } = verdict;
  const { outlook } = run.pinned;
  const image = imageOf(verdict.defects);
  return {
    judged: judgedRun(run, verdict),
    needed: outlook !== undefined && image === 'there' ? neededTime(developedMin(run), contrast, outlook) : null,
    verdict: { id, contrast, fog, image, note, createdMs, updatedMs, ...(again === undefined ? {} : { again }) },
    updatedMs: Math.max(run.updatedMs, updatedMs),
  };
}

/** The line of a roll. */
export function rollLineOf(
  roll: Roll,
  stock: Stock,
  plan: Plan | undefined,
  run: Run | undefined,
  verdict: Verdict | undefined,
  tested: boolean,
): RollLine {
  const standing = rollStanding(roll, stock, plan, run, verdict, tested);
  const { id, label, formatId, hints, storage, exposure, condition, boxId } = roll;
  const places = storage.map(({ placeId }) => storagePresets[placeId].name);
  return {
    id,
    finished: standing.atHand === null ? 1 : 0,
    updatedMs: roll.updatedMs,
    roll: { id, label, formatId, hints, storage, exposure, condition, boxId },
    stock: { name: stock.name, familyId: stock.familyId, iso: stock.iso },
    standing,
    words: [label, roll.note, stock.name, filmFormats[formatId].name, ...places, archiveWords(roll.archive)]
      .join(' ')
      .toLowerCase(),
  };
}

/** The line of a run; null for one that has not begun. */
export function runLineOf(run: Run, roll: Roll, stock: Stock, verdict: Verdict | undefined): RunLine | null {
  if (run.events.length === 0) return null;
  const progress = runProgress(run.steps, run.events);
  const developedS = progress.tookS[run.steps.findIndex((step) => step.kind === 'develop')] ?? null;
  return {
    id: run.id,
    rollId: roll.id,
    startedMs: progress.startedMs ?? run.createdMs,
    roll: roll.label,
    film: stock.name,
    developer: run.developerName,
    temperatureC: run.temperatureC,
    movement: run.movementName ?? (run.setup === null ? '' : agitationSchools[run.setup.agitationId].name),
    plannedMin: run.pinned.timeMin,
    ...(run.pinned.own === true ? { plannedOwn: true } : {}),
    lowMin: run.pinned.lowMin,
    highMin: run.pinned.highMin,
    ...(run.pinned.widening === undefined ? {} : { widening: run.pinned.widening }),
    developedS,
    phase: progress.phase,
    ...judgedPart(run, verdict),
    words: [roll.label, stock.name, run.developerName, verdict?.note ?? ''].join(' ').toLowerCase(),
  };
}

type Tables = Pick<AetasDatabase, 'rolls' | 'stocks' | 'plans' | 'runs' | 'verdicts' | 'evidence' | 'shards'>;

/** Makes the lines of some rolls and runs anew; lines whose record is gone go with it. Called within a transaction. */
export async function refreshLines(db: Tables, rollIds: Iterable<string>, runIds: Iterable<string>): Promise<void> {
  const rolls: RollLine[] = [];
  const rollsGone: string[] = [];
  for (const rollId of rollIds) {
    const roll = await db.rolls.get(rollId);
    const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
    if (roll === undefined || stock === undefined) {
      rollsGone.push(rollId);
      continue;
    }
    const plan = await planOfRoll(db, rollId);
    const run = (await db.runs.where({ rollId }).sortBy('createdMs')).at(-1);
    const verdict = run === undefined ? undefined : await db.verdicts.where({ runId: run.id }).first();
    const evidence = await db.evidence.where({ rollId }).toArray();
    rolls.push(rollLineOf(roll, stock, plan, run, verdict, isTested(evidence)));
  }
  const runs: RunLine[] = [];
  const runsGone: string[] = [];
  for (const runId of runIds) {
    const run = await db.runs.get(runId);
    const roll = run === undefined ? undefined : await db.rolls.get(run.rollId);
    const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
    const verdict = run === undefined ? undefined : await db.verdicts.where({ runId }).first();
    const line = run && roll && stock ? runLineOf(run, roll, stock, verdict) : null;
    if (line === null) runsGone.push(runId);
    else runs.push(line);
  }
  const { open, finished } = parted(rolls);
  const idsOf = (lines: readonly RollLine[]): string[] => lines.map(({ id }) => id);
  await changeLines(db, 'open', open, [...idsOf(finished), ...rollsGone]);
  await changeLines(db, 'finished', finished, [...idsOf(open), ...rollsGone]);
  await changeLines(db, 'runs', runs, runsGone);
}

/** Rolls' lines by the list where they stand. */
function parted(lines: readonly RollLine[]): Record<'open' | 'finished', RollLine[]> {
  return {
    open: lines.filter(({ finished }) => finished === 0),
    finished: lines.filter(({ finished }) => finished === 1),
  };
}

/** A run without what no line asks of it: of ten thousand, that is most of what they weigh. */
function slimRun(run: Run): Run {
  return {
    ...run,
    pinned: { ...run.pinned, ledger: [], evidenceIds: [] },
    steps: run.steps.map((step) => ({ ...step, instruction: '', cues: [] })),
  };
}

/** Makes the lines of a whole bench from its records as they come, table by table. */
export class LineBuilder {
  private readonly stocks = new Map<string, Stock>();
  private readonly rolls = new Map<string, Roll>();
  private readonly plans = new Map<string, Plan>();
  private readonly lastRun = new Map<string, Run>();
  private readonly started: { run: Run; line: Omit<RunLine, 'verdict' | 'words' | 'judged' | 'updatedMs'> }[] = [];
  private readonly verdicts = new Map<string, Verdict>();
  private readonly tested = new Set<string>();

  /** Takes some records of a table. What lines do not need is not kept. */
  take(table: string, rows: readonly unknown[]): void {
    for (const row of rows) {
      if (table === 'stocks') this.stocks.set((row as Stock).id, row as Stock);
      else if (table === 'rolls') this.rolls.set((row as Roll).id, { ...(row as Roll), frames: [] });
      else if (table === 'plans') this.takePlan(row as Plan);
      else if (table === 'runs') this.takeRun(row as Run);
      else if (table === 'verdicts') this.verdicts.set((row as Verdict).runId, row as Verdict);
      else if (table === 'evidence' && (row as EvidenceRecord).finding.kind !== 'chart')
        this.tested.add((row as EvidenceRecord).rollId);
    }
  }

  private takePlan(plan: Plan): void {
    const { pinned } = plan;
    const other = this.plans.get(plan.rollId);
    if (other !== undefined && planOf([other, plan]) === other) return;
    // A line asks only whether a time is pinned: its ledger would weigh ten times what the line does.
    this.plans.set(plan.rollId, { ...plan, pinned: pinned === null ? null : { ...pinned, ledger: [] } });
  }

  private takeRun(whole: Run): void {
    const run = slimRun(whole);
    const last = this.lastRun.get(run.rollId);
    if (last === undefined || last.createdMs <= run.createdMs) this.lastRun.set(run.rollId, run);
    const roll = this.rolls.get(run.rollId);
    const stock = this.stocks.get(roll?.stockId ?? '');
    const line = roll === undefined || stock === undefined ? null : runLineOf(run, roll, stock, undefined);
    if (line !== null) this.started.push({ run, line });
  }

  /** The lines of everything that was taken, in shards. */
  finish(): Shard[] {
    const rollLines = [...this.rolls.values()].flatMap((roll): RollLine[] => {
      const stock = this.stocks.get(roll.stockId);
      if (stock === undefined) return [];
      const run = this.lastRun.get(roll.id);
      const verdict = run === undefined ? undefined : this.verdicts.get(run.id);
      return [rollLineOf(roll, stock, this.plans.get(roll.id), run, verdict, this.tested.has(roll.id))];
    });
    const runLines = this.started.map(({ run, line }): RunLine => {
      const verdict = this.verdicts.get(run.id);
      const note = verdict?.note ?? '';
      return {
        ...line,
        ...judgedPart(run, verdict),
        words: [line.roll, line.film, line.developer, note].join(' ').toLowerCase(),
      };
    });
    const { open, finished } = parted(rollLines);
    return [...shardsOf('open', open), ...shardsOf('finished', finished), ...shardsOf('runs', runLines)];
  }
}

/** Takes rows in as the database stores them, of records and of the lists. */
export type StoredSink = (table: string, rows: unknown[]) => Promise<void> | void;

/**
 * Reads records as the database stores them: packed, and with the lines of the lists behind them.
 * @param read reads the records into a sink, and says whether all of it was in order
 * @returns reads the same rows, ready to be stored
 */
export function asStored<T>(read: (sink: RowSink) => Promise<Result<T>>): (sink: StoredSink) => Promise<Result<T>> {
  return async (sink) => {
    const builder = new LineBuilder();
    const answer = await read((table, rows) => {
      builder.take(table, rows);
      return sink(
        table,
        rows.map((row) => pack(table, row)),
      );
    });
    if (!answer.ok) return answer;
    await sink('shards', builder.finish());
    return answer;
  };
}

/** Records that are read at a time. */
const BATCH = 500;

/** Makes all lines anew. Called within a transaction over all tables. */
export function rebuildLines(db: Tables): PromiseLike<void> {
  return inSteps(
    (function* () {
      const builder = new LineBuilder();
      for (const name of ['stocks', 'rolls', 'plans', 'runs', 'verdicts', 'evidence'] as const) {
        const ids = yield* step<string[]>(db[name].toCollection().primaryKeys());
        for (let from = 0; from < ids.length; from += BATCH)
          builder.take(name, yield* step<unknown[]>(db[name].bulkGet(ids.slice(from, from + BATCH))));
      }
      yield* step(replaceShards(db, builder.finish()));
    })(),
  );
}

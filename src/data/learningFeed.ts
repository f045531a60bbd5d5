import { liveQuery } from 'dexie';
import type { JudgedRun, LearningFilm } from '@/core/learning/benchEvidence';
import type { LearningChange } from '@/core/learning/learning';
import { database, type AetasDatabase } from './database';
import type { RunLine } from './lines';
import { changedLines, countLines, lastRevision } from './lumps';

/** A bench with more runs than this lets the page read first: what it learns from takes the database for seconds. Source: our choice. */
const LONG_LOG = 1000;
/** For how long, ms. */
const PAGE_FIRST_MS = 1000;

/** Lines that are read at a time. */
const BATCH = 500;

/** Takes in what changed on the bench; `last` when nothing more is on its way. */
export type OnLearning = (change: LearningChange, last: boolean) => Promise<void>;

const nothing: LearningChange = { films: [], runs: [], tests: [], gone: { rolls: [], runs: [], tests: [] } };

/**
 * Feeds what estimates learn from, piece by piece, and then only what changes.
 * @param onChange takes it in
 * @returns how to stop
 */
export function feedLearning(onChange: OnLearning): () => void {
  const known = { films: new Map<string, string>(), runs: new Map<string, number>(), tests: new Map<string, number>() };
  const since = { rolls: -1, runs: -1 };
  const stockMarks = new Map<string, number>();
  let busy: Promise<void> = Promise.resolve();
  let stopped = false;
  const look = async (): Promise<void> => {
    if (stopped) return;
    const db = database();
    if (since.rolls < 0 && (await db.runs.count()) > LONG_LOG) {
      await new Promise((resolve) => setTimeout(resolve, PAGE_FIRST_MS));
      if (stopped) return;
    }
    const [rollIds, runIds, testIds, stocks] = await Promise.all([
      db.rolls.toCollection().primaryKeys(),
      db.runs.toCollection().primaryKeys(),
      db.evidence.toCollection().primaryKeys(),
      db.stocks.toArray(),
    ]);
    const gone = {
      rolls: without(known.films, rollIds),
      runs: without(known.runs, runIds),
      tests: without(known.tests, testIds),
    };
    if (gone.rolls.length + gone.runs.length + gone.tests.length > 0) await onChange({ ...nothing, gone }, false);
    const stockById = new Map(stocks.map((stock) => [stock.id, stock]));
    const changedStocks = stocks.filter(({ id, updatedMs }) => stockMarks.get(id) !== updatedMs).map(({ id }) => id);
    for (const { id, updatedMs } of stocks) stockMarks.set(id, updatedMs);
    const first = since.rolls < 0;
    // After an undo under a clock that was set back, revisions begin anew.
    const rollRevision = await lastRollRevision(db);
    const rollsToRead = first
      ? rollIds
      : [
          ...(await changedRolls(db, rollRevision < since.rolls ? 0 : since.rolls)),
          ...(await db.rolls.where('stockId').anyOf(changedStocks).primaryKeys()),
          ...rollIds.filter((id) => !known.films.has(id)),
        ];
    since.rolls = rollRevision;
    const revision = await lastRevision(db, 'runs');
    const lines = await changedLines(db, 'runs', revision < since.runs ? 0 : since.runs);
    since.runs = revision;
    await inBatches(rollsToRead, async (some) => {
      const films = (await db.rolls.bulkGet(some)).flatMap((roll): LearningFilm[] => {
        const stock = stockById.get(roll?.stockId ?? '');
        if (roll === undefined || stock === undefined) return [];
        const mark = `${roll.updatedMs} ${stock.id} ${stock.updatedMs}`;
        if (known.films.get(roll.id) === mark) return [];
        known.films.set(roll.id, mark);
        const { id, formatId, hints, storage, xrayPasses, exposure } = roll;
        const { familyId, iso, own } = stock;
        return [
          { roll: { id, formatId, hints, storage, xrayPasses, exposure }, stock: { id: stock.id, familyId, iso, own } },
        ];
      });
      if (films.length > 0) await onChange({ ...nothing, films }, false);
    });
    for (let from = 0; from < lines.length; from += BATCH) {
      const runs = lines.slice(from, from + BATCH).flatMap((line): JudgedRun[] => {
        if (known.runs.get(line.id) === line.updatedMs) return [];
        const judged = judgedOf(line);
        if (judged === null && !known.runs.has(line.id)) return [];
        known.runs.set(line.id, line.updatedMs);
        return judged === null ? [] : [judged];
      });
      if (runs.length > 0) await onChange({ ...nothing, runs }, false);
    }
    await inBatches(testIds, async (some) => {
      const tests = (await db.evidence.bulkGet(some)).flatMap((test) => {
        if (test === undefined || known.tests.get(test.id) === test.updatedMs) return [];
        known.tests.set(test.id, test.updatedMs);
        return [test];
      });
      if (tests.length > 0) await onChange({ ...nothing, tests }, false);
    });
    await onChange(nothing, true);
  };
  // Any change of these columns is a reason to look again; what is typed is none.
  const subscription = liveQuery(async () => {
    const db = database();
    return Promise.all([
      lastRollRevision(db),
      db.rolls.count(),
      lastRevision(db, 'runs'),
      countLines(db, 'runs'),
      db.evidence.count(),
      db.stocks.count(),
    ]);
  }).subscribe({
    next: () => {
      busy = busy.then(look).catch(() => undefined);
    },
  });
  return () => {
    stopped = true;
    subscription.unsubscribe();
  };
}

/** Last revision of the rolls' two lists. */
async function lastRollRevision(db: AetasDatabase): Promise<number> {
  return Math.max(await lastRevision(db, 'open'), await lastRevision(db, 'finished'));
}

/** Rolls that changed after a revision, and perhaps some that did not. */
async function changedRolls(db: AetasDatabase, after: number): Promise<string[]> {
  const lines = [...(await changedLines(db, 'open', after)), ...(await changedLines(db, 'finished', after))];
  return lines.map(({ id }) => id);
}

function without(known: Map<string, unknown>, ids: readonly string[]): string[] {
  const there = new Set(ids);
  const gone = [...known.keys()].filter((id) => !there.has(id));
  for (const id of gone) known.delete(id);
  return gone;
}

async function inBatches(ids: readonly string[], act: (some: string[]) => Promise<void>): Promise<void> {
  for (let from = 0; from < ids.length; from += BATCH) await act(ids.slice(from, from + BATCH));
}

function judgedOf(line: RunLine): JudgedRun | null {
  const { verdict, setup } = line;
  if (verdict === null || setup === null || verdict.image === 'clear') return null;
  return {
    runId: line.id,
    rollId: line.rollId,
    verdictId: verdict.id,
    atMs: verdict.createdMs,
    setup,
    timeMin: line.dosedMin ?? line.plannedMin,
    contrast: verdict.image === 'black' ? null : verdict.contrast,
    fog: verdict.fog,
    again: (verdict.again ?? []).map(({ contrast }) => contrast),
    held: heldOf(line),
  };
}

function heldOf({ needed, lowMin, highMin, widening }: RunLine): JudgedRun['held'] {
  if (needed == null) return null;
  return { neededMin: needed.timeMin, lowMin, highMin, ...(widening === undefined ? {} : { widening }) };
}

import { liveQuery } from 'dexie';
import type { LearningFilm } from '@/core/learning/benchEvidence';
import { guestPieces } from '@/core/learning/guestPieces';
import { noChange, type LearningChange } from '@/core/learning/learningChange';
import type { JudgedRun } from '@/core/run/judgedRun';
import { database, type AetasDatabase } from './database';
import { changedLines, countLines, lastRevision } from './shards';

/** A log with more runs than this takes seconds to read and to fit. Source: our choice, by timing. */
const LONG_LOG = 1000;

/** Whether the bench has a log that takes seconds to learn from: then the page goes first. */
export async function isLongLog(): Promise<boolean> {
  return (await database().runs.count()) > LONG_LOG;
}

/** For how long, ms. */
const PAGE_FIRST_MS = 1000;

/** Lines that are read at a time. */
const BATCH = 500;

/** When a look that failed is taken again, ms. */
const RETRY_MS = 1500;

/** Takes in what changed on the bench; `last` when nothing more is on its way. */
export type OnLearning = (change: LearningChange, last: boolean) => Promise<void>;

/**
 * Feeds what estimates learn from, piece by piece, and then only what changes. What was not taken in is told again at the next look.
 * @param onChange takes it in; where it fails, the rest of this look is left for the next
 * @returns how to stop
 */
export function feedLearning(onChange: OnLearning): () => void {
  const known = { films: new Map<string, string>(), runs: new Map<string, number>(), tests: new Map<string, number>() };
  const since = { rolls: -1, runs: -1 };
  const stockMarks = new Map<string, number>();
  let guestMark = '[[],[]]';
  let busy: Promise<void> = Promise.resolve();
  let stopped = false;
  const look = async (): Promise<void> => {
    if (stopped) return;
    const db = database();
    if (since.rolls < 0 && (await isLongLog())) {
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
      rolls: missing(known.films, rollIds),
      runs: missing(known.runs, runIds),
      tests: missing(known.tests, testIds),
    };
    if (gone.rolls.length + gone.runs.length + gone.tests.length > 0) await onChange({ ...noChange, gone }, false);
    for (const id of gone.rolls) known.films.delete(id);
    for (const id of gone.runs) known.runs.delete(id);
    for (const id of gone.tests) known.tests.delete(id);
    const stockById = new Map(stocks.map((stock) => [stock.id, stock]));
    const changedStocks = stocks.filter(({ id, updatedMs }) => stockMarks.get(id) !== updatedMs).map(({ id }) => id);
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
    const revision = await lastRevision(db, 'runs');
    const lines = await changedLines(db, 'runs', revision < since.runs ? 0 : since.runs);
    await inBatches(rollsToRead, async (some) => {
      const films: LearningFilm[] = [];
      const marks: [string, string][] = [];
      for (const roll of await db.rolls.bulkGet(some)) {
        const stock = stockById.get(roll?.stockId ?? '');
        if (roll === undefined || stock === undefined) continue;
        const mark = `${roll.updatedMs} ${stock.id} ${stock.updatedMs}`;
        if (known.films.get(roll.id) === mark) continue;
        marks.push([roll.id, mark]);
        const { id, formatId, hints, storage, xrayPasses, exposure, boxId } = roll;
        const { familyId, iso, own } = stock;
        films.push({
          roll: { id, formatId, hints, storage, xrayPasses, exposure, boxId },
          stock: { id: stock.id, familyId, iso, own },
        });
      }
      if (films.length > 0) await onChange({ ...noChange, films }, false);
      for (const [id, mark] of marks) known.films.set(id, mark);
    });
    await inBatches(lines, async (some) => {
      const fresh = some.filter(({ id, updatedMs }) => known.runs.get(id) !== updatedMs);
      const runs = fresh.flatMap(({ judged }): JudgedRun[] => (judged === null ? [] : [judged]));
      // A verdict that was changed to one that teaches nothing takes its lesson back.
      const silent = fresh.filter(({ id, judged }) => judged === null && known.runs.has(id)).map(({ id }) => id);
      if (runs.length + silent.length > 0)
        await onChange({ ...noChange, runs, gone: { ...noChange.gone, runs: silent } }, false);
      for (const { id, updatedMs, judged } of fresh) if (judged !== null) known.runs.set(id, updatedMs);
      for (const id of silent) known.runs.delete(id);
    });
    await inBatches(testIds, async (some) => {
      const tests = (await db.evidence.bulkGet(some)).flatMap((test) =>
        test === undefined || known.tests.get(test.id) === test.updatedMs ? [] : [test],
      );
      if (tests.length > 0) await onChange({ ...noChange, tests }, false);
      for (const { id, updatedMs } of tests) known.tests.set(id, updatedMs);
    });
    const guests = await db.guests.toArray();
    // A stock that was renamed may be one of theirs now.
    const mark = JSON.stringify([
      guests.map(({ id, updatedMs }) => [id, updatedMs]),
      guests.length === 0 ? [] : stocks.map(({ id, name, familyId }) => [id, name, familyId]),
    ]);
    if (mark !== guestMark) {
      await onChange({ ...noChange, guests: guests.flatMap((guest) => guestPieces(guest, stocks)) }, false);
      guestMark = mark;
    }
    for (const { id, updatedMs } of stocks) stockMarks.set(id, updatedMs);
    since.rolls = rollRevision;
    since.runs = revision;
    await onChange(noChange, true);
  };
  let retry: ReturnType<typeof setTimeout> | undefined;
  const again = (): void => {
    busy = busy.then(look).catch(() => {
      clearTimeout(retry);
      if (!stopped) retry = setTimeout(again, RETRY_MS);
    });
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
      db.guests.toCollection().primaryKeys(),
    ]);
  }).subscribe({
    next: () => again(),
  });
  return () => {
    stopped = true;
    clearTimeout(retry);
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

function missing(known: ReadonlyMap<string, unknown>, ids: readonly string[]): string[] {
  const there = new Set(ids);
  return [...known.keys()].filter((id) => !there.has(id));
}

async function inBatches<T>(all: readonly T[], act: (some: T[]) => Promise<void>): Promise<void> {
  for (let from = 0; from < all.length; from += BATCH) await act(all.slice(from, from + BATCH));
}

'use client';

import type { ArchivedRoll } from '@/core/archive/archiveIndex';
import { liveQuery } from 'dexie';
import { useLiveQuery } from 'dexie-react-hooks';
import { useMemo } from 'react';
import type {
  Aside,
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
import type { StoragePresetId } from '@/core/films/storagePresets';
import { defaultSettings, tableNames } from '@/core/records/tables';
import { rollStanding, type RollStanding } from '@/core/plan/rollStages';
import { planOfRoll } from './planOfRoll';
import { AetasDatabase, database, databaseNames, type Act } from './database';
import type { BenchName } from './benchName';
import type { RollLine, RunLine } from './lines';
import {
  allLines,
  countLines,
  firstLines,
  lastJudged,
  lastRevision,
  newestFirst,
  type ListLines,
  type ListName,
} from './shards';
import { migrations } from '@/core/formats/migrations';

/** A roll with everything that hangs on it. */
export interface RollDossier {
  roll: Roll;
  stock: Stock;
  plan: Plan | undefined;
  brew: Brew | undefined;
  /** The last run. */
  run: Run | undefined;
  verdict: Verdict | undefined;
  /** Tests and leaflets’ times of this roll. */
  evidence: EvidenceRecord[];
  standing: RollStanding;
  /** The plan's form as last typed; undefined when it was never opened, or when drafts were not asked for. */
  planDraft: unknown;
}

/** What is in hand on the bench: the rolls that are not finished, and the jugs. */
export interface Bench {
  dossiers: RollDossier[];
  brews: Brew[];
  /** Whether any roll is finished. */
  anyFinished: boolean;
}

async function readDossier(rollId: string, withDraft: boolean): Promise<RollDossier | null> {
  const db = database();
  const roll = await db.rolls.get(rollId);
  const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
  if (roll === undefined || stock === undefined) return null;
  const [plan, runs, evidence, draft] = await Promise.all([
    planOfRoll(db, rollId),
    db.runs.where({ rollId }).sortBy('createdMs'),
    db.evidence.where({ rollId }).toArray(),
    withDraft ? db.drafts.get(`plan:${rollId}`) : undefined,
  ]);
  const run = runs.at(-1);
  const [verdict, brew] = await Promise.all([
    run === undefined ? undefined : db.verdicts.where({ runId: run.id }).first(),
    plan?.brewId == null ? undefined : db.brews.get(plan.brewId),
  ]);
  const tested = evidence.some(({ finding }) => finding.kind !== 'chart');
  const standing = rollStanding(roll, stock, plan, run, verdict, tested);
  return { roll, stock, plan, brew, run, verdict, evidence, standing, planDraft: draft?.values };
}

/** Some rolls with what hangs on them, with plans as last typed. */
export async function dossiersOf(rollIds: readonly string[]): Promise<RollDossier[]> {
  return (await Promise.all(rollIds.map((id) => readDossier(id, true)))).filter((dossier) => dossier !== null);
}

/** Rolls in hand that are shown at the most: more than anybody works on at a time. */
const MOST_IN_HAND = 200;

async function readBench(withDrafts: boolean): Promise<Bench> {
  const db = database();
  const [open, finished, brews] = await Promise.all([
    allLines(db, 'open').then((lines) => newestFirst('open', lines)),
    lastRevision(db, 'finished'),
    db.brews.orderBy('mixedMs').reverse().toArray(),
  ]);
  const dossiers = await Promise.all(open.slice(0, MOST_IN_HAND).map(({ id }) => readDossier(id, withDrafts)));
  return { dossiers: dossiers.filter((dossier) => dossier !== null), brews, anyFinished: finished > 0 };
}

/** How many rolls are finished; undefined while they are counted, which takes longer than showing the others. */
export function useFinishedCount(): number | undefined {
  return useLiveQuery(() => countLines(database(), 'finished'));
}

/** The bench, with plans as last typed; undefined while it loads. */
export function useBench(): Bench | undefined {
  return useLiveQuery(() => readBench(true));
}

/** The bench without what is being typed, so that typing does not read it all again; undefined while it loads. */
export function useSettledBench(): Bench | undefined {
  return useLiveQuery(() => readBench(false));
}

/** One roll with what hangs on it; undefined while it loads, null when there is no such roll. */
export function useDossier(rollId: string): RollDossier | null | undefined {
  return useLiveQuery(() => readDossier(rollId, false), [rollId]);
}

/** A jug that a run used, and the bottle that it was made from where that stands there still. */
export interface UsedJug {
  jug: Brew;
  parent: Brew | undefined;
}

/** The jugs that a run used, by what they were for; undefined while they load. */
export function useJugsOfRun(
  run: Run | undefined,
  developer: Brew | undefined,
): Partial<Record<'developer' | 'stop' | 'fixer' | 'wetting', UsedJug>> | undefined {
  const ids = [run?.brewId ?? developer?.id ?? '', run?.jugs?.stop ?? '', run?.jugs?.fix ?? ''];
  return useLiveQuery(async () => {
    const db = database();
    const [develop, stop, fixer] = await db.brews.bulkGet(ids);
    const parents = await db.brews.bulkGet([develop, stop, fixer].map((jug) => jug?.from?.id ?? ''));
    const used = (jug: Brew | undefined, parent: Brew | undefined) => (jug === undefined ? undefined : { jug, parent });
    return {
      developer: used(develop, parents[0]),
      stop: used(stop, parents[1]),
      fixer: used(fixer, parents[2]),
    };
  }, [ids.join(' ')]);
}

/** Names and formats of some rolls. */
export function useRollNames(rollIds: readonly string[]): Pick<Roll, 'id' | 'label' | 'formatId'>[] {
  const found = useLiveQuery(
    async () => (await database().rolls.bulkGet([...rollIds])).filter((roll) => roll !== undefined),
    [rollIds.join(' ')],
  );
  return found ?? [];
}

/** Rolls with their stocks, by id; those that are not there are missing. Undefined while they load. */
export function useFilms(rollIds: readonly string[]): ReadonlyMap<string, { roll: Roll; stock: Stock }> | undefined {
  const ids = [...new Set(rollIds)].filter((id) => id !== '').sort();
  return useLiveQuery(async () => {
    const db = database();
    const rolls = (await db.rolls.bulkGet(ids)).filter((roll) => roll !== undefined);
    const stocks = await db.stocks.bulkGet(rolls.map(({ stockId }) => stockId));
    return new Map(
      rolls.flatMap((roll, at) => {
        const stock = stocks[at];
        return stock === undefined ? [] : [[roll.id, { roll, stock }] as const];
      }),
    );
  }, [ids.join(' ')]);
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

/** One run with everything that belongs to it. */
export interface RunRecordData {
  run: Run;
  roll: Roll;
  stock: Stock;
  brew: Brew | undefined;
  verdict: Verdict | undefined;
}

/** One run, to be read again; undefined while it loads, null when there is no such run. */
export function useRunRecord(runId: string): RunRecordData | null | undefined {
  return useLiveQuery(() => readRunRecord(runId), [runId]);
}

async function readRunRecord(runId: string): Promise<RunRecordData | null> {
  const db = database();
  const run = await db.runs.get(runId);
  const roll = run === undefined ? undefined : await db.rolls.get(run.rollId);
  const stock = roll === undefined ? undefined : await db.stocks.get(roll.stockId);
  if (run === undefined || roll === undefined || stock === undefined) return null;
  const [brew, verdict] = await Promise.all([
    run.brewId === null ? undefined : db.brews.get(run.brewId),
    db.verdicts.where({ runId }).first(),
  ]);
  return { run, roll, stock, brew, verdict };
}

/**
 * The bench on which a record lies that this one does not have: somebody may have followed an address from the other.
 * @returns its name; null when it is on neither
 */
export async function benchWith(
  table: 'runs' | 'rolls' | 'brews' | 'mixes' | 'boxes' | 'trials' | 'prints',
  id: string,
): Promise<BenchName | null> {
  const other: BenchName = database().bench === 'demo' ? 'own' : 'demo';
  const db = new AetasDatabase(databaseNames[other], migrations, other);
  try {
    return (await db.table(table).get(id)) === undefined ? null : other;
  } catch {
    return null;
  } finally {
    db.close();
  }
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

/** A film of one's own rolls, with where they lay last; null where they lay in several places. */
export interface KnownFilm {
  name: string;
  familyId: Stock['familyId'];
  iso: number;
  storageId: StoragePresetId | null;
}

/** Newest rolls by which the usual place of a film is told. */
const ROLLS_LOOKED_AT = 5;

/** Films that somebody has named, each once, the newest first; empty while they load. */
export function useKnownFilms(): KnownFilm[] {
  const found = useLiveQuery(async () => {
    const db = database();
    const stocks = (await db.stocks.toArray()).sort((a, b) => b.updatedMs - a.updatedMs);
    const named = [
      ...new Map([...stocks].reverse().map((stock) => [stock.name.toLowerCase(), stock])).values(),
    ].reverse();
    return Promise.all(
      named.map(async ({ id, name, familyId, iso }): Promise<KnownFilm> => {
        const rolls = await db.rolls.where({ stockId: id }).limit(ROLLS_LOOKED_AT).toArray();
        const places = new Set(rolls.map(({ storage }) => storage.at(-1)?.placeId ?? null));
        return { name, familyId, iso, storageId: places.size === 1 ? ([...places][0] ?? null) : null };
      }),
    );
  });
  return found ?? [];
}

/** Rolls that a jug is planned for or was used on, newest first; undefined while they load. */
export function useJugRolls(brewId: string): Pick<Roll, 'id' | 'label'>[] | undefined {
  return useLiveQuery(async () => {
    const db = database();
    // A mixing knows its roll before anything is planned for it.
    const [plans, runs, mixes] = await Promise.all([
      db.plans.where({ brewId }).toArray(),
      db.runs.where({ brewId }).toArray(),
      db.mixes.where({ brewId }).toArray(),
    ]);
    const ids = [
      ...new Set(
        [...plans, ...runs, ...mixes].sort((a, b) => b.updatedMs - a.updatedMs).flatMap(({ rollId }) => rollId ?? []),
      ),
    ];
    return (await db.rolls.bulkGet(ids)).flatMap((roll) =>
      roll === undefined ? [] : [{ id: roll.id, label: roll.label }],
    );
  }, [brewId]);
}

/** All brews, newest first; undefined while they load. */
export function useBrews(): Brew[] | undefined {
  return useLiveQuery(() => database().brews.orderBy('mixedMs').reverse().toArray());
}

/** Photographs of a roll, oldest first; undefined while they load. */
export function usePhotos(rollId: string): Photo[] | undefined {
  return useLiveQuery(() => database().photos.where({ rollId }).sortBy('createdMs'), [rollId]);
}

const NO_PICTURES: ReadonlyMap<number, Photo> = new Map();

/** Pictures of a roll's frames, by their number; of two of one frame the later. */
export function useFramePictures(rollId: string): ReadonlyMap<number, Photo> {
  const photos = usePhotos(rollId);
  return useMemo(
    () =>
      photos === undefined
        ? NO_PICTURES
        : new Map(photos.flatMap((photo) => (photo.frame === undefined ? [] : [[photo.frame, photo] as const]))),
    [photos],
  );
}

/** Lines of a list as they come: the first ones at once, the rest in the background. */
export interface Lines<Line> {
  lines: readonly Line[];
  /** Whether all are there. */
  all: boolean;
}

/** Does something once what is there by now has been painted: reading ten thousand lines would keep the first of them from the screen. */
function afterPaint(then: () => void): void {
  if (typeof document === 'undefined' || document.hidden) setTimeout(then);
  else requestAnimationFrame(() => setTimeout(then));
}

/**
 * Follows a list of lines, newest first.
 * @param list which
 * @param onLines told with the first lines, with all of them, and anew whenever something in the list changes
 * @returns how to stop
 */
function followLines<L extends ListName>(list: L, onLines: (lines: Lines<ListLines[L]>) => void): () => void {
  let turn = 0;
  const rest = async (mine: number): Promise<void> => {
    const lines = newestFirst(list, await allLines(database(), list));
    if (mine === turn) onLines({ lines, all: true });
  };
  const subscription = liveQuery(async () => {
    // The revision follows every change of the list; reading it all again is left to the background.
    const [first] = await Promise.all([firstLines(database(), list), lastRevision(database(), list)]);
    return first;
  }).subscribe({
    next: (first) => {
      turn += 1;
      onLines(first);
      const mine = turn;
      if (!first.all) afterPaint(() => void (mine === turn && rest(mine)));
    },
  });
  return () => {
    turn += 1;
    subscription.unsubscribe();
  };
}

/** Follows the lines of the log, newest first. */
export function followLog(onLines: (lines: Lines<RunLine>) => void): () => void {
  return followLines('runs', onLines);
}

/** Follows the lines of the finished rolls, newest first. */
export function followFinishedRolls(onLines: (lines: Lines<RollLine>) => void): () => void {
  return followLines('finished', onLines);
}

/** Lines of the rolls that are not finished, newest first; undefined while they load. */
export function useOpenRollLines(): RollLine[] | undefined {
  return useLiveQuery(async () => newestFirst('open', await allLines(database(), 'open')));
}

/** Rolls that are offered in a list. More than anybody scrolls through. Source: our choice. */
const MOST_OFFERED = 100;

/** The latest rolls by name, those in hand first; undefined while they load. */
export function useLatestRolls(): Pick<Roll, 'id' | 'label'>[] | undefined {
  return useLiveQuery(async () => {
    const [open, finished] = [await allLines(database(), 'open'), await allLines(database(), 'finished')];
    return [...newestFirst('open', open), ...newestFirst('finished', finished)]
      .slice(0, MOST_OFFERED)
      .map(({ id, roll }) => ({ id, label: roll.label }));
  });
}

/** The line of the last run that was judged; undefined while it loads, null when there is none. */
export function useLastJudged(): RunLine | null | undefined {
  return useLiveQuery(() => lastJudged(database()));
}

/** The bench's settings as they are kept; undefined while they load. For forms that must not begin from the defaults. */
export function useKeptSettings(): Settings | undefined {
  return useLiveQuery(async () => (await database().settings.get('bench')) ?? defaultSettings);
}

/** The bench's settings; the defaults while they load. */
export function useSettings(): Settings {
  return useLiveQuery(() => database().settings.get('bench')) ?? defaultSettings;
}

/** The last act that can be undone. */
export function useLastAct(): Act | undefined {
  return useLiveQuery(() =>
    database()
      .acts.filter(({ kind }) => kind !== 'upgrade')
      .last(),
  );
}

/** How many records each table holds; undefined while they are counted. */
export function useRecordCounts(): Record<TableName, number> | undefined {
  return useLiveQuery(async () => {
    const db = database();
    const counts = await Promise.all(tableNames.map(async (name) => [name, await db.table(name).count()] as const));
    return Object.fromEntries(counts) as Record<TableName, number>;
  });
}

/** What was set aside, newest first; undefined while it loads. */
export function useAside(): Aside[] | undefined {
  return useLiveQuery(async () => (await database().aside.toArray()).sort((a, b) => b.createdMs - a.createdMs));
}

/** All stocks; undefined while they load. */
export function useStocks(): Stock[] | undefined {
  return useLiveQuery(() => database().stocks.toArray());
}

/** Names of the films on the bench, by the id of their stock. */
export function useStockNames(): ReadonlyMap<string, string> {
  const stocks = useLiveQuery(() => database().stocks.toArray());
  return useMemo(
    () => new Map((stocks ?? []).map(({ id, name }) => [id, name === '' ? 'A film without a name' : name])),
    [stocks],
  );
}

/** Some runs with what hangs on them, in the order asked for; undefined while they load. Those that are gone are left out. */
export function useRunRecords(runIds: readonly string[]): RunRecordData[] | undefined {
  return useLiveQuery(
    async () => (await Promise.all(runIds.map(readRunRecord))).filter((found) => found !== null),
    [runIds.join(' ')],
  );
}

/** Rolls whose place or cutting was told; undefined while they load. */
export function useArchived(): ArchivedRoll[] | undefined {
  return useLiveQuery(async () => {
    const rolls = await database()
      .rolls.filter(({ archive }) => archive !== undefined)
      .toArray();
    return rolls.flatMap(({ id, label, archive }) => (archive === undefined ? [] : [{ id, label, archive }]));
  });
}

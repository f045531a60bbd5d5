import Dexie, { type EntityTable } from 'dexie';
import { latestVersion, migrations, type Migration } from '@/core/formats/migrations';
import type {
  Aside,
  Box,
  Brew,
  Draft,
  EvidenceRecord,
  Habit,
  StripRecord,
  Mix,
  Photo,
  Plan,
  RecipeRecord,
  Roll,
  Run,
  Settings,
  Stock,
  Print,
  Trial,
  Verdict,
  Guest,
  Waste,
} from '@/core/records/records';
import { tableNames } from '@/core/records/tables';
import type { Known } from '@/core/sync/edit';
import { benchName, type BenchName } from './benchName';
import type { Folder } from './folder';
import type { Shard } from './shards';
import { packing } from './packing';
import { bringInAhead, type Done } from './draftJournal';
import { upgradeTables } from './upgrade';

/** Something that was done and can be undone: what it was, and how it is taken back. */
export interface Act {
  id: number;
  atMs: number;
  /** What was done, as in “removing …”. */
  what: string;
  /** `part` took some records; `whole` replaced the bench; `upgrade` is the copy of older records from before a new version. */
  kind: 'part' | 'whole' | 'upgrade';
  /** Version of the records that were kept; missing in acts from before it was noted. */
  version?: number;
}

/** Records that an act took, or fields that it changed, as they were before. */
export interface Kept {
  id: number;
  actId: number;
  table: string;
  /** Records that were taken. */
  rows?: unknown[];
  /** A record that came with the act, and goes with it. */
  added?: string;
  /** A field that was changed in passing, with what it was set to. */
  field?: { id: string; name: string; before: unknown; after: unknown };
}

/** Columns that queries use, by table, as they stand since a version. */
const indexes: Record<number, Record<string, string | null>> = {
  1: {
    settings: 'id',
    stocks: 'id, name',
    rolls: 'id, updatedMs',
    brews: 'id, mixedMs',
    plans: 'id, rollId',
    runs: 'id, rollId, createdMs',
    verdicts: 'id, runId, rollId',
    drafts: 'id',
    safekeeping: '++id',
  },
  3: { photos: 'id, rollId' },
  4: { evidence: 'id, rollId' },
  5: { recipes: 'id', mixes: 'id, brewId' },
  6: {
    safekeeping: null,
    aside: 'id',
    acts: '++id, kind',
    kept: '++id, actId',
    done: 'id',
    rolls: 'id, updatedMs, stockId',
    plans: 'id, rollId, brewId',
    runs: 'id, rollId, createdMs, brewId, planId',
    verdicts: 'id, runId, rollId, updatedMs',
    mixes: 'id, brewId, rollId',
    rollLines: 'id, finished, [finished+updatedMs]',
    runLines: 'id, startedMs, rollId, updatedMs',
  },
  7: { habits: 'id, kind' },
  8: { readings: 'id, rollId, evidenceId, photoId' },
  9: { boxes: 'id' },
  10: { waste: 'id', trials: 'id', prints: 'id, rollId' },
  11: { guests: 'id' },
};

/** Columns as they stand since rows are packed: each costs time in every row that is written, so none stands unused. */
const leanIndexes = {
  runs: 'id, rollId, brewId',
  rolls: 'id, stockId, boxId',
  verdicts: 'id, runId',
  rollLines: null,
  runLines: null,
  starts: 'id',
  folders: 'id',
  known: 'id',
  // The lines' place of before; they are made anew when the bench opens.
  lumps: null,
  shards: 'id, revision, judgedMs, [list+revision], [list+count]',
};

/** What the layout of packed rows and shards, and then of what stays in step with a folder, adds to the version of the records. */
const PACKED_LAYOUT = 0.3;

/** The bench's records in the browser. */
export class AetasDatabase extends Dexie {
  declare settings: EntityTable<Settings, 'id'>;
  declare stocks: EntityTable<Stock, 'id'>;
  declare boxes: EntityTable<Box, 'id'>;
  declare rolls: EntityTable<Roll, 'id'>;
  declare brews: EntityTable<Brew, 'id'>;
  declare plans: EntityTable<Plan, 'id'>;
  declare runs: EntityTable<Run, 'id'>;
  declare verdicts: EntityTable<Verdict, 'id'>;
  declare drafts: EntityTable<Draft, 'id'>;
  declare photos: EntityTable<Photo, 'id'>;
  declare evidence: EntityTable<EvidenceRecord, 'id'>;
  declare recipes: EntityTable<RecipeRecord, 'id'>;
  declare mixes: EntityTable<Mix, 'id'>;
  declare aside: EntityTable<Aside, 'id'>;
  declare habits: EntityTable<Habit, 'id'>;
  declare readings: EntityTable<StripRecord, 'id'>;
  declare waste: EntityTable<Waste, 'id'>;
  declare guests: EntityTable<Guest, 'id'>;
  declare prints: EntityTable<Print, 'id'>;
  declare trials: EntityTable<Trial, 'id'>;
  declare acts: EntityTable<Act, 'id'>;
  declare kept: EntityTable<Kept, 'id'>;
  declare done: EntityTable<Done, 'id'>;
  /** Lines of the lists, worked out from the records and written with them. They are not exported. */
  declare shards: EntityTable<Shard, 'id'>;
  /** Where learning from a long log begins: values of the last fit. Not exported either. */
  declare starts: EntityTable<{ id: string; values: string }, 'id'>;
  /** The folder that is kept in step, and each record as it was then. They belong to this device, and are not exported. */
  declare folders: EntityTable<Folder, 'id'>;
  declare known: EntityTable<Known & { id: string }, 'id'>;

  /**
   * @param name name of the browser database
   * @param steps migrations of the record shape, oldest first; each becomes one database version
   */
  constructor(
    name: string,
    steps: readonly Migration[] = migrations,
    readonly bench: BenchName = 'own',
  ) {
    super(name);
    this.version(1).stores(indexes[1] ?? {});
    for (const step of steps) {
      this.version(step.to)
        .stores(indexes[step.to] ?? {})
        .upgrade((transaction) => upgradeTables(transaction, step));
    }
    // Records are as before, and only stored in another way: an Aetas from before that must not open them.
    this.version((steps.at(-1)?.to ?? 1) + PACKED_LAYOUT).stores(steps === migrations ? leanIndexes : {});
    this.use(packing);
    if (steps === migrations && Math.floor(this.verno) !== latestVersion())
      throw new Error('Migrations are numbered with a gap.');
  }
}

/** Every table that an act may touch. */
export const actTables = [...tableNames, 'acts', 'kept', 'shards', 'starts', 'done', 'known'];

let open: AetasDatabase | null = null;

/** Names of the browser databases. */
export const databaseNames: Record<BenchName, string> = { own: 'aetas', demo: 'aetas-demo' };

/** The database of the bench that this tab looks at. A page keeps to the bench it opened with. */
export function database(): AetasDatabase {
  if (open === null) {
    const bench = benchName();
    open = new AetasDatabase(databaseNames[bench], migrations, bench);
    // Before anything else is read: what a page that went had no time to store. Where that fails, it stays written ahead.
    open.on('ready', (db) => bringInAhead(db).catch(() => undefined));
  }
  return open;
}

import Dexie, { type EntityTable } from 'dexie';
import { latestVersion, migrate, migrations, type Migration, type RawRecords } from '@/core/formats/migrations';
import type {
  Brew,
  Draft,
  EvidenceRecord,
  Mix,
  Photo,
  Plan,
  RecipeRecord,
  Roll,
  Run,
  Settings,
  Stock,
  Verdict,
} from '@/core/records/records';
import { tableNames } from '@/core/records/tables';
import { benchName } from './benchName';
import { bringInAhead } from './typedAhead';

/** All records as they were before something large, so that it can be undone. */
export interface Safekeeping {
  id: number;
  atMs: number;
  what: string;
  backup: string;
}

/** Columns that queries use, by table. */
const indexes = {
  settings: 'id',
  stocks: 'id, name',
  rolls: 'id, updatedMs',
  brews: 'id, mixedMs',
  plans: 'id, rollId',
  runs: 'id, rollId, createdMs',
  verdicts: 'id, runId, rollId',
  drafts: 'id',
  safekeeping: '++id',
};

/** Tables that a version of the shape added, with their columns. */
const laterIndexes: Record<number, Record<string, string>> = {
  3: { photos: 'id, rollId' },
  4: { evidence: 'id, rollId' },
  5: { recipes: 'id', mixes: 'id, brewId' },
};

/** Tables of records that a version has. */
function tablesAt(version: number): string[] {
  const later = Object.entries(laterIndexes).flatMap(([since, tables]) =>
    Number(since) > version ? Object.keys(tables) : [],
  );
  return tableNames.filter((table) => !later.includes(table));
}

/** The bench's records in the browser. */
export class AetasDatabase extends Dexie {
  declare settings: EntityTable<Settings, 'id'>;
  declare stocks: EntityTable<Stock, 'id'>;
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
  declare safekeeping: EntityTable<Safekeeping, 'id'>;

  /**
   * @param name name of the browser database
   * @param steps migrations of the record shape, oldest first; each becomes one database version
   */
  constructor(name: string, steps: readonly Migration[] = migrations) {
    super(name);
    this.version(1).stores(indexes);
    for (const step of steps) {
      this.version(step.to)
        .stores(laterIndexes[step.to] ?? {})
        .upgrade(async (transaction) => {
          const raw: RawRecords = {};
          const tables = tablesAt(step.to);
          for (const table of tables) raw[table] = await transaction.table(table).toArray();
          const changed = migrate(raw, step.to - 1, steps.slice(0, step.to - 1));
          for (const table of tables) {
            await transaction.table(table).clear();
            await transaction.table(table).bulkAdd(changed[table] ?? []);
          }
        });
    }
    if (steps === migrations && this.verno !== latestVersion()) throw new Error('Migrations are numbered with a gap.');
  }
}

let open: AetasDatabase | null = null;

function benchDatabase(): AetasDatabase {
  const bench = new AetasDatabase(benchName() === 'demo' ? 'aetas-demo' : 'aetas');
  // Before anything else is read: what a page that went had no time to store. Where that fails, it stays written ahead.
  bench.on('ready', (db) => bringInAhead(db).catch(() => undefined));
  return bench;
}

/** The database of the bench that this tab looks at. */
export function database(): AetasDatabase {
  open ??= benchDatabase();
  return open;
}

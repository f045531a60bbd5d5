import { links } from '@/core/formats/links';
import { latestVersion } from '@/core/formats/migrations';
import { recordSchemas, type Records, type TableName } from '@/core/records/records';
import { actTables, database, type AetasDatabase, type Kept } from './database';
import { markTyped, type TypedUpTo } from './drafts';
import { refreshLines } from './lines';
import { inSteps, step } from './steps';
import { Refusal, guardedWrite } from './trouble';

/** How many undoable acts are kept. */
const KEPT_ACTS = 3;

type RecordOf<T extends TableName> = Records[T][number];

/** What one act writes. It checks shapes and links, follows with the lines of the lists, and keeps what it takes. */
export class Writer {
  private readonly taken: Omit<Kept, 'id' | 'actId'>[] = [];
  private readonly rolls = new Set<string>();
  private readonly runs = new Set<string>();
  private readonly stocks = new Set<string>();

  constructor(readonly db: AetasDatabase) {}

  /**
   * Checks a record and stores it. A link that may be empty and leads nowhere is cleared.
   * @throws Refusal when the record belongs to something that was taken off meanwhile
   * @throws ZodError for a record of the wrong shape: a programmer's error
   */
  async put<T extends TableName>(table: T, record: RecordOf<T>): Promise<void> {
    const row = { ...(record as object) } as RecordOf<T> & Record<string, unknown>;
    for (const { field, target, nullable } of links[table] ?? []) {
      const id = (row as Record<string, unknown>)[field] ?? null;
      if (id === null || (await this.db.table(target).get(id as string)) !== undefined) continue;
      if (!nullable) throw new Refusal(`What this belongs to was taken off the bench meanwhile, so it was not stored.`);
      (row as Record<string, unknown>)[field] = null;
    }
    recordSchemas[table].parse(row);
    await this.db.table(table).put(row);
    this.touch(table, row);
  }

  /** Changes some fields of a record that is there; does nothing for one that is gone. */
  async change<T extends TableName>(table: T, id: string, part: Partial<RecordOf<T>>): Promise<void> {
    const before = (await this.db.table(table).get(id)) as RecordOf<T> | undefined;
    if (before !== undefined) await this.put(table, { ...before, ...part });
  }

  /** Stores a new record that goes again when the act is undone. */
  async bring<T extends TableName>(table: T, record: RecordOf<T>): Promise<void> {
    await this.put(table, record);
    this.taken.push({ table, added: record.id });
  }

  /** Takes a record away and keeps it for undo. */
  async remove(table: TableName, id: string): Promise<void> {
    const row = (await this.db.table(table).get(id)) as Record<string, unknown> | undefined;
    if (row === undefined) return;
    await this.db.table(table).delete(id);
    this.taken.push({ table, rows: [row] });
    this.touch(table, row);
  }

  /** Takes all records of a table away whose indexed field has this value. */
  async removeAll(table: TableName, field: string, value: string): Promise<void> {
    const ids = await this.db.table(table).where(field).equals(value).primaryKeys();
    for (const id of ids) await this.remove(table, String(id));
  }

  /** Empties a link of all records that point to something that goes. */
  async unlink(table: TableName, field: string, value: string): Promise<void> {
    const ids = await this.db.table(table).where(field).equals(value).primaryKeys();
    for (const id of ids) {
      await this.db.table(table).update(id, { [field]: null });
      this.taken.push({ table, field: { id: String(id), name: field, before: value, after: null } });
      this.touch(table, (await this.db.table(table).get(id)) as Record<string, unknown>);
    }
  }

  /** Marks what changed without this writer, for the lines of the lists. */
  touch(table: string, row: Record<string, unknown>): void {
    if (table === 'rolls') this.rolls.add(String(row.id));
    if (table === 'stocks') this.stocks.add(String(row.id));
    if (table === 'runs') this.runs.add(String(row.id));
    if (table === 'verdicts') this.runs.add(String(row.runId));
    if (['plans', 'runs', 'verdicts', 'evidence'].includes(table)) this.rolls.add(String(row.rollId));
  }

  /** Ends the act: the lists follow, and what was taken is kept. */
  async finish(what: string | null): Promise<void> {
    for (const stockId of this.stocks) {
      for (const id of await this.db.rolls.where({ stockId }).primaryKeys()) this.rolls.add(id);
    }
    const renamed = this.stocks.size > 0 || this.rolls.size > 0;
    if (renamed) {
      for (const id of await this.db.runs
        .where('rollId')
        .anyOf([...this.rolls])
        .primaryKeys())
        this.runs.add(id);
    }
    await refreshLines(this.db, this.rolls, this.runs);
    if (what === null) return;
    const actId = await this.db.acts.add({ atMs: Date.now(), what, kind: 'part', version: latestVersion() });
    await this.db.kept.bulkAdd(this.taken.map((one) => ({ ...one, actId })) as Kept[]);
    await forgetOlder(this.db);
  }
}

/** Lets go of what the oldest acts kept. */
export function forgetOlder(db: AetasDatabase): PromiseLike<void> {
  return inSteps(
    (function* () {
      const all = yield* step(db.acts.filter(({ kind }) => kind !== 'upgrade').primaryKeys());
      for (const id of all.slice(0, -KEPT_ACTS)) {
        yield* step(db.acts.delete(id));
        yield* step(db.kept.where({ actId: id }).delete());
      }
    })(),
  );
}

interface ActOptions {
  /** What is told where the act can be undone, as in “removing …”; left out for one that takes nothing away. */
  undo?: string;
  /** Frees space although there is no room for a copy: then it cannot be undone. */
  withoutCopy?: boolean;
  /** The form whose typed fields this act stores. */
  typed?: TypedUpTo;
}

/**
 * One act of the user. All that it writes and all that it keeps for undo is one transaction: it happens whole or not at all.
 * @param name which act it is; trouble in storing is told and cleared by this name
 * @param body what it writes
 * @returns what the body returns
 */
export function act<T>(name: string, body: (writer: Writer) => Promise<T>, options: ActOptions = {}): Promise<T> {
  return guardedWrite(name, () => {
    const db = database();
    return db.transaction('rw', actTables, async () => {
      const writer = new Writer(db);
      const value = await body(writer);
      if (options.typed !== undefined) await markTyped(db, options.typed);
      await writer.finish(options.withoutCopy === true ? null : (options.undo ?? null));
      return value;
    });
  });
}

/** Stamps for a new record. */
export function newStamps(): { id: string; createdMs: number; updatedMs: number } {
  const nowMs = Date.now();
  return { id: crypto.randomUUID(), createdMs: nowMs, updatedMs: nowMs };
}

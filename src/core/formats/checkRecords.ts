import { problemsFromZod } from '../schema/problemsFromZod';
import { quickCheck, type QuickCheck } from '../schema/quickCheck';
import { failure, success, type Problem, type Result } from '../schema/result';
import { recordSchemas, type Aside, type Records, type TableName } from '../records/records';
import { tableNames } from '../records/tables';
import { links } from './links';

type Row = Record<string, unknown>;

/** Where what cannot stay goes: `refuse` makes a fault of it, `aside` keeps it apart so that the rest is never lost. */
export type Misfits = 'refuse' | 'aside';

/** How many faults are listed at the most. */
const MOST_PROBLEMS = 200;

/**
 * Checks records table by table, in the order of `tableNames`: shape and limits, identities, links. Links that may be empty
 * and lead nowhere are cleared; records whose roll, run or plan is gone are set aside, and so are forms that no longer read.
 */
export class RecordCheck {
  /** Faults for which a file is not taken. */
  readonly problems: Problem[] = [];
  /** What was set aside. */
  readonly aside: Aside[] = [];
  /** Links that were cleared. */
  cleared = 0;
  /** Records whose time lay in the future: it counts as now, or no merge would ever bring a newer one. */
  redated = 0;
  private readonly ids = new Map<TableName, Set<string>>(tableNames.map((name) => [name, new Set()]));
  private readonly counts = new Map<TableName, number>();

  /**
   * @param atMs instant that set-aside records carry, ms since the epoch
   * @param misfits what happens to a record whose shape or value is wrong
   */
  constructor(
    private readonly atMs: number,
    private readonly misfits: Misfits = 'refuse',
  ) {}

  /**
   * Takes some records of a table.
   * @param table their table; tables come in the order of `tableNames`
   * @param rows records of an unknown shape
   * @returns those that hold, with dead links cleared
   */
  take<T extends TableName>(table: T, rows: readonly unknown[]): Records[T] {
    const kept: Row[] = [];
    for (const raw of rows) {
      const index = this.counts.get(table) ?? 0;
      this.counts.set(table, index + 1);
      const row = withPlainIds(table, raw);
      const read = readRecord(table, row);
      if (!read.ok) {
        const faults = read.problems;
        if (table === 'drafts' || this.misfits === 'aside') this.setAside(table, raw, faults[0]?.message ?? '');
        else this.refuse(...faults.map((fault) => ({ ...fault, path: pathTo(table, index, fault.path) })));
        continue;
      }
      const record = read.value;
      const known = this.ids.get(table) as Set<string>;
      if (known.has(record.id)) {
        if (this.misfits === 'aside') this.setAside(table, raw, 'Its id occurs twice.');
        else this.refuse({ path: pathTo(table, index, 'id'), message: `The id “${record.id}” occurs twice.` });
        continue;
      }
      const dead = this.deadLink(table, record);
      if (dead !== null) {
        this.setAside(table, raw, dead);
        continue;
      }
      known.add(record.id);
      if (redate(record, this.atMs)) this.redated += 1;
      kept.push(record);
    }
    return kept as unknown as Records[T];
  }

  private deadLink(table: TableName, record: Row): string | null {
    for (const { field, target, nullable } of links[table] ?? []) {
      const id = record[field] ?? null;
      if (id === null || this.ids.get(target)?.has(String(id))) continue;
      if (!nullable) return `It belongs to “${String(id)}”, which is not among the ${target} any more.`;
      record[field] = null;
      this.cleared += 1;
    }
    return null;
  }

  private setAside(table: TableName, record: unknown, why: string): void {
    if (table === 'aside') return;
    this.aside.push({
      id: `aside-${this.atMs}-${this.aside.length}`,
      from: table,
      why: why.slice(0, 300),
      record: asText(record),
      createdMs: this.atMs,
    });
  }

  private refuse(...problems: Problem[]): void {
    if (this.problems.length < MOST_PROBLEMS) this.problems.push(...problems);
  }
}

/** A clock that is ahead by less than this is only that, ms. Source: our choice. */
const AHEAD_MS = 86_400_000;

/**
 * Counts times of a record that lie in the future as now.
 * @param record the record; changed in place
 * @param nowMs this instant, ms since the epoch
 * @returns whether there were any
 */
export function redate(record: Row, nowMs: number): boolean {
  const ahead = Object.entries(record).filter(
    ([field, value]) => field.endsWith('Ms') && typeof value === 'number' && value > nowMs + AHEAD_MS,
  );
  for (const [field] of ahead) record[field] = nowMs;
  return ahead.length > 0;
}

const quickChecks = new Map<TableName, QuickCheck>();

/** A record of a table as its schema gives it: a copy, so that nobody else's record changes. */
function readRecord(table: TableName, row: unknown): Result<Row & { id: string }> {
  const quick = quickChecks.get(table) ?? quickCheck(recordSchemas[table]);
  quickChecks.set(table, quick);
  if (quick(row)) return success({ ...(row as Row & { id: string }) });
  const parsed = recordSchemas[table].safeParse(row);
  return parsed.success
    ? success(parsed.data as unknown as Row & { id: string })
    : failure(...problemsFromZod(parsed.error.issues));
}

function pathTo(table: string, index: number, field: string): string {
  return `records.${table}[${index}]${field === '' ? '' : `.${field}`}`;
}

/** A record as JSON text; a set-aside photograph leaves its picture behind. */
function asText(record: unknown): string {
  try {
    return JSON.stringify(record) ?? '';
  } catch {
    return '';
  }
}

/** Identities stand in addresses: what does not belong there becomes a dash, in the record and in its links alike. */
function withPlainIds(table: TableName, raw: unknown): unknown {
  if (typeof raw !== 'object' || raw === null || table === 'drafts') return raw;
  const row = raw as Row;
  const fields = ['id', ...(links[table] ?? []).map(({ field }) => field)];
  const odd = fields.filter((field) => typeof row[field] === 'string' && /[^\w.:-]/.test(row[field]));
  if (odd.length === 0) return row;
  return { ...row, ...Object.fromEntries(odd.map((field) => [field, plainId(row[field] as string)])) };
}

function plainId(id: string): string {
  return id.replace(/[^\w.:-]+/g, '-').slice(0, 100);
}

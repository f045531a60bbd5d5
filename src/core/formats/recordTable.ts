import Papa from 'papaparse';
import { recordSchemas, type Records } from '../records/records';
import { failure, success, type Problem, type Result } from '../schema/result';
import { problemsFromZod } from '../schema/problemsFromZod';
import { safeCsv } from './csv';

/** Tables that go out as CSV, and come back in. */
export const csvTables = ['runs', 'readings', 'evidence'] as const;
export type CsvTable = (typeof csvTables)[number];

/** Column that says which table a line belongs to. */
const TABLE = 'table';

/** What would be read as something else than a text: such texts stand in quotation marks of their own. */
const LOOKS_OTHERWISE = /^(-?[\d.]|true$|false$|null$|[[{"'])/;

/** What `safeCsv` puts before a text that a spreadsheet would run. */
const MADE_SAFE = /^'(?=[=+\-@\t\r])/;

/** The most lines and the most faults that are told. */
const MOST_LINES = 100_000;
const MOST_PROBLEMS = 200;

type Row = Record<string, unknown>;

/**
 * Records as a table: one line each, one column for each value, named by its way through the record (`pinned.timeMin`). Lists
 * stand as JSON in one column.
 * @param table which records
 * @param rows the records
 * @returns CSV, safe for spreadsheets; `readRecordTable` reads it back to the same records
 */
export function recordTable<T extends CsvTable>(table: T, rows: Records[T]): string {
  const lines = rows.map((row) => ({ [TABLE]: table, ...flat(row as unknown as Row) }));
  const columns = [...new Set([TABLE, ...lines.flatMap((line) => Object.keys(line))])];
  return safeCsv(lines.map((line) => Object.fromEntries(columns.map((column) => [column, valueAt(line, column)]))));
}

/**
 * Reads records back from a table.
 * @param text CSV as `recordTable` writes it; a spreadsheet may have changed it since
 * @returns the records of its table, or every fault with its line; nothing is taken from a file with a fault
 */
export function readRecordTable(text: string): Result<{ table: CsvTable; rows: Records[CsvTable] }> {
  const { data, meta } = Papa.parse<Record<string, string>>(text, { header: true, skipEmptyLines: true });
  const names = new Set(data.map((line) => line[TABLE]));
  const table = csvTables.find((one) => names.has(one));
  if (meta.fields?.includes(TABLE) !== true || table === undefined || names.size > 1)
    return failure({
      path: TABLE,
      message: `This is not a table of records: its column “${TABLE}” must say ${csvTables.join(', ')}. Save one under Records.`,
    });
  if (data.length > MOST_LINES) return failure({ path: '', message: `There are more than ${MOST_LINES} lines.` });
  const problems: Problem[] = [];
  const rows = data.flatMap((line, index) => {
    const read = recordSchemas[table].safeParse(nested(line));
    if (read.success) return [read.data];
    if (problems.length < MOST_PROBLEMS)
      problems.push(
        ...problemsFromZod(read.error.issues).map((fault) => ({ ...fault, path: `line ${index + 2}, ${fault.path}` })),
      );
    return [];
  });
  return problems.length > 0 ? failure(...problems) : success({ table, rows: rows as Records[CsvTable] });
}

function valueAt(line: Row, column: string): string | number {
  return Object.hasOwn(line, column) ? (line[column] as string | number) : '';
}

/** A record with one level: its values as they stand in their columns. */
function flat(row: Row, before = ''): Record<string, string | number> {
  const columns: Record<string, string | number> = {};
  for (const [key, value] of Object.entries(row)) {
    const name = `${before}${key}`;
    if (value === undefined) continue;
    if (isBranch(value)) Object.assign(columns, flat(value, `${name}.`));
    else columns[name] = cellOf(value);
  }
  return columns;
}

/** Whether an object parts into columns: one with a key that would be taken for two stays whole. */
function isBranch(value: unknown): value is Row {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return false;
  const keys = Object.keys(value);
  return keys.length > 0 && keys.every((key) => key !== '' && !key.includes('.'));
}

function cellOf(value: unknown): string | number {
  if (typeof value === 'number') return value;
  if (typeof value === 'string' && value !== '' && !LOOKS_OTHERWISE.test(value)) return value;
  return JSON.stringify(value);
}

/** A record from its columns. */
function nested(line: Record<string, string>): Row {
  const row: Row = {};
  for (const [name, cell] of Object.entries(line)) {
    if (name === TABLE || cell === '' || typeof cell !== 'string') continue;
    const keys = name.split('.');
    // Columns such as `__proto__` belong to no record.
    if (keys.some((key) => key in Object.prototype)) continue;
    let at = row;
    for (const key of keys.slice(0, -1)) {
      const inner = at[key];
      at[key] = typeof inner === 'object' && inner !== null ? inner : {};
      at = at[key] as Row;
    }
    at[keys.at(-1) ?? ''] = valueOf(cell);
  }
  return row;
}

function valueOf(cell: string): unknown {
  const text = cell.replace(MADE_SAFE, '');
  if (text !== cell || !LOOKS_OTHERWISE.test(text)) return text;
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return text;
  }
}

import Papa from 'papaparse';
import { recordSchemas, type Records } from '../records/records';
import { failure, success, type Problem, type Result } from '../schema/result';
import { problemsFromZod } from '../schema/problemsFromZod';
import { MADE_SAFE, safeCsv } from './csv';

/** Tables that go out as CSV, and come back in. */
export const csvTables = ['runs', 'readings', 'evidence'] as const;
export type CsvTable = (typeof csvTables)[number];

/** Column that says which table a line belongs to. */
const TABLE = 'table';

/** What would be read as something else than a text: such texts stand in quotation marks of their own. */
const LOOKS_OTHERWISE = /^(-?[\d.]|true$|false$|null$|[[{"'])/;

/** The most lines and the most faults that are told. */
const MOST_LINES = 100_000;
const MOST_PROBLEMS = 200;

type Row = Record<string, unknown>;

/**
 * Records as a table: one line each, one column for each value, named by its way through the record (`pinned.timeMin`). Lists
 * stand as JSON in one column; instants as dates and times (ISO 8601) in columns that end in `Time`.
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
  const spoiled = unreadable(text);
  if (spoiled !== null) return failure(spoiled);
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
    const rounded = Object.entries(line).find(([name, cell]) => /Ms$/.test(name) && /^[\d.,]+E\+?\d+$/i.test(cell));
    if (rounded !== undefined) {
      if (problems.length < MOST_PROBLEMS)
        problems.push({
          path: `line ${index + 2}, ${rounded[0]}`,
          message: `A spreadsheet rounded this time to ${rounded[1]}. Save the table again: it writes dates now.`,
        });
      return [];
    }
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

/** Longest head line, letters. */
const LONGEST_HEAD = 100_000;

/** What no table of records has, and what would keep its reader busy for long. */
function unreadable(text: string): Problem | null {
  const nul = text.indexOf('\0');
  if (nul >= 0)
    return {
      path: `letter ${nul + 1}`,
      message: 'There is a NUL in this file: it is damaged, or no text. Save the table again where it came from.',
    };
  const [head = []] = Papa.parse<string[]>(text.slice(0, LONGEST_HEAD), { preview: 1 }).data;
  const foreign = head.find((name) => name.split('.').some((key) => key in Object.prototype));
  if (foreign !== undefined)
    return {
      path: foreign.slice(0, 80),
      message: 'No record has such a column. Take it out, or save the table again.',
    };
  const twice = head.find((name, index) => head.indexOf(name) !== index);
  if (twice !== undefined)
    return { path: twice.slice(0, 80), message: 'This column stands there twice. Leave one of them.' };
  return null;
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
    else if (isInstant(key, value)) columns[instantColumn(name)] = new Date(value).toISOString();
    else columns[name] = cellOf(value);
  }
  return columns;
}

/** A whole number of milliseconds since the epoch: fields of instants end so. */
function isInstant(key: string, value: unknown): value is number {
  return key.endsWith('Ms') && Number.isInteger(value) && Math.abs(value as number) <= 8.64e15;
}

/** Column of an instant, as `created` for `createdMs`: it holds a date and time of ISO 8601. */
function instantColumn(name: string): string {
  return `${name.slice(0, -2)}Time`;
}

/** A column that holds an instant, and the field that it stands for. */
const INSTANT_COLUMN = /^(.*)Time$/;
const ISO_INSTANT = /^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?(?:Z|[+-]\d{2}:?\d{2})?$/;

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
    const instant = INSTANT_COLUMN.exec(keys.at(-1) ?? '')?.[1];
    if (instant !== undefined && ISO_INSTANT.test(cell)) keys.splice(-1, 1, `${instant}Ms`);
    let at = row;
    for (const key of keys.slice(0, -1)) {
      const inner = at[key];
      at[key] = typeof inner === 'object' && inner !== null ? inner : {};
      at = at[key] as Row;
    }
    at[keys.at(-1) ?? ''] = instant !== undefined && ISO_INSTANT.test(cell) ? Date.parse(cell) : valueOf(cell);
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

import type { TableName } from '../records/records';
import { tableNames } from '../records/tables';
import { latestVersion } from './migrations';

/** What the first line of an exported file says it is. */
export const RECORDS_FORMAT = 'aetas-records';

/*
 * The records of a bench as JSON with one record a line: any program reads it whole, and Aetas reads and writes it in
 * pieces, so that a bench of any size fits through.
 */

/** First line of the file. */
export function headLine(exportedAt: string): string {
  const head = JSON.stringify({ format: RECORDS_FORMAT, version: latestVersion(), exportedAt });
  return `${head.slice(0, -1)},"records":{\n`;
}

/** Opens a table. */
export function tableLine(table: TableName): string {
  return `"${table}":[\n`;
}

/** Some records of a table; `first` when none stand before them. */
export function rowLines(rows: readonly unknown[], first: boolean): string {
  return rows.map((row, index) => `${first && index === 0 ? '' : ',\n'}${JSON.stringify(row)}`).join('');
}

/** Closes a table, and the file after the last one. */
export function endLine(table: TableName): string {
  return table === tableNames.at(-1) ? '\n]\n}}\n' : '\n],\n';
}

/** Whether a file's first line is of this layout and of this version; others are read whole. */
export function isOwnHead(line: string): boolean {
  try {
    const head = JSON.parse(`${line.trimEnd()}}}`) as { format?: unknown; version?: unknown };
    return head.format === RECORDS_FORMAT && head.version === latestVersion();
  } catch {
    return false;
  }
}

/** The longest line, and so the largest record, that is read, letters: more than any that Aetas wrote. Source: our choice. */
export const LONGEST_LINE = 16_000_000;

/**
 * Reads lines of this layout, in pieces of any length.
 * @example const lines = new RecordLines(); lines.push(text, (table, json) => …); lines.complete
 */
export class RecordLines {
  private rest = '';
  private table: TableName | null = null;
  private begun = false;
  /** Whether the last line was read: else the file was cut off. */
  complete = false;

  /**
   * @param piece the next letters of the file
   * @param onRow takes each record's own JSON text
   * @throws SyntaxError for a line that does not belong there
   */
  push(piece: string, onRow: (table: TableName, json: string) => void): void {
    const lines = (this.rest + piece).split('\n');
    this.rest = lines.pop() ?? '';
    if (this.rest.length > LONGEST_LINE)
      throw new SyntaxError(`one of its lines is longer than ${LONGEST_LINE / 1e6} MB`);
    for (const line of lines) this.line(line, onRow);
  }

  private line(line: string, onRow: (table: TableName, json: string) => void): void {
    if (!this.begun) {
      if (!isOwnHead(line)) throw new SyntaxError('The first line is not that of a file of this version.');
      this.begun = true;
      return;
    }
    if (line === '' || line === ']' || line === '],') return;
    if (line === '}}') {
      this.complete = true;
      return;
    }
    const opened = /^"(\w+)":\[$/.exec(line)?.[1];
    if (opened !== undefined) {
      this.table = tableNames.find((name) => name === opened) ?? null;
      if (this.table === null) throw new SyntaxError(`There is no table “${opened}”.`);
      return;
    }
    if (this.table === null) throw new SyntaxError('A record stands before the first table.');
    onRow(this.table, line.endsWith(',') ? line.slice(0, -1) : line);
  }
}

import Papa from 'papaparse';

/** What a spreadsheet would run, also where the text has several lines: the package’s own pattern stops at the first. */
const FORMULA = /^[=+\-@\t\r][\s\S]*$/;

/**
 * Rows as a table for a spreadsheet.
 * @param rows rows with the same columns
 * @returns CSV with one head line (RFC 4180); a text that a spreadsheet would run as a formula is made text
 */
export function safeCsv(rows: readonly Record<string, string | number>[]): string {
  return Papa.unparse([...rows], { escapeFormulae: FORMULA, newline: '\r\n' });
}

import Papa from 'papaparse';

/**
 * What a spreadsheet would run: signs that begin a formula, also full-width ones, and behind what it passes over, such as a NUL, a
 * space or a line break. The package’s own pattern stops at the first line.
 */
const FORMULA = /^(?:[\t\r]|[\0\s]*[=+\-@＝＋－＠])[\s\S]*$/;

/** What `safeCsv` puts before a text that a spreadsheet would run. */
export const MADE_SAFE = /^'(?=[\t\r]|[\0\s]*[=+\-@＝＋－＠])/;

/**
 * Rows as a table for a spreadsheet.
 * @param rows rows with the same columns
 * @returns CSV with one head line (RFC 4180); a text that a spreadsheet would run as a formula is made text
 */
export function safeCsv(rows: readonly Record<string, string | number>[]): string {
  return Papa.unparse([...rows], { escapeFormulae: FORMULA, newline: '\r\n' });
}

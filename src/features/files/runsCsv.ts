import { contrastGrades } from '@/core/outcome/grades';
import type { RunLine } from '@/data/lines';
import { safeCsv } from '@/core/formats/csv';

/**
 * The log as a table for a spreadsheet.
 * @param lines runs as the log lists them
 * @returns CSV with one head line (RFC 4180); a cell that a spreadsheet would run as a formula is made text
 */
export function runsCsv(lines: readonly RunLine[]): string {
  const rows = lines.map((line) => ({
    begun: new Date(line.startedMs).toISOString(),
    roll: line.roll,
    film: line.film,
    developer: line.developer,
    temperature_c: line.temperatureC,
    planned_s: Math.round(line.plannedMin * 60),
    low_s: Math.round(line.lowMin * 60),
    high_s: Math.round(line.highMin * 60),
    developed_s: line.developedS === null ? '' : Math.round(line.developedS),
    needed_s: line.needed == null ? '' : Math.round(line.needed.timeMin * 60),
    contrast: line.verdict === null ? '' : line.verdict.contrast,
    contrast_words:
      line.verdict === null ? '' : contrastGrades[String(line.verdict.contrast) as keyof typeof contrastGrades],
    fog: line.verdict?.fog ?? '',
    note: line.verdict?.note ?? '',
  }));
  return safeCsv(rows);
}

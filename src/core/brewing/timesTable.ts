import Papa from 'papaparse';
import * as z from 'zod';
import type { Parts } from '../chemistry/dilution';
import type { Problem } from '../schema/result';
import { readMinutes } from '../units/duration';
import { readQuantity, type UnitChoice } from '../units/quantity';
import { MOST_LEAFLET_TIMES, readLeafletTime, type LeafletTime } from './leaflet';

/** What a table of times may say, a column each. Film and time it has to. */
export const timeColumnIds = ['film', 'time', 'dilution', 'temperature'] as const;
export type TimeColumnId = (typeof timeColumnIds)[number];

/** Which column says what; empty for none. */
export const timeColumnsSchema = z.record(z.enum(timeColumnIds), z.string().max(200));
export type TimeColumns = z.infer<typeof timeColumnsSchema>;

/** What columns are called by those who keep such tables, as it is found in their heads. Source: common practice, no source. */
const known: Record<TimeColumnId, RegExp> = {
  film: /film|stock|emulsion/i,
  time: /time|min/i,
  dilution: /dilut|ratio|\d\+\d/i,
  temperature: /temp|°|deg/i,
};

/** Most lines that are looked at. */
const MOST_LINES = 2000;

/** The temperature of tables that give none, °C. Source: common practice. */
const USUAL_C = 20;

/** A table as it was pasted: the heads of its columns, and its lines. */
export interface PastedTable {
  columns: string[];
  lines: Record<string, string>[];
}

/**
 * Reads a table by its first line. Commas, semicolons and tabs are told apart by the package.
 * @param text as it was pasted, or a file
 * @returns null where there is no table: fewer than two columns or no line below its head
 */
export function pastedTable(text: string): PastedTable | null {
  const { data, meta } = Papa.parse<Record<string, string>>(text.trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (head) => head.trim(),
  });
  const columns = (meta.fields ?? []).filter((name) => name !== '');
  return columns.length < 2 || data.length === 0 ? null : { columns, lines: data.slice(0, MOST_LINES) };
}

/**
 * Which column says what, by its head.
 * @param columns heads of the table
 * @param before as it was named for the table before: heads that are there again keep their meaning
 */
export function guessColumns(columns: readonly string[], before: Partial<TimeColumns> = {}): TimeColumns {
  const taken = new Set<string>();
  const found = {} as TimeColumns;
  for (const id of timeColumnIds) {
    const told = before[id];
    const column =
      told !== undefined && columns.includes(told)
        ? told
        : (columns.find((name) => !taken.has(name) && known[id].test(name)) ?? '');
    if (column !== '') taken.add(column);
    found[id] = column;
  }
  return found;
}

/** Times of a table, and the lines that were left out. */
export interface ReadTimes {
  times: LeafletTime[];
  faults: Problem[];
}

/**
 * Reads the times of a table by its columns.
 * @param table as it was pasted
 * @param columns which says what; those of film and time have to be named
 * @param letters dilutions that are noted on the bottle
 * @param usual the usual dilution of its class
 * @param units how bare numbers are meant
 * @returns times that read, and each line that does not with the reason. What may mean two things is not guessed
 */
export function readTimesTable(
  { lines }: PastedTable,
  columns: TimeColumns,
  letters: readonly { letter: string; parts: Parts }[],
  usual: Parts,
  units: UnitChoice,
): ReadTimes {
  const faults: Problem[] = [];
  for (const id of ['film', 'time'] as const)
    if (columns[id] === '') faults.push({ path: id, message: `Name the column of the ${id}.` });
  if (faults.length > 0) return { times: [], faults };
  const cell = (line: Record<string, string>, id: TimeColumnId): string =>
    columns[id] === '' ? '' : (line[columns[id]] ?? '').trim();
  const times = lines.flatMap((line, index): LeafletTime[] => {
    const path = `line ${index + 2}`;
    const refuse = (message: string): LeafletTime[] => {
      faults.push({ path, message });
      return [];
    };
    const said = cell(line, 'time');
    const minutes = readMinutes(said);
    if (minutes === null) return refuse(`“${said}” is no time.`);
    if (minutes.other !== null)
      return refuse(`“${said}” may be ${minutes.minutes} or ${minutes.other.value} min. Write 7:30 or 7.5.`);
    const warm = cell(line, 'temperature');
    const temperature = warm === '' ? null : readQuantity(warm, 'temperature', units);
    if (temperature !== null && !temperature.ok) return refuse(`“${warm}” is no temperature.`);
    if (temperature?.ok === true && temperature.value.other !== null)
      return refuse(`“${warm}” may be °C or °F. Write which.`);
    const read = readLeafletTime(
      {
        film: cell(line, 'film'),
        dilution: cell(line, 'dilution'),
        temperatureC: temperature === null ? USUAL_C : temperature.value.value,
        timeMin: minutes.minutes,
      },
      letters,
      usual,
    );
    return read.ok ? [read.value] : refuse(read.problems[0]?.message ?? 'It does not read.');
  });
  return { times, faults };
}

const sameTime = (a: LeafletTime, b: LeafletTime): boolean =>
  a.film.toLowerCase() === b.film.toLowerCase() &&
  a.temperatureC === b.temperatureC &&
  a.timeMin === b.timeMin &&
  a.parts.concentrate * b.parts.water === b.parts.concentrate * a.parts.water;

/**
 * Times of a bottle with those of a table.
 * @returns without repeats, the last ones where they are more than a bottle holds; and how many were new
 */
export function withTimes(
  before: readonly LeafletTime[],
  more: readonly LeafletTime[],
): { times: LeafletTime[]; added: number } {
  const fresh = more.filter(
    (time, at) => !before.some((one) => sameTime(one, time)) && more.findIndex((one) => sameTime(one, time)) === at,
  );
  return { times: [...before, ...fresh].slice(-MOST_LEAFLET_TIMES), added: Math.min(fresh.length, MOST_LEAFLET_TIMES) };
}

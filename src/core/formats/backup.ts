import * as z from 'zod';
import { problemsFromZod } from '../schema/problemsFromZod';
import { failure, success, type Problem, type Result } from '../schema/result';
import { latestVersion, migrate, migrations, type Migration, type RawRecords } from './migrations';
import { recordSchemas, type Records, type TableName } from '../records/records';
import { noRecords, tableNames } from '../records/tables';

/** What the first line of an exported file says it is. */
export const BACKUP_FORMAT = 'aetas-records';

const headSchema = z.object({
  format: z.literal(BACKUP_FORMAT),
  version: z.number().int().min(1),
  exportedAt: z.string(),
  records: z.record(z.string(), z.array(z.unknown())),
});

/**
 * Writes all records as one JSON text.
 * @param records every record, by table
 * @param exportedAt instant of the export, ISO 8601
 * @returns JSON text with the format's name and version, indented so that people can read it
 */
export function writeBackup(records: Records, exportedAt: string): string {
  return `${JSON.stringify({ format: BACKUP_FORMAT, version: latestVersion(), exportedAt, records }, null, 1)}\n`;
}

/**
 * Reads an exported file. It is taken whole or not at all.
 * @param text contents of the file
 * @param steps migrations, oldest first
 * @returns the records, or every fault found with its path in the file
 */
export function readBackup(text: string, steps: readonly Migration[] = migrations): Result<Records> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    const detail = error instanceof Error ? ` (${error.message})` : '';
    return failure({
      path: '',
      message: `The file is not JSON, or it was cut off${detail}. Export it again where it came from.`,
    });
  }
  const named = z.object({ format: z.literal(BACKUP_FORMAT) }).safeParse(json);
  if (!named.success)
    return failure({
      path: 'format',
      message: `This file was not exported by Aetas: its format is not “${BACKUP_FORMAT}”.`,
    });
  const head = headSchema.safeParse(json);
  if (!head.success) return failure(...problemsFromZod(head.error.issues));
  const { version, records } = head.data;
  if (version > latestVersion(steps)) {
    return failure({
      path: 'version',
      message: `The file has version ${version}, and this Aetas reads up to ${latestVersion(steps)}. Open it with a newer Aetas.`,
    });
  }
  return checkRecords(migrate(records, version, steps));
}

function checkRecords(raw: RawRecords): Result<Records> {
  const problems: Problem[] = Object.keys(raw)
    .filter((name) => !tableNames.includes(name as TableName))
    .map((name) => ({ path: `records.${name}`, message: `There is no table “${name}”.` }));
  const records = noRecords();
  for (const name of tableNames) {
    const parsed = z.array(recordSchemas[name]).safeParse(raw[name] ?? []);
    if (parsed.success) Object.assign(records, { [name]: parsed.data });
    else
      problems.push(
        ...problemsFromZod(parsed.error.issues).map((problem) => ({
          ...problem,
          path: `records.${name}${problem.path}`,
        })),
      );
  }
  if (problems.length === 0) problems.push(...danglingLinks(records), ...doubledIds(records));
  return problems.length === 0 ? success(records) : failure(...problems);
}

/** Which field of which table points to which table. */
const links: readonly { table: TableName; field: string; target: TableName }[] = [
  { table: 'rolls', field: 'stockId', target: 'stocks' },
  { table: 'plans', field: 'rollId', target: 'rolls' },
  { table: 'plans', field: 'brewId', target: 'brews' },
  { table: 'runs', field: 'rollId', target: 'rolls' },
  { table: 'runs', field: 'planId', target: 'plans' },
  { table: 'runs', field: 'brewId', target: 'brews' },
  { table: 'verdicts', field: 'runId', target: 'runs' },
  { table: 'verdicts', field: 'rollId', target: 'rolls' },
  { table: 'photos', field: 'rollId', target: 'rolls' },
  { table: 'evidence', field: 'rollId', target: 'rolls' },
  { table: 'mixes', field: 'rollId', target: 'rolls' },
  { table: 'mixes', field: 'brewId', target: 'brews' },
];

function danglingLinks(records: Records): Problem[] {
  return links.flatMap(({ table, field, target }) => {
    const known = new Set(records[target].map((record) => record.id as string));
    return records[table].flatMap((record, index) => {
      const value = (record as unknown as Record<string, string | null>)[field];
      if (value === null || value === undefined || known.has(value)) return [];
      return [
        {
          path: `records.${table}[${index}].${field}`,
          message: `It points to “${value}”, which is not among the ${target} of this file.`,
        },
      ];
    });
  });
}

function doubledIds(records: Records): Problem[] {
  return tableNames.flatMap((table) => {
    const seen = new Set<string>();
    return records[table].flatMap((record, index) => {
      if (!seen.has(record.id)) {
        seen.add(record.id);
        return [];
      }
      return [{ path: `records.${table}[${index}].id`, message: `The id “${record.id}” occurs twice.` }];
    });
  });
}

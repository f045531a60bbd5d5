import type { DBCore, DBCoreCursor, DBCoreTable, Middleware } from 'dexie';

/*
 * The browser copies a tree of objects into its database node by node, and a text at once: ten times faster. Rows of large
 * tables are stored as one JSON text, with the columns that queries use beside it. Nobody above the database sees it.
 */

/** A row as the database holds it. */
type Stored = Record<string, unknown> & { packed?: string };

/** Tables whose rows are packed, with the columns that stay beside the text: their key and what is indexed. */
export const packedTables: Readonly<Record<string, readonly string[]>> = {
  rolls: ['id', 'stockId', 'boxId'],
  plans: ['id', 'rollId', 'brewId'],
  runs: ['id', 'rollId', 'brewId'],
  verdicts: ['id', 'runId'],
};

/**
 * A row as the database holds it. One that is packed already stays as it is.
 * @param table its table
 * @param row plain values only, as JSON has them
 */
export function pack(table: string, row: unknown): unknown {
  const columns = packedTables[table];
  const plain = row as Stored;
  if (columns === undefined || typeof plain.packed === 'string') return row;
  const stored: Stored = {};
  for (const column of columns) if (plain[column] != null) stored[column] = plain[column];
  stored.packed = JSON.stringify(row);
  return stored;
}

/**
 * The row that was packed. Rows from before there was packing are as they were.
 * @param row a row as the database holds it
 */
export function unpack(row: unknown): unknown {
  const stored = row as Stored | undefined;
  if (typeof stored?.packed !== 'string') return row;
  return JSON.parse(stored.packed) as unknown;
}

/** Packs rows on their way into the database, and unpacks them on their way out. */
export const packing: Middleware<DBCore> = {
  stack: 'dbcore',
  name: 'Packed rows',
  // Beneath all that the database package itself puts between: it watches and caches whole rows.
  level: -10,
  create: (core) => ({ ...core, table: (name) => packedTable(core.table(name)) }),
};

function packedTable(table: DBCoreTable): DBCoreTable {
  if (packedTables[table.name] === undefined) return table;
  return {
    ...table,
    mutate: (request) =>
      table.mutate(
        request.type === 'add' || request.type === 'put'
          ? { ...request, values: request.values.map((row: unknown) => pack(table.name, row)) }
          : request,
      ),
    get: (request) => table.get(request).then(unpack),
    getMany: (request) => table.getMany(request).then((rows) => rows.map(unpack)),
    query: (request) =>
      table
        .query(request)
        .then((answer) => (request.values === true ? { ...answer, result: answer.result.map(unpack) } : answer)),
    openCursor: (request) => table.openCursor(request).then((cursor) => cursor && unpackedCursor(cursor)),
  };
}

/** A cursor over packed rows that shows whole ones. The browser's own getters work on its own cursor only. */
function unpackedCursor(cursor: DBCoreCursor): DBCoreCursor {
  return Object.create(cursor, {
    key: { get: (): unknown => cursor.key },
    primaryKey: { get: (): unknown => cursor.primaryKey },
    value: { get: () => unpack(cursor.value) },
  }) as DBCoreCursor;
}

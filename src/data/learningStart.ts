import { database } from './database';

/** Values of the unknowns, from the last fit of this bench's log. */
export type StartValues = [string, number][];

const ID = 'log';

/** Where learning from this bench may begin; null where nothing was kept, or it does not read. It moves no result, only the time until there is one. */
export async function readStart(): Promise<StartValues | null> {
  try {
    const kept = await database().starts.get(ID);
    const values = JSON.parse(kept?.values ?? 'null') as unknown;
    return Array.isArray(values) && values.every(isValue) ? values : null;
  } catch {
    return null;
  }
}

function isValue(entry: unknown): entry is [string, number] {
  return Array.isArray(entry) && typeof entry[0] === 'string' && Number.isFinite(entry[1]);
}

/** Keeps where learning may begin the next time. Where the storage refuses it, it begins from nothing. */
export async function keepStart(values: StartValues): Promise<void> {
  const rounded = values.map(([key, value]) => [key, Number(value.toPrecision(5))]);
  await database()
    .starts.put({ id: ID, values: JSON.stringify(rounded) })
    .catch(() => undefined);
}

import { runProgress } from '@/core/run/runProgress';
import { database } from './database';
import { allLines } from './shards';

/** Name of the browser's lock that a page holds while hands work by it. */
export const HANDS_LOCK = 'aetas.hands';

/** A run without a word for longer than this was left, and holds nothing up, ms. Source: our choice; longer than any stand. */
const LEFT_MS = 24 * 60 * 60_000;

/** Whether a film is in a tank, or hands work by any page: no moment to change anything under them. */
export async function handsAreBusy(): Promise<boolean> {
  const locks = await globalThis.navigator?.locks?.query();
  if (locks?.held?.some(({ name }) => name === HANDS_LOCK) === true) return true;
  const db = database();
  const open = await allLines(db, 'open');
  const runs = await db.runs
    .where('rollId')
    .anyOf(open.map(({ id }) => id))
    .toArray();
  return runs.some(
    ({ steps, events }) =>
      Date.now() - (events.at(-1)?.atMs ?? 0) < LEFT_MS && runProgress(steps, events).phase === 'running',
  );
}

import { useLiveQuery } from 'dexie-react-hooks';
import { benchName } from './benchName';
import { database } from './database';
import { immediately } from './immediateStore';
import { allLines, countLines } from './shards';

const key = (): string => `aetas.saved.${benchName()}`;

/** Notes that all records were saved as a file just now. It belongs to this browser, and to no record. */
export function noteSaved(atMs: number): void {
  immediately((store) => store.setItem(key(), String(atMs)));
}

/** What was done since all records were last saved as a file. */
export interface SinceSaved {
  /** When that was, ms since the epoch; null for never. */
  savedMs: number | null;
  /** Runs that began after it; all of them where it never was. */
  runs: number;
}

/** What was done since all records were last saved as a file; undefined while that is counted. */
export function useSinceSaved(): SinceSaved | undefined {
  return useLiveQuery(async () => {
    const kept = Number(immediately((store) => store.getItem(key())) ?? Number.NaN);
    if (!Number.isFinite(kept)) return { savedMs: null, runs: await countLines(database(), 'runs') };
    const lines = await allLines(database(), 'runs');
    return { savedMs: kept, runs: lines.filter(({ startedMs }) => startedMs > kept).length };
  });
}

import type { SinceSaved } from '@/data/lastSaved';

const DAY_MS = 86_400_000;
/** Runs, and days, after which the bench says that nothing was saved. Source: our choice. */
const REMIND_RUNS = 3;
const REMIND_DAYS = 7;

/** When everything was last saved as a file, and the runs since. */
export function sinceSavedWords({ savedMs, runs }: SinceSaved, nowMs: number): string {
  const count = runs === 0 ? 'no run' : runs === 1 ? '1 run' : `${runs} runs`;
  if (savedMs === null)
    return runs === 0 ? 'Not saved as a file yet.' : `Not saved as a file yet, with ${count} in the log.`;
  const days = Math.floor(Math.max(0, nowMs - savedMs) / DAY_MS);
  const when = days === 0 ? 'today' : days === 1 ? 'yesterday' : `${days} days ago`;
  return `Last saved as a file ${when}, ${count} since.`;
}

/** Whether it is worth a word on the bench. */
export function wantsSaving({ savedMs, runs }: SinceSaved, nowMs: number): boolean {
  return runs >= REMIND_RUNS && (savedMs === null || nowMs - savedMs >= REMIND_DAYS * DAY_MS);
}

import type { Run, Verdict } from '../records/records';
import { runProgress } from '../run/runProgress';
import { formatDuration } from '../units/duration';

/** A run as it is compared with others. */
export interface RunFacts {
  run: Run;
  film: string;
  verdict: Verdict | undefined;
  planned: string;
  developed: string;
  /** Mean of what was read in the tank, °C; null where nothing was. */
  measuredC: number | null;
}

/**
 * What is compared of a run.
 * @param run the run
 * @param film name of its film
 * @param verdict its verdict, if any
 */
export function runFacts(run: Run, film: string, verdict: Verdict | undefined): RunFacts {
  const { tookS, readings } = runProgress(run.steps, run.events);
  const at = run.steps.findIndex(({ kind }) => kind === 'develop');
  const took = tookS[at] ?? null;
  const read = readings.filter(({ stepIndex }) => stepIndex === at).map(({ celsius }) => celsius);
  return {
    run,
    film,
    verdict,
    planned: formatDuration(run.steps[at]?.durationS ?? 0),
    developed: took === null ? '' : formatDuration(took),
    measuredC: read.length === 0 ? null : read.reduce((sum, celsius) => sum + celsius, 0) / read.length,
  };
}

/** The baths around development, by their names and lengths. */
export function bathsOf({ run }: Pick<RunFacts, 'run'>): string {
  return run.steps
    .filter(({ kind }) => kind !== 'develop')
    .map(({ name, durationS }) => `${name} ${formatDuration(durationS)}`)
    .join(', ');
}

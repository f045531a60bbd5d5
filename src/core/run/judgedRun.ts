import type { Records, Run, Verdict } from '../records/records';
import { imageOf } from '../outcome/grades';
import { neededTime, type HeldRun } from '../outcome/neededTime';
import { timeForDose } from '../thermal/drift';
import { developingTank } from './developingTank';
import { runProgress } from './runProgress';
import { tankDose } from './tankTemperature';

/** A run that was judged: what it was set up with, how long it developed, and the verdict. */
export interface JudgedRun {
  runId: string;
  rollId: string;
  verdictId: string;
  /** Instant of the verdict, ms since the epoch. */
  atMs: number;
  /** Year in which it was developed: its film is as old as it was then. */
  year: number;
  setup: NonNullable<Run['setup']>;
  /** Minutes of the bath that was planned. */
  timeMin: number;
  /** Null for film without an image: it says nothing of its contrast. */
  contrast: Verdict['contrast'] | null;
  fog: Verdict['fog'];
  /** The contrast judged once more on other days. */
  again: readonly number[];
  /** The time that it would have needed, beside the band that was pinned; null where that is not known. */
  held: HeldRun | null;
}

/**
 * A run and its verdict as evidence.
 * @returns null for a run that nobody kept the setting of, and for clear film without any image: it may never have been exposed, and
 * says nothing of its development. Black film teaches its fog
 */
export function judgedRun(run: Run, verdict: Verdict): JudgedRun | null {
  const image = imageOf(verdict.defects);
  if (run.setup === null || image === 'clear') return null;
  const { id, createdMs, fog } = verdict;
  const contrast = image === 'black' ? null : verdict.contrast;
  return {
    runId: run.id,
    rollId: run.rollId,
    verdictId: id,
    atMs: createdMs,
    year: new Date(developedMs(run)).getFullYear(),
    // A run from before the tank's volume was in its setting has it beside it.
    setup: run.volumeMl === undefined ? run.setup : { tankMl: run.volumeMl, ...run.setup },
    timeMin: developedMin(run),
    contrast,
    fog,
    again: (verdict.again ?? []).map((one) => one.contrast),
    held: contrast === null ? null : heldOf(run, contrast),
  };
}

function heldOf(run: Run, contrast: number): HeldRun | null {
  const { outlook, lowMin, highMin, widening } = run.pinned;
  const needed = outlook === undefined ? null : neededTime(developedMin(run), contrast, outlook);
  return needed === null
    ? null
    : { neededMin: needed.timeMin, lowMin, highMin, ...(widening === undefined ? {} : { widening }) };
}

/** When a run was developed, ms since the epoch: when its film hung, else when its first bath went in. */
function developedMs(run: Run): number {
  const { finishedMs, startedMs } = runProgress(run.steps, run.events);
  return finishedMs ?? startedMs ?? run.createdMs;
}

/**
 * Every run that was judged and teaches something.
 * @param records runs and their verdicts
 */
export function judgedRuns({ runs, verdicts }: Pick<Records, 'runs' | 'verdicts'>): JudgedRun[] {
  const runById = new Map(runs.map((run) => [run.id, run]));
  return verdicts.flatMap((verdict) => {
    const run = runById.get(verdict.runId);
    return (run === undefined ? null : judgedRun(run, verdict)) ?? [];
  });
}

/**
 * How long a run developed, as minutes of the bath that was planned.
 * @returns min; the pinned time where nobody timed it
 */
export function developedMin(run: Run): number {
  const index = run.steps.findIndex((step) => step.kind === 'develop');
  const { tookS, readings } = runProgress(run.steps, run.events);
  const took = tookS[index] as number;
  if (took <= 0) return run.pinned.timeMin;
  const inHand = developingTank(run, index, readings);
  if (inHand === null) return took / 60;
  // What was measured in the tank counts as so many minutes of the bath that was planned.
  const { tank, q10 } = inHand;
  const doseMin = tankDose(tank, q10, run.temperatureC, took);
  const ambientC = run.setup?.ambientC ?? null;
  if (ambientC === null) return doseMin;
  return timeForDose({ startC: run.temperatureC, ambientC, timeConstantMin: inHand.timeConstantMin }, q10, doseMin);
}

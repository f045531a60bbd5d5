import { filmEquivalents } from '@/core/films/filmFormats';
import type { Plan, Run } from '@/core/records/records';
import { brewWear } from '@/core/plan/estimateRequestFor';
import { developerName } from '@/core/plan/developerName';
import type { RunEvent } from '@/core/schedule/runEvents';
import { runProgress } from '@/core/schedule/runState';
import { wetSteps } from '@/core/schedule/wetSteps';
import { roundToPourable } from '@/core/units/duration';
import { act, newStamps, type Writer } from './act';

/**
 * Lays out a run of a pinned plan. A run of this roll that has not begun is laid out again instead of doubled.
 * @returns the run's id
 */
export async function layOutRun(plan: Plan): Promise<string> {
  const { pinned } = plan;
  if (pinned === null) throw new Error('A run needs a pinned plan.');
  return act(`run:${plan.rollId}`, async (writer) => {
    const idle = await writer.db.runs
      .where({ rollId: plan.rollId })
      .filter((run) => run.events.length === 0)
      .first();
    const run: Run = {
      ...(idle ?? newStamps()),
      rollId: plan.rollId,
      planId: plan.id,
      brewId: plan.brewId,
      developerName: developerName(plan.developer),
      temperatureC: plan.temperatureC,
      pinned,
      setup: await setupOf(writer, plan),
      steps: wetSteps(
        Math.round(roundToPourable(pinned.timeMin) * 60),
        plan.agitationId,
        plan.wet,
        plan.developer.kind === 'one-bath',
      ),
      events: [],
    };
    await writer.put('runs', run);
    return run.id;
  });
}

/** What a run is set up with, as the log will want to know it. */
async function setupOf(writer: Writer, plan: Plan): Promise<Run['setup']> {
  const brew = plan.brewId === null ? undefined : await writer.db.brews.get(plan.brewId);
  // What was really weighed goes before what was planned.
  const { developer, bromideGPerL } =
    brew?.developer == null ? plan : { developer: brew.developer, bromideGPerL: brew.bromideGPerL };
  const { temperatureC, ambientC, agitationId, brewId, target } = plan;
  return {
    developer,
    bromideGPerL,
    wear: brewWear(brew, plan.volumeMl, Date.now()),
    temperatureC,
    ambientC,
    agitationId,
    brewId,
    mixingLnSd: brew?.mixingLnSd ?? null,
    target,
  };
}

/**
 * Adds events to a run, unless another tab was faster: they count only when the run still has as many events as this tab
 * saw. So two tabs, or a double tap, never skip a step.
 * @param runId the run
 * @param seen number of events that this tab saw when the user acted
 * @param events what happened, in order
 * @returns whether the events were taken
 */
export function recordEvents(runId: string, seen: number, events: readonly RunEvent[]): Promise<boolean> {
  return act(`tank:${runId}`, async (writer) => {
    const run = await writer.db.runs.get(runId);
    const last = events.at(-1);
    if (run === undefined || last === undefined || run.events.length !== seen) return false;
    const next: Run = { ...run, events: [...run.events, ...events], updatedMs: last.atMs };
    await writer.put('runs', next);
    await countFilm(writer, run, next);
    return true;
  });
}

/** A film counts as through its brew once the developer was poured in, and no longer when that is undone. */
async function countFilm(writer: Writer, before: Run, after: Run): Promise<void> {
  const change = Number(hasDeveloped(after)) - Number(hasDeveloped(before));
  if (change === 0 || after.brewId === null) return;
  const [brew, roll] = await Promise.all([writer.db.brews.get(after.brewId), writer.db.rolls.get(after.rollId)]);
  if (brew === undefined || roll === undefined) return;
  const films = Math.max(0, brew.films + change * filmEquivalents(roll.formatId));
  await writer.put('brews', { ...brew, films, updatedMs: after.updatedMs });
}

function hasDeveloped(run: Run): boolean {
  const progress = runProgress(run.steps, run.events);
  if (progress.phase === 'ready') return false;
  return run.steps.slice(0, progress.stepIndex + 1).some((step) => step.kind === 'develop');
}

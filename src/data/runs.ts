import { tankFilms } from '@/core/films/filmsInTank';
import type { SharedTankRoll } from '@/core/plan/sharedTank';
import type { JugFate, Plan, Roll, Run } from '@/core/records/records';
import { brewWear } from '@/core/plan/estimateRequestFor';
import { developerName } from '@/core/plan/developerName';
import type { RunEvent } from '@/core/records/runEvents';
import { runProgress } from '@/core/run/runProgress';
import { movementOf, runSteps } from '@/core/plan/runSteps';
import { jugsFor, slowerFixing, wantsJug } from '@/core/run/tankChecks';
import { planOfRoll } from './planOfRoll';
import { act, newStamps, type Writer } from './act';
import { MOST_CLEARINGS, markSpent, takeOffBench } from './brews';
import { pourIntoWaste } from './waste';
import type { TypedUpTo } from './drafts';

/**
 * Lays out a run of a pinned plan. A run of this roll that has not begun is laid out again instead of doubled.
 * @param plan the plan, pinned
 * @param alongside other rolls in the same tank
 * @returns the run's id
 */
export async function layOutRun(plan: Plan, alongside: readonly SharedTankRoll[] = []): Promise<string> {
  const { pinned } = plan;
  if (pinned === null) throw new Error('A run needs a plan with a time.');
  return act(`run:${plan.rollId}`, async (writer) => {
    const idle = await writer.db.runs
      .where({ rollId: plan.rollId })
      .filter((run) => run.events.length === 0)
      .first();
    const jugs = idle?.jugs ?? (await usualJugs(writer, runSteps(plan, pinned)));
    const fixer = jugs.fix === null ? undefined : await writer.db.brews.get(jugs.fix);
    const steps = runSteps(plan, pinned, slowerFixing(fixer));
    const run: Run = {
      ...(idle ?? newStamps()),
      rollId: plan.rollId,
      planId: plan.id,
      brewId: plan.brewId,
      developerName: developerName(plan.developer),
      temperatureC: plan.temperatureC,
      pinned,
      setup: await setupOf(writer, plan),
      movementName: movementOf(plan).name,
      volumeMl: plan.volumeMl,
      jugs,
      alongside: alongside.map(({ rollId, pinned: theirs }) => ({ rollId, pinned: theirs, runId: null })),
      steps,
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
    brew === undefined
      ? plan
      : { developer: brew.developer ?? { kind: 'other' as const, name: brew.name }, bromideGPerL: brew.bromideGPerL };
  const { temperatureC, ambientC, agitationId, movement, brewId, target } = plan;
  return {
    developer,
    bromideGPerL,
    wear: brewWear(brew, plan.volumeMl, Date.now()),
    tankMl: plan.volumeMl,
    temperatureC,
    ambientC,
    agitationId,
    movement: movement?.movement,
    brewId,
    mixingLnSd: brew?.mixingLnSd ?? null,
    target,
  };
}

/**
 * Adds events to a run, unless another tab was faster: they count only when nothing else happened after what this tab saw. So two
 * tabs, or a double tap, never skip a step.
 * @param runId the run
 * @param seen number of events that this tab saw when the user acted
 * @param events what happened, in order
 * @param typed what was written ahead of them
 * @returns whether the events were taken
 */
export function recordEvents(
  runId: string,
  seen: number,
  events: readonly RunEvent[],
  typed?: TypedUpTo,
): Promise<boolean> {
  const record = async (writer: Writer): Promise<boolean> => {
    const run = await writer.db.runs.get(runId);
    const last = events.at(-1);
    const fresh = run === undefined ? null : freshEvents(run.events, seen, events);
    if (run === undefined || last === undefined || fresh === null || fresh.length === 0) return false;
    const next = await withAlongside(writer, { ...run, events: [...run.events, ...fresh], updatedMs: last.atMs });
    await writer.put('runs', next);
    await countFilms(writer, run, next);
    await keepClearings(writer, next, fresh);
    return true;
  };
  return act(`tank:${runId}`, record, { typed });
}

/**
 * What of some events a run has not yet: the first of them may have been stored by a page that went in the same moment.
 * @returns null where something else happened after what was seen
 */
function freshEvents(
  stored: readonly RunEvent[],
  seen: number,
  events: readonly RunEvent[],
): readonly RunEvent[] | null {
  if (stored.length < seen) return null;
  const already = stored.slice(seen);
  const isOwn = already.every(({ kind, atMs }, at) => kind === events[at]?.kind && atMs === events[at].atMs);
  return isOwn ? events.slice(already.length) : null;
}

/**
 * Carries what happened at the tank to the other rolls in it: each has a plan, a run and a verdict of its own, and one clock for all.
 * Nothing of theirs is touched before the first bath goes in. A roll that was taken off meanwhile is left out.
 */
async function withAlongside(writer: Writer, run: Run): Promise<Run> {
  if (run.alongside === undefined || run.alongside.length === 0) return run;
  const alongside: NonNullable<Run['alongside']> = [];
  for (const other of run.alongside) {
    if ((await writer.db.rolls.get(other.rollId)) === undefined) continue;
    const before = other.runId === null ? undefined : await writer.db.runs.get(other.runId);
    const own: Run = {
      ...run,
      ...(before === undefined
        ? newStamps()
        : { id: before.id, createdMs: before.createdMs, updatedMs: run.updatedMs }),
      rollId: other.rollId,
      planId: before?.planId ?? (await planAlongside(writer, run, other)),
      pinned: other.pinned,
      tankRunId: run.id,
    };
    delete own.alongside;
    await writer.put('runs', own);
    alongside.push({ ...other, runId: own.id });
  }
  return { ...run, alongside };
}

/** The plan of a roll that shares a tank: the tank's own, with the time that was pinned for this roll. */
async function planAlongside(
  writer: Writer,
  run: Run,
  { rollId, pinned }: NonNullable<Run['alongside']>[number],
): Promise<string> {
  const [plan, before] = await Promise.all([writer.db.plans.get(run.planId), planOfRoll(writer.db, rollId)]);
  if (plan === undefined) throw new Error('A run has a plan.');
  const own: Plan = {
    ...plan,
    ...(before === undefined ? newStamps() : { id: before.id, createdMs: before.createdMs, updatedMs: run.updatedMs }),
    rollId,
    knownTime: null,
    muted: [],
    ownTimeMin: pinned.timeMin,
    pinned,
  };
  await writer.put('plans', own);
  return own.id;
}

/** Rolls in the tank of a run, this one first. */
async function rollsInTank(writer: Writer, run: Run): Promise<Roll[]> {
  const ids = [run.rollId, ...(run.alongside ?? []).map(({ rollId }) => rollId)];
  return (await writer.db.rolls.bulkGet(ids)).filter((roll) => roll !== undefined);
}

/** The jugs that stop and fixer come from at first: the newest that is not spent. */
async function usualJugs(writer: Writer, steps: Run['steps']): Promise<NonNullable<Run['jugs']>> {
  const brews = await writer.db.brews.toArray();
  const usual = (which: 'stop' | 'fix'): string | null =>
    wantsJug({ steps }, which) ? (jugsFor(brews, which, Date.now())[0]?.id ?? null) : null;
  return { stop: usual('stop'), fix: usual('fix') };
}

/** Says which jug stop or fixer comes from; null for one that is not on the bench. */
export function chooseJug(runId: string, which: 'stop' | 'fix', brewId: string | null): Promise<void> {
  return act(`tank:${runId}`, async (writer) => {
    const run = await writer.db.runs.get(runId);
    if (run === undefined) return;
    const steps = which === 'fix' ? await stepsWithFixer(writer, run, brewId) : run.steps;
    const jugs = { stop: null, fix: null, ...run.jugs, [which]: brewId };
    await writer.put('runs', { ...run, steps, jugs, updatedMs: Date.now() });
  });
}

/** The steps of a run with the fixer that was chosen: a thin one takes longer. A bath that went in stays as it was. */
async function stepsWithFixer(writer: Writer, run: Run, brewId: string | null): Promise<Run['steps']> {
  const plan = await writer.db.plans.get(run.planId);
  const fixer = brewId === null ? undefined : await writer.db.brews.get(brewId);
  if (plan === undefined || hasBegun(run, 'fix')) return run.steps;
  const laidOut = runSteps(plan, run.pinned, slowerFixing(fixer));
  if (laidOut.length !== run.steps.length) return run.steps;
  return run.steps.map((step, index) => (step.kind === 'fix' ? (laidOut[index] ?? step) : step));
}

/**
 * Says what became of a jug after a run: poured away, kept with its films counted, or spent.
 * @param runId the run
 * @param which which bath the jug was
 * @param fate what became of it
 */
export function sayAfterwards(runId: string, which: 'develop' | 'stop' | 'fix', fate: JugFate): Promise<void> {
  return act(
    `tank:${runId}`,
    async (writer) => {
      const run = await writer.db.runs.get(runId);
      if (run === undefined) return;
      const brewId = which === 'develop' ? run.brewId : (run.jugs?.[which] ?? null);
      await writer.put('runs', { ...run, afterwards: { ...run.afterwards, [which]: fate }, updatedMs: Date.now() });
      const brew = brewId === null ? undefined : await writer.db.brews.get(brewId);
      if (brew === undefined) return;
      if (fate === 'poured') {
        await takeOffBench(writer, brew.id);
        await pourIntoWaste(writer, brew);
      } else await markSpent(writer, brew, fate === 'spent');
    },
    { undo: fate === 'poured' ? 'pouring the jug away' : undefined },
  );
}

/** Every film in the tank counts as through a jug once its bath was poured in, and no longer when that is undone. */
async function countFilms(writer: Writer, before: Run, after: Run): Promise<void> {
  const jugs = { develop: after.brewId, stop: after.jugs?.stop ?? null, fix: after.jugs?.fix ?? null };
  for (const [kind, brewId] of Object.entries(jugs) as [keyof typeof jugs, string | null][]) {
    const change = Number(hasBegun(after, kind)) - Number(hasBegun(before, kind));
    if (change === 0 || brewId === null) continue;
    const [brew, rolls] = await Promise.all([writer.db.brews.get(brewId), rollsInTank(writer, after)]);
    if (brew === undefined || rolls.length === 0) continue;
    const films = Math.max(0, brew.films + change * tankFilms(rolls.map(({ formatId }) => formatId)));
    await writer.put('brews', { ...brew, films, updatedMs: after.updatedMs });
  }
}

/** Whether the first bath of a kind went in. */
function hasBegun(run: Run, kind: 'develop' | 'stop' | 'fix'): boolean {
  const progress = runProgress(run.steps, run.events);
  if (progress.phase === 'ready') return false;
  return run.steps.slice(0, progress.stepIndex + 1).some((step) => step.kind === kind);
}

/** A clearing test is a reading of the fixer that it was made in. */
async function keepClearings(writer: Writer, run: Run, events: readonly RunEvent[]): Promise<void> {
  const fixerId = run.jugs?.fix ?? null;
  const tests = events.filter((event) => event.kind === 'clearing');
  const fixer = fixerId === null || tests.length === 0 ? undefined : await writer.db.brews.get(fixerId);
  if (fixer === undefined) return;
  const readings = tests.map(({ seconds, atMs }) => ({ seconds, atMs, films: fixer.films }));
  await writer.put('brews', {
    ...fixer,
    clearings: [...(fixer.clearings ?? []), ...readings].slice(-MOST_CLEARINGS),
    updatedMs: run.updatedMs,
  });
}

import { filmEquivalents } from '../films/filmFormats';
import { developerName } from '../plan/developerName';
import { runSteps } from '../plan/runSteps';
import type { Brew, Plan, Roll, Run } from '../records/records';
import { runProgress } from '../run/runProgress';
import { wearingMl } from '../brewing/keeping';
import type { EveningJug, EveningRoll } from './evening';

/** Mixing and standing of a jug, min. Source: common practice (a quarter of an hour; 5 to 10 min for bubbles), no source. */
const MIXING_MIN = { improvised: 15, other: 15, 'one-bath': 10, concentrate: 5 } as const;
const STANDING_MIN = { improvised: 8, other: 8, 'one-bath': 0, concentrate: 0 } as const;

/** What is known of a roll that may be developed this evening. */
export interface RollOfEvening {
  roll: Roll;
  plan: Plan | undefined;
  brew: Brew | undefined;
  run: Run | undefined;
}

/**
 * A roll as the evening takes it.
 * @param found the roll with its plan, jug and last run
 * @param zeroMs instant at which the evening's clock stands at 0, ms since the epoch
 * @returns null for a roll whose time is not pinned, or that hangs already
 */
export function eveningRoll({ roll, plan, brew, run }: RollOfEvening, zeroMs: number): EveningRoll | null {
  if (plan?.pinned == null) return null;
  const progress = run === undefined ? null : runProgress(run.steps, run.events);
  if (progress?.phase === 'finished') return null;
  const minutes = (ms: number): number => (ms - zeroMs) / 60_000;
  const films = filmEquivalents(roll.formatId);
  const developAt = run?.steps.findIndex(({ kind }) => kind === 'develop') ?? -1;
  // A jug counts a film as soon as it is poured over it.
  const poured = progress?.phase === 'running' && progress.stepIndex >= developAt;
  return {
    id: roll.id,
    label: roll.label,
    steps: runSteps(plan, plan.pinned),
    jug: jugOf({ plan, brew, poured, films }, minutes),
    films,
    begunMin: progress?.startedMs == null ? null : minutes(progress.startedMs),
  };
}

function jugOf(
  { plan, brew, poured, films }: { plan: Plan; brew: Brew | undefined; poured: boolean; films: number },
  minutes: (ms: number) => number,
): EveningJug {
  const { kind } = plan.developer;
  return {
    id: brew?.id ?? plan.id,
    name: brew?.name ?? developerName(plan.developer),
    developer: brew === undefined ? plan.developer : brew.developer,
    volumeMl: brew === undefined ? plan.volumeMl : wearingMl(brew),
    films: Math.max(0, (brew?.films ?? 0) - (poured ? films : 0)),
    mixedMin: brew === undefined ? null : minutes(brew.mixedMs),
    mixingMin: MIXING_MIN[kind],
    standingMin: STANDING_MIN[kind],
    chosenMin: minutes(plan.pinned?.atMs ?? 0),
  };
}

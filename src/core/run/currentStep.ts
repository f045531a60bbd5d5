import { handsFreeS, movementCues, type AgitationCue } from '../schedule/agitationCues';
import { agitationSchools } from '../schedule/agitationSchools';
import type { Movement } from '../schedule/movement';
import type { WetStep } from '../schedule/wetSteps';
import type { Run } from '../records/records';
import { developingTank } from './developingTank';
import type { RunProgress } from './runProgress';
import { timeOfDose } from './tankTemperature';

/**
 * A step as it is now: a development ends when its dose is reached, fixing after so many times the clearing time, and the
 * movements go with the new length.
 * @param run the run
 * @param progress where it stands
 * @param stepIndex the step; by default the one at hand
 * @returns the step as it was laid out, or with another length and the movements that belong to it
 */
export function currentStep(run: Run, progress: RunProgress, stepIndex = progress.stepIndex): WetStep | undefined {
  const step = run.steps[stepIndex];
  if (step === undefined) return undefined;
  if (step.kind === 'fix' && progress.clearing !== null && step.untilClear !== true) {
    const { seconds, factor, elapsedS } = progress.clearing;
    return withLength(step, Math.round(seconds * factor), elapsedS, step.movement);
  }
  const developing = developingTank(run, stepIndex, progress.readings);
  if (developing === null) return step;
  const durationS = Math.round(timeOfDose(developing.tank, developing.q10, run.temperatureC, developing.doseMin));
  return withLength(step, durationS, lastReadS(progress, stepIndex), step.movement ?? plannedMovement(run));
}

/** Movement of a development that was laid out before steps kept theirs. */
function plannedMovement({ setup }: Run): Movement | undefined {
  return setup === null ? undefined : (setup.movement ?? agitationSchools[setup.agitationId].movement);
}

/** Seconds into a step at which its last reading was taken. */
function lastReadS({ readings }: RunProgress, stepIndex: number): number {
  return readings.findLast((reading) => reading.stepIndex === stepIndex)?.elapsedS ?? 0;
}

/**
 * A step with another length.
 * @param step as it was laid out
 * @param durationS its length from now on, s
 * @param knownS seconds into the step at which the new length was known: what the hands had begun by then stays as it was
 * @param movement how it is moved; undefined for a step from before that was kept, whose last movements then go on as they were
 */
function withLength(step: WetStep, durationS: number, knownS: number, movement: Movement | undefined): WetStep {
  if (durationS === step.durationS) return step;
  const fresh =
    movement === undefined
      ? continued(step, durationS)
      : movementCues(movement, durationS, movement.continuous || movement.first !== null ? step.cues[0]?.startS : 0);
  // A movement that is under way goes on as it belongs to the new length.
  const begun = step.cues
    .filter(({ startS }) => startS <= knownS)
    .map((cue) => (cue.endS <= knownS ? cue : (fresh.find(({ startS }) => startS === cue.startS) ?? cue)));
  const lastS = begun.at(-1)?.endS ?? -1;
  const freeS = handsFreeS(durationS);
  const cues = [...begun, ...fresh.filter(({ startS }) => startS > lastS)];
  return { ...step, durationS, cues: cues.filter(({ startS, endS }) => startS === 0 || endS <= freeS) };
}

/** The movements of a step of another length, as its last ones go on. */
function continued({ cues, durationS: plannedS }: WetStep, durationS: number): AgitationCue[] {
  const last = cues.at(-1);
  if (last === undefined) return [];
  const freeS = handsFreeS(durationS);
  // Without a rest, to the pouring.
  if (last.turns === null && last.endS === handsFreeS(plannedS))
    return [...cues.slice(0, -1), { ...last, endS: freeS }];
  const before = cues.at(-2);
  if (before === undefined) return cues;
  const periodS = last.startS - before.startS;
  const more: AgitationCue[] = [];
  for (let shift = periodS; last.endS + shift <= freeS; shift += periodS)
    more.push({ ...last, startS: last.startS + shift, endS: last.endS + shift });
  return [...cues, ...more];
}

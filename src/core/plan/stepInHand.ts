import { agitationSchools } from '../schedule/agitationSchools';
import { handsFreeS, movementCues } from '../schedule/agitationCues';
import type { RunProgress } from '../schedule/runState';
import type { WetStep } from '../schedule/wetSteps';
import type { Run } from '../records/records';
import { tankInHand } from '../records/runTank';
import { timeOfDose } from '../thermal/tankTemperature';

/**
 * The step at hand as it is now: a development ends when its dose is reached, fixing after so many times the clearing time.
 * @param run the run
 * @param progress where it stands
 * @param stepIndex the step; by default the one at hand
 * @returns the step as it was laid out, or with another length and the movements that belong to it
 */
export function stepInHand(run: Run, progress: RunProgress, stepIndex = progress.stepIndex): WetStep | undefined {
  const step = run.steps[stepIndex];
  if (step === undefined) return undefined;
  if (step.kind === 'fix' && progress.clearing !== null && step.untilClear !== true) {
    const { seconds, factor } = progress.clearing;
    return withLength(step, Math.round(seconds * factor), step.cues);
  }
  const inHand = tankInHand(run, stepIndex, progress.readings);
  if (inHand === null) return step;
  const durationS = Math.round(timeOfDose(inHand.tank, inHand.q10, run.temperatureC, inHand.doseMin));
  if (durationS === step.durationS) return step;
  const movement =
    run.setup?.movement ?? (run.setup === null ? null : agitationSchools[run.setup.agitationId].movement);
  const fresh = movement === null ? step.cues : movementCues(movement, durationS, step.cues[0]?.startS ?? 0);
  const elapsedS = progress.stepStartMs === null || stepIndex !== progress.stepIndex ? 0 : lastElapsedS(progress);
  // What the hands have begun stays as it was; the new length decides what comes.
  // A movement that is under way goes on as it belongs to the new length.
  const begun = step.cues
    .filter(({ startS }) => startS <= elapsedS)
    .map((cue) => (cue.endS <= elapsedS ? cue : (fresh.find(({ startS }) => startS === cue.startS) ?? cue)));
  const lastS = begun.at(-1)?.endS ?? -1;
  return withLength(step, durationS, [...begun, ...fresh.filter(({ startS }) => startS > lastS)]);
}

/** Seconds into the step at which the last reading was taken. */
function lastElapsedS({ readings, stepIndex }: RunProgress): number {
  return readings.findLast((reading) => reading.stepIndex === stepIndex)?.elapsedS ?? 0;
}

function withLength(step: WetStep, durationS: number, cues: WetStep['cues']): WetStep {
  const freeS = handsFreeS(durationS);
  return { ...step, durationS, cues: cues.filter(({ startS, endS }) => startS === 0 || endS <= freeS) };
}

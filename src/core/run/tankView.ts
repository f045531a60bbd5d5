import { timingError, outlookGradient, type TimingError } from '../outcome/tankOutlook';
import { pausing, runProgress, stepView, type RunProgress, type StepView } from './runProgress';
import type { RunEvent } from '../records/runEvents';
import type { WetStep } from '../schedule/wetSteps';
import { tankDose, timeOfDose } from './tankTemperature';
import type { Run } from '../records/records';
import { developingTank, type DevelopingTank } from './developingTank';
import { currentStep } from './currentStep';

/** The tank's temperature as it is known. */
export interface KnownTemperature {
  celsius: number;
  /** Seconds since it was read; null for one that follows from the plan. */
  agoS: number | null;
}

/** Everything that the screen at the tank shows at one moment. */
export interface TankView {
  progress: RunProgress;
  /** The step at hand as it is now. */
  step: WetStep;
  nextStep: WetStep | undefined;
  /** Null before the first bath and after the last. */
  view: StepView | null;
  /** Seconds by which readings moved the end of the step. */
  endMovedS: number;
  temperature: KnownTemperature | null;
  /** Net gradient now, and that of the planned end, which a plan for old film may set below what is wanted; null where none is known. */
  gradient: { now: number; target: number } | null;
  /** The 80 % band on the clock of this tank, s; null outside development. */
  band: { lowS: number; highS: number } | null;
  /** What pouring at this moment would mean; null outside development. */
  slip: TimingError | null;
  /** What was late or early of the development that is past; null while it is not. */
  pastSlip: TimingError | null;
  /** Whether the clock may rest now, and why or why not. */
  pausing: { may: boolean; why: string };
  paused: boolean;
}

/**
 * What the screen at the tank shows.
 * @param run the run
 * @param events everything that happened so far
 * @param nowMs this moment, ms since the epoch
 * @returns null for a run without steps
 */
export function tankView(run: Run, events: readonly RunEvent[], nowMs: number): TankView | null {
  const progress = runProgress(run.steps, events);
  const { stepIndex, stepStartMs, pausedMs } = progress;
  const step = currentStep(run, progress);
  const planned = run.steps[stepIndex];
  if (step === undefined || planned === undefined) return null;
  const running = progress.phase === 'running' && stepStartMs !== null;
  const view = running ? stepView(step, stepStartMs, pausedMs ?? nowMs) : null;
  const inHand = developingTank(run, stepIndex, progress.readings);
  const develops = step.kind === 'develop' && view !== null;
  return {
    progress,
    step,
    nextStep: progress.phase === 'ready' ? step : run.steps[stepIndex + 1],
    view,
    endMovedS: step.durationS - planned.durationS,
    temperature: temperatureNow(run, progress, inHand, view?.elapsedS ?? null, nowMs),
    gradient: develops ? gradientNow(run, inHand, planned.durationS, view.elapsedS) : null,
    band: develops ? bandOnClock(run, inHand, planned.durationS) : null,
    slip: develops ? slipAt(run, inHand, step, planned.durationS, view.elapsedS) : null,
    pastSlip: pastSlip(run, progress),
    pausing: pausing[step.kind],
    paused: pausedMs !== null,
  };
}

/** Minutes of the pinned time that have passed: development counted at the planned temperature. */
function pinnedMinutes(run: Run, inHand: DevelopingTank | null, plannedS: number, elapsedS: number): number {
  const share =
    inHand === null
      ? elapsedS / plannedS
      : tankDose(inHand.tank, inHand.q10, run.temperatureC, elapsedS) / inHand.doseMin;
  return share * run.pinned.timeMin;
}

function gradientNow(
  run: Run,
  inHand: DevelopingTank | null,
  plannedS: number,
  elapsedS: number,
): TankView['gradient'] {
  const { outlook } = run.pinned;
  if (outlook === undefined) return null;
  const now = outlookGradient(outlook.curve, pinnedMinutes(run, inHand, plannedS, elapsedS));
  return { now: Math.max(0, now), target: Math.max(0, outlookGradient(outlook.curve, run.pinned.timeMin)) };
}

function bandOnClock(run: Run, inHand: DevelopingTank | null, plannedS: number): NonNullable<TankView['band']> {
  const { timeMin, lowMin, highMin } = run.pinned;
  const onClock = (minutes: number): number =>
    inHand === null
      ? (plannedS * minutes) / timeMin
      : timeOfDose(inHand.tank, inHand.q10, run.temperatureC, (inHand.doseMin * minutes) / timeMin);
  return { lowS: onClock(lowMin), highS: onClock(highMin) };
}

/** What is late or early by this clock, weighed at the planned temperature. */
function slipAt(
  run: Run,
  inHand: DevelopingTank | null,
  { durationS }: WetStep,
  plannedS: number,
  elapsedS: number,
): TimingError {
  const { timeMin, outlook } = run.pinned;
  const seconds = (pinnedMinutes(run, inHand, plannedS, elapsedS) - timeMin) * 60;
  return { ...timingError(seconds, run.pinned, outlook?.curve ?? null), seconds: elapsedS - durationS };
}

/** What became of the development that is past. */
function pastSlip(run: Run, progress: RunProgress): TimingError | null {
  const index = run.steps.findIndex(({ kind }) => kind === 'develop');
  const planned = run.steps[index];
  const tookS = progress.tookS[index] ?? null;
  if (planned === undefined || tookS === null || (progress.phase === 'running' && index === progress.stepIndex))
    return null;
  const step = currentStep(run, progress, index) ?? planned;
  return slipAt(run, developingTank(run, index, progress.readings), step, planned.durationS, tookS);
}

/** The last known temperature of the bath at hand, or of the one that comes first. */
function temperatureNow(
  run: Run,
  { readings, stepIndex, phase }: RunProgress,
  inHand: DevelopingTank | null,
  elapsedS: number | null,
  nowMs: number,
): KnownTemperature | null {
  if (phase === 'finished') return null;
  const last = readings.findLast((reading) => reading.stepIndex === stepIndex);
  const agoS = last === undefined ? null : Math.max(0, (nowMs - last.atMs) / 1000);
  if (inHand !== null && elapsedS !== null) return { celsius: inHand.tank.at(elapsedS), agoS };
  if (last !== undefined) return { celsius: last.celsius, agoS };
  return run.steps[stepIndex]?.kind === 'develop' ? { celsius: run.temperatureC, agoS: null } : null;
}

/** Differences between two baths that are warned of, and that stop the hand, °C. Source: common practice, no source. */
export const BATH_JUMP_C = { warn: 3, stop: 5 } as const;

/** A jump of temperature from one bath into the next. */
export interface BathJump {
  fromC: number;
  toC: number;
  level: 'warn' | 'stop';
}

/**
 * Whether the next bath is much warmer or colder than the one at hand.
 * @param run the run
 * @param progress where it stands
 * @returns null while either is not known, or where they are near enough
 */
export function bathJump(run: Run, progress: RunProgress): BathJump | null {
  if (progress.phase !== 'running') return null;
  const of = (index: number): number | null =>
    progress.readings.findLast((reading) => reading.stepIndex === index)?.celsius ??
    (run.steps[index]?.kind === 'develop' ? run.temperatureC : null);
  const fromC = of(progress.stepIndex);
  const toC = of(progress.stepIndex + 1);
  if (fromC === null || toC === null) return null;
  const jump = Math.abs(toC - fromC);
  if (jump < BATH_JUMP_C.warn) return null;
  return { fromC, toC, level: jump >= BATH_JUMP_C.stop ? 'stop' : 'warn' };
}

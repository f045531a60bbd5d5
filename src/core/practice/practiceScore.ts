import { LN_GRADIENT_PER_GRADE } from '../outcome/grades';
import { currentStep } from '../run/currentStep';
import type { RunEvent } from '../records/runEvents';
import { runProgress } from '../run/runProgress';
import { tankTimeConstant } from '../thermal/drift';
import { TankTemperature, tankDose, timeOfDose } from '../run/tankTemperature';
import { practiceGradient, type PracticeTank } from './practiceTank';

/** What could be done better, the one thing that cost most. */
export type Advice = 'late-pour' | 'early-pour' | 'measure' | 'measure-again' | 'late-baths' | 'none';

/** How a practice run went. */
export interface PracticeScore {
  /** How far each bath was poured out from its end, s, mean of the sizes. */
  meanMissS: number;
  /** How far the development was poured out from where its planned dose lay, s; above 0 late. */
  developMissS: number;
  /** Contrast that came out of the hidden film, and as wanted. */
  gradient: number;
  target: number;
  /** Contrast that the same film would have had with perfect timing: the doubt of the film itself. */
  perfectGradient: number;
  /** Grades that the hand moved it. */
  handGrades: number;
  /** Whether the film's own time lay in the band. */
  filmInBand: boolean;
  /** Whether what the hand did is small beside what nobody could know. */
  forgiven: boolean;
  readings: number;
  /** Seconds by which the hidden temperature moved the end. */
  driftMovedS: number;
  advice: Advice;
}

/** Seconds that are nothing to speak of. Source: our choice, as close as anybody pours. */
const FINE_S = 5;

/** Grades below which a hand did well. Source: our choice. */
const FINE_GRADES = 0.2;

/**
 * How a practice run went, against what was hidden.
 * @param tank the practice tank
 * @param events what was done
 * @returns the score; null before the developer was poured out
 */
export function practiceScore(tank: PracticeTank, events: readonly RunEvent[]): PracticeScore | null {
  const { run, hidden } = tank;
  const progress = runProgress(run.steps, events);
  const developAt = run.steps.findIndex(({ kind }) => kind === 'develop');
  const tookS = progress.tookS[developAt] ?? null;
  const outlook = run.pinned.outlook;
  if (tookS === null || outlook === undefined) return null;
  const timeConstantMin = tankTimeConstant(run.volumeMl ?? 0);
  const truth = new TankTemperature({ startC: hidden.startC, ambientC: hidden.roomC, timeConstantMin });
  const dueS = timeOfDose(truth, outlook.q10, run.temperatureC, run.pinned.timeMin);
  const gradientAfter = (s: number): number =>
    practiceGradient(tankDose(truth, outlook.q10, run.temperatureC, s), hidden.lnTime);
  const gradient = gradientAfter(tookS);
  const perfectGradient = gradientAfter(dueS);
  const handGrades = grades(gradient, perfectGradient);
  const filmGrades = grades(perfectGradient, outlook.targetGradient);
  const misses = run.steps.flatMap((_, index) => {
    const took = progress.tookS[index] ?? null;
    const step = currentStep(run, progress, index);
    return took === null || step === undefined ? [] : [took - step.durationS];
  });
  const readings = progress.readings.filter(({ stepIndex }) => stepIndex === developAt).length;
  const developMissS = tookS - dueS;
  const driftMovedS = dueS - run.pinned.timeMin * 60;
  const meanMissS = misses.reduce((sum, miss) => sum + Math.abs(miss), 0) / Math.max(1, misses.length);
  const { timeMin, lowMin, highMin } = run.pinned;
  const ownMin = timeMin * Math.exp(hidden.lnTime);
  return {
    meanMissS,
    developMissS,
    gradient,
    target: outlook.targetGradient,
    perfectGradient,
    handGrades,
    filmInBand: ownMin >= lowMin && ownMin <= highMin,
    forgiven: Math.abs(handGrades) <= Math.max(FINE_GRADES, Math.abs(filmGrades) / 4),
    readings,
    driftMovedS,
    advice: adviceFor({ handGrades, developMissS, meanMissS, readings, driftMovedS }, misses[developAt] as number),
  };
}

function grades(after: number, before: number): number {
  return after > 0 && before > 0 ? Math.log(after / before) / LN_GRADIENT_PER_GRADE : 0;
}

/** The one thing that cost most: the hand at the pouring, the thermometer, or the other baths. */
function adviceFor(
  {
    handGrades,
    developMissS,
    meanMissS,
    readings,
    driftMovedS,
  }: Pick<PracticeScore, 'handGrades' | 'developMissS' | 'meanMissS' | 'readings' | 'driftMovedS'>,
  handMissS: number,
): Advice {
  if (Math.abs(handGrades) > FINE_GRADES) {
    // What the screen asked for was missed by the hand; else it asked for the wrong second, for want of a thermometer.
    if (Math.abs(handMissS) >= Math.abs(developMissS) / 2) return handMissS > 0 ? 'late-pour' : 'early-pour';
    return readings === 0 ? 'measure' : 'measure-again';
  }
  if (readings === 0 && Math.abs(driftMovedS) > FINE_S * 2) return 'measure';
  return meanMissS > FINE_S ? 'late-baths' : 'none';
}

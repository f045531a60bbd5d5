import { seededEven, seededNormal } from '../kit/seededNoise';
import { toStep } from '../kit/readable';
import type { Roll, Run } from '../records/records';
import type { RunProgress } from '../run/runProgress';
import { agitationSchools } from '../schedule/agitationSchools';
import { wetSteps } from '../schedule/wetSteps';
import { bathsOf, usualWetChoice } from '../plan/wetProcess';
import { driftTemperature, tankTimeConstant } from '../thermal/drift';
import { averageGradient } from '../kinetics/averageGradient';
import { rateConstant } from '../kinetics/rateConstant';
import { soundCondition } from '../films/conditionFacts';

/** Something that goes wrong, as it does. */
export interface Mishap {
  id: 'telephone' | 'lid' | 'bottle';
  /** Seconds of development at which it happens. */
  atS: number;
  what: string;
  /** What ends it. */
  act: string;
}

/** A tank that is not there: what is planned of it, and what nobody is told. */
export interface PracticeTank {
  run: Run;
  roll: Roll;
  hidden: {
    /** ln of the time that this film really needs ÷ the planned time. */
    lnTime: number;
    /** Temperature at which it was poured in, and of the room, °C. */
    startC: number;
    roomC: number;
    mishaps: Mishap[];
  };
}

/** What is planned: an invented film, at 20 °C. */
const PLANNED_MIN = 8;
const PLANNED_C = 20;
const TARGET = 0.58;
const LARGEST_GRADIENT = 1;
const Q10 = 2.2;
const VOLUME_ML = 500;

/** Spread of ln(time) of its band: half of four fifths is 1.28 of these. */
const BAND_LN_SD = 0.2;
const TENTH = 1.2816;

/** How far the pouring in misses 20 °C, and where the room lies, °C. */
const START_SD_C = 0.8;
const ROOM_C = { from: 14, to: 23 } as const;

/** How often something goes wrong in a run. */
const MISHAP_SHARE = 0.7;

const mishaps: Record<Mishap['id'], Omit<Mishap, 'id' | 'atS'>> = {
  telephone: { what: 'The telephone rings.', act: 'Let it ring' },
  lid: { what: 'The lid leaks onto your sleeve.', act: 'Press it down and go on' },
  bottle: { what: 'The next bottle is not where you put it.', act: 'Found it' },
};
const mishapIds = Object.keys(mishaps) as Mishap['id'][];

/** Net gradient after minutes at the planned temperature, of a film that needs `lnTime` longer than planned. */
export function practiceGradient(minutes: number, lnTime: number): number {
  const { ratePerMin, inductionMin } = rateConstant(PLANNED_MIN * Math.exp(lnTime), TARGET, LARGEST_GRADIENT);
  return averageGradient(minutes, LARGEST_GRADIENT, ratePerMin, inductionMin);
}

/**
 * A tank to practise on. The film, the temperature and what goes wrong follow from the seed, and nothing on the screen tells them.
 * @param seed any whole number; the same gives the same tank
 * @param nowMs this moment, ms since the epoch
 */
export function practiceTank(seed: number, nowMs: number): PracticeTank {
  const baths = bathsOf(usualWetChoice({ remJet: false, longSoak: false, fixMin: 4, carbonateBrew: false }));
  const half = Math.exp(TENTH * BAND_LN_SD);
  const even = (place: number): number => seededEven(seed, place);
  const troubled = even(1) < MISHAP_SHARE;
  const id = mishapIds[Math.floor(even(2) * mishapIds.length)] ?? 'telephone';
  const atS = Math.round(id === 'bottle' ? PLANNED_MIN * 60 - 20 : 60 + even(3) * (PLANNED_MIN * 60 - 150));
  const stamps = { createdMs: nowMs, updatedMs: nowMs };
  return {
    run: {
      id: `practice-${seed}`,
      ...stamps,
      rollId: 'practice',
      planId: 'practice',
      brewId: null,
      developerName: 'Simulated developer',
      temperatureC: PLANNED_C,
      pinned: {
        atMs: nowMs,
        timeMin: PLANNED_MIN,
        lowMin: PLANNED_MIN / half,
        highMin: PLANNED_MIN * half,
        ledger: [],
        evidenceIds: [],
        outlook: {
          targetGradient: TARGET,
          curve: Array.from({ length: 31 }, (_, at) => ({ timeMin: at / 2, net: practiceGradient(at / 2, 0) })),
          q10: Q10,
        },
      },
      setup: null,
      movementName: agitationSchools['ten-each-minute'].name,
      volumeMl: VOLUME_ML,
      steps: wetSteps(PLANNED_MIN * 60, agitationSchools['ten-each-minute'].movement, baths),
      events: [],
    },
    roll: {
      id: 'practice',
      ...stamps,
      label: 'Practice film',
      stockId: 'practice',
      formatId: '135',
      hints: [],
      storage: [],
      xrayPasses: 0,
      condition: soundCondition,
      frames: [],
      exposure: { state: 'unknown', year: null, index: null },
      note: '',
    },
    hidden: {
      lnTime: BAND_LN_SD * seededNormal(seed, 4),
      startC: PLANNED_C + START_SD_C * seededNormal(seed, 5),
      roomC: ROOM_C.from + (ROOM_C.to - ROOM_C.from) * even(6),
      mishaps: troubled ? [{ id, atS, ...mishaps[id] }] : [],
    },
  };
}

/**
 * What a thermometer in the practice tank shows.
 * @param tank the tank
 * @param elapsedS seconds since the developer went in; 0 or more
 * @param stepC smallest step of the thermometer, °C
 */
export function practiceReading({ hidden }: PracticeTank, elapsedS: number, stepC: number): number {
  return toStep(practiceTemperature(hidden, elapsedS), stepC);
}

/** True temperature of the practice tank, °C. Source: Newton's law of cooling. */
export function practiceTemperature({ startC, roomC }: PracticeTank['hidden'], elapsedS: number): number {
  return driftTemperature({ startC, ambientC: roomC, timeConstantMin: tankTimeConstant(VOLUME_ML) }, elapsedS / 60);
}

/**
 * The mishap that is going on.
 * @param tank the practice tank
 * @param progress where its run stands
 * @param nowMs this moment, ms since the epoch
 * @param ended ids of those that were ended
 * @returns null as a rule
 */
export function openMishap(
  { run, hidden }: PracticeTank,
  progress: Pick<RunProgress, 'phase' | 'stepIndex' | 'stepStartMs'>,
  nowMs: number,
  ended: ReadonlySet<Mishap['id']>,
): Mishap | null {
  const { phase, stepIndex, stepStartMs } = progress;
  if (phase !== 'running' || stepStartMs === null || run.steps[stepIndex]?.kind !== 'develop') return null;
  const elapsedS = (nowMs - stepStartMs) / 1000;
  return hidden.mishaps.find(({ id, atS }) => atS <= elapsedS && !ended.has(id)) ?? null;
}

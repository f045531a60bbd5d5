import { USUAL_EYE_SD_GRADES } from '../outcome/eyeScatter';
import { LN_GRADIENT_PER_GRADE } from '../outcome/grades';
import { targetGradient } from '../kinetics/targets';
import type { Development } from './development';
import { stopsBetweenSpeeds } from '../units/stops';
import { chartSources } from './chartSources';
import type { Evidence, ReadingDoubt } from './evidenceSchema';
import type { ParameterId } from './parameters';
import { pairKey, situationOf, type Situation } from './situation';
import type { SituationInput } from './situationSchema';

/** A piece of evidence with its whole setting. */
export interface EvidenceItem {
  evidence: Evidence;
  setting: SituationInput;
}

/** What an observation measures; each has its own noise. */
export type Measure = 'chart' | 'drop' | 'gradient' | 'fog' | 'contrast' | 'speed';

/** One measured number: what was seen, how sure it is, and what the model says it should be. */
export interface Reading {
  measure: Measure;
  observed: number;
  sd: number;
  model: (developments: readonly Development[]) => number;
  /** Whether it is a bound that the truth lies beyond, and no value. */
  bound?: true;
}

/** What one piece of evidence measured, and the situations that the model is evaluated in. */
export interface Observation {
  pieceId: string;
  situations: readonly Situation[];
  readings: readonly Reading[];
}

/** Noise of the ratio from a drop test, ln. Source: our estimate. */
export const DROP_LN_SD = 0.15;

/** Noise of a gradient reading, Ḡ, and of a base + fog reading, D. Source: our estimate. */
export const GRADIENT_SD = { densities: 0.05, eye: 0.12 } as const;
export const FOG_SD_D = { densities: 0.03, eye: 0.1 } as const;

/** Noise of a speed read from a bracket: meter, shutter, and how far development itself moves the speed point, stops. Source: our estimate. */
export const SPEED_SD_STOPS = 0.5;

/** Smallest gradient whose logarithm is taken: a film without an image. */
const LEAST_GRADIENT = 0.02;

/**
 * Turns evidence into observations of the model.
 * @param pieces evidence with its settings
 * @param about the pair of stock and developer that is asked about: a chart time of this pair decides it. Chart times of other
 *   pairs tell of their stock and their developer as far as both are known.
 * @param decidedBefore pairs that charts decide already: for pieces that come on top of a fit
 * @returns one observation for each piece, and the pairs that a chart time decides
 */
export function observationsOf(
  pieces: readonly EvidenceItem[],
  about: string | null = null,
  decidedBefore: ReadonlySet<string> = new Set(),
): { observations: Observation[]; released: Set<string> } {
  const decided =
    about !== null && pieces.some(({ evidence, setting }) => evidence.kind === 'chart' && pairKey(setting) === about);
  const released = new Set([...decidedBefore, ...(decided ? [about] : [])]);
  return { observations: pieces.map((piece) => observedOnce(piece, released)), released };
}

/** What a bracket shows, and nothing else does: other readings move lost speed only by what it shares with fog and contrast. */
function seen(situation: Situation): Situation {
  return {
    ...situation,
    unknowns: situation.unknowns.filter(({ id }) => id !== 'lnSpeedLossRate' && id !== 'lnLargestLoss'),
  };
}

/** What the eye makes of a negative, as ln of its gradient. */
function seenContrast(film: Development, timeMin: number): number {
  return Math.log(Math.max(LEAST_GRADIENT, film.netGradientAt(timeMin))) + LN_GRADIENT_PER_GRADE * film.eyeGrades;
}

/** The scale of grades ends at two: a negative beyond its end says that it is there, and not how far. */
function withinScale(lnGradient: number, lnAim: number, grade: number): number {
  const end = lnAim + LN_GRADIENT_PER_GRADE * grade;
  if (grade >= 2) return Math.min(lnGradient, end);
  if (grade <= -2) return Math.max(lnGradient, end);
  return lnGradient;
}

/** What a time found elsewhere leaves out: its own spread holds all that a mixing, a run or another kitchen does. */
const NOT_IN_ANY_CHART: readonly ParameterId[] = ['lnMixing', 'lnRun', 'lnShape', 'eyeGrades'];
const NOT_IN_A_FOREIGN_CHART: readonly ParameterId[] = [
  ...NOT_IN_ANY_CHART,
  'thermometerC',
  'lnCooling',
  'lnAgitation',
];

/**
 * What a chart time speaks of: fresh film of this stock in a fresh developer of this class. It says nothing of the age, the
 * storage, the roll or the brew at hand; the user's own time shares the user's thermometer and hands. An own time that was
 * found on film as old as this one speaks of the aged film.
 */
function spokenOf(evidence: Evidence, setting: SituationInput, released: ReadonlySet<string>): Situation {
  const own = evidence.kind === 'chart' && evidence.source === 'own';
  const aged = evidence.kind === 'chart' && evidence.aged === true;
  const situation = situationOf(
    { ...setting, ...(aged ? {} : { age: FRESH }), bromideGPerL: 0, wear: { ...setting.wear, ageH: 0, films: 0 } },
    evidence.id,
    released,
  );
  const left = own ? NOT_IN_ANY_CHART : NOT_IN_A_FOREIGN_CHART;
  return seen({ ...situation, unknowns: situation.unknowns.filter(({ id }) => !left.includes(id)) });
}

/** Speed that was lost, by the index of a bracket: of the emulsion, or of an image that has faded as well. */
function speedReadings(
  speed: { index: number; ownFrames: boolean } | null,
  iso: number,
  reading: (measure: Measure, observed: number, sd: number, model: (film: Development) => number) => Reading,
): Reading[] {
  if (speed === null) return [];
  const lost = stopsBetweenSpeeds(speed.index, iso);
  return [
    reading('speed', lost, SPEED_SD_STOPS, ({ aged }) =>
      speed.ownFrames ? aged.imageLossStops : aged.emulsionLossStops,
    ),
  ];
}

/** Film without age. */
export const FRESH: SituationInput['age'] = { storage: [], yearsSd: 0, sinceExposure: [], xrayPasses: 0 };

/** Observations by piece and by the pairs of its own that charts decide: a log is looked up once, and fitted many times. */
const known = new WeakMap<EvidenceItem, Map<string, Observation>>();

function observedOnce(piece: EvidenceItem, released: ReadonlySet<string>): Observation {
  const { evidence, setting } = piece;
  const pairs = [setting.developer, ...(evidence.kind === 'drop' ? [evidence.known] : [])];
  const key = pairs.map((developer) => released.has(pairKey({ ...setting, developer }))).join();
  const own = known.get(piece) ?? new Map<string, Observation>();
  known.set(piece, own);
  const made = own.get(key) ?? observe(piece, released);
  own.set(key, made);
  return made;
}

/** A reading by a camera has one unknown more, which it shares with every reading by that camera. */
function byCamera(situation: Situation, doubt: ReadingDoubt | undefined): Situation {
  if (doubt === undefined || doubt.cameraLnSd === 0) return situation;
  const unknown = { id: 'lnCamera', sd: doubt.cameraLnSd, key: `lnCamera|camera|${doubt.camera}` } as const;
  return { ...situation, unknowns: [...situation.unknowns, unknown] };
}

function observe({ evidence, setting }: EvidenceItem, released: ReadonlySet<string>): Observation {
  const whole = situationOf(setting, evidence.id, released);
  const situation = evidence.kind === 'clip' && evidence.speed !== null ? whole : seen(whole);
  const chartAlone = (readings: Reading[]): Observation => ({
    pieceId: evidence.id,
    situations: [spokenOf(evidence, setting, released)],
    readings,
  });
  const doubt = evidence.kind === 'clip' || evidence.kind === 'fog' ? evidence.doubt : undefined;
  const alone = (readings: Reading[]): Observation => ({
    pieceId: evidence.id,
    situations: [byCamera(situation, doubt)],
    readings,
  });
  const reading = (measure: Measure, observed: number, sd: number, model: (film: Development) => number): Reading => ({
    measure,
    observed,
    sd,
    model: ([film]) => model(film as Development),
  });
  switch (evidence.kind) {
    case 'chart':
      return chartAlone([
        reading('chart', Math.log(evidence.timeMin), chartSources[evidence.source].lnSd, (film) =>
          Math.log(film.clockTime(film.freshTimeAt(film.baseGradient))),
        ),
      ]);
    case 'drop': {
      const known = seen(
        situationOf(
          {
            ...setting,
            developer: evidence.known,
            bromideGPerL: 0,
            mixingLnSd: undefined,
            wear: { ...setting.wear, ageH: 0, films: 0 },
            brewId: `${evidence.id}: known developer`,
          },
          evidence.id,
          released,
        ),
      );
      return {
        pieceId: evidence.id,
        situations: [situation, known],
        readings: [
          {
            measure: 'drop',
            observed: Math.log(evidence.rateRatio),
            sd: Math.hypot(DROP_LN_SD, evidence.lnSd),
            model: ([brew, other]) => Math.log((brew as Development).ratePerMin / (other as Development).ratePerMin),
          },
        ],
      };
    }
    case 'clip':
      return alone([
        reading(
          'gradient',
          evidence.gradient,
          Math.hypot(GRADIENT_SD[evidence.method], (doubt?.ownLnSd ?? 0) * evidence.gradient),
          (film) =>
            film.netGradientAt(evidence.timeMin) *
            Math.exp(film.lnCamera) *
            (evidence.method === 'eye' ? 1 + LN_GRADIENT_PER_GRADE * film.eyeGrades : 1),
        ),
        ...(evidence.baseFogD === null
          ? []
          : [
              reading(
                'fog',
                evidence.baseFogD,
                FOG_SD_D[evidence.method],
                (film) => film.baseFogAt(evidence.timeMin) * Math.exp(film.lnCamera),
              ),
            ]),
        ...speedReadings(evidence.speed, setting.film.iso, reading),
      ]);
    case 'fog':
      return alone([
        {
          ...reading('fog', evidence.baseFogD, FOG_SD_D[evidence.method], (film) => {
            const baseFogD = film.baseFogAt(evidence.timeMin) * Math.exp(film.lnCamera);
            return evidence.atLeast === true ? Math.min(evidence.baseFogD, baseFogD) : baseFogD;
          }),
          ...(evidence.atLeast === true ? { bound: true as const } : {}),
        },
      ]);
    case 'verdict': {
      const aim = targetGradient(evidence.target.purpose, evidence.target.pushStops);
      return alone([
        reading(
          'contrast',
          Math.log(aim) + LN_GRADIENT_PER_GRADE * evidence.contrast,
          LN_GRADIENT_PER_GRADE * (evidence.sdGrades ?? USUAL_EYE_SD_GRADES),
          (film) => withinScale(seenContrast(film, evidence.timeMin), Math.log(aim), evidence.contrast),
        ),
        ...(evidence.fogD === null
          ? []
          : [reading('fog', evidence.fogD, FOG_SD_D.eye, (film) => film.fogAt(evidence.timeMin))]),
      ]);
    }
  }
}

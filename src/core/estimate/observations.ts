import { targetGradient } from '../kinetics/targets';
import type { Development } from './development';
import { chartSources, type Evidence } from './evidenceSchema';
import { pairKey, situationOf, type Situation } from './situation';
import type { SituationInput } from './situationSchema';

/** A piece of evidence with its whole setting. */
export interface Piece {
  evidence: Evidence;
  setting: SituationInput;
}

/** What an observation measures; each has its own noise. */
export type Measure = 'chart' | 'drop' | 'gradient' | 'fog' | 'contrast';

/** One measured number: what was seen, how sure it is, and what the model says it should be. */
export interface Observation {
  pieceId: string;
  measure: Measure;
  observed: number;
  sd: number;
  /** Situations that the model is evaluated in. */
  situations: readonly Situation[];
  model: (developments: readonly Development[]) => number;
}

/** Noise of the ratio from a drop test, ln. Source: our estimate. */
export const DROP_LN_SD = 0.15;

/** Noise of a gradient reading, Ḡ, and of a base + fog reading, D. Source: our estimate. */
export const GRADIENT_SD = { densities: 0.05, eye: 0.12 } as const;
export const FOG_SD_D = { densities: 0.03, eye: 0.1 } as const;

/** A grade of contrast as ln of the gradient, its noise, and the noise of fog by eye. Source: our estimate. */
export const LN_GRADIENT_PER_GRADE = 0.18;
export const GRADE_LN_SD = 0.15;

/** Smallest gradient whose logarithm is taken: a film without an image. */
const LEAST_GRADIENT = 0.02;

/**
 * Turns evidence into observations of the model.
 * @param pieces evidence with its settings
 * @returns observations in the order of the pieces, and the pairs whose chart time is known
 */
export function observationsOf(pieces: readonly Piece[]): { observations: Observation[]; released: Set<string> } {
  const released = new Set(pieces.filter(({ evidence }) => evidence.kind === 'chart').map(({ setting }) => pairKey(setting)));
  return { observations: pieces.flatMap((piece) => observe(piece, released)), released };
}

function observe({ evidence, setting }: Piece, released: ReadonlySet<string>): Observation[] {
  const situation = situationOf(setting, evidence.id, released);
  const one = (measure: Measure, observed: number, sd: number, model: (film: Development) => number): Observation => ({
    pieceId: evidence.id,
    measure,
    observed,
    sd,
    situations: [situation],
    model: ([film]) => model(film as Development),
  });
  switch (evidence.kind) {
    case 'chart':
      return [one('chart', Math.log(evidence.timeMin), chartSources[evidence.source], (film) => Math.log(film.clockTime(film.freshTimeAt(film.baseGradient))))];
    case 'drop': {
      const known = situationOf({ ...setting, developer: evidence.known, bromideGPerL: 0, wear: { ...setting.wear, ageH: 0, films: 0 }, brewId: `${evidence.id}: known developer` }, evidence.id, released);
      return [
        {
          pieceId: evidence.id,
          measure: 'drop',
          observed: Math.log(evidence.rateRatio),
          sd: Math.hypot(DROP_LN_SD, evidence.lnSd),
          situations: [situation, known],
          model: ([brew, other]) => Math.log((brew as Development).ratePerMin / (other as Development).ratePerMin),
        },
      ];
    }
    case 'clip':
      return [
        one('gradient', evidence.gradient, GRADIENT_SD[evidence.method], (film) => film.netGradientAt(evidence.timeMin)),
        ...(evidence.baseFogD === null ? [] : [one('fog', evidence.baseFogD, FOG_SD_D[evidence.method], (film) => film.baseFogAt(evidence.timeMin))]),
      ];
    case 'fog':
      return [one('fog', evidence.baseFogD, FOG_SD_D[evidence.method], (film) => film.baseFogAt(evidence.timeMin))];
    case 'verdict': {
      const aim = targetGradient(evidence.target.purpose, evidence.target.pushStops);
      return [
        one('contrast', Math.log(aim) + LN_GRADIENT_PER_GRADE * evidence.contrast, GRADE_LN_SD, (film) => Math.log(Math.max(LEAST_GRADIENT, film.netGradientAt(evidence.timeMin)))),
        ...(evidence.fogD === null ? [] : [one('fog', evidence.fogD, FOG_SD_D.eye, (film) => film.fogAt(evidence.timeMin))]),
      ];
    }
  }
}

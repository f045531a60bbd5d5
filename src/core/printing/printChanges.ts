import type { PrintForm } from './print';
import { gradeCost, type GradeCost, type GradeStep } from './gradeCost';
import { apertureFactor, distanceFactor, dryDown, matchFactor, sizeFactor } from './printPlan';

/** What is to be different, as typed; nothing where it stays. */
export interface ChangesTyped {
  toMm: number | string;
  /** Lens to paper, before and now, cm. */
  fromCm: number | string;
  toCm: number | string;
  toF: number | string;
  toGrade: string;
  /** One grey that was right before, and its exposure now, s. */
  beforeS: number | string;
  nowS: number | string;
}

export const noChanges: ChangesTyped = { toMm: '', fromCm: '', toCm: '', toF: '', toGrade: '', beforeS: '', nowS: '' };

/** Exposures that follow from each change, s; null where a figure is missing. */
export interface Changed {
  bySize: number | null;
  /** By the way from the lens to the paper. */
  byDistance: number | null;
  byAperture: number | null;
  /** With a new bulb or a new box, by one grey. */
  byMatch: number | null;
  dried: number | null;
  /** On another grade, with what it rests on. */
  byGrade: (GradeCost & { seconds: number }) | null;
  /** What one grey on both grades tells of this paper. */
  step: GradeStep | null;
}

/**
 * The exposures of a print whose light changes as a whole: with two filters both go along.
 * @param form the print as typed, its base exposure above 0
 * @param seconds its new base exposure, s
 * @returns both, to a tenth of a second
 */
export function scaledTo(
  { baseS, hardS }: Pick<PrintForm, 'baseS' | 'hardS'>,
  seconds: number,
): Pick<PrintForm, 'baseS' | 'hardS'> {
  const tenths = (value: number): number => Math.round(value * 10) / 10;
  return {
    baseS: tenths(seconds),
    hardS: above0(hardS) && above0(baseS) ? tenths((hardS * seconds) / baseS) : hardS,
  };
}

const above0 = (value: number | string): value is number => typeof value === 'number' && value > 0;

/**
 * The exposure after a change.
 * @param form the print as typed
 * @param typed what is to be different
 * @param steps comparisons of grades on this paper
 * @returns one exposure for each change by itself. Sources: see each relation that it calls
 */
export function printChanges(form: PrintForm, typed: ChangesTyped, steps: readonly GradeStep[]): Changed {
  const { baseS, sideMm, negativeMm, fNumber, dryDown: percent, grade } = form;
  const { toMm, fromCm, toCm, toF, toGrade, beforeS, nowS } = typed;
  const base = above0(baseS) ? baseS : null;
  const matched = above0(beforeS) && above0(nowS) ? matchFactor(beforeS, nowS) : null;
  const apart = toGrade.trim() !== '' && toGrade.trim() !== grade.trim();
  const cost = apart ? gradeCost(steps, grade, toGrade) : null;
  const step = apart && matched !== null ? { from: grade.trim(), to: toGrade.trim(), factor: matched } : null;
  return {
    bySize:
      base !== null && above0(sideMm) && above0(negativeMm) && above0(toMm)
        ? base * sizeFactor(sideMm, toMm, negativeMm)
        : null,
    byDistance: base !== null && above0(fromCm) && above0(toCm) ? base * distanceFactor(fromCm, toCm) : null,
    byAperture: base !== null && above0(fNumber) && above0(toF) ? base * apertureFactor(fNumber, toF) : null,
    byMatch: base !== null && matched !== null && !apart ? base * matched : null,
    dried: base !== null && above0(percent) && percent <= 30 ? dryDown(base, percent) : null,
    byGrade: base !== null && cost !== null ? { ...cost, seconds: base * cost.factor } : null,
    step: step !== null && step.factor >= 0.02 && step.factor <= 50 ? step : null,
  };
}

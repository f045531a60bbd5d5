import { measures, type MeasureId } from './measures';
import type { Comparison, TrialAnswer } from './trialAnswer';
import type { TrialValues } from './trial';

/** A value of a measure with its unit. */
export function measureWords(id: MeasureId, value: number, signed = false): string {
  const { digits, unit } = measures[id];
  const rounded = Math.abs(value).toFixed(digits);
  const sign = value < 0 && Number(rounded) > 0 ? '−' : signed && Number(rounded) > 0 ? '+' : '';
  return unit === '' ? `${sign}${rounded}` : `${sign}${rounded} ${unit}`;
}

/** One comparison as a sentence: what is told, and how sure. */
export function comparisonWords(
  trial: Pick<TrialValues, 'levels' | 'control' | 'margins'>,
  id: MeasureId,
  comparison: Comparison,
): string {
  const name = trial.levels[comparison.level] ?? '';
  const control = trial.levels[trial.control] ?? '';
  const { low, high, difference, told, pHolm } = comparison;
  const range = `${measureWords(id, low, true)} to ${measureWords(id, high, true)}`;
  const margin = trial.margins[id] ?? measures[id].margin;
  switch (told) {
    case 'different': {
      const more = difference > 0 ? measures[id].more : opposite[id];
      return `“${name}” is ${more} than “${control}” by ${measureWords(id, Math.abs(difference))} (${range}). Chance would do as much ${chanceWords(pHolm)}.`;
    }
    case 'alike':
      return `“${name}” and “${control}” are alike: no difference of ${measureWords(id, margin)} or more (${range}).`;
    case 'open':
      return `Not told between “${name}” and “${control}”. The difference may be anything from ${range}; one more strip of each would leave ± ${measureWords(id, comparison.nextHalf)}.`;
  }
}

/**
 * What the camera leaves open of a measure, and what would narrow it; null where no camera does.
 * Source: several exposures tell a camera's response (Debevec and Malik 1997).
 */
export function stretchWords({ stretchLnSd }: Pick<TrialAnswer, 'stretchLnSd'>): string | null {
  if (stretchLnSd < LEAST_STRETCH) return null;
  const percent = Math.round(100 * stretchLnSd);
  return `The camera may stretch these differences by ${percent} % (one standard deviation), which is in the ranges. More strips do not narrow that; a second exposure of each strip does.`;
}

/** A stretch below this is not worth a word, ln. Source: our choice. */
const LEAST_STRETCH = 0.03;

const opposite: Record<MeasureId, string> = {
  contrast: 'softer',
  gradient: 'softer',
  speed: 'slower',
  fog: 'less fogged',
  grain: 'finer',
  unevenness: 'more even',
};

/** A chance in words. */
export function chanceWords(p: number): string {
  if (p < 0.001) return 'less than once in 1000 trials';
  const once = Math.round(1 / p);
  return once <= 1 ? 'in every trial' : `once in ${once} trials`;
}

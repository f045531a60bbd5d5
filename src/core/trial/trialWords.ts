import { measureIds, measures, type MeasureId } from './measures';
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

/** More strips of each level than this are another trial. Source: our choice. */
const WORTH_GOING_ON = 8;

/**
 * Whether to go on, and what would settle what is open.
 * @param trial the trial
 * @param answers what it says so far
 * @returns one sentence or two; null where there is no answer yet
 */
export function nextWords(
  trial: Pick<TrialValues, 'levels' | 'strips' | 'margins'>,
  answers: readonly TrialAnswer[],
): string | null {
  if (answers.length === 0) return null;
  const open = answers.flatMap(({ measureId, comparisons }) =>
    comparisons
      .filter(({ told }) => told === 'open')
      .map(({ level, moreToTell }) => ({ measureId, level, moreToTell })),
  );
  const asked = measureIds.filter((id) => trial.margins[id] !== undefined);
  const waiting = trial.strips.filter(
    ({ lost, values }) => lost === undefined && asked.some((id) => values[id] === undefined),
  ).length;
  const strips = (count: number): string => `${count} more ${count === 1 ? 'strip' : 'strips'}`;
  if (open.length === 0)
    return waiting === 0
      ? 'All of it is told: the trial can end here.'
      : `All of it is told: ${waiting === 1 ? 'the strip' : `the ${waiting} strips`} still to be read would narrow ranges and turn no answer.`;
  const [first] = [...open].sort((a, b) => (a.moreToTell ?? Infinity) - (b.moreToTell ?? Infinity));
  const name = `${measures[first?.measureId ?? 'fog'].name.toLowerCase()} of “${trial.levels[first?.level ?? 0] ?? ''}”`;
  if (first?.moreToTell == null)
    return 'More strips would settle nothing that is open: what is left is the camera’s. Read the strips with a second exposure each.';
  const next = `Nearest to an answer is the ${name}: about ${strips(first.moreToTell)} of each would settle it.`;
  if (first.moreToTell <= WORTH_GOING_ON) return next;
  return `${next} That is more than it is worth: end here, or let a larger difference matter.`;
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

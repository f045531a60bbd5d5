import { characteristicDensity, type DevelopedFilm } from '../kinetics/characteristicCurve';
import { fogGradeD, LN_GRADIENT_PER_GRADE, type fogGrades, type shadowGrades } from './grades';

/** A film of middling kind, to show a grade by. Source: our choice, after a fast panchromatic film. */
const TARGET = 0.58;
const BASE_D = 0.26;
const MAXIMUM_D = 2.7;

/** Stops of shadows that each grade has lost. Source: our estimate. */
const LOST_STOPS: Record<keyof typeof shadowGrades, number> = { open: 0, thin: 1.8, lost: 3.8 };

/** What a strip shows: grades of contrast, of fog and of shadows. */
export interface Likeness {
  contrast: number;
  fog: keyof typeof fogGrades;
  shadows: keyof typeof shadowGrades;
}

/** A good negative: every grade is shown against it. */
export const GOOD: Likeness = { contrast: 0, fog: 'clear', shadows: 'open' };

/**
 * A film that would be given these grades.
 * @param grades contrast −2 to 2, fog and shadows by their names
 * @returns its curve. Source: a grade of contrast is a factor of e^0.18 of gradient, as verdicts are read.
 */
export function filmLike({
  contrast,
  fog,
  shadows,
}: Likeness): DevelopedFilm & { densityAt: (logH: number) => number } {
  const fogD = fogGradeD[fog];
  const film: DevelopedFilm = {
    gradient: TARGET * Math.exp(LN_GRADIENT_PER_GRADE * contrast),
    baseFogD: BASE_D + fogD,
    fogD,
    maximumDensityD: MAXIMUM_D,
    lossStops: LOST_STOPS[shadows],
    highlightShare: 1,
  };
  return { ...film, densityAt: (logH) => characteristicDensity(film, logH) };
}

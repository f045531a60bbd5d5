import { characteristicDensity, type DevelopedFilm } from '../kinetics/characteristicCurve';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import { seededEven } from './seededNoise';
import { plainStrip, type SyntheticStrip } from './syntheticStrip';

/** Log exposure of a metered grey over the fresh film's speed point: ten times. Source: ISO 6:1993 and ISO 2720:1974. */
const GREY_LOG_H = 1;

/** A made-up strip to practise on: a bracket of a metered grey on film that has aged, and what is true of it. */
export interface PracticeStrip {
  strip: SyntheticStrip;
  film: DevelopedFilm;
  /** Stops of the first frame from the metered exposure, and from frame to frame. */
  firstStops: number;
  stepStops: number;
}

/**
 * A strip that nobody developed, different for each seed: fog, contrast, lost speed, a slightly turned picture, dust.
 * @param seed any whole number
 * @returns the strip as a picture is made of it. Source: our choice, within what aged film does.
 */
export function practiceStrip(seed: number): PracticeStrip {
  const even = (at: number, low: number, high: number): number => low + (high - low) * seededEven(seed, at);
  const fogD = even(1, 0.05, 0.3);
  const film: DevelopedFilm = {
    gradient: even(2, 0.42, 0.72),
    baseFogD: 0.22 + fogD,
    fogD,
    maximumDensityD: 2.4,
    lossStops: even(3, 0.2, 1.4),
    highlightShare: 1,
  };
  const [firstStops, stepStops, count] = [-4, 1, 9];
  const stepsD = Array.from(
    { length: count },
    (_, at) =>
      characteristicDensity(film, GREY_LOG_H + (firstStops + at * stepStops) * LOG_EXPOSURE_PER_STOP) - film.baseFogD,
  );
  return {
    film,
    firstStops,
    stepStops,
    strip: {
      ...plainStrip,
      stepsD,
      baseFogD: film.baseFogD,
      gapShare: 0.08,
      widthPx: 1200,
      heightPx: 520,
      turnDeg: even(4, -4, 4),
      falloff: even(5, 0.02, 0.08),
      noise: 0.006,
      specks: 24,
      scratches: 2,
      seed,
    },
  };
}

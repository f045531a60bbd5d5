import { curveThrough, measuredCurve, type CurvePoint } from '../densitometry/measuredCurve';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import type { StripReading } from '../evidence/stripReading';
import type { StripRecord } from '../records/records';
import type { TrialStrip, TrialValues } from './trial';

/** What a strip that was read from a picture tells a trial. */
export interface StripOfPicture {
  values: TrialStrip['values'];
  curve: NonNullable<TrialStrip['curve']>;
}

/** A density is told to this, D: more digits would be none. */
const DIGITS = 3;

const short = (value: number): number => Number(value.toFixed(DIGITS));

/**
 * What a kept strip says of what a trial looks at. What its camera adds to every strip alike goes out of the differences between
 * them; what it stretches all gradients by stretches a difference of gradients as far, and goes along as the doubt of the curve.
 * @param reading the strip as it was read
 * @param wanted what the trial looks at
 * @param doubt what its camera leaves open; undefined where no camera read it
 * @returns values as far as the strip holds them, and its curve; null where no exposure of it is known
 */
export function stripOfPicture(
  { clear, steps, curve }: StripReading,
  wanted: Pick<TrialValues, 'margins'>,
  doubt?: StripRecord['doubt'],
): StripOfPicture | null {
  const points = steps.flatMap(({ logH, densityD, fault, atLeast }) =>
    logH === null || fault !== null || atLeast === true ? [] : [{ logH: short(logH), densityD: short(densityD) }],
  );
  if (curve === null || points.length < 3) return null;
  const found: TrialStrip['values'] = {
    ...(curve.gradient === null ? {} : { gradient: short(curve.gradient.value) }),
    ...(curve.speedLogH === null ? {} : { speed: short(-curve.speedLogH / LOG_EXPOSURE_PER_STOP) }),
    ...(clear === null ? {} : { fog: short(curve.baseFogD) }),
  };
  const values = Object.fromEntries(
    Object.entries(found).filter(([id]) => wanted.margins[id as keyof typeof found] !== undefined),
  );
  return {
    values,
    curve: {
      clearD: clear === null ? null : short(clear.densityD),
      points,
      ...(doubt === undefined ? {} : { doubt }),
    },
  };
}

/** The strips of one level, laid over each other. */
export interface LevelCurve {
  level: number;
  /** Strips that it is the mean of. */
  strips: number;
  /** Mean density along the exposures that all of its strips hold, with the least and the largest of them. */
  points: { logH: number; meanD: number; lowD: number; highD: number }[];
}

/** Places along a curve. */
const PLACES = 48;

/** What a density of a trial is good to where nobody said, D. Only the shape of the curve through the points depends on it. */
const POINT_SE_D = 0.01;

/**
 * Curves of a trial by level: the mean of its strips, and how far they lie apart.
 * @param trial strips that were lost are left out
 * @returns one curve for each level with a strip that was read from a picture, in the order of the levels
 * Source: each strip's curve by `measuredCurve`; the span between the outermost strips is drawn as it is, without a law.
 */
export function levelCurves(trial: Pick<TrialValues, 'levels' | 'strips'>): LevelCurve[] {
  return trial.levels.flatMap((_, level): LevelCurve[] => {
    const curves = trial.strips.flatMap(({ level: own, lost, curve }) => {
      if (own !== level || lost !== undefined || curve === undefined) return [];
      const points: CurvePoint[] = curve.points.map((point) => ({ ...point, seD: POINT_SE_D }));
      const clear = curve.clearD === null ? null : { densityD: curve.clearD, seD: POINT_SE_D };
      const facts = measuredCurve(points, clear);
      const logH = points.map((point) => point.logH);
      return facts === null
        ? []
        : [{ at: curveThrough(facts.through), from: Math.min(...logH), to: Math.max(...logH) }];
    });
    const from = Math.max(...curves.map((curve) => curve.from));
    const to = Math.min(...curves.map((curve) => curve.to));
    if (curves.length === 0 || to <= from) return [];
    const points = Array.from({ length: PLACES + 1 }, (__, at) => {
      const logH = from + ((to - from) * at) / PLACES;
      const densities = curves.map((curve) => curve.at(logH));
      return {
        logH,
        meanD: densities.reduce((sum, one) => sum + one, 0) / densities.length,
        lowD: Math.min(...densities),
        highD: Math.max(...densities),
      };
    });
    return [{ level, strips: curves.length, points }];
  });
}

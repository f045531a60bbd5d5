import { Matrix } from 'ml-matrix';
import { choleskyOf } from '../inference/choleskyOf';
import { normalPoints } from '../inference/quasiRandom';
import { measuredCurve, type CurveFacts, type CurvePoint } from './measuredCurve';

/** A curve with what makes it doubtful. */
export interface DoubtedCurve extends CurveFacts {
  doubt: {
    /** Standard deviation of base + fog, D. */
    fogSdD: number;
    /** Standard deviation of ln(gradient), and of it what this strip has for itself; null without a gradient. */
    gradient: { lnSd: number; ownLnSd: number } | null;
    /** Standard deviation of the speed point, log10 H; null where it has none. */
    speedSd: number | null;
  };
}

/** Draws for a curve's doubt. Source: our choice; a sixteenth of the sd is chance. */
const DRAWS = 128;

/** Share of the draws that must have a figure for its spread to be told. */
const LEAST_SHARE = 0.6;

/**
 * Clear film lies elsewhere than the frames, and cameras brighten and darken neighbourhoods each by itself: how far the two are off
 * against each other, D, beyond what the fit makes of it. Source: our estimate.
 */
const NEIGHBOURHOOD_SD_D = 0.002;

/** What is drawn: densities with the covariance of their errors; the first is clear film where there is any. */
export interface DoubtedDensities {
  densitiesD: readonly number[];
  covariance: number[][];
  ownCovariance: number[][];
}

/**
 * A curve through densities whose errors go together: response, glare and light move all of them at once.
 * @param densities of the clear film, if it was read, and of the patches
 * @param clear whether the first density is clear film
 * @param logH exposure of each patch
 * @returns the curve with its doubts; null with fewer than three exposures
 * Source: `measuredCurve` on draws from the densities' joint spread (Monte Carlo, JCGM 101:2008).
 */
export function curveWithDoubt(
  { densitiesD, covariance, ownCovariance }: DoubtedDensities,
  clear: boolean,
  logH: readonly number[],
): DoubtedCurve | null {
  const from = clear ? 1 : 0;
  const own = logH.map((_, at) => Math.sqrt(Math.max(0, ownCovariance[at + from]?.[at + from] as number)));
  const curveOf = (densities: ArrayLike<number>): CurveFacts | null => {
    const points: CurvePoint[] = logH.map((one, at) => ({
      logH: one,
      densityD: densities[at + from] as number,
      seD: own[at] as number,
    }));
    return measuredCurve(points, clear ? { densityD: densities[0] as number, seD: 0 } : null);
  };
  const curve = curveOf(densitiesD);
  if (curve === null) return null;
  const spread = new Matrix(covariance);
  if (clear) spread.set(0, 0, spread.get(0, 0) + NEIGHBOURHOOD_SD_D ** 2);
  const whole = drawsOf(densitiesD, spread).flatMap((draw) => curveOf(draw) ?? []);
  const ownDraws =
    curve.gradient === null
      ? []
      : drawsOf(densitiesD, new Matrix(ownCovariance)).flatMap((draw) => curveOf(draw) ?? []);
  const lnGradients = (some: readonly CurveFacts[]): number[] =>
    some.flatMap(({ gradient }) => (gradient === null || gradient.value <= 0 ? [] : [Math.log(gradient.value)]));
  const lnSd = spreadOf(lnGradients(whole));
  const speeds = whole.flatMap(({ speedLogH }) => (speedLogH === null ? [] : [speedLogH]));
  return {
    ...curve,
    gradient:
      curve.gradient === null || lnSd === null
        ? curve.gradient
        : { ...curve.gradient, se: lnSd * curve.gradient.value },
    doubt: {
      fogSdD: spreadOf(whole.map(({ baseFogD }) => baseFogD)) ?? 0,
      gradient:
        curve.gradient === null || lnSd === null
          ? null
          : { lnSd, ownLnSd: Math.min(lnSd, spreadOf(lnGradients(ownDraws)) ?? lnSd) },
      speedSd: curve.speedLogH === null || speeds.length < LEAST_SHARE * DRAWS ? null : spreadOf(speeds),
    },
  };
}

function drawsOf(mean: readonly number[], covariance: Matrix): Float64Array[] {
  const size = mean.length;
  const damped = Matrix.add(covariance, Matrix.eye(size).mul(1e-10));
  const lower = choleskyOf(damped).lowerTriangularMatrix.to2DArray();
  return normalPoints(size, DRAWS).map((point) => {
    const draw = Float64Array.from(mean);
    lower.forEach((row, a) => {
      for (let b = 0; b <= a; b++) draw[a] = (draw[a] as number) + (row[b] as number) * (point[b] as number);
    });
    return draw;
  });
}

function spreadOf(values: readonly number[]): number | null {
  if (values.length < 2) return null;
  const mean = values.reduce((sum, one) => sum + one, 0) / values.length;
  return Math.sqrt(values.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (values.length - 1));
}

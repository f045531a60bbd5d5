import { bisect } from '../inference/bisection';
import { isotonic } from '../inference/isotonic';
import { monotoneCurve } from '../inference/monotoneCurve';
import { CONTRAST_SPAN, SPEED_POINT_D } from '../kinetics/characteristicCurve';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';

/** A density at a known exposure. */
export interface CurvePoint {
  /** log10 of the exposure, against any level. */
  logH: number;
  densityD: number;
  /** Standard error, D. */
  seD: number;
}

/** What a measured characteristic curve says. */
export interface CurveFacts {
  /** Base + fog, D, and whether it was measured on clear film or is only the thinnest patch. */
  baseFogD: number;
  baseFogMeasured: boolean;
  /** The speed point: log10 of the exposure at 0.10 above base + fog; null where the patches do not reach down to it, or never come up to it. */
  speedLogH: number | null;
  /** Average gradient from the speed point over 1.30 of log exposure, or over as much as the patches hold; null without a speed point or under 0.6. */
  gradient: { value: number; se: number; span: number; fromD: number; toD: number } | null;
  /** Whether ΔD over 1.30 is 0.80 ± 0.05, so that an ISO speed may be stated; null where the span is not held. */
  isoContrast: boolean | null;
  /** Density range of the image, D. */
  rangeD: number;
  /** Stops from the first to the last patch that stands 0.10 above base + fog. */
  usableStops: number | null;
  /** What the curve goes through, by rising exposure: `curveThrough` draws it. */
  through: readonly { logH: number; densityD: number }[];
}

/**
 * The smooth curve through points that rise.
 * @param through exposures, log10 H, each once and rising, at least two, with their densities, D, never falling
 * @returns density by exposure; beyond the ends that of the end. Source: Steffen 1990, by `monotoneCurve`.
 */
export function curveThrough(through: CurveFacts['through']): (logH: number) => number {
  const xs = through.map(({ logH }) => logH);
  const curve = monotoneCurve(
    xs,
    through.map(({ densityD }) => densityD),
  );
  const [from, to] = [xs[0] as number, xs.at(-1) as number];
  return (logH) => curve.at(Math.min(to, Math.max(from, logH)));
}

/** Least span of log exposure from which an average gradient is told. Source: our choice. */
const LEAST_SPAN = 0.6;

/** Tolerance of the contrast condition, D. Source: ISO 6:1993. */
const ISO_TOLERANCE_D = 0.05;

/** No patch weighs more than a reading that is good to this, D. Source: our choice. */
const LEAST_SE_D = 0.005;

/**
 * Reads a characteristic curve through measured densities.
 * @param points densities at known exposures, in any order, at least three
 * @param clearFilm density of clear film with its standard error; null where none was measured
 * @returns the facts; null with fewer than three exposures
 * Source: speed point and contrast condition ISO 6:1993; the curve is the nearest rising one through the points (isotonic regression, then
 * Steffen 1990).
 */
export function measuredCurve(
  points: readonly CurvePoint[],
  clearFilm: { densityD: number; seD: number } | null,
): CurveFacts | null {
  const merged = mergedByExposure(points);
  if (merged.length < 3) return null;
  const xs = merged.map(({ logH }) => logH);
  const rising = isotonic(
    merged.map(({ densityD }) => densityD),
    merged.map(({ seD }) => 1 / Math.max(seD, LEAST_SE_D) ** 2),
  );
  const through = xs.map((logH, index) => ({ logH, densityD: rising[index] as number }));
  const at = curveThrough(through);
  const to = xs.at(-1) as number;
  const baseFogD = clearFilm?.densityD ?? (rising[0] as number);
  const speedD = baseFogD + SPEED_POINT_D;
  const speedLogH = logHAt(at, xs, speedD);
  const span = speedLogH === null ? 0 : Math.min(CONTRAST_SPAN, to - speedLogH);
  const seNear = (logH: number): number =>
    merged.reduce((best, one) => (Math.abs(one.logH - logH) < Math.abs(best.logH - logH) ? one : best)).seD;
  const gradient =
    speedLogH === null || span < LEAST_SPAN
      ? null
      : {
          value: (at(speedLogH + span) - at(speedLogH)) / span,
          se: Math.hypot(seNear(speedLogH), seNear(speedLogH + span)) / span,
          span,
          fromD: at(speedLogH),
          toD: at(speedLogH + span),
        };
  const whole = gradient !== null && span >= CONTRAST_SPAN - 1e-9;
  return {
    baseFogD,
    baseFogMeasured: clearFilm !== null,
    speedLogH,
    gradient,
    isoContrast:
      gradient !== null && whole ? Math.abs(gradient.value * CONTRAST_SPAN - 0.8) <= ISO_TOLERANCE_D + 1e-9 : null,
    rangeD: Math.max(0, (rising.at(-1) ?? 0) - baseFogD),
    usableStops: speedLogH === null ? null : (to - speedLogH) / LOG_EXPOSURE_PER_STOP,
    through,
  };
}

/** Where a rising curve through points at these exposures first reaches a density; null where it begins above it or never comes there. */
function logHAt(at: (x: number) => number, xs: readonly number[], densityD: number): number | null {
  const reached = xs.findIndex((x) => at(x) >= densityD);
  if (reached < 0) return null;
  const x = xs[reached] as number;
  if (reached === 0) return at(x) > densityD ? null : x;
  return bisect(at, densityD, xs[reached - 1] as number, x, HALVINGS);
}

/** Halvings between two points that narrow an exposure to a millionth of a stop. */
const HALVINGS = 26;

/** Patches of the same exposure are one, by the inverse of their variance. */
function mergedByExposure(points: readonly CurvePoint[]): CurvePoint[] {
  const sorted = [...points].sort((a, b) => a.logH - b.logH);
  const merged: CurvePoint[] = [];
  for (const point of sorted) {
    const last = merged.at(-1);
    if (last === undefined || point.logH - last.logH > 1e-6) {
      merged.push(point);
      continue;
    }
    const [a, b] = [1 / Math.max(last.seD, LEAST_SE_D) ** 2, 1 / Math.max(point.seD, LEAST_SE_D) ** 2];
    merged[merged.length - 1] = {
      logH: last.logH,
      densityD: (last.densityD * a + point.densityD * b) / (a + b),
      seD: 1 / Math.sqrt(a + b),
    };
  }
  return merged;
}

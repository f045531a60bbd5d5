import { calibrationFrom, type CalibrationPair } from '../densitometry/calibration';
import { measuredCurve, type CurveFacts, type CurvePoint } from '../densitometry/measuredCurve';
import { effectiveIndex } from '../densitometry/measuredSpeed';
import type { PatchDensity } from '../densitometry/patchDensity';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';
import type { Finding } from './evidenceRecord';
import type { StripPlan } from './stripForm';

/** A strip, read. */
export interface StripReading {
  /** Clear film; null where none was marked or it cannot be read. */
  clear: PatchDensity | null;
  steps: (PatchDensity & { logH: number | null })[];
  curve: CurveFacts | null;
  /** Index at which a metered grey would have stood ten times over the speed point; null where that is not known. */
  effectiveIso: number | null;
  /** Densest patch that reads, D; null where none does. */
  topD: number | null;
  /** Whether the row runs against its exposures: it gets thinner where it should get denser. */
  backwards: boolean;
}

/**
 * How far the density scale of a picture may be off where its camera was never held against a wedge, as a share: flare, lens, the
 * maker's tone curve. Source: our estimate.
 */
export const UNCALIBRATED_SHARE = 0.03;

/** Fall of density along a row, from end to end, that shows its direction, D. Source: our choice. */
const CLEARLY_D = 0.1;

/**
 * Puts densities and exposures of a strip together.
 * @param clear density of clear film, or null
 * @param steps densities of the row, first to last
 * @param plan what is known of the exposures; a wedge is turned so that its denser end has had more light
 * @param camera how the camera was calibrated: its pairs; `unknown` for one that never was; `none` for a densitometer
 * @returns curve, speed and gradient as far as the patches hold them
 * Source: ISO 6:1993 by `measuredCurve`; ISO 2720:1974 for the metered grey.
 */
export function stripReading(
  clear: PatchDensity | null,
  steps: readonly PatchDensity[],
  plan: Pick<StripPlan, 'logH' | 'meteredIso'>,
  camera: readonly CalibrationPair[] | 'unknown' | 'none' = 'none',
): StripReading {
  const calibration = typeof camera === 'string' ? null : calibrationFrom(camera);
  const corrected = (patch: PatchDensity): PatchDensity =>
    calibration === null || patch.fault !== null
      ? patch
      : {
          ...patch,
          densityD: calibration.correct(patch.densityD),
          seD: Math.hypot(patch.seD * calibration.slopeAt(patch.densityD), calibration.rmsD),
        };
  const base = clear === null || clear.fault !== null ? null : corrected(clear);
  const read = steps.map(corrected);
  const sound = read.filter(({ fault }) => fault === null);
  const rise = (sound.at(-1)?.densityD ?? 0) - (sound[0]?.densityD ?? 0);
  const relative = plan.logH !== null && plan.meteredIso === null;
  const logH = plan.logH === null ? null : relative && rise < 0 ? [...plan.logH].reverse() : plan.logH;
  const points: CurvePoint[] = read.flatMap(({ densityD, seD, fault }, at) =>
    fault !== null || logH?.[at] === undefined ? [] : [{ logH: logH[at], densityD, seD }],
  );
  const exposureRise = (logH?.at(-1) ?? 0) - (logH?.[0] ?? 0);
  const curve = withScaleDoubt(measuredCurve(points, base), camera === 'unknown' ? UNCALIBRATED_SHARE : 0);
  return {
    clear: base,
    steps: read.map((patch, at) => ({ ...patch, logH: logH?.[at] ?? null })),
    curve,
    effectiveIso:
      curve === null || curve.speedLogH === null || plan.meteredIso === null
        ? null
        : effectiveIndex(curve.speedLogH, plan.meteredIso),
    topD: sound.length === 0 ? null : Math.max(...sound.map(({ densityD }) => densityD)),
    backwards: logH !== null && rise * exposureRise < 0 && Math.abs(rise) > CLEARLY_D,
  };
}

/** A scale that may be off moves the whole gradient, whatever the patches repeat to. */
function withScaleDoubt(curve: CurveFacts | null, share: number): CurveFacts | null {
  if (curve?.gradient == null || share === 0) return curve;
  const { value, se } = curve.gradient;
  return { ...curve, gradient: { ...curve.gradient, se: Math.hypot(se, share * value) } };
}

/** Densest base + fog that evidence takes, D. */
const MOST_D = 4;

/**
 * What a strip tells the estimate: contrast with base + fog where it has a curve, base + fog alone where it has clear film only.
 * @param reading the strip
 * @param timeMin how long it developed, min
 * @param ownFrames whether its frames are the roll's own, and not exposed for the test
 * @returns null where it tells neither
 */
export function findingOfStrip(
  { clear, curve, effectiveIso }: StripReading,
  timeMin: number,
  ownFrames = false,
): Finding | null {
  const fogD = clear === null ? null : Math.min(MOST_D, Math.max(0, clear.densityD));
  if (curve?.gradient != null && curve.baseFogMeasured && fogD !== null) {
    const { span, fromD, toD } = curve.gradient;
    return {
      kind: 'clip',
      timeMin,
      method: 'densities',
      baseFogD: fogD,
      shadowD: Math.min(MOST_D, Math.max(0, fromD)),
      highlightD: Math.min(MOST_D, Math.max(0, toD)),
      stopsBetween: span / LOG_EXPOSURE_PER_STOP,
      speed: effectiveIso === null ? null : { index: Number(effectiveIso.toPrecision(4)), ownFrames },
    };
  }
  return fogD === null ? null : { kind: 'fog', timeMin, method: 'densities', baseFogD: fogD };
}

import { curveWithDoubt, type DoubtedCurve } from '../densitometry/curveDoubt';
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
  curve: DoubtedCurve | null;
  /** Index at which a metered grey would have stood ten times over the speed point; null where that is not known. */
  effectiveIso: number | null;
  /** Densest patch that reads, D; null where none does. */
  topD: number | null;
  /** Whether the densest may be denser: some patch is a least one. */
  topAtLeast: boolean;
  /** Whether the row runs against its exposures: it gets thinner where it should get denser. */
  backwards: boolean;
}

/** Fall of density along a row, from end to end, that shows its direction, D. Source: our choice. */
const CLEARLY_D = 0.1;

/** What is known of a strip's exposures. */
export type ExposurePlan = Pick<StripPlan, 'logH' | 'meteredIso' | 'numbered'>;

/** Densities of a strip with all that makes them doubtful together. */
export interface ReadDensities {
  clear: PatchDensity | null;
  steps: readonly PatchDensity[];
  /** Covariance of the densities, and that without what the camera's other readings share, D²; clear film first, of those that read. */
  covariance: number[][];
  ownCovariance: number[][];
}

/** Densities that no picture ties together: typed, or by a densitometer. */
export function separateDensities(clear: PatchDensity | null, steps: readonly PatchDensity[]): ReadDensities {
  const sound = [...(clear === null ? [] : [clear]), ...steps].filter(({ fault }) => fault === null);
  const covariance = sound.map(({ seD }, a) => sound.map((_, b) => (a === b ? seD ** 2 : 0)));
  return { clear, steps, covariance, ownCovariance: covariance };
}

/**
 * Puts densities and exposures of a strip together.
 * @param read densities of clear film and of the row, first to last
 * @param plan what is known of the exposures; a wedge is turned so that its denser end has had more light
 * @returns curve, speed and gradient as far as the patches hold them
 * Source: ISO 6:1993 by `measuredCurve`; ISO 2720:1974 for the metered grey.
 */
export function stripReading(
  { clear, steps, covariance, ownCovariance }: ReadDensities,
  plan: ExposurePlan,
): StripReading {
  const base = clear === null || clear.fault !== null ? null : clear;
  const sound = steps.filter(({ fault }) => fault === null);
  const rise = (sound.at(-1)?.densityD ?? 0) - (sound[0]?.densityD ?? 0);
  const relative = plan.logH !== null && plan.meteredIso === null;
  const logH = plan.logH === null ? null : relative && rise < 0 ? [...plan.logH].reverse() : plan.logH;
  const exposureRise = (logH?.at(-1) ?? 0) - (logH?.[0] as number);
  // Over a base that is at least so much, no speed and no contrast can be told.
  const curve = base?.atLeast === true ? null : curveOf(base, steps, logH, covariance, ownCovariance);
  return {
    clear: base,
    steps: steps.map((patch, at) => ({ ...patch, logH: logH?.[at] ?? null })),
    curve,
    effectiveIso:
      curve === null || curve.speedLogH === null || plan.meteredIso === null || !plan.numbered
        ? null
        : effectiveIndex(curve.speedLogH, plan.meteredIso),
    ...densestOf(sound),
    backwards: logH !== null && rise * exposureRise < 0 && Math.abs(rise) > CLEARLY_D,
  };
}

/** The densest of some patches; any that is a least one may be denser still. */
function densestOf(sound: readonly PatchDensity[]): Pick<StripReading, 'topD' | 'topAtLeast'> {
  return {
    topD: sound.length === 0 ? null : Math.max(...sound.map(({ densityD }) => densityD)),
    topAtLeast: sound.some(({ atLeast }) => atLeast === true),
  };
}

/** The curve through what has both a density and an exposure; patches that glare rules have a density, but at least. */
function curveOf(
  base: PatchDensity | null,
  steps: readonly PatchDensity[],
  logH: readonly number[] | null,
  covariance: number[][],
  ownCovariance: number[][],
): DoubtedCurve | null {
  if (logH === null) return null;
  const places: { densityD: number; logH: number | null; at: number }[] = [];
  let at = 0;
  if (base !== null) places.push({ densityD: base.densityD, logH: null, at: at++ });
  steps.forEach(({ densityD, fault, atLeast }, index) => {
    if (fault !== null) return;
    const exposure = logH[index];
    if (exposure !== undefined && atLeast !== true) places.push({ densityD, logH: exposure, at });
    at += 1;
  });
  const pick = (matrix: number[][]): number[][] => places.map((a) => places.map((b) => matrix[a.at]?.[b.at] as number));
  return curveWithDoubt(
    {
      densitiesD: places.map(({ densityD }) => densityD),
      covariance: pick(covariance),
      ownCovariance: pick(ownCovariance),
    },
    base !== null,
    places.flatMap((place) => place.logH ?? []),
  );
}

/** Densest base + fog that evidence takes, D. */
const MOST_D = 4;

/**
 * What a strip tells the estimate: contrast with base + fog where it has a curve, base + fog alone where it has clear film only.
 * @param reading the strip
 * @param timeMin how long it developed, min
 * @param ownFrames whether its frames are the roll's own, and not exposed for the test
 * @param camera camera that read it, by whose error all its readings are off together; null where none did
 * @returns null where it tells neither
 */
export function findingOfStrip(
  { clear, curve, effectiveIso }: StripReading,
  timeMin: number,
  ownFrames = false,
  camera: string | null = null,
): Finding | null {
  const fogD = clear === null ? null : Math.min(MOST_D, Math.max(0, clear.densityD));
  if (curve?.gradient != null && curve.baseFogMeasured && fogD !== null) {
    const { span, fromD, toD } = curve.gradient;
    const { lnSd, ownLnSd } = curve.doubt.gradient ?? { lnSd: 0, ownLnSd: 0 };
    return {
      kind: 'clip',
      timeMin,
      method: 'densities',
      baseFogD: fogD,
      shadowD: Math.min(MOST_D, Math.max(0, fromD)),
      highlightD: Math.min(MOST_D, Math.max(0, toD)),
      stopsBetween: span / LOG_EXPOSURE_PER_STOP,
      speed: effectiveIso === null ? null : { index: Number(effectiveIso.toPrecision(4)), ownFrames },
      ...doubtOf(camera, Math.sqrt(Math.max(0, lnSd ** 2 - ownLnSd ** 2)), ownLnSd),
    };
  }
  if (fogD === null || clear === null) return null;
  return {
    kind: 'fog',
    timeMin,
    method: 'densities',
    baseFogD: fogD,
    // A bound has its doubt in it.
    ...(clear.atLeast === true ? { atLeast: true } : doubtOf(camera, clear.seD / Math.max(0.1, fogD), 0)),
  };
}

/** What a camera leaves open, to four figures. */
function doubtOf(
  camera: string | null,
  cameraLnSd: number,
  ownLnSd: number,
): Pick<Finding & { kind: 'clip' }, 'doubt'> {
  if (camera === null) return {};
  const rounded = (value: number): number => Number(Math.min(2, value).toPrecision(4));
  return { doubt: { camera, cameraLnSd: rounded(cameraLnSd), ownLnSd: rounded(ownLnSd) } };
}

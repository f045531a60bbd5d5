/** How a picture was exposed, as the camera wrote it down. */
export interface CameraExposure {
  /** Shutter time, s; above 0. */
  seconds: number;
  fNumber: number | null;
  iso: number | null;
}

/**
 * How far an exposure may be off that differs from another by its shutter, its aperture, its ISO speed, ln. Electronic shutters keep
 * their times, which are written down rounded. Source: our estimate.
 */
export const SHUTTER_LN_SD = 0.026;
const APERTURE_LN_SD = 0.12;
const ISO_LN_SD = 0.05;

/**
 * How much more light one picture took in than another.
 * @returns ln of the ratio with its standard deviation; null where one says what the other leaves open
 * @example statedExposure({ seconds: 1, fNumber: 8, iso: 100 }, { seconds: 0.25, fNumber: 8, iso: 100 })?.ln // ln 4
 * Source: exposure = time × ISO speed / f-number² (ISO 2720, textbook).
 */
export function statedExposure(
  of: CameraExposure | null,
  against: CameraExposure | null,
): { ln: number; sd: number } | null {
  if (of === null || against === null || !(of.seconds > 0) || !(against.seconds > 0)) return null;
  if ((of.fNumber === null) !== (against.fNumber === null) || (of.iso === null) !== (against.iso === null)) return null;
  const ratio =
    ((of.seconds / against.seconds) * ((of.iso ?? 1) / (against.iso ?? 1))) /
    ((of.fNumber ?? 1) / (against.fNumber ?? 1)) ** 2;
  if (!Number.isFinite(ratio) || ratio <= 0) return null;
  const sd = Math.hypot(
    SHUTTER_LN_SD,
    of.fNumber === against.fNumber ? 0 : APERTURE_LN_SD,
    of.iso === against.iso ? 0 : ISO_LN_SD,
  );
  return { ln: Math.log(ratio), sd };
}

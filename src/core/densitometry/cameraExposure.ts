/** How a picture was exposed, as the camera wrote it down. */
export interface CameraExposure {
  /** Shutter time, s; above 0. */
  seconds: number;
  fNumber: number | null;
  iso: number | null;
}

/**
 * How much more light one picture took in than another, as a density.
 * @returns log10 of the ratio; null where one says what the other leaves open
 * @example statedShift({ seconds: 1, fNumber: 8, iso: 100 }, { seconds: 0.1, fNumber: 8, iso: 100 }) // 1
 * Source: exposure = time × ISO speed / f-number² (ISO 2720, textbook).
 */
export function statedShift(of: CameraExposure | null, against: CameraExposure | null): number | null {
  if (of === null || against === null || !(of.seconds > 0) || !(against.seconds > 0)) return null;
  if ((of.fNumber === null) !== (against.fNumber === null) || (of.iso === null) !== (against.iso === null)) return null;
  const ratio =
    ((of.seconds / against.seconds) * ((of.iso ?? 1) / (against.iso ?? 1))) /
    ((of.fNumber ?? 1) / (against.fNumber ?? 1)) ** 2;
  return Number.isFinite(ratio) && ratio > 0 ? Math.log10(ratio) : null;
}

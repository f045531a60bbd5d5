/** One value that was read: ln of it, with its standard error. */
export interface ValueRead {
  lnValue: number;
  lnSe: number;
}

/** The bare light at a patch, as ln of its value. */
export interface LightRead {
  lnValue: number;
  /** Errors that patches share, one column a cause, in standard deviations. */
  shared: ArrayLike<number>;
}

/** Clear film along the strip: as dense as the first patch. */
export interface BaseRead extends ValueRead {
  light: LightRead;
  /** ln of the mean value around it, against the bare light there. */
  lnAround: number;
  /** Where along the strip it lies, −1 to 1. */
  along: number;
}

/** What one picture shows. */
export interface PictureRead {
  /** Each patch; null where this picture cannot see it. */
  patches: readonly (ValueRead | null)[];
  /** Bare light at each patch; null where it is clipped in this picture. */
  light: readonly LightRead[] | null;
  /** ln of the mean value around each patch, against the bare light there; missing where nobody looked. */
  lnAround?: readonly number[];
  /** Clear film along the strip, where the first patch is clear film. */
  base?: readonly BaseRead[];
  /** Shares of the picture by ln of their value: where glare comes from. */
  tones: readonly { lnValue: number; share: number }[];
  /** Something that lets no light through; where it is as good as black, no more than a bound. */
  opaque: (ValueRead & { atMost?: boolean }) | null;
  /** ln of how much more light it took in than the first picture, with its standard deviation; null where nobody knows. */
  lnExposure: { ln: number; sd: number } | null;
}

/** Densities that are known: of one patch against another, D. A wedge, or layers of one film. */
export interface KnownDensity {
  patch: number;
  /** D = scale × the unknown unit + offset: layers share a unit; a wedge of known densities has an offset alone. */
  unitShare: number;
  offsetD: number;
  sdD: number;
}

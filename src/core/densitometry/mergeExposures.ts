import type { PatchDensity } from './patchDensity';

/**
 * Densities of one strip from several pictures of it, each with another exposure: a bright one sees into the dense patches, a dark
 * one keeps the thin ones from clipping.
 * @param pictures for each picture its patches against its own bare light, in the same order; a picture whose bare light is clipped
 *   brings its patches against any level, and is set to the others by what they share
 * @param stated for each picture what the camera wrote down of its exposure: the shift in density against the first picture; null
 *   where nothing is known. What pictures share goes before it where the two disagree: a camera may have changed more than it says
 * @returns each patch by the inverse variance of what saw it; a fault only where no picture saw it
 * Source: weighted mean, GUM (JCGM 100:2008); two exposures differ by a factor, which is a shift in density.
 */
export function mergeExposures(
  pictures: readonly (readonly PatchDensity[])[],
  stated: readonly (number | null)[] = [],
): PatchDensity[] {
  const [first] = pictures;
  if (first === undefined) return [];
  let merged = [...first];
  // From the picture that is most like the reference to the least, so that a chain of overlaps carries the level along.
  const waiting = pictures.slice(1).map((picture, index) => ({ picture, stated: stated[index + 1] ?? null }));
  while (waiting.length > 0) {
    const overlaps = waiting.map(({ picture }) => shared(merged, picture).length);
    const next = overlaps.indexOf(Math.max(...overlaps));
    const [{ picture, stated: said }] = waiting.splice(next, 1) as [(typeof waiting)[number]];
    const found = shiftOf(shared(merged, picture), said);
    if (found === null) continue;
    const { shift, variance: shiftVariance } = found;
    merged = merged.map((known, index) => {
      const seen = picture[index];
      if (seen === undefined || seen.fault !== null) return known;
      const shifted: PatchDensity = {
        densityD: seen.densityD + shift,
        seD: Math.sqrt(seen.seD ** 2 + shiftVariance),
        fault: null,
      };
      return known.fault === null ? weighted(known, shifted) : shifted;
    });
  }
  return merged;
}

/** How far a shift goes that the camera states, D: a fifth of a stop for shutter, aperture and rounding. Source: our estimate. */
const STATED_SE_D = 0.06;

/** Standard errors by which the camera's word may differ from what the pictures show and still count. Source: our choice. */
const MOST_APART = 3;

/** The shift between two exposures, by what they share and by what the camera says; null where neither says anything. */
function shiftOf(
  common: readonly [PatchDensity, PatchDensity][],
  stated: number | null,
): { shift: number; variance: number } | null {
  let [sum, weights] = [0, 0];
  for (const [a, b] of common) {
    const weight = 1 / (a.seD ** 2 + b.seD ** 2);
    sum += weight * (a.densityD - b.densityD);
    weights += weight;
  }
  const apart = stated === null || weights === 0 ? 0 : Math.abs(stated - sum / weights);
  if (stated !== null && apart <= MOST_APART * Math.sqrt(STATED_SE_D ** 2 + 1 / weights)) {
    sum += stated / STATED_SE_D ** 2;
    weights += 1 / STATED_SE_D ** 2;
  }
  return weights === 0 ? null : { shift: sum / weights, variance: 1 / weights };
}

function shared(a: readonly PatchDensity[], b: readonly PatchDensity[]): [PatchDensity, PatchDensity][] {
  return a.flatMap((one, index): [PatchDensity, PatchDensity][] => {
    const other = b[index];
    return other !== undefined && one.fault === null && other.fault === null ? [[one, other]] : [];
  });
}

function weighted(a: PatchDensity, b: PatchDensity): PatchDensity {
  const [forA, forB] = [1 / a.seD ** 2, 1 / b.seD ** 2];
  return {
    densityD: (a.densityD * forA + b.densityD * forB) / (forA + forB),
    seD: 1 / Math.sqrt(forA + forB),
    fault: null,
  };
}

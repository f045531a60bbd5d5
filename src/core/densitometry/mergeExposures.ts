import type { PatchDensity } from './patchDensity';

/**
 * Densities of one strip from several pictures of it, each with another exposure: a bright one sees into the dense patches, a dark
 * one keeps the thin ones from clipping.
 * @param pictures for each picture its patches against its own bare light, in the same order; a picture whose bare light is clipped
 *   brings its patches against any level, and is set to the others by what they share
 * @returns each patch by the inverse variance of what saw it; a fault only where no picture saw it
 * Source: weighted mean, GUM (JCGM 100:2008); two exposures differ by a factor, which is a shift in density.
 */
export function mergeExposures(pictures: readonly (readonly PatchDensity[])[]): PatchDensity[] {
  const [first] = pictures;
  if (first === undefined) return [];
  let merged = [...first];
  // From the picture that is most like the reference to the least, so that a chain of overlaps carries the level along.
  const waiting = pictures.slice(1).map((picture) => [...picture]);
  while (waiting.length > 0) {
    const overlaps = waiting.map((picture) => shared(merged, picture).length);
    const next = overlaps.indexOf(Math.max(...overlaps));
    const [picture = []] = waiting.splice(next, 1);
    const common = shared(merged, picture);
    if (common.length === 0) continue;
    let [sum, weights] = [0, 0];
    for (const [a, b] of common) {
      const weight = 1 / (a.seD ** 2 + b.seD ** 2);
      sum += weight * (a.densityD - b.densityD);
      weights += weight;
    }
    const [shift, shiftVariance] = [sum / weights, 1 / weights];
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

import { bareLightFrom, type BareLight } from './bareLight';
import { statedShift, type CameraExposure } from './cameraExposure';
import { mergeExposures } from './mergeExposures';
import type { Patch } from './patch';
import { patchDensity, type PatchDensity } from './patchDensity';
import type { PatchSample } from './samplePatch';

/** What a picture shows at a place, and what a picture of the bare light shows there. */
export interface PlaceSample {
  at: Patch;
  sample: PatchSample | null;
  /** The same place without film; null where nobody photographed it. */
  blank: PatchSample | null;
}

/** What one picture of a strip shows at each place. */
export interface PictureSamples {
  /** How it was exposed, where the camera wrote it down. */
  exposure?: CameraExposure | null;
  light: PlaceSample[];
  film: PlaceSample[];
}

/** Why a picture cannot be read. */
export type StripFault = 'no-light' | 'light-clipped' | 'light-dark';

/** Share of clipped pixels from which a light no longer tells its level. */
const MOST_CLIPPED = 0.01;

/** Code steps that a bare light must stand above black. Source: our choice. */
const LEAST_LIGHT_STEPS = 20;

/**
 * Densities of a strip from one picture of it or several.
 * @param pictures samples at the same places; one of them must show its bare light unclipped
 * @returns a density for each patch of the film, or why there is none
 * Source: D = −log10(T), ISO 5 series; a blank frame divides the light's falloff out.
 */
export function readStrip(
  pictures: readonly PictureSamples[],
): { ok: true; patches: PatchDensity[] } | { ok: false; fault: StripFault } {
  const faults = pictures.map(lightFault);
  const at = faults.indexOf(null);
  const reference = pictures[at];
  if (reference === undefined) return { ok: false, fault: faults[0] ?? 'no-light' };
  const bare = bareLightOf(reference);
  const others = pictures.flatMap((picture, index) => {
    if (index === at) return [];
    if (faults[index] === null) return [{ patches: densitiesOf(picture, bareLightOf(picture)), stated: 0 }];
    // Where the light is clipped, its shape is the reference's; its level comes out of the merging and of what the camera wrote.
    const stated = statedShift(picture.exposure ?? null, reference.exposure ?? null);
    return [{ patches: densitiesOf(picture, bare), stated }];
  });
  const all = [{ patches: densitiesOf(reference, bare), stated: 0 }, ...others];
  const [patches, stated] = [all.map((one) => one.patches), all.map((one) => one.stated)];
  return { ok: true, patches: mergeExposures(patches, stated) };
}

function lightFault({ light, film }: PictureSamples): StripFault | null {
  const seen = light.flatMap(({ sample }) => (sample === null ? [] : [sample]));
  // Film that fills the frame has its light in the blank picture alone.
  if (seen.length === 0) return film.length > 0 && film.every(({ blank }) => blank !== null) ? null : 'no-light';
  if (seen.some(({ clippedShare }) => clippedShare > MOST_CLIPPED)) return 'light-clipped';
  return seen.some(({ linear, stepLinear }) => linear < LEAST_LIGHT_STEPS * stepLinear) ? 'light-dark' : null;
}

/** The bare light behind a patch: of the blank picture at the level of this one, else of the light around the film. */
function bareLightOf({ light }: PictureSamples): (place: PlaceSample) => { linear: number; linearSe: number } {
  const seen = light.flatMap(({ at, sample, blank }) => (sample === null ? [] : [{ x: at.x, y: at.y, sample, blank }]));
  const around: BareLight | null = seen.length === 0 ? null : bareLightFrom(seen);
  const levels = seen.flatMap(({ sample, blank }) =>
    blank === null || blank.linear <= 0 ? [] : [sample.linear / blank.linear],
  );
  const level = levels.length === 0 ? 1 : levels.reduce((sum, one) => sum + one, 0) / levels.length;
  return ({ at, blank }) => {
    if (blank !== null && blank.linear > 0) return { linear: blank.linear * level, linearSe: blank.linearSe * level };
    return around === null ? { linear: 1, linearSe: 1 } : around(at);
  };
}

function densitiesOf({ film }: PictureSamples, bare: ReturnType<typeof bareLightOf>): PatchDensity[] {
  return film.map((place) => patchDensity(place.sample, bare(place)));
}

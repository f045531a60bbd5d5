import { filmBase, lnAround } from './filmBase';
import type { LightPlane } from './lightPlane';
import { bareSurface, type PictureSamples } from './readStrip';

/**
 * What lies around the patches of a strip: the light of their neighbourhoods, and the clear film along it.
 * @param plane the picture, reduced
 * @param samples what was sampled of it
 * @param clear whether the first place of the film is clear film
 * @returns to be put to the samples; empty where no bare light shows
 */
export function stripSurroundings(
  plane: LightPlane,
  samples: Pick<PictureSamples, 'survey' | 'light' | 'film'>,
  clear: boolean,
): Pick<PictureSamples, 'lnAround' | 'base'> {
  const bare = bareSurface(samples);
  const [first, ...row] = samples.film;
  if (bare === null || first === undefined) return {};
  const value = first.sample?.linear ?? 0;
  return {
    lnAround: samples.film.map(({ at }) => lnAround(plane, at)),
    base:
      clear && value > 0
        ? filmBase(
            plane,
            bare,
            { ...first.at, lnValue: Math.log(value) },
            row.map(({ at }) => at),
          )
        : [],
  };
}

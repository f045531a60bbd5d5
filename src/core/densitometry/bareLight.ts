import type { Place } from './patch';
import type { PatchSample } from './samplePatch';

/** Bare light that was measured somewhere. */
export interface LightSample extends Place {
  sample: PatchSample;
}

/** The bare light at a place: its linear light and standard error. */
export type BareLight = (at: Place) => { linear: number; linearSe: number };

/**
 * The light that would be there without film, from where it can be seen. One sample counts everywhere; two tell how it falls off along
 * their line; three and more, how it falls off in the plane.
 * @param samples bare light, at least one
 * @returns the light at any place, by a plane through ln(light)
 * Source: our choice; light falls off slowly beside the size of a strip.
 */
export function bareLightFrom(samples: readonly LightSample[]): BareLight {
  const logs = samples.map(({ sample }) => Math.log(sample.linear));
  const relativeSe = Math.sqrt(
    samples.reduce((sum, { sample }) => sum + (sample.linearSe / sample.linear) ** 2, 0) / samples.length,
  );
  const mean = (of: (one: LightSample) => number): number =>
    samples.reduce((sum, one) => sum + of(one), 0) / samples.length;
  const [middleX, middleY] = [mean(({ x }) => x), mean(({ y }) => y)];
  const level = logs.reduce((sum, one) => sum + one, 0) / logs.length;
  const [slopeX, slopeY] = slopes(samples, logs, middleX, middleY, level);
  return ({ x, y }) => {
    const linear = Math.exp(level + slopeX * (x - middleX) + slopeY * (y - middleY));
    return { linear, linearSe: linear * relativeSe };
  };
}

/**
 * Stiffness of the plane: samples on one line say nothing of the way across, which then stays level. A light falls off by a factor of
 * two along a picture at the most, and a sample is sure to a third of a per cent. Source: our choice.
 */
const STIFFNESS = (0.0035 / 0.7) ** 2;

function slopes(
  samples: readonly LightSample[],
  logs: readonly number[],
  middleX: number,
  middleY: number,
  level: number,
): [number, number] {
  let [sxx, sxy, syy, sxl, syl] = [STIFFNESS, 0, STIFFNESS, 0, 0];
  samples.forEach((sample, index) => {
    const [x, y, rise] = [sample.x - middleX, sample.y - middleY, (logs[index] ?? 0) - level];
    sxx += x * x;
    sxy += x * y;
    syy += y * y;
    sxl += x * rise;
    syl += y * rise;
  });
  const determinant = sxx * syy - sxy * sxy;
  return [(syy * sxl - sxy * syl) / determinant, (sxx * syl - sxy * sxl) / determinant];
}

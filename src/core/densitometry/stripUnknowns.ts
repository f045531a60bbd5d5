import { Matrix } from 'ml-matrix';
import { inverseOf } from '../inference/choleskyOf';
import { RESPONSE_SIZE } from './cameraResponse';
import { USUAL_LOCAL, type CameraBelief } from './cameraUnknowns';
import type { PictureRead } from './pictureRead';

/* The unknowns of a strip's fit: where each stands in their row, and what is believed of it before a picture is read. */

/** Densities before they are read: anything. */
const ANY_D = { mean: 1, sd: 3 } as const;

/** A belief about the unit of layers, D: hardly any. */
const ANY_UNIT = { mean: 0.5, sd: 3 } as const;

/** Where each unknown stands: densities, response, glare, local tone mapping, exposures, unit of the layers, errors of light and base. */
export interface Places {
  /** How many densities. */
  count: number;
  response: number;
  glare: number;
  local: number;
  exposure: number;
  unit: number;
  /** Where the errors of each picture's light begin, and how many there are. */
  light: { from: number; causes: number }[];
  /** Where the two errors of the clear film of each picture begin. */
  base: number[];
  size: number;
}

/**
 * Where each unknown stands in the row of them all.
 * @param pictures of one strip, each with as many patches
 */
export function placesOf(pictures: readonly PictureRead[]): Places {
  const count = pictures[0]?.patches.length ?? 0;
  const response = count;
  const glare = response + RESPONSE_SIZE;
  const local = glare + 1;
  const exposure = local + 1;
  const unit = exposure + pictures.length;
  let size = unit + 1;
  const light = pictures.map((picture) => {
    const causes = picture.light?.[0]?.shared.length ?? 0;
    size += causes;
    return { from: size - causes, causes };
  });
  const base = pictures.map(() => (size += 2) - 2);
  return { count, response, glare, local, exposure, unit, light, base, size };
}

/** What is believed of the unknowns before a picture is read: normal, with a precision of nought where nothing is. */
export interface Prior {
  mean: Float64Array;
  precision: Matrix;
}

/**
 * What is believed of all unknowns.
 * @param at where they stand
 * @param camera what is believed of the camera; errors of light and clear film are counted in their own standard deviations
 */
export function priorOf(at: Places, { response, lnGlare, local = USUAL_LOCAL }: CameraBelief): Prior {
  const mean = new Float64Array(at.size);
  const precision = Matrix.zeros(at.size, at.size);
  const believe = (place: number, belief: { mean: number; sd: number }): void => {
    mean[place] = belief.mean;
    precision.set(place, place, 1 / belief.sd ** 2);
  };
  for (let i = 0; i < at.count; i++) believe(i, ANY_D);
  mean.set(response.mean, at.response);
  precision.setSubMatrix(inverseOf(new Matrix(response.covariance)), at.response, at.response);
  believe(at.glare, lnGlare);
  believe(at.local, local);
  believe(at.unit, ANY_UNIT);
  // Exposures are told by residuals of their own.
  for (let place = at.unit + 1; place < at.size; place++) believe(place, { mean: 0, sd: 1 });
  return { mean, precision };
}

/** How far unknowns lie from what is believed, squared in standard deviations (Mahalanobis), and half its slope by each. */
export function pullOf({ mean, precision }: Prior, z: Float64Array): { squares: number; slope: Float64Array } {
  const slope = new Float64Array(z.length);
  let squares = 0;
  for (let a = 0; a < z.length; a++) {
    let sum = 0;
    for (let b = 0; b < z.length; b++) sum += precision.get(a, b) * ((z[b] as number) - (mean[b] as number));
    slope[a] = sum;
    squares += sum * ((z[a] as number) - (mean[a] as number));
  }
  return { squares, slope };
}

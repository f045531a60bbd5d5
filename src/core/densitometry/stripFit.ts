import { Matrix } from 'ml-matrix';
import { choleskyOf, inverseOf } from '../inference/choleskyOf';
import { RESPONSE_SIZE, responseOf, type Response, type ResponseBelief } from './cameraResponse';

/**
 * Densities of a strip, its camera's response, its glare and its exposures, all from what the pictures show and in one fit.
 *
 * A picture p shows at a patch i the light  L = E·ℓ·10^−D + G  and without film  B = E·ℓ + G,  with G = g · mean light of the
 * picture. What is read are values v, ln L = r(v; θ). So  (L − G) / (B − G) = 10^−D.
 *
 * Source: D = −log10(T), ISO 5 series; several exposures of one scene tell the response (Debevec and Malik 1997; Mitsunaga and
 * Nayar 1999); maximum a posteriori by Gauss–Newton with its covariance.
 */

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

/** What one picture shows. */
export interface PictureRead {
  /** Each patch; null where this picture cannot see it. */
  patches: readonly (ValueRead | null)[];
  /** Bare light at each patch; null where it is clipped in this picture. */
  light: readonly LightRead[] | null;
  /** Shares of the picture by ln of their value: where glare comes from. */
  tones: readonly { lnValue: number; share: number }[];
  /** Something that lets no light through. */
  opaque: ValueRead | null;
  /** ln of how much more light it took in than the first picture, with its standard deviation; null where nobody knows. */
  lnExposure: { ln: number; sd: number } | null;
}

/** What is believed of a camera: its response, and the glare of its lens and its place. */
export interface CameraBelief {
  response: ResponseBelief;
  lnGlare: { mean: number; sd: number };
}

/** Densities that are known: of one patch against another, D. A wedge, or layers of one film. */
export interface KnownDensity {
  patch: number;
  /** D = scale × the unknown unit + offset: layers share a unit; a wedge of known densities has an offset alone. */
  unitShare: number;
  offsetD: number;
  sdD: number;
}

/** A strip as the fit leaves it. */
export interface StripFit {
  densitiesD: number[];
  /** Covariance of the densities, D². */
  covariance: Matrix;
  /** Covariance with response and glare held: what a strip has for itself. */
  ownCovariance: Matrix;
  /** Share of a patch's light that is glare, in the picture that sees it best. */
  glareShare: number[];
  camera: CameraBelief;
}

/** Veiling glare of a camera on a light table, as a share of the mean light. Source: our estimate. */
export const USUAL_GLARE = { mean: Math.log(0.008), sd: Math.log(1.8) } as const;

/** What a patch's light is good to, whatever its pixels say: texture of light and film, JPEG, local tone mapping; ln. Source: our estimate. */
const PATCH_LN_SD = 0.004;

/** How far glare at an opaque patch is that of the others, ln. Source: our estimate. */
const GLARE_EVEN_LN_SD = 0.12;

/** Where an opaque patch tells the glare, what was believed of it counts for little. Source: our choice. */
const MEASURED_GLARE_SD = 1.2;

/** A light that burns steadily keeps its level between two pictures to this, ln. Source: our estimate. */
const STEADY_LN_SD = 0.01;

/** Densities before they are read: anything. */
const ANY_D = { mean: 1, sd: 3 } as const;

/** An exposure that nobody knows may be anything, ln. */
const ANY_EXPOSURE_LN_SD = 4;

/** Least share of a patch's light that is taken for the film's own. */
const LEAST_OWN = 0.04;

/** Measured numbers beyond the unknowns from which the misfit is believed. Source: our choice. */
const LEAST_SPARE = 6;

const ROUNDS = 12;
const STEP = 1e-4;

/**
 * @param pictures at least one with its bare light; the first of these sets the level
 * @param belief what is believed of the camera
 * @param known densities that are known besides
 * @returns the fit. Same pictures, same fit
 */
export function fitStrip(
  pictures: readonly PictureRead[],
  { response: believed, lnGlare }: CameraBelief,
  known: readonly KnownDensity[] = [],
): StripFit {
  const measured = pictures.some(({ opaque }) => opaque !== null);
  const belief: CameraBelief = {
    response: believed,
    lnGlare: { mean: lnGlare.mean, sd: measured ? Math.max(lnGlare.sd, MEASURED_GLARE_SD) : lnGlare.sd },
  };
  const count = pictures[0]?.patches.length ?? 0;
  const reference = Math.max(
    0,
    pictures.findIndex(({ light }) => light !== null),
  );
  const causes = pictures.map(({ light }) => light?.[0]?.shared.length ?? 0);
  // Unknowns: densities, response, glare, exposures, unit of the layers, errors of the light.
  const atResponse = count;
  const atGlare = atResponse + RESPONSE_SIZE;
  const atExposure = atGlare + 1;
  const atUnit = atExposure + pictures.length;
  const atLight: number[] = [];
  let size = atUnit + 1;
  for (const some of causes) {
    atLight.push(size);
    size += some;
  }
  const precision = inverseOf(new Matrix(belief.response.covariance));
  const stated = (p: number): { ln: number; sd: number } => {
    if (p === reference) return { ln: 0, sd: 1e-3 };
    const own = pictures[p]?.lnExposure ?? null;
    const base = pictures[reference]?.lnExposure ?? null;
    if (own === null || base === null) return { ln: 0, sd: ANY_EXPOSURE_LN_SD };
    return { ln: own.ln - base.ln, sd: Math.max(1e-3, Math.hypot(own.sd, base.sd)) };
  };

  const residualsAt = (z: Float64Array): { residuals: number[]; densityOf: (number | null)[]; scale: number[] } => {
    const response = responseOf(z.subarray(atResponse, atGlare));
    const glare = Math.exp(z[atGlare] as number);
    const lightOf = (lnValue: number): number => Math.exp(response.lnLight(Math.exp(lnValue)));
    const meanLight = pictures.map(({ tones }) =>
      tones.reduce((sum, { lnValue, share }) => sum + share * lightOf(lnValue), 0),
    );
    const bareOf = (p: number, i: number): number => {
      const seen = pictures[p]?.light?.[i];
      if (seen === undefined) return Number.NaN;
      let ln = seen.lnValue;
      for (let cause = 0; cause < (causes[p] as number); cause++)
        ln += (seen.shared[cause] as number) * (z[(atLight[p] as number) + cause] as number);
      return lightOf(ln);
    };
    const residuals: number[] = [];
    const densityOf: (number | null)[] = [];
    const scale: number[] = [];
    const add = (residual: number, patch: number | null = null, sd = 1): void => {
      residuals.push(residual);
      densityOf.push(patch);
      scale.push(sd);
    };
    pictures.forEach((picture, p) => {
      const veil = glare * (meanLight[p] as number);
      const exposure = z[atExposure + p] as number;
      picture.patches.forEach((patch, i) => {
        if (patch === null) return;
        const light = lightOf(patch.lnValue);
        const own = Math.max(light - veil, LEAST_OWN * light);
        const base = glare * (meanLight[reference] as number);
        const bare = picture.light === null ? (bareOf(reference, i) - base) * Math.exp(exposure) : bareOf(p, i) - veil;
        const noise = (patch.lnSe * response.slopeAt(Math.exp(patch.lnValue)) * light) / own;
        const sd = Math.hypot(noise, PATCH_LN_SD);
        add((Math.log(own / Math.max(1e-12, bare)) + Math.LN10 * (z[i] as number)) / sd, i, Math.LN10 / sd);
      });
      if (p !== reference && picture.light !== null && count > 0) {
        const middle = Math.floor(count / 2);
        add((Math.log(bareOf(p, middle) / bareOf(reference, middle)) - exposure) / STEADY_LN_SD);
      }
      const { ln, sd } = stated(p);
      add((exposure - ln) / sd);
      if (picture.opaque !== null) {
        const light = lightOf(picture.opaque.lnValue);
        const noise = picture.opaque.lnSe * response.slopeAt(Math.exp(picture.opaque.lnValue));
        add(Math.log(veil / light) / Math.hypot(noise, GLARE_EVEN_LN_SD));
      }
    });
    for (const { patch, unitShare, offsetD, sdD } of known)
      add(((z[patch] as number) - unitShare * (z[atUnit] as number) - offsetD) / sdD);
    return { residuals, densityOf, scale };
  };

  const z = new Float64Array(size);
  belief.response.mean.forEach((mean, at) => (z[atResponse + at] = mean));
  z[atGlare] = belief.lnGlare.mean;
  pictures.forEach((_, p) => (z[atExposure + p] = stated(p).ln));
  z[atUnit] = 0.3;
  beginDensities(z, pictures, reference, responseOf(belief.response.mean));

  const costOf = (at: Float64Array, residuals: readonly number[]): number => {
    let cost = residuals.reduce((sum, one) => sum + one * one, 0);
    const { right } = priorOf(at);
    return (cost += right);
  };
  const priorOf = (at: Float64Array): { right: number; gradient: Float64Array } => {
    const gradient = new Float64Array(size);
    let right = 0;
    for (let i = 0; i < count; i++) {
      const off = ((at[i] as number) - ANY_D.mean) / ANY_D.sd;
      gradient[i] = off / ANY_D.sd;
      right += off * off;
    }
    for (let a = 0; a < RESPONSE_SIZE; a++) {
      let sum = 0;
      for (let b = 0; b < RESPONSE_SIZE; b++)
        sum += precision.get(a, b) * ((at[atResponse + b] as number) - (belief.response.mean[b] as number));
      gradient[atResponse + a] = sum;
      right += sum * ((at[atResponse + a] as number) - (belief.response.mean[a] as number));
    }
    const glareOff = ((at[atGlare] as number) - belief.lnGlare.mean) / belief.lnGlare.sd;
    gradient[atGlare] = glareOff / belief.lnGlare.sd;
    right += glareOff * glareOff;
    const unitOff = ((at[atUnit] as number) - 0.5) / 3;
    gradient[atUnit] = unitOff / 3;
    right += unitOff * unitOff;
    for (let one = atUnit + 1; one < size; one++) {
      gradient[one] = at[one] as number;
      right += (at[one] as number) ** 2;
    }
    return { right, gradient };
  };
  const normalOf = (at: Float64Array): { normal: Matrix; gradient: Float64Array; residuals: number[] } => {
    const here = residualsAt(at);
    const rows = here.residuals.length;
    const jacobian = new Matrix(rows, size);
    for (let column = count; column < size; column++) {
      const before = at[column] as number;
      at[column] = before + STEP;
      const moved = residualsAt(at).residuals;
      at[column] = before;
      for (let row = 0; row < rows; row++)
        jacobian.set(row, column, ((moved[row] as number) - (here.residuals[row] as number)) / STEP);
    }
    here.densityOf.forEach((patch, row) => {
      if (patch !== null) jacobian.set(row, patch, here.scale[row] as number);
    });
    // Known densities come last, one row each.
    known.forEach(({ patch, sdD }, at_) => jacobian.set(rows - known.length + at_, patch, 1 / sdD));
    const normal = jacobian.transpose().mmul(jacobian);
    for (let i = 0; i < count; i++) normal.set(i, i, normal.get(i, i) + 1 / ANY_D.sd ** 2);
    for (let a = 0; a < RESPONSE_SIZE; a++)
      for (let b = 0; b < RESPONSE_SIZE; b++)
        normal.set(atResponse + a, atResponse + b, normal.get(atResponse + a, atResponse + b) + precision.get(a, b));
    normal.set(atGlare, atGlare, normal.get(atGlare, atGlare) + 1 / belief.lnGlare.sd ** 2);
    normal.set(atUnit, atUnit, normal.get(atUnit, atUnit) + 1 / 9);
    for (let one = atUnit + 1; one < size; one++) normal.set(one, one, normal.get(one, one) + 1);
    const gradient = priorOf(at).gradient;
    for (let row = 0; row < rows; row++)
      for (let column = 0; column < size; column++)
        gradient[column] = (gradient[column] as number) + jacobian.get(row, column) * (here.residuals[row] as number);
    return { normal, gradient, residuals: here.residuals };
  };

  for (let round = 0; round < ROUNDS; round++) {
    const { normal, gradient, residuals } = normalOf(z);
    const step = choleskyOf(normal)
      .solve(Matrix.columnVector([...gradient]))
      .to1DArray();
    const cost = costOf(z, residuals);
    let length = 1;
    let taken = false;
    for (; length > 0.05 && !taken; length /= 2) {
      const next = z.map((value, at) => value - length * (step[at] as number));
      const there = costOf(next, residualsAt(next).residuals);
      if (there <= cost + 1e-9) {
        z.set(next);
        taken = true;
      }
    }
    if (!taken || Math.max(...step.map(Math.abs)) < 1e-4) break;
  }
  const { normal, residuals } = normalOf(z);
  // Where much is measured, what is left over tells how good the patches are: never better than stated.
  const spare = residuals.length - count - pictures.length;
  const misfit = Math.sqrt(residuals.reduce((sum, one) => sum + one * one, 0) / Math.max(1, spare));
  const wider = spare >= LEAST_SPARE ? Math.max(1, misfit) ** 2 : 1;
  const whole = inverseOf(normal).mul(wider);
  const held = [...Array(size).keys()].filter((at) => at < atResponse || at > atGlare);
  const own = inverseOf(normal.selection(held, held)).mul(wider);
  const response = responseOf(z.subarray(atResponse, atGlare));
  return {
    densitiesD: [...z.subarray(0, count)],
    covariance: count === 0 ? new Matrix(0, 0) : whole.subMatrix(0, count - 1, 0, count - 1),
    ownCovariance: count === 0 ? new Matrix(0, 0) : own.subMatrix(0, count - 1, 0, count - 1),
    glareShare: glareShares(pictures, response, Math.exp(z[atGlare] as number), count),
    camera: {
      response: {
        mean: [...z.subarray(atResponse, atGlare)],
        covariance: whole.subMatrix(atResponse, atGlare - 1, atResponse, atGlare - 1).to2DArray(),
      },
      lnGlare: { mean: z[atGlare] as number, sd: Math.sqrt(whole.get(atGlare, atGlare)) },
    },
  };
}

/** Densities to begin with: by the response as it is believed, without glare, from the first picture that sees each. */
function beginDensities(
  z: Float64Array,
  pictures: readonly PictureRead[],
  reference: number,
  response: Response,
): void {
  const lnLight = (lnValue: number): number => response.lnLight(Math.exp(lnValue));
  const count = pictures[0]?.patches.length ?? 0;
  for (let i = 0; i < count; i++) {
    const seen = [reference, ...pictures.keys()].find((p) => pictures[p]?.patches[i] != null);
    const [patch, bare] = [
      pictures[seen ?? reference]?.patches[i],
      (pictures[seen ?? reference]?.light ?? pictures[reference]?.light)?.[i],
    ];
    z[i] = patch == null || bare === undefined ? 1 : (lnLight(bare.lnValue) - lnLight(patch.lnValue)) / Math.LN10;
  }
}

function glareShares(pictures: readonly PictureRead[], response: Response, glare: number, count: number): number[] {
  const lightOf = (lnValue: number): number => Math.exp(response.lnLight(Math.exp(lnValue)));
  const veils = pictures.map(
    ({ tones }) => glare * tones.reduce((sum, { lnValue, share }) => sum + share * lightOf(lnValue), 0),
  );
  return Array.from({ length: count }, (_, i) =>
    Math.min(
      1,
      ...pictures.flatMap(({ patches }, p) => {
        const patch = patches[i];
        return patch == null ? [] : [(veils[p] as number) / lightOf(patch.lnValue)];
      }),
    ),
  );
}

import { Matrix } from 'ml-matrix';
import { choleskyOf, inverseOf } from '../inference/choleskyOf';
import { RESPONSE_SIZE, responseOf, type ResponseBelief } from './cameraResponse';

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
/** Lengths of a step that are tried, longest first. */
const LENGTHS = [1, 1 / 2, 1 / 4, 1 / 8, 1 / 16];
const STEP = 1e-4;

/** A belief about the unit of layers, D: hardly any. */
const ANY_UNIT = { mean: 0.5, sd: 3 } as const;

/** Where each unknown stands: densities, response, glare, exposures, unit of the layers, errors of the light. */
interface Places {
  /** How many densities. */
  count: number;
  response: number;
  glare: number;
  exposure: number;
  unit: number;
  /** Where the errors of each picture's light begin, and how many there are. */
  light: { from: number; causes: number }[];
  size: number;
}

function placesOf(pictures: readonly PictureRead[]): Places {
  const count = pictures[0]?.patches.length ?? 0;
  const response = count;
  const glare = response + RESPONSE_SIZE;
  const exposure = glare + 1;
  const unit = exposure + pictures.length;
  let size = unit + 1;
  const light = pictures.map((picture) => {
    const causes = picture.light?.[0]?.shared.length ?? 0;
    size += causes;
    return { from: size - causes, causes };
  });
  return { count, response, glare, exposure, unit, light, size };
}

/** What is believed of the unknowns before a picture is read: normal, with a precision of nought where nothing is. */
interface Prior {
  mean: Float64Array;
  precision: Matrix;
}

function priorOf(at: Places, { response, lnGlare }: CameraBelief): Prior {
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
  believe(at.unit, ANY_UNIT);
  // Exposures are told by residuals of their own.
  for (let place = at.unit + 1; place < at.size; place++) believe(place, { mean: 0, sd: 1 });
  return { mean, precision };
}

/** How far unknowns lie from what is believed, squared in standard deviations, and half its slope. */
function pullOf({ mean, precision }: Prior, z: Float64Array): { squares: number; slope: Float64Array } {
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

/** How much more light a picture took in than the first one with its bare light, ln. */
function exposureOf(pictures: readonly PictureRead[], reference: number, p: number): { ln: number; sd: number } {
  if (p === reference) return { ln: 0, sd: 1e-3 };
  const own = pictures[p]?.lnExposure ?? null;
  const base = pictures[reference]?.lnExposure ?? null;
  if (own === null || base === null) return { ln: 0, sd: ANY_EXPOSURE_LN_SD };
  return { ln: own.ln - base.ln, sd: Math.max(1e-3, Math.hypot(own.sd, base.sd)) };
}

/** One residual, in standard deviations. */
interface Residual {
  value: number;
  /** Densities that it goes with, and its slope by each. */
  slopes: { place: number; slope: number }[];
}

/** A strip as it is fitted: what was read, and where its unknowns stand. */
interface Problem {
  pictures: readonly PictureRead[];
  known: readonly KnownDensity[];
  /** The picture that sets the level. */
  reference: number;
  at: Places;
}

/** What the pictures show against what the unknowns would have them show; the equations stand at the head of this file. */
function residualsAt({ pictures, known, reference, at }: Problem, z: Float64Array): Residual[] {
  const response = responseOf(z.subarray(at.response, at.glare));
  const glare = Math.exp(z[at.glare] as number);
  const lightOf = (lnValue: number): number => Math.exp(response.lnLight(Math.exp(lnValue)));
  const noiseOf = ({ lnValue, lnSe }: ValueRead): number => lnSe * response.slopeAt(Math.exp(lnValue));
  const veils = pictures.map(({ tones }) => glare * meanLight(tones, lightOf));
  const bareOf = (p: number, i: number): number => {
    const seen = pictures[p]?.light?.[i];
    if (seen === undefined) return Number.NaN;
    const { from, causes } = at.light[p] as Places['light'][number];
    let ln = seen.lnValue;
    for (let cause = 0; cause < causes; cause++) ln += (seen.shared[cause] as number) * (z[from + cause] as number);
    return lightOf(ln);
  };
  const residuals: Residual[] = [];
  const add = (value: number, slopes: Residual['slopes'] = []): void => void residuals.push({ value, slopes });
  pictures.forEach((picture, p) => {
    const veil = veils[p] as number;
    const exposure = z[at.exposure + p] as number;
    picture.patches.forEach((patch, i) => {
      if (patch === null) return;
      const light = lightOf(patch.lnValue);
      const own = Math.max(light - veil, LEAST_OWN * light);
      const bare =
        picture.light === null
          ? (bareOf(reference, i) - (veils[reference] as number)) * Math.exp(exposure)
          : bareOf(p, i) - veil;
      const sd = Math.hypot((noiseOf(patch) * light) / own, PATCH_LN_SD);
      add((Math.log(own / Math.max(1e-12, bare)) + Math.LN10 * (z[i] as number)) / sd, [
        { place: i, slope: Math.LN10 / sd },
      ]);
    });
    if (p !== reference && picture.light !== null && at.count > 0) {
      const middle = Math.floor(at.count / 2);
      add((Math.log(bareOf(p, middle) / bareOf(reference, middle)) - exposure) / STEADY_LN_SD);
    }
    const stated = exposureOf(pictures, reference, p);
    add((exposure - stated.ln) / stated.sd);
    if (picture.opaque !== null)
      add(Math.log(veil / lightOf(picture.opaque.lnValue)) / Math.hypot(noiseOf(picture.opaque), GLARE_EVEN_LN_SD));
  });
  for (const { patch, unitShare, offsetD, sdD } of known)
    add(((z[patch] as number) - unitShare * (z[at.unit] as number) - offsetD) / sdD, [
      { place: patch, slope: 1 / sdD },
    ]);
  return residuals;
}

/** Normal equations of the linearised problem: slopes by densities are known, those by the few other unknowns are taken by a small step. */
function normalEquations(
  problem: Problem,
  prior: Prior,
  z: Float64Array,
): { normal: Matrix; slope: Float64Array; residuals: Residual[] } {
  const { count, size } = problem.at;
  const residuals = residualsAt(problem, z);
  const jacobian = new Matrix(residuals.length, size);
  for (let column = count; column < size; column++) {
    const moved = Float64Array.from(z);
    moved[column] = (z[column] as number) + STEP;
    residualsAt(problem, moved).forEach(({ value }, row) =>
      jacobian.set(row, column, (value - (residuals[row] as Residual).value) / STEP),
    );
  }
  residuals.forEach(({ slopes }, row) => {
    for (const { place, slope } of slopes) jacobian.set(row, place, slope);
  });
  const { slope } = pullOf(prior, z);
  residuals.forEach(({ value }, row) => {
    for (let column = 0; column < size; column++)
      slope[column] = (slope[column] as number) + jacobian.get(row, column) * value;
  });
  return { normal: jacobian.transpose().mmul(jacobian).add(prior.precision), slope, residuals };
}

const sumOfSquares = (residuals: readonly Residual[]): number =>
  residuals.reduce((sum, { value }) => sum + value * value, 0);

/** Goes down to the most likely unknowns, by whole steps or shorter ones that lead downhill. */
function descend(problem: Problem, prior: Prior, start: Float64Array): Float64Array {
  const costOf = (z: Float64Array, residuals: readonly Residual[]): number =>
    sumOfSquares(residuals) + pullOf(prior, z).squares;
  let z = start;
  for (let round = 0; round < ROUNDS; round++) {
    const { normal, slope, residuals } = normalEquations(problem, prior, z);
    const step = choleskyOf(normal)
      .solve(Matrix.columnVector([...slope]))
      .to1DArray();
    const cost = costOf(z, residuals);
    const nearer = LENGTHS.map((length) => z.map((value, place) => value - length * (step[place] as number))).find(
      (next) => costOf(next, residualsAt(problem, next)) <= cost + 1e-9,
    );
    if (nearer === undefined) break;
    z = nearer;
    if (Math.max(...step.map(Math.abs)) < 1e-4) break;
  }
  return z;
}

/** Where an opaque patch tells the glare, little is believed of it beforehand. */
function believedWith(pictures: readonly PictureRead[], { response, lnGlare }: CameraBelief): CameraBelief {
  const measured = pictures.some(({ opaque }) => opaque !== null);
  return { response, lnGlare: { ...lnGlare, sd: measured ? Math.max(lnGlare.sd, MEASURED_GLARE_SD) : lnGlare.sd } };
}

/** What is left over tells how good the patches are, where much is measured: a factor on variances, never below 1. */
function misfitOf(residuals: readonly Residual[], { count }: Places, pictures: number): number {
  const spare = residuals.length - count - pictures;
  return spare >= LEAST_SPARE ? Math.max(1, sumOfSquares(residuals) / spare) : 1;
}

/**
 * @param pictures at least one with its bare light; the first of these sets the level
 * @param belief what is believed of the camera
 * @param known densities that are known besides
 * @returns the fit. Same pictures, same fit
 */
export function fitStrip(
  pictures: readonly PictureRead[],
  camera: CameraBelief,
  known: readonly KnownDensity[] = [],
): StripFit {
  const belief = believedWith(pictures, camera);
  const at = placesOf(pictures);
  const firstLit = pictures.findIndex(({ light }) => light !== null);
  const problem: Problem = { pictures, known, reference: Math.max(0, firstLit), at };
  const prior = priorOf(at, belief);
  const z = descend(problem, prior, beginning(problem, belief));
  const { normal, residuals } = normalEquations(problem, prior, z);
  const wider = misfitOf(residuals, at, pictures.length);
  const whole = inverseOf(normal).mul(wider);
  const held = [...Array(at.size).keys()].filter((place) => place < at.response || place > at.glare);
  const own = inverseOf(normal.selection(held, held)).mul(wider);
  const densities = (covariance: Matrix): Matrix =>
    at.count === 0 ? new Matrix(0, 0) : covariance.subMatrix(0, at.count - 1, 0, at.count - 1);
  return {
    densitiesD: [...z.subarray(0, at.count)],
    covariance: densities(whole),
    ownCovariance: densities(own),
    glareShare: glareShares(problem, z),
    camera: {
      response: {
        mean: [...z.subarray(at.response, at.glare)],
        covariance: whole.subMatrix(at.response, at.glare - 1, at.response, at.glare - 1).to2DArray(),
      },
      lnGlare: { mean: z[at.glare] as number, sd: Math.sqrt(whole.get(at.glare, at.glare)) },
    },
  };
}

/** Mean light of a picture by its tones. */
function meanLight(tones: PictureRead['tones'], lightOf: (lnValue: number) => number): number {
  return tones.reduce((sum, { lnValue, share }) => sum + share * lightOf(lnValue), 0);
}

/** Unknowns to begin with: as believed, and densities by that response, without glare, from the first picture that sees each. */
function beginning({ pictures, reference, at }: Problem, { response: believed, lnGlare }: CameraBelief): Float64Array {
  const z = new Float64Array(at.size);
  z.set(believed.mean, at.response);
  z[at.glare] = lnGlare.mean;
  pictures.forEach((_, p) => (z[at.exposure + p] = exposureOf(pictures, reference, p).ln));
  z[at.unit] = 0.3;
  const response = responseOf(believed.mean);
  const lnLight = (lnValue: number): number => response.lnLight(Math.exp(lnValue));
  for (let i = 0; i < at.count; i++) {
    const seen = pictures[[reference, ...pictures.keys()].find((p) => pictures[p]?.patches[i] != null) ?? reference];
    const patch = seen?.patches[i];
    const bare = (seen?.light ?? pictures[reference]?.light)?.[i];
    z[i] = patch == null || bare === undefined ? 1 : (lnLight(bare.lnValue) - lnLight(patch.lnValue)) / Math.LN10;
  }
  return z;
}

/** Share of each patch's light that is glare, in the picture that sees it best. */
function glareShares({ pictures, at }: Problem, z: Float64Array): number[] {
  const response = responseOf(z.subarray(at.response, at.glare));
  const lightOf = (lnValue: number): number => Math.exp(response.lnLight(Math.exp(lnValue)));
  const glare = Math.exp(z[at.glare] as number);
  const veils = pictures.map(({ tones }) => glare * meanLight(tones, lightOf));
  return Array.from({ length: at.count }, (_, i) =>
    Math.min(
      1,
      ...pictures.flatMap(({ patches }, p) => {
        const patch = patches[i];
        return patch == null ? [] : [(veils[p] as number) / lightOf(patch.lnValue)];
      }),
    ),
  );
}

import { Matrix } from 'ml-matrix';
import { choleskyOf, inverseOf } from '../inference/choleskyOf';
import { normalQuantile } from '../inference/normalQuantile';
import { responseOf } from './cameraResponse';
import { USUAL_LOCAL, type CameraBelief } from './cameraUnknowns';
import type { KnownDensity, LightRead, PictureRead, ValueRead } from './pictureRead';
import { placesOf, priorOf, pullOf, type Places, type Prior } from './stripUnknowns';

/**
 * Densities of a strip, its camera's response, its glare and its exposures, all from what the pictures show and in one fit.
 *
 * A picture p shows at a patch i the light  L = E·ℓ·10^−D + G  and without film  B = E·ℓ + G,  with G = g · mean light of the
 * picture. What is read are values v, ln L = r(v; θ). So  (L − G) / (B − G) = 10^−D · n^−λ,  n the light of the neighbourhood
 * against the bare light, and λ how far the camera brightens dark ones. Clear film along the strip is as dense as its marked piece.
 *
 * Source: D = −log10(T), ISO 5 series; several exposures of one scene tell the response (Debevec and Malik 1997; Mitsunaga and
 * Nayar 1999); maximum a posteriori by Gauss–Newton, weighed anew in each round, with its covariance.
 */

/** A strip as the fit leaves it. */
export interface StripFit {
  densitiesD: number[];
  /** What each density is at least, nine times in ten, D. */
  leastD: number[];
  /** Covariance of the densities, D². */
  covariance: Matrix;
  /** Covariance with response and glare held: what a strip has for itself. */
  ownCovariance: Matrix;
  /** Share of a patch's light that is glare, in the picture that sees it best. */
  glareShare: number[];
  camera: CameraBelief;
}

/** What a patch's light is good to, whatever its pixels say: texture of light and film, JPEG, local tone mapping; ln. Source: our estimate. */
const PATCH_LN_SD = 0.004;

/** How far glare at an opaque patch is that of the others, ln. Source: our estimate. */
const GLARE_EVEN_LN_SD = 0.12;

/** Where an opaque patch tells the glare, what was believed of it counts for little. Source: our choice. */
const MEASURED_GLARE_SD = 1.2;

/** A light that burns steadily keeps its level between two pictures to this, ln. Source: our estimate. */
const STEADY_LN_SD = 0.01;

/** An exposure that nobody knows may be anything, ln. */
const ANY_EXPOSURE_LN_SD = 4;

/** Least share of a patch's light that is taken for the film's own. */
const LEAST_OWN = 0.04;

/** Share of glare in a patch's light from which its density is a least one. Source: our choice. */
export const MOST_GLARE = 0.5;

/**
 * Clear film is as dense everywhere on a strip but for this: all of it beside the piece that was marked, from its middle to an end,
 * and each sample; ln. The marked piece may have seen light; what tells the response is how the rest goes along. Source: our estimate.
 */
const BASE_LN_SD = { whole: 0.015, trend: 0.01, own: 0.007 } as const;

/** Measured numbers beyond the unknowns from which the misfit is believed. Source: our choice. */
const LEAST_SPARE = 6;

const ROUNDS = 30;
/** Lengths of a step that are tried, longest first. */
const LENGTHS = [1, 1 / 2, 1 / 4, 1 / 8, 1 / 16];
const STEP = 1e-4;

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
  /** Its standard deviation, in the unit of what is off. */
  sd: number;
  /** Densities that it goes with, and its slope by each. */
  slopes: { place: number; slope: number }[];
  /** Whether it says nothing of how good the patches are. */
  aside?: boolean;
}

/** A strip as it is fitted: what was read, and where its unknowns stand. */
interface Problem {
  pictures: readonly PictureRead[];
  known: readonly KnownDensity[];
  /** The picture that sets the level. */
  reference: number;
  at: Places;
}

/**
 * What the pictures show against what the unknowns would have them show; the equations stand at the head of this file.
 * @param held standard deviations to go by, in the order of the residuals; those of these unknowns, when left out
 */
function residualsAt(
  { pictures, known, reference, at }: Problem,
  z: Float64Array,
  held?: readonly number[],
): Residual[] {
  const response = responseOf(z.subarray(at.response, at.glare));
  const glare = Math.exp(z[at.glare] as number);
  const lightOf = (lnValue: number): number => Math.exp(response.lnLight(Math.exp(lnValue)));
  const noiseOf = ({ lnValue, lnSe }: ValueRead): number => lnSe * response.slopeAt(Math.exp(lnValue));
  const veils = pictures.map(({ tones }) => glare * meanLight(tones, lightOf));
  const local = z[at.local] as number;
  const lightAt = (p: number, { lnValue, shared }: LightRead): number => {
    const { from, causes } = at.light[p] as Places['light'][number];
    let ln = lnValue;
    for (let cause = 0; cause < causes; cause++) ln += (shared[cause] as number) * (z[from + cause] as number);
    return lightOf(ln);
  };
  const bareOf = (p: number, i: number): number => {
    const seen = pictures[p]?.light?.[i];
    return seen === undefined ? Number.NaN : lightAt(p, seen);
  };
  /** The film’s own light in a picture, and how well its ln is known by the pixels. */
  const ownOf = (p: number, seen: ValueRead): { own: number; lnSd: number } => {
    const light = lightOf(seen.lnValue);
    const own = Math.max(light - (veils[p] as number), LEAST_OWN * light);
    return { own, lnSd: (noiseOf(seen) * light) / own };
  };
  const residuals: Residual[] = [];
  const add = (
    off: number,
    sdHere: number,
    density: { place: number; slope: number } | null = null,
    aside = false,
  ): void => {
    const sd = held?.[residuals.length] ?? sdHere;
    const slopes = density === null ? [] : [{ place: density.place, slope: density.slope / sd }];
    residuals.push({ value: off / sd, sd, slopes, aside });
  };
  pictures.forEach((picture, p) => {
    const veil = veils[p] as number;
    const exposure = z[at.exposure + p] as number;
    picture.patches.forEach((patch, i) => {
      if (patch === null) return;
      const { own, lnSd } = ownOf(p, patch);
      const bare =
        picture.light === null
          ? (bareOf(reference, i) - (veils[reference] as number)) * Math.exp(exposure)
          : bareOf(p, i) - veil;
      const mapped = local * (picture.lnAround?.[i] ?? 0);
      add(
        Math.log(own / Math.max(1e-12, bare)) + Math.LN10 * (z[i] as number) + mapped,
        Math.hypot(lnSd, PATCH_LN_SD),
        { place: i, slope: Math.LN10 },
      );
    });
    for (const base of picture.base ?? []) {
      const { own, lnSd } = ownOf(p, base);
      const [whole, trend] = [z[at.base[p] as number] as number, z[(at.base[p] as number) + 1] as number];
      const off = BASE_LN_SD.whole * whole + BASE_LN_SD.trend * base.along * trend - local * base.lnAround;
      const bare = lightAt(p, base.light) - veil;
      add(
        Math.log(own / Math.max(1e-12, bare)) + Math.LN10 * (z[0] as number) - off,
        Math.hypot(lnSd, BASE_LN_SD.own),
        { place: 0, slope: Math.LN10 },
        true,
      );
    }
    if (p !== reference && picture.light !== null && at.count > 0) {
      const middle = Math.floor(at.count / 2);
      add(Math.log(bareOf(p, middle) / bareOf(reference, middle)) - exposure, STEADY_LN_SD);
    }
    const stated = exposureOf(pictures, reference, p);
    add(exposure - stated.ln, stated.sd);
    if (picture.opaque !== null) {
      const more = Math.log(veil / lightOf(picture.opaque.lnValue));
      const off = picture.opaque.atMost === true ? Math.max(0, more) : more;
      add(off, Math.hypot(noiseOf(picture.opaque), GLARE_EVEN_LN_SD));
    }
  });
  for (const { patch, unitShare, offsetD, sdD } of known)
    add((z[patch] as number) - unitShare * (z[at.unit] as number) - offsetD, sdD, { place: patch, slope: 1 });
  return residuals;
}

/**
 * Normal equations of the linearised problem: slopes by densities are known, those by the few other unknowns are taken by a small
 * step. Weights stand still meanwhile: where much of a patch's light is glare it weighs little, and a fit that may choose its
 * weights finds much glare everywhere.
 */
function normalEquations(
  problem: Problem,
  prior: Prior,
  z: Float64Array,
): { normal: Matrix; slope: Float64Array; residuals: Residual[] } {
  const { count, size } = problem.at;
  const residuals = residualsAt(problem, z);
  const weighed = residuals.map(({ sd }) => sd);
  const jacobian = new Matrix(residuals.length, size);
  for (let column = count; column < size; column++) {
    const moved = Float64Array.from(z);
    moved[column] = (z[column] as number) + STEP;
    residualsAt(problem, moved, weighed).forEach(({ value }, row) =>
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

/** Goes down to the most likely unknowns, by whole steps or shorter ones that lead downhill; after each the residuals are weighed anew. */
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
    const weighed = residuals.map(({ sd }) => sd);
    const nearer = LENGTHS.map((length) => z.map((value, place) => value - length * (step[place] as number))).find(
      (next) => costOf(next, residualsAt(problem, next, weighed)) <= cost + 1e-9,
    );
    if (nearer === undefined) break;
    z = nearer;
    if (Math.max(...step.map(Math.abs)) < 1e-4) break;
  }
  return z;
}

/** Where an opaque patch tells the glare, little is believed of it beforehand. */
function believedWith(pictures: readonly PictureRead[], { lnGlare, ...rest }: CameraBelief): CameraBelief {
  const measured = pictures.some(({ opaque }) => opaque !== null && opaque.atMost !== true);
  return { ...rest, lnGlare: { ...lnGlare, sd: measured ? Math.max(lnGlare.sd, MEASURED_GLARE_SD) : lnGlare.sd } };
}

/** What is left over tells how good the patches are, where much is measured: a factor on variances, never below 1. */
function misfitOf(residuals: readonly Residual[], { count }: Places, pictures: number): number {
  const telling = residuals.filter(({ aside }) => aside !== true);
  const spare = telling.length - count - pictures;
  return spare >= LEAST_SPARE ? Math.max(1, sumOfSquares(telling) / spare) : 1;
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
  const held = [...Array(at.size).keys()].filter((place) => place < at.response || place > at.local);
  const own = inverseOf(normal.selection(held, held)).mul(wider);
  const densities = (covariance: Matrix): Matrix =>
    at.count === 0 ? new Matrix(0, 0) : covariance.subMatrix(0, at.count - 1, 0, at.count - 1);
  const densitiesD = [...z.subarray(0, at.count)];
  const glareShare = glareShares(problem, z);
  return {
    densitiesD,
    leastD: densitiesD.map((densityD, i) => leastOf(densityD, glareShare[i] as number, whole, i, at.glare)),
    covariance: densities(whole),
    ownCovariance: densities(own),
    glareShare,
    camera: {
      response: {
        mean: [...z.subarray(at.response, at.glare)],
        covariance: whole.subMatrix(at.response, at.glare - 1, at.response, at.glare - 1).to2DArray(),
      },
      lnGlare: { mean: z[at.glare] as number, sd: Math.sqrt(whole.get(at.glare, at.glare)) },
      // It goes with what is in the picture: another one begins anew.
      ...(camera.local === undefined ? {} : { local: camera.local }),
    },
  };
}

/** One-sided, nine times in ten. */
const NINE_IN_TEN = normalQuantile(0.9);

/** Share of glare from which a patch's own light is nearly all doubt: how it follows the glare tells nothing there. Source: our choice. */
const ALL_GLARE = 0.9;

/** The least that a density may be: by its doubt, or with all of its light taken for the film's own, whichever says more. */
function leastOf(densityD: number, glareShare: number, covariance: Matrix, i: number, glare: number): number {
  const variance = covariance.get(i, i);
  const byGlare = covariance.get(i, glare) ** 2 / covariance.get(glare, glare);
  const allOwnD = densityD + Math.log10(Math.max(LEAST_OWN, 1 - glareShare));
  const byOwn = allOwnD - NINE_IN_TEN * Math.sqrt(Math.max(0, variance - byGlare));
  return glareShare > ALL_GLARE ? byOwn : Math.max(byOwn, densityD - NINE_IN_TEN * Math.sqrt(variance));
}

/** Mean light of a picture by its tones. */
function meanLight(tones: PictureRead['tones'], lightOf: (lnValue: number) => number): number {
  return tones.reduce((sum, { lnValue, share }) => sum + share * lightOf(lnValue), 0);
}

/** Unknowns to begin with: as believed, and densities by that response, without glare, from the first picture that sees each. */
function beginning(
  { pictures, reference, at }: Problem,
  { response: believed, lnGlare, local = USUAL_LOCAL }: CameraBelief,
): Float64Array {
  const z = new Float64Array(at.size);
  z[at.local] = local.mean;
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

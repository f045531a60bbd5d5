import { statedExposure, type CameraExposure } from './cameraExposure';
import { medianOf } from '../inference/median';
import type { BaseSample } from './filmBase';
import { lightSurface, type LightBlock, type LightSurface } from './lightSurface';
import type { Patch } from './patch';
import { LEAST_STEPS, lostPatch, MOST_CLIPPED, patchFault, type PatchDensity } from './patchDensity';
import type { PatchSample } from './samplePatch';
import type { CameraBelief } from './cameraUnknowns';
import type { BaseRead, KnownDensity, LightRead, PictureRead, ValueRead } from './pictureRead';
import { fitStrip, MOST_GLARE, type StripFit } from './stripFit';
import type { PictureSurvey } from './surveyPicture';

/** What a picture shows at a place, and what a picture of the bare light shows there. */
export interface PlaceSample {
  at: Patch;
  sample: PatchSample | null;
  /** The same place without film; null where nobody photographed it. */
  blank: PatchSample | null;
}

/** What one picture of a strip shows. */
export interface PictureSamples {
  /** How it was exposed, where the camera wrote it down or a person did. */
  exposure?: CameraExposure | null;
  /** The picture as a whole: its blocks tell the bare light, its tones the glare. */
  survey: PictureSurvey;
  /** Places that a person marked as bare light. */
  light: PlaceSample[];
  film: PlaceSample[];
  /** ln of the mean value around each place of the film; missing where nobody looked. */
  lnAround?: readonly number[];
  /** Clear film along the strip, where the first place of the film is clear film. */
  base?: readonly BaseSample[];
  /** A place that lets no light through. */
  opaque?: PatchSample | null;
}

/** The same picture without its first place, clear film: patches alone, as steps that are known. */
export function withoutClear({ base: _, ...samples }: PictureSamples): PictureSamples {
  const { film, lnAround } = samples;
  return { ...samples, film: film.slice(1), ...(lnAround === undefined ? {} : { lnAround: lnAround.slice(1) }) };
}

/** Why a picture cannot be read. */
export type StripFault = 'no-light' | 'light-clipped' | 'light-dark' | 'inverted' | 'levelled';

/** A strip as read. */
export interface StripRead {
  patches: PatchDensity[];
  /** Covariance of the densities, and with response and glare held, D²; of the patches that have a number, in their order. */
  covariance: number[][];
  ownCovariance: number[][];
  /** What the strip says of its camera. */
  camera: CameraBelief;
}

/** Code steps that a bare light must stand above black. Source: our choice. */
const LEAST_LIGHT_STEPS = 20;

/** Standard error beyond which a density is a least one, D. Source: our choice. */
const MOST_SE_D = 0.35;

/** Share of the bare light that may be clipped while the rest of it still tells the light. Source: our choice. */
const MOST_WHITE = 0.15;

/** How much wider than the film's row film may reach, in its patches' edges across. */
const FILM_ACROSS = 2;

/** Pictures as the fit takes them, and which patches any of them sees. */
export interface SeenStrip {
  pictures: PictureRead[];
  /** Places of the patches that are seen, among all. */
  seen: number[];
}

/** What the pictures show at each patch, or why nothing can be read. */
export function seenStrip(
  pictures: readonly PictureSamples[],
): { ok: true; strip: SeenStrip } | { ok: false; fault: StripFault } {
  const positive = pictures.map(scanFault).find((fault) => fault !== null);
  if (positive !== undefined) return { ok: false, fault: positive };
  const lights = pictures.map(lightOf);
  if (!lights.some((light) => typeof light !== 'string')) {
    const [first = 'no-light'] = lights;
    return { ok: false, fault: typeof first === 'string' ? first : 'no-light' };
  }
  const [first] = pictures;
  const values = pictures.map(({ film }) =>
    film.map(({ sample }) => (patchFault(sample) === null && sample !== null ? valueOf(sample) : null)),
  );
  const seen = (first?.film ?? []).flatMap((_, i) => (values.some((some) => some[i] != null) ? [i] : []));
  return {
    ok: true,
    strip: {
      seen,
      pictures: pictures.map(({ survey, opaque, exposure, lnAround, base }, p): PictureRead => {
        const light = lights[p] as FoundLight | StripFault;
        const lit = typeof light === 'string' ? null : light;
        return {
          patches: seen.map((i) => values[p]?.[i] ?? null),
          light: lit === null ? null : seen.map((i) => lit.behind[i] as LightRead),
          ...(lit === null || lnAround === undefined
            ? {}
            : { lnAround: seen.map((i) => (lnAround[i] as number) - (lit.behind[i] as LightRead).lnValue) }),
          ...(lit === null || seen[0] !== 0 ? {} : { base: baseReads(base ?? [], lit) }),
          tones: survey.tones,
          opaque: opaque == null ? null : opaqueOf(opaque),
          lnExposure: exposure == null ? null : statedExposure(exposure, first?.exposure ?? null),
        };
      }),
    },
  };
}

/**
 * Densities of a strip from one picture of it or several.
 * @param pictures samples at the same places; one of them must show its bare light unclipped
 * @param camera what is believed of the camera
 * @param known densities that are known besides: a wedge, layers of one film
 * @returns a density for each patch of the film with all that makes it doubtful, or why there is none
 * Source: D = −log10(T), ISO 5 series; see `fitStrip`.
 */
export function readStrip(
  pictures: readonly PictureSamples[],
  camera: CameraBelief,
  known: readonly KnownDensity[] = [],
): { ok: true; read: StripRead } | { ok: false; fault: StripFault } {
  const answer = seenStrip(pictures);
  return answer.ok ? { ok: true, read: readSeen(pictures, answer.strip, camera, known).read } : answer;
}

/** The same of a strip whose light was found already, with the fit that it comes from. */
export function readSeen(
  pictures: readonly PictureSamples[],
  { seen, pictures: reads }: SeenStrip,
  camera: CameraBelief,
  known: readonly KnownDensity[] = [],
): { read: StripRead; fit: StripFit } {
  const fit = fitStrip(
    reads,
    camera,
    known.flatMap((one) => {
      const patch = seen.indexOf(one.patch);
      return patch < 0 ? [] : [{ ...one, patch }];
    }),
  );
  const patches = (pictures[0]?.film ?? []).map((_, i): PatchDensity => {
    const lost = lostPatch(pictures.map(({ film }) => patchFault(film[i]?.sample ?? null)));
    const at = seen.indexOf(i);
    if (at < 0) return lost;
    const seD = Math.sqrt(fit.covariance.get(at, at));
    if ((fit.glareShare[at] as number) <= MOST_GLARE && seD <= MOST_SE_D)
      return { densityD: fit.densitiesD[at] as number, seD, fault: null };
    const leastD = fit.leastD[at] as number;
    // At least nothing is no reading.
    return leastD > 0 ? { densityD: leastD, seD, fault: null, atLeast: true } : { ...lost, fault: 'black' };
  });
  const told = seen.flatMap((i, at) => (patches[i]?.fault === null ? [at] : []));
  return {
    fit,
    read: {
      patches,
      covariance: fit.covariance.selection(told, told).to2DArray(),
      ownCovariance: fit.ownCovariance.selection(told, told).to2DArray(),
      camera: fit.camera,
    },
  };
}

/** How much brighter the frames must be than clear film for a picture to be a positive, ln. Source: our choice. */
const INVERTED_LN = 0.15;

/** Shares at both ends of the scale from which a picture was levelled. Source: our choice. */
const LEVELLED = { black: 0.004, white: 0.02 } as const;

/**
 * A scan that was made a positive, or whose levels were spread until both ends clipped: it holds no densities.
 * The first place of the film is clear film, or the thinnest patch.
 */
function scanFault({ film, survey, light, opaque }: PictureSamples): StripFault | null {
  const values = film.flatMap(({ sample }) => (sample === null || sample.linear <= 0 ? [] : [Math.log(sample.linear)]));
  const [thin, ...rest] = values;
  const brightest = Math.max(...survey.blocks.map(({ lnValue }) => lnValue));
  const brighter = thin !== undefined && rest.length > 1 && medianOf(rest) > thin + INVERTED_LN;
  // In a negative the table beside the film is brighter than all of it.
  if (brighter && brightest < Math.max(...values) + INVERTED_LN) return 'inverted';
  const marked = light.some(({ sample }) => sample !== null && sample.clippedShare <= MOST_CLIPPED);
  const dark = opaque == null ? survey.blackShare : 0;
  return !marked && dark > LEVELLED.black && survey.whiteShare > LEVELLED.white && film[0]?.sample?.clippedShare === 1
    ? 'levelled'
    : null;
}

function valueOf(sample: PatchSample): ValueRead {
  return {
    lnValue: Math.log(Math.max(sample.linear, 1e-6)),
    lnSe: sample.linearSe / Math.max(sample.linear, 1e-6),
  };
}

/** A code of a few steps says little of the light behind it: cameras crush or lift what is nearly black, so it says how much at most. */
function opaqueOf(sample: PatchSample): NonNullable<PictureRead['opaque']> {
  const least = LEAST_STEPS * sample.stepLinear;
  const value = Math.max(sample.linear, least);
  return {
    lnValue: Math.log(value),
    lnSe: Math.hypot(sample.linearSe, sample.stepLinear / 2) / value,
    ...(sample.linear < least ? { atMost: true } : {}),
  };
}

/** The bare light of a picture: behind each patch, and anywhere else unless it was photographed by itself. */
interface FoundLight {
  behind: LightRead[];
  surface: LightSurface | null;
}

/** The bare light of a picture, or why it has none. */
function lightOf(samples: PictureSamples): FoundLight | StripFault {
  const { film, survey } = samples;
  const blanks = film.map(({ blank }) => blank);
  const marks = marksOf(samples);
  if (blanks.length > 0 && blanks.every((blank) => blank !== null && blank.linear > 0))
    return { behind: blankLight(marks, blanks as PatchSample[]), surface: null };
  if (marks.some(({ sample }) => sample.clippedShare > MOST_CLIPPED)) return 'light-clipped';
  if (marks.some(({ sample }) => sample.linear < LEAST_LIGHT_STEPS * sample.stepLinear)) return 'light-dark';
  const surface = bareSurface(samples);
  const white = survey.blocks.filter(({ clipped }) => clipped).length;
  if (white > MOST_WHITE * (white + (surface?.bare.length ?? 0))) return 'light-clipped';
  if (surface === null) return 'no-light';
  return { behind: film.map(({ at }) => surface.at(at)), surface };
}

/** The surface of a picture’s bare light, by all of it that shows and marks that are not black; null where too little does. */
export function bareSurface(samples: Pick<PictureSamples, 'survey' | 'light' | 'film'>): LightSurface | null {
  const lit = marksOf(samples).filter(({ sample }) => sample.linear > 0);
  return lightSurface(samples.survey.blocks, filmOf(samples.film), lit.map(blockOf));
}

/** Places that a person marked as bare light, as they were sampled. */
function marksOf({
  light,
}: Pick<PictureSamples, 'light'>): { at: Patch; sample: PatchSample; blank: PatchSample | null }[] {
  return light.flatMap(({ at, sample, blank }) => (sample === null ? [] : [{ at, sample, blank }]));
}

/** Fewest samples of clear film along a strip that are used. Source: our choice. */
const LEAST_BASE = 4;

function baseReads(base: readonly BaseSample[], { surface }: FoundLight): BaseRead[] {
  if (surface === null || base.length < LEAST_BASE) return [];
  return base.map((one) => {
    const light = surface.at(one);
    return { ...one, light, lnAround: one.lnAround - light.lnValue };
  });
}

function blockOf({ at, sample }: { at: Patch; sample: PatchSample }): LightBlock {
  return {
    x: at.x,
    y: at.y,
    lnValue: Math.log(sample.linear),
    spread: sample.linearSd / sample.linear,
    clipped: false,
  };
}

/** Film goes on around the patches that are measured. */
function filmOf(film: readonly PlaceSample[]): Patch[] {
  return film.map(({ at }) => ({ ...at, along: at.along * FILM_ACROSS, across: at.across * FILM_ACROSS }));
}

/** A level between two pictures that no mark tells is good to this, ln. Source: our estimate. */
const UNTOLD_LEVEL_LN_SD = 0.03;

/** The light by its own picture, at the level of this one as far as marks tell it. */
function blankLight(
  marks: readonly { sample: PatchSample; blank: PatchSample | null }[],
  blanks: readonly PatchSample[],
): LightRead[] {
  const levels = marks.flatMap(({ sample, blank }) =>
    blank === null || blank.linear <= 0 || sample.clippedShare > MOST_CLIPPED
      ? []
      : [Math.log(sample.linear / blank.linear)],
  );
  const level = levels.length === 0 ? 0 : levels.reduce((sum, one) => sum + one, 0) / levels.length;
  const common = levels.length === 0 ? UNTOLD_LEVEL_LN_SD : 0.004;
  return blanks.map((blank) => ({ lnValue: Math.log(blank.linear) + level, shared: [common] }));
}

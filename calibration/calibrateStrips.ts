import { curveWithDoubt } from '../src/core/densitometry/curveDoubt';
import { measuredCurve } from '../src/core/densitometry/measuredCurve';
import { patchesOf, type Patch } from '../src/core/densitometry/patch';
import { layersOf, WEDGE_STEP_SD_D } from '../src/core/densitometry/calibrateCamera';
import { unknownCamera } from '../src/core/densitometry/cameraBelief';
import { readStrip, withoutClear, type PictureSamples } from '../src/core/densitometry/readStrip';
import { samplePatch } from '../src/core/densitometry/samplePatch';
import type { CameraBelief } from '../src/core/densitometry/cameraUnknowns';
import type { KnownDensity } from '../src/core/densitometry/pictureRead';
import { lightPlane } from '../src/core/densitometry/lightPlane';
import { stripSurroundings } from '../src/core/densitometry/stripSurroundings';
import { surveyPicture } from '../src/core/densitometry/surveyPicture';
import {
  cameraKinds,
  oddCameraKinds,
  cameraOfWorld,
  stripSubject,
  takePicture,
  type CameraOfWorld,
  type CameraKind,
  type TakenPicture,
} from './stripWorld';

/** How a strip is read. */
export const readings = ['one picture', 'two exposures', 'coin', 'layers', 'coin and wedge'] as const;
export type ReadingKind = (typeof readings)[number];

export interface StripCell {
  kind: CameraKind;
  reading: ReadingKind;
  strips: number;
  /** Share of the strips whose truth lies within ±1.28 standard deviations, by figure. */
  held: { fog: number; gradient: number; index: number };
  medianFogD: number;
  medianGradient: number;
  /** Mean miss and mean stated standard deviation: fog, gradient, index. */
  bias: number[];
  sds: number[];
}

const TRANSFER = { id: 'srgb' } as const;
const Q90 = 1.2816;

/** How far a shutter is off from what it writes down, stops. Our invention. */
const SHUTTER_STOPS = 0.03;

function samplesOf(taken: TakenPicture, coin: boolean, stops: number, withBase = true): PictureSamples {
  const { grid, row, clear } = taken;
  const edge = Math.max(grid.widthPx, grid.heightPx);
  const read = (at: Patch) => samplePatch(grid, at, edge, 'green', TRANSFER);
  const places: Patch[] = [{ ...clear, along: 0.025, across: 0.06, turn: 0 }, ...patchesOf(row)];
  const seen = {
    survey: surveyPicture(grid, 'green', TRANSFER),
    light: [],
    film: places.map((at) => ({ at, sample: read(at), blank: null })),
  };
  return {
    ...seen,
    ...stripSurroundings(lightPlane(grid, 'green', TRANSFER), seen, withBase),
    opaque: coin ? read({ ...taken.coin, along: 0.03, across: 0.03, turn: 0 }) : null,
    // What a camera writes down is rounded.
    exposure: { seconds: 2 ** stops, fNumber: 8, iso: 100 },
  };
}

/** Layers of one even film, photographed twice, two stops apart: a calibration by scraps. */
function byLayers(camera: CameraOfWorld): CameraBelief {
  const unit = camera.luck.uniform(0.25, 0.55);
  const densitiesD = [1, 2, 3, 4].map((layers) => layers * unit);
  return calibrated(camera, densitiesD, [0, -2], false, (patch) => layersOf(4)[patch] as KnownDensity);
}

/** A bought wedge by its table, with a coin beside it. */
function byWedge(camera: CameraOfWorld): CameraBelief {
  const densitiesD = Array.from({ length: 13 }, (_, at) => 0.05 + 0.15 * at);
  return calibrated(camera, densitiesD, [0], true, (patch) => ({
    patch,
    unitShare: 0,
    offsetD: (densitiesD[patch] ?? 0) + 0.01 * camera.luck.normal(),
    sdD: WEDGE_STEP_SD_D,
  }));
}

function calibrated(
  camera: CameraOfWorld,
  densitiesD: number[],
  stops: readonly number[],
  coin: boolean,
  knownOf: (patch: number) => KnownDensity,
): CameraBelief {
  const pictures = stops.map((stated) => {
    const taken = takePicture(
      { baseFogD: densitiesD[0] ?? 0, densitiesD, logH: densitiesD },
      { camera, coin, stops: stated + (stated === 0 ? 0 : SHUTTER_STOPS * camera.luck.normal()) },
    );
    return withoutClear(samplesOf(taken, coin, stated));
  });
  const answer = readStrip(
    pictures,
    unknownCamera(TRANSFER),
    densitiesD.map((_, patch) => knownOf(patch)),
  );
  return answer.ok ? answer.read.camera : unknownCamera(TRANSFER);
}

interface Outcome {
  fog: { off: number; sd: number };
  gradient: { off: number; sd: number } | null;
  index: { off: number; sd: number } | null;
}

/**
 * Reads one simulated strip.
 * @param withBase whether the clear film along it takes part
 */
export function readOnce(kind: CameraKind, reading: ReadingKind, seed: number, withBase = true): Outcome | null {
  const subject = stripSubject(seed);
  const camera = cameraOfWorld(kind, seed + 500_000);
  const coin = reading.startsWith('coin');
  const belief =
    reading === 'layers' ? byLayers(camera) : reading === 'coin and wedge' ? byWedge(camera) : unknownCamera(TRANSFER);
  const pictures = (reading === 'two exposures' ? [0, -2] : [0]).map((stops) => {
    const real = stops + (stops === 0 ? 0 : SHUTTER_STOPS * camera.luck.normal());
    return samplesOf(takePicture(subject, { camera, stops: real, coin }), coin, stops, withBase);
  });
  const answer = readStrip(pictures, belief);
  if (!answer.ok) return null;
  const { patches, covariance, ownCovariance } = answer.read;
  const sound = patches.flatMap(({ fault }, at) => (fault === null ? [at] : []));
  const usable = sound.filter((at) => at === 0 || patches[at]?.atLeast !== true);
  if (usable[0] !== 0) return null;
  const pick = usable.map((at) => sound.indexOf(at));
  const read = curveWithDoubt(
    {
      densitiesD: usable.map((at) => patches[at]?.densityD ?? 0),
      covariance: pick.map((a) => pick.map((b) => covariance[a]?.[b] ?? 0)),
      ownCovariance: pick.map((a) => pick.map((b) => ownCovariance[a]?.[b] ?? 0)),
    },
    true,
    usable.slice(1).map((at) => subject.logH[at - 1] ?? 0),
  );
  const points = (all: readonly number[]) =>
    all.map((at) => ({ logH: subject.logH[at - 1] ?? 0, densityD: subject.densitiesD[at - 1] ?? 0, seD: 0.005 }));
  const truth = measuredCurve(points(usable.slice(1)), { densityD: subject.baseFogD, seD: 0 });
  if (read === null || truth === null) return null;
  return {
    fog: { off: read.baseFogD - subject.baseFogD, sd: read.doubt.fogSdD },
    gradient:
      read.gradient === null || truth.gradient === null || read.doubt.gradient === null
        ? null
        : { off: Math.log(read.gradient.value / truth.gradient.value), sd: read.doubt.gradient.lnSd },
    index:
      read.speedLogH === null || truth.speedLogH === null || read.doubt.speedSd === null
        ? null
        : { off: read.speedLogH - truth.speedLogH, sd: read.doubt.speedSd },
  };
}

/**
 * Reads simulated strips and holds what is said against their truth.
 * @param strips strips in each cell
 * @param seed same seed, same strips
 */
export function calibrateStrips(
  strips: number,
  seed: number,
  some: readonly ReadingKind[] = readings,
  kinds: readonly CameraKind[] = cameraKinds,
): StripCell[] {
  return kinds.flatMap((kind, k) =>
    some.map((reading): StripCell => {
      const outcomes = Array.from({ length: strips }, (_, at) => readOnce(kind, reading, seed + 1000 * k + at)).flatMap(
        (one) => (one === null ? [] : [one]),
      );
      const held = (of: (one: Outcome) => { off: number; sd: number } | null): number => {
        const all = outcomes.flatMap((one) => of(one) ?? []);
        return all.filter(({ off, sd }) => Math.abs(off) <= Q90 * sd).length / Math.max(1, all.length);
      };
      const meanOf = (of: (one: Outcome) => { off: number; sd: number } | null, pick: 'off' | 'sd'): number => {
        const all = outcomes.flatMap((one) => of(one) ?? []);
        return all.reduce((sum, one) => sum + one[pick], 0) / Math.max(1, all.length);
      };
      const figures = [(one: Outcome) => one.fog, (one: Outcome) => one.gradient, (one: Outcome) => one.index];
      const median = (values: number[]): number => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? NaN;
      return {
        kind,
        reading,
        strips: outcomes.length,
        held: { fog: held((one) => one.fog), gradient: held((one) => one.gradient), index: held((one) => one.index) },
        bias: figures.map((of) => meanOf(of, 'off')),
        sds: figures.map((of) => meanOf(of, 'sd')),
        medianFogD: median(outcomes.map(({ fog }) => Math.abs(fog.off))),
        medianGradient: median(outcomes.flatMap(({ gradient }) => (gradient === null ? [] : [Math.abs(gradient.off)]))),
      };
    }),
  );
}

export { cameraKinds, oddCameraKinds };

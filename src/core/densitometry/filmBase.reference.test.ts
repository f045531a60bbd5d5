import { describe, expect, test } from 'vitest';
import { plainStrip, syntheticStrip, type SyntheticStrip } from '../kit/syntheticStrip';
import { unknownCamera } from './cameraBelief';
import { responsePrior } from './cameraResponse';
import { filmBase } from './filmBase';
import { lightPlane } from './lightPlane';
import { lightSurface } from './lightSurface';
import { patchesOf, type Patch } from './patch';
import { readStrip, type PictureSamples } from './readStrip';
import { samplePatch } from './samplePatch';
import { NO_LOCAL } from './cameraUnknowns';
import type { PictureRead } from './pictureRead';
import { fitStrip } from './stripFit';
import { stripSurroundings } from './stripSurroundings';
import { surveyPicture } from './surveyPicture';

/** A strip of thin and dense frames under a light that falls off by a third. */
const strip: SyntheticStrip = {
  ...plainStrip,
  stepsD: [0.01, 0.03, 0.08, 0.2, 0.4, 0.7, 1],
  gapShare: 0.1,
  falloff: 0.33,
};

function read(of: SyntheticStrip): { samples: PictureSamples; base: ReturnType<typeof filmBase>; clear: Patch } {
  const { grid, truth } = syntheticStrip(of);
  const edge = Math.max(grid.widthPx, grid.heightPx);
  const clear = { ...truth.fog, along: 0.02, across: 0.02, turn: 0 };
  const seen = {
    survey: surveyPicture(grid, 'green', of.transfer),
    light: [],
    film: [clear, ...patchesOf(truth.row)].map((at) => ({
      at,
      sample: samplePatch(grid, at, edge, 'green', of.transfer),
      blank: null,
    })),
  };
  const { base = [], lnAround = [] } = stripSurroundings(lightPlane(grid, 'green', of.transfer), seen, true);
  return { samples: { ...seen, base, lnAround }, base: [...base], clear };
}

describe('clear film along a strip', () => {
  test.each([
    ['plain', {}],
    ['turned by 9°', { turnDeg: 9 }],
    ['noisy, dusty, scratched', { noise: 0.012, specks: 60, scratches: 5, seed: 4 }],
    ['without gaps between frames', { gapShare: 0 }],
  ])('%s: a dozen samples lie along it, and all of them are clear film', (_name, change) => {
    const { samples, base } = read({ ...strip, ...change });
    const bare = lightSurface(samples.survey.blocks);
    expect(base.length).toBeGreaterThanOrEqual(10);
    for (const one of base)
      expect(((bare?.lnValueAt(one) ?? 0) - one.lnValue) / Math.LN10).toBeCloseTo(strip.baseFogD, 1.9);
    // From end to end, frames that hardly show taken for clear film by a hundredth at the most.
    expect(Math.min(...base.map(({ along }) => along))).toBeLessThan(-0.8);
    expect(Math.max(...base.map(({ along }) => along))).toBeGreaterThan(0.8);
    const off = base.map((one) => ((bare?.lnValueAt(one) ?? 0) - one.lnValue) / Math.LN10 - strip.baseFogD);
    expect(Math.max(...off.map(Math.abs))).toBeLessThan(0.012);
  });

  test('a row without rims or gaps shows it at one end alone, and has none', () => {
    const { samples } = read(strip);
    const { grid, truth } = syntheticStrip(strip);
    const bare = lightSurface(samples.survey.blocks);
    const first = samples.film[0]?.sample?.linear ?? 0;
    if (bare === null) throw new Error('No light.');
    // The same row, its patches so narrow that what is looked at lies within the frames.
    const row = patchesOf({ ...truth.row, across: 0.03 });
    const clear = { ...truth.fog, lnValue: Math.log(first) };
    expect(filmBase(lightPlane(grid, 'green', strip.transfer), bare, clear, row.slice(3))).toEqual([]);
  });

  test('one patch, or no light, has none', () => {
    const { samples, clear } = read(strip);
    const { grid } = syntheticStrip(strip);
    const plane = lightPlane(grid, 'green', strip.transfer);
    const bare = lightSurface(samples.survey.blocks);
    if (bare === null) throw new Error('No light.');
    expect(filmBase(plane, bare, { ...clear, lnValue: -1 }, [clear])).toEqual([]);
    expect(stripSurroundings(plane, { ...samples, survey: { ...samples.survey, blocks: [] } }, true)).toEqual({});
    expect(stripSurroundings(plane, samples, false).base).toEqual([]);
  });

  test('what a camera does to the tones shows in it: a plain one is believed to bend less, and the span is doubted less', () => {
    const spanOf = (samples: PictureSamples): { span: number; sd: number } => {
      const unknown = unknownCamera(strip.transfer);
      const answer = readStrip([samples], { ...unknown, lnGlare: { mean: Math.log(1e-4), sd: 0.1 } });
      if (!answer.ok) throw new Error(answer.fault);
      const { patches, covariance } = answer.read;
      const [from, to] = [1, patches.length - 1];
      const at = (a: number, b: number): number => covariance[a]?.[b] as number;
      return {
        span: (patches[to]?.densityD ?? 0) - (patches[from]?.densityD ?? 0),
        sd: Math.sqrt(at(to, to) + at(from, from) - 2 * at(from, to)),
      };
    };
    const { samples } = read(strip);
    const alone = { ...samples, base: [] };
    const [withBase, without] = [spanOf(samples), spanOf(alone)];
    // Cameras are believed to harden what they see, and this one does not: its span is read too low.
    expect(without.span).toBeLessThan(0.97);
    expect(withBase.span).toBeGreaterThan(without.span);
    expect(Math.abs(withBase.span - 0.99)).toBeLessThan(withBase.sd);
    expect(withBase.sd).toBeLessThan(0.92 * without.sd);
  });
});

describe('a camera that brightens dark neighbourhoods', () => {
  /** Clear film of D 0.3 and a frame of D 0.5 in ever darker neighbourhoods, brightened by their power. */
  const picture = (local: number): PictureRead => {
    const light = { lnValue: Math.log(0.8), shared: [0.002] };
    const seen = (densityD: number, around: number) => ({
      lnValue: light.lnValue - Math.LN10 * densityD - local * around,
      lnSe: 0.001,
    });
    const arounds = [-0.2, -0.8];
    return {
      patches: [seen(0.3, -0.2), seen(0.5, -0.8)],
      light: [light, light],
      lnAround: arounds,
      base: Array.from({ length: 12 }, (_, at) => {
        const around = -0.2 - (0.6 * at) / 11;
        return { ...seen(0.3, around), light, lnAround: around, along: (2 * at) / 11 - 1 };
      }),
      tones: [{ lnValue: light.lnValue, share: 0.6 }],
      opaque: null,
      lnExposure: null,
    };
  };
  const stepOf = (one: PictureRead, local = unknownCamera({ id: 'srgb' }).local): number => {
    // Its response and its glare are known: what is left is the neighbourhood.
    const known = { response: responsePrior({ id: 'linear' }), lnGlare: { mean: Math.log(1e-4), sd: 0.1 } };
    const { densitiesD } = fitStrip([one], { ...known, ...(local === undefined ? {} : { local }) });
    return (densitiesD[1] ?? 0) - (densitiesD[0] ?? 0);
  };

  test('the clear film along the strip tells how much, and the step between clear film and frame loses part of its error', () => {
    const mapped = picture(0.05);
    const alone = { ...mapped, base: [] };
    expect(stepOf(alone)).toBeLessThan(0.191);
    expect(0.2 - stepOf(mapped)).toBeLessThan(0.88 * (0.2 - stepOf(alone)));
    expect(stepOf(mapped)).toBeLessThan(0.2);
  });

  test('a linear scan has none: what differs there is density', () => {
    const alone = { ...picture(0.05), base: [] };
    expect(NO_LOCAL.sd).toBeLessThan(0.001);
    expect(stepOf(alone, NO_LOCAL)).toBeCloseTo(0.2 - (0.05 * 0.6) / Math.LN10, 2);
  });
});

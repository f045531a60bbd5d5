import { converter } from 'culori';
import { describe, expect, test } from 'vitest';
import { statedExposure, type CameraExposure } from './cameraExposure';
import { responseOf, responsePrior } from './cameraResponse';
import { beliefOfPairs, unknownCamera } from './cameraBelief';
import { calibrateCamera, layersOf } from './calibrateCamera';
import { findRow } from './findRow';
import { readStripWhole } from './readStripWhole';
import { patchesOf, type Patch } from './patch';
import type { ChannelId } from './pixelGrid';
import { bareSurface, readStrip, type PictureSamples } from './readStrip';
import { samplePatch, type PatchSample } from './samplePatch';
import { USUAL_GLARE, type CameraBelief } from './cameraUnknowns';
import { surveyPicture } from './surveyPicture';
import { plainStrip, syntheticStrip, type SyntheticStrip } from '../kit/syntheticStrip';
import { encodedOf, linearOf } from './transfer';

describe('transfer of sRGB, beside the colour package culori', () => {
  const toLinear = converter('lrgb');
  test.each([0, 0.003, 0.0404, 0.041, 0.2, 0.5, 0.8, 1])('code %d', (code) => {
    const linear = toLinear({ mode: 'rgb', r: code, g: code, b: code }).r;
    expect(linearOf(code, { id: 'srgb' })).toBeCloseTo(linear, 6);
    expect(encodedOf(linear, { id: 'srgb' })).toBeCloseTo(code, 6);
  });
  test('gamma and linear go there and back', () => {
    for (const transfer of [{ id: 'gamma', gamma: 1.8 }, { id: 'linear' }] as const)
      expect(encodedOf(linearOf(0.37, transfer), transfer)).toBeCloseTo(0.37, 12);
  });
});

/** A camera that is known to keep to its encoding and to have no glare, as the synthetic one has none. */
const faithful: CameraBelief = {
  response: responsePrior({ id: 'linear' }),
  lnGlare: { mean: Math.log(0.0002), sd: 0.5 },
};

/** Steps of 0.15 D from 0.05. */
const wedge = (steps: number): number[] => Array.from({ length: steps }, (_, at) => 0.05 + 0.15 * at);

function samplesOf(strip: SyntheticStrip, channel: ChannelId = 'green', places?: Patch[]): PictureSamples {
  const { grid, truth } = syntheticStrip(strip);
  const edge = Math.max(grid.widthPx, grid.heightPx);
  const read = (at: Patch) => samplePatch(grid, at, edge, channel, strip.transfer);
  const small = { along: 0.02, across: 0.02, turn: 0 };
  const film = places ?? [{ ...truth.fog, ...small }, ...patchesOf(truth.row)];
  return {
    survey: surveyPicture(grid, channel, strip.transfer),
    light: [],
    film: film.map((at) => ({ at, sample: read(at), blank: null })),
  };
}

/** Largest miss of the read densities, over the patches whose true density is at most a limit, D. */
function largestMiss(pictures: PictureSamples[], strip: SyntheticStrip, toD: number): { missD: number; read: number } {
  const answer = readStrip(pictures, faithful);
  if (!answer.ok) throw new Error(answer.fault);
  const true_ = [0, ...strip.stepsD].map((step) => step + strip.baseFogD);
  const misses = answer.read.patches.flatMap(({ densityD, fault }, at) =>
    (true_[at] ?? 9) > toD ? [] : [fault === null ? Math.abs(densityD - (true_[at] ?? 0)) : Number.POSITIVE_INFINITY],
  );
  return { missD: Math.max(...misses), read: misses.length };
}

describe('synthetic strips read back within ±0.03 D', () => {
  const eight: SyntheticStrip = { ...plainStrip, stepsD: wedge(12), baseFogD: 0.1 };
  test.each([
    ['plain', {}],
    ['turned by 7°', { turnDeg: 7 }],
    ['turned by −23°', { turnDeg: -23 }],
    ['noisy', { noise: 0.012 }],
    ['unevenly lit', { falloff: 0.12 }],
    ['dusty and scratched', { specks: 60, scratches: 6 }],
    ['all of it', { turnDeg: 4, noise: 0.01, falloff: 0.08, specks: 40, scratches: 4, seed: 9 }],
    ['with gamma 2.2', { transfer: { id: 'gamma', gamma: 2.2 } as const }],
  ])('8 bits to D 1.8, %s', (_name, change) => {
    const strip = { ...eight, ...change };
    const { missD, read } = largestMiss([samplesOf(strip)], strip, 1.801);
    expect(read).toBe(13);
    expect(missD).toBeLessThanOrEqual(0.03);
  });
  test('16 bits to D 2.6, noisy and turned', () => {
    const strip: SyntheticStrip = {
      ...eight,
      stepsD: wedge(17),
      bits: 16,
      transfer: { id: 'linear' },
      noise: 0.002,
      turnDeg: 11,
      falloff: 0.08,
    };
    const { missD, read } = largestMiss([samplesOf(strip)], strip, 2.6);
    expect(read).toBe(18);
    expect(missD).toBeLessThanOrEqual(0.03);
  });
  test('three exposures of 8 bits merged to D 3.2: one alone loses the dense end', () => {
    const strip: SyntheticStrip = { ...eight, stepsD: wedge(21), noise: 0.004, falloff: 0.08 };
    const exposures = [0.9, 3.6, 14.4].map((exposure, at) => samplesOf({ ...strip, exposure, seed: 20 + at }));
    const { missD, read } = largestMiss(exposures, strip, 3.2);
    expect(read).toBe(22);
    expect(missD).toBeLessThanOrEqual(0.03);
    expect(largestMiss(exposures.slice(0, 1), strip, 3.2).missD).toBeGreaterThan(0.03);
  });
  test('what the camera wrote of its exposures ties pictures together that share no patch', () => {
    // Two steps alone, so far apart that no picture sees both; the bright one is exposed 200 times as long.
    const strip: SyntheticStrip = { ...eight, stepsD: [0.05, 3.8], noise: 0.004 };
    const [dark, bright] = [0.9, 180].map((exposure, at) => samplesOf({ ...strip, exposure, seed: 40 + at })) as [
      PictureSamples,
      PictureSamples,
    ];
    const apart = readStrip([dark, bright], faithful);
    expect(apart.ok && apart.read.patches[2]?.fault).toBe('black');
    expect(apart.ok && apart.read.covariance).toHaveLength(2);
    const [short, long] = [
      { seconds: 1 / 50, fNumber: 8, iso: 100 },
      { seconds: 1, fNumber: 8, iso: 400 },
    ];
    const tied = readStrip(
      [
        { ...dark, exposure: short },
        { ...bright, exposure: long },
      ],
      faithful,
    );
    expect(tied.ok && Math.abs((tied.read.patches[2]?.densityD ?? 0) - 3.9)).toBeLessThan(0.15);
    expect(tied.ok && tied.read.patches[2]?.seD).toBeGreaterThan(0.02);
  });
  test('light let in, in stops and in densities (worked by hand)', () => {
    const seconds = (s: number, fNumber: number | null = 8): CameraExposure => ({ seconds: s, fNumber, iso: 100 });
    expect(statedExposure(seconds(1), seconds(0.1))?.ln).toBeCloseTo(Math.LN10, 12);
    expect(statedExposure(seconds(1, 8), seconds(1, 16))?.ln).toBeCloseTo(2 * Math.LN2, 12);
    // An aperture keeps its stops less well than a shutter its times.
    expect(statedExposure(seconds(1, 8), seconds(1, 16))?.sd).toBeGreaterThan(
      statedExposure(seconds(1), seconds(0.1))?.sd ?? 9,
    );
    expect(statedExposure(seconds(1, null), seconds(1, 16))).toBeNull();
    expect(statedExposure(seconds(0), seconds(1))).toBeNull();
    expect(statedExposure(null, seconds(1))).toBeNull();
  });
  test('a masked strip by each of its channels', () => {
    const strip: SyntheticStrip = { ...eight, maskD: [0.1, 0.45, 0.75], stepsD: wedge(6) };
    for (const [channel, mask] of [
      ['red', 0.1],
      ['green', 0.45],
      ['blue', 0.75],
    ] as const) {
      const shifted = { ...strip, baseFogD: strip.baseFogD + mask };
      expect(largestMiss([samplesOf(strip, channel)], shifted, 1.8).missD).toBeLessThanOrEqual(0.03);
    }
  });
  test('a blank picture divides out a light that no smooth surface follows', () => {
    const strip: SyntheticStrip = { ...eight, falloff: 0.75, bits: 16, transfer: { id: 'linear' } };
    const { grid, truth } = syntheticStrip(strip);
    const film = [{ ...truth.fog, along: 0.02, across: 0.02, turn: 0 }, ...patchesOf(truth.row)];
    const { grid: bare } = syntheticStrip({ ...strip, stepsD: strip.stepsD.map(() => 0), baseFogD: 0, seed: 77 });
    const read = (from: typeof grid, at: Patch) => samplePatch(from, at, grid.widthPx, 'green', strip.transfer);
    const places = (list: Patch[], blank: boolean) =>
      list.map((at) => ({ at, sample: read(grid, at), blank: blank ? read(bare, at) : null }));
    const light = truth.light.map((place) => ({ ...place, along: 0.02, across: 0.02, turn: 0 }));
    const miss = (blank: boolean) =>
      largestMiss(
        [
          {
            survey: surveyPicture(grid, 'green', strip.transfer),
            light: places(light, blank),
            film: places(film, blank),
          },
        ],
        strip,
        1.8,
      ).missD;
    expect(miss(true)).toBeLessThanOrEqual(0.015);
    expect(miss(true)).toBeLessThan(miss(false));
  });
  test('the standard error says how far off it is: nine of ten within two of them', () => {
    let [within, all] = [0, 0];
    for (let seed = 1; seed <= 8; seed++) {
      const strip = { ...eight, widthPx: 560, heightPx: 280, noise: 0.02, seed };
      const answer = readStrip([samplesOf(strip)], faithful);
      if (!answer.ok) throw new Error(answer.fault);
      answer.read.patches.forEach(({ densityD, seD, fault }, at) => {
        const truth = strip.baseFogD + ([0, ...strip.stepsD][at] ?? 0);
        if (fault !== null || truth > 1.8) return;
        all += 1;
        if (Math.abs(densityD - truth) <= 2 * seD) within += 1;
      });
    }
    expect(all).toBeGreaterThan(90);
    expect(within / all).toBeGreaterThan(0.9);
  });
});

describe('what cannot be read is refused', () => {
  const faultOf = (pictures: PictureSamples[]): string => {
    const answer = readStrip(pictures, faithful);
    return answer.ok ? '' : answer.fault;
  };
  test('clipped bare light, and none at all', () => {
    expect(faultOf([samplesOf({ ...plainStrip, exposure: 1.4 })])).toBe('light-clipped');
    const covered = samplesOf(plainStrip);
    expect(faultOf([{ ...covered, survey: { ...covered.survey, blocks: [] } }])).toBe('no-light');
  });
  test('a positive, whose dense film is bright, holds no densities', () => {
    const { grid, truth } = syntheticStrip(plainStrip);
    const positive = { ...grid, data: Uint8ClampedArray.from(grid.data as Uint8ClampedArray, (code) => 255 - code) };
    const small = { along: 0.02, across: 0.02, turn: 0 };
    const film = [{ ...truth.fog, ...small }, ...patchesOf(truth.row)].map((at) => ({
      at,
      sample: samplePatch(positive, at, grid.widthPx, 'green', plainStrip.transfer),
      blank: null,
    }));
    expect(faultOf([{ survey: surveyPicture(positive, 'green', plainStrip.transfer), light: [], film }])).toBe(
      'inverted',
    );
  });
  test('a patch in the black has no number, and one outside of the picture neither', () => {
    const strip = { ...plainStrip, stepsD: [0.2, 3.8] };
    const answer = readStrip([samplesOf(strip)], faithful);
    expect(answer.ok && answer.read.patches.map(({ fault }) => fault)).toEqual([null, null, 'black']);
    const outside = samplesOf(plainStrip, 'green', [{ x: 3, y: 3, along: 0.02, across: 0.02, turn: 0 }]);
    expect(readStrip([outside], faithful)).toMatchObject({ ok: true, read: { patches: [{ fault: 'small' }] } });
  });
});

describe('the response of a camera', () => {
  /** A contrast curve that no family of the program holds: a sine between black and white. */
  const curve = (light: number): number => {
    const code = encodedOf(light, { id: 'srgb' });
    return code - (0.3 * Math.sin(2 * Math.PI * code)) / (2 * Math.PI);
  };
  const bent = (strip: SyntheticStrip): PictureSamples => {
    const linear = syntheticStrip({ ...strip, bits: 16, transfer: { id: 'linear' } });
    const grid = {
      ...linear.grid,
      maximum: 255,
      data: Uint8ClampedArray.from(linear.grid.data as Uint16Array, (code) => Math.round(255 * curve(code / 65_535))),
    };
    const small = { along: 0.02, across: 0.02, turn: 0 };
    const film = [{ ...linear.truth.fog, ...small }, ...patchesOf(linear.truth.row)];
    return {
      survey: surveyPicture(grid, 'green', { id: 'srgb' }),
      light: [],
      film: film.map((at) => ({
        at,
        sample: samplePatch(grid, at, grid.widthPx, 'green', { id: 'srgb' }),
        blank: null,
      })),
    };
  };
  const strip: SyntheticStrip = { ...plainStrip, stepsD: wedge(9), baseFogD: 0.15, noise: 0.003 };
  const truth = [0, ...strip.stepsD].map((step) => step + strip.baseFogD);
  // The made-up lens has no glare, and is known for it: the response alone is in question.
  const unknown: CameraBelief = { ...unknownCamera({ id: 'srgb' }), lnGlare: faithful.lnGlare };
  const rangeOff = (pictures: PictureSamples[], camera = unknown): number => {
    const answer = readStrip(pictures, camera);
    if (!answer.ok) throw new Error(answer.fault);
    const read = answer.read.patches.map(({ densityD }) => densityD);
    return Math.abs(Math.log(((read[9] ?? 0) - (read[0] ?? 0)) / ((truth[9] ?? 0) - (truth[0] ?? 0))));
  };
  /** Pictures that were taken already: the same one serves several tests. */
  const taken = new Map<number, PictureSamples>();
  const exposed = (stops: number, at: number): PictureSamples => {
    const known = taken.get(at);
    if (known !== undefined) return known;
    const shot = {
      ...bent({ ...strip, exposure: 0.85 * 2 ** stops, seed: 60 + at }),
      exposure: { seconds: 2 ** stops, fNumber: 8, iso: 100 },
    };
    taken.set(at, shot);
    return shot;
  };
  test('three exposures give it back to three per cent (after Debevec and Malik 1997)', () => {
    expect(rangeOff([exposed(0, 9), exposed(-1, 1), exposed(-2, 2)])).toBeLessThan(0.03);
  });
  test('layers of one film and two exposures calibrate it; each step is held against the others', () => {
    const unit = 0.32;
    const stairs = { ...strip, stepsD: [1, 2, 3, 4].map((layers) => layers * unit - 0.001), baseFogD: 0.001 };
    const shots = [0, -2].map((stops, at) => {
      const shot = bent({ ...stairs, exposure: 0.85 * 2 ** stops, seed: 80 + at });
      return { ...shot, film: shot.film.slice(1), exposure: { seconds: 2 ** stops, fNumber: 8, iso: 100 } };
    });
    const answer = calibrateCamera(shots, layersOf(4), { id: 'srgb' });
    if (!answer.ok) throw new Error(answer.fault);
    expect(answer.calibration.leftOutD).toHaveLength(4);
    expect(answer.calibration.rmsD).toBeLessThan(0.06);
    expect(rangeOff([exposed(0, 9)], { ...answer.calibration.belief, lnGlare: faithful.lnGlare })).toBeLessThan(0.03);
    expect(rangeOff([exposed(0, 9)])).toBeGreaterThan(
      rangeOff([exposed(0, 9)], { ...answer.calibration.belief, lnGlare: faithful.lnGlare }),
    );
  });
  test('calibrations from before responses were kept bend densities as their pairs do', () => {
    const belief = beliefOfPairs(
      [0.05, 0.35, 0.65, 0.95, 1.25, 1.55].map((knownD) => ({ readD: 0.9 * knownD, knownD })),
    );
    const response = responseOf(belief.response.mean);
    const light = Math.log(0.8);
    for (const knownD of [0.3, 0.8, 1.4]) {
      const value = Math.exp(light - 0.9 * knownD * Math.LN10);
      const read = (response.lnLight(Math.exp(light)) - response.lnLight(value)) / Math.LN10;
      expect(Math.abs(read - knownD)).toBeLessThan(0.06);
    }
  });
  test('one picture alone says how far it may be off, and what another exposure would win', () => {
    const answer = readStripWhole([exposed(0, 9)], unknownCamera({ id: 'srgb' }));
    if (!answer.ok) throw new Error(answer.fault);
    const { gains } = answer.whole;
    expect(gains?.now).toBeGreaterThan(0.06);
    expect(gains?.exposure).toBeLessThan((gains?.now ?? 0) / 2);
    expect(gains?.coin).toBeLessThanOrEqual(gains?.now ?? 0);
  });
});

describe('glare', () => {
  /** Stray light of two per cent of the mean, over everything. */
  const veiled = (coin: boolean): PictureSamples => {
    const strip: SyntheticStrip = {
      ...plainStrip,
      stepsD: wedge(14),
      bits: 16,
      transfer: { id: 'linear' },
      exposure: 0.85,
    };
    const { grid, truth } = syntheticStrip(strip);
    const data = grid.data as Uint16Array;
    const mean = data.reduce((sum, code) => sum + code, 0) / data.length;
    const at = { ...truth.light[0], along: 0.03, across: 0.03, turn: 0 } as Patch;
    const covered = Uint16Array.from(data, (code, index) => {
      const pixel = Math.floor(index / 3);
      const [x, y] = [(pixel % grid.widthPx) / grid.widthPx, Math.floor(pixel / grid.widthPx) / grid.widthPx];
      const under = coin && Math.hypot(x - at.x, y - at.y) < 0.03;
      return Math.round((under ? 0 : code) + 0.02 * mean);
    });
    const seen = { ...grid, data: covered };
    const read = (place: Patch) => samplePatch(seen, place, grid.widthPx, 'green', strip.transfer);
    const film = [{ ...truth.fog, along: 0.02, across: 0.02, turn: 0 }, ...patchesOf(truth.row)];
    return {
      survey: surveyPicture(seen, 'green', strip.transfer),
      light: [],
      film: film.map((place) => ({ at: place, sample: read(place), blank: null })),
      opaque: coin ? read({ ...at, along: 0.02, across: 0.02 }) : null,
    };
  };
  const densest = (coin: boolean) => {
    const answer = readStrip([veiled(coin)], { ...faithful, lnGlare: USUAL_GLARE });
    if (!answer.ok) throw new Error(answer.fault);
    return answer.read.patches.at(-1);
  };
  const true_ = 0.3 + 0.05 + 0.15 * 13;
  test('a coin beside the strip takes it off, and “at least” is true; without one the dense end says how unsure it is', () => {
    const covered = densest(true);
    expect(covered?.atLeast).toBe(true);
    expect(covered?.densityD).toBeLessThan(true_);
    expect(covered?.densityD).toBeGreaterThan(true_ - 0.3);
    const alone = densest(false);
    expect(Math.abs((alone?.densityD ?? 0) - true_)).toBeGreaterThan(0.12);
    expect(alone?.atLeast === true || (alone?.seD ?? 0) > 0.1).toBe(true);
  });
  test('a coin that is black to the camera bounds the glare, whatever the camera does to its blacks', () => {
    const taken = veiled(true);
    const black = taken.opaque as PatchSample;
    const crushed = { ...taken, opaque: { ...black, linear: 0, linearSe: 0, linearSd: 0, blackShare: 1 } };
    const answer = readStrip([crushed], { ...faithful, lnGlare: USUAL_GLARE });
    const numbers = answer.ok ? answer.read.patches.flatMap(({ densityD, seD }) => [densityD, seD]) : [];
    expect(numbers.length).toBeGreaterThan(20);
    expect(numbers.every(Number.isFinite)).toBe(true);
    const glare = answer.ok ? answer.read.camera.lnGlare.mean : 0;
    expect(glare).toBeLessThan(USUAL_GLARE.mean);
  });
  test('a mark on black is refused in words, and what lies around is still looked at', () => {
    const taken = veiled(false);
    const [first] = taken.film;
    const dark = { at: first?.at as Patch, sample: { ...(first?.sample as PatchSample), linear: 0 }, blank: null };
    expect(readStrip([{ ...taken, light: [dark] }], faithful)).toEqual({ ok: false, fault: 'light-dark' });
    expect(bareSurface({ ...taken, light: [dark] })).not.toBeNull();
  });
});

describe('the row is found by itself', () => {
  test.each([
    ['a wedge of twelve', { stepsD: wedge(12) }],
    ['seven frames with gaps', { stepsD: [0.3, 0.5, 0.8, 1, 1.2, 1.4, 1.5], gapShare: 0.12 }],
    ['turned by 9°', { stepsD: wedge(9), turnDeg: 9 }],
    ['turned by −31°, noisy, dusty', { stepsD: wedge(8), turnDeg: -31, noise: 0.01, specks: 30 }],
    ['unevenly lit', { stepsD: wedge(10), falloff: 0.1 }],
    ['upright', { stepsD: wedge(5), turnDeg: 88, widthPx: 700, heightPx: 700 }],
  ])('%s', (_name, change) => {
    const strip: SyntheticStrip = { ...plainStrip, baseFogD: 0.12, ...change };
    const { grid, truth } = syntheticStrip(strip);
    const found = findRow(grid, strip.transfer);
    expect(found?.row.count).toBe(truth.row.count);
    expect(found?.opaque).toBeNull();
    const ends = [found?.row.first, found?.row.last].map((end) =>
      Math.min(
        ...[truth.row.first, truth.row.last].map((one) => Math.hypot((end?.x ?? 9) - one.x, (end?.y ?? 9) - one.y)),
      ),
    );
    const pitch =
      Math.hypot(truth.row.last.x - truth.row.first.x, truth.row.last.y - truth.row.first.y) / (truth.row.count - 1);
    for (const end of ends) expect(end).toBeLessThan(0.25 * pitch);
  });
  test('an empty light table, a grey field and noise have none', () => {
    const bare = syntheticStrip({ ...plainStrip, stepsD: [0, 0], baseFogD: 0 });
    expect(findRow(bare.grid, { id: 'srgb' })).toBeNull();
    const grey = { ...bare.grid, data: new Uint8ClampedArray(bare.grid.data.length).fill(90) };
    expect(findRow(grey, { id: 'srgb' })).toBeNull();
    const noise = {
      ...bare.grid,
      data: Uint8ClampedArray.from({ length: bare.grid.data.length }, (_, at) => (at * 7919) % 251),
    };
    expect(findRow(noise, { id: 'srgb' })).toBeNull();
  });
});

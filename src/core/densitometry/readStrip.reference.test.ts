import { converter } from 'culori';
import { describe, expect, test } from 'vitest';
import { statedShift, type CameraExposure } from './cameraExposure';
import { findRow } from './findRow';
import { patchesOf, type Patch } from './patch';
import type { ChannelId } from './pixelGrid';
import { readStrip, type PictureSamples } from './readStrip';
import { samplePatch } from './samplePatch';
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

/** Steps of 0.15 D from 0.05. */
const wedge = (steps: number): number[] => Array.from({ length: steps }, (_, at) => 0.05 + 0.15 * at);

function samplesOf(strip: SyntheticStrip, channel: ChannelId = 'green', places?: Patch[]): PictureSamples {
  const { grid, truth } = syntheticStrip(strip);
  const edge = Math.max(grid.widthPx, grid.heightPx);
  const read = (at: Patch) => samplePatch(grid, at, edge, channel, strip.transfer);
  const small = { along: 0.02, across: 0.02, turn: 0 };
  const film = places ?? [{ ...truth.fog, ...small }, ...patchesOf(truth.row)];
  return {
    light: truth.light.map((place) => ({
      at: { ...place, ...small },
      sample: read({ ...place, ...small }),
      blank: null,
    })),
    film: film.map((at) => ({ at, sample: read(at), blank: null })),
  };
}

/** Largest miss of the read densities, over the patches whose true density is at most a limit, D. */
function largestMiss(pictures: PictureSamples[], strip: SyntheticStrip, toD: number): { missD: number; read: number } {
  const answer = readStrip(pictures);
  if (!answer.ok) throw new Error(answer.fault);
  const true_ = [0, ...strip.stepsD].map((step) => step + strip.baseFogD);
  const misses = answer.patches.flatMap(({ densityD, fault }, at) =>
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
    const apart = readStrip([dark, bright]);
    expect(apart.ok && apart.patches[2]?.fault).toBe('black');
    const [short, long] = [
      { seconds: 1 / 50, fNumber: 8, iso: 100 },
      { seconds: 1, fNumber: 8, iso: 400 },
    ];
    const tied = readStrip([
      { ...dark, exposure: short },
      { ...bright, exposure: long },
    ]);
    expect(tied.ok && tied.patches[2]?.densityD).toBeCloseTo(3.9, 1);
    expect(tied.ok && tied.patches[2]?.seD).toBeGreaterThan(0.05);
  });
  test('a camera that says less than it did does not bend what the pictures share', () => {
    const strip: SyntheticStrip = { ...eight, stepsD: wedge(21), noise: 0.004 };
    const wrong = [0.9, 3.6, 14.4].map((exposure, at) => ({
      ...samplesOf({ ...strip, exposure, seed: 20 + at }),
      exposure: { seconds: 1, fNumber: 8, iso: 100 },
    }));
    expect(largestMiss(wrong, strip, 3.2).missD).toBeLessThanOrEqual(0.03);
  });
  test('light let in, in stops and in densities (worked by hand)', () => {
    const seconds = (s: number, fNumber: number | null = 8): CameraExposure => ({ seconds: s, fNumber, iso: 100 });
    expect(statedShift(seconds(1), seconds(0.1))).toBeCloseTo(1, 12);
    expect(statedShift(seconds(1, 8), seconds(1, 16))).toBeCloseTo(2 * Math.log10(2), 12);
    expect(statedShift(seconds(1, null), seconds(1, 16))).toBeNull();
    expect(statedShift(seconds(0), seconds(1))).toBeNull();
    expect(statedShift(null, seconds(1))).toBeNull();
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
  test('a blank picture divides out what a plane cannot follow', () => {
    const strip: SyntheticStrip = { ...eight, falloff: 0.5, bits: 16, transfer: { id: 'linear' } };
    const { grid, truth } = syntheticStrip(strip);
    const film = [{ ...truth.fog, along: 0.02, across: 0.02, turn: 0 }, ...patchesOf(truth.row)];
    const { grid: bare } = syntheticStrip({ ...strip, stepsD: strip.stepsD.map(() => 0), baseFogD: 0, seed: 77 });
    const read = (from: typeof grid, at: Patch) => samplePatch(from, at, grid.widthPx, 'green', strip.transfer);
    const places = (list: Patch[], blank: boolean) =>
      list.map((at) => ({ at, sample: read(grid, at), blank: blank ? read(bare, at) : null }));
    const light = truth.light.map((place) => ({ ...place, along: 0.02, across: 0.02, turn: 0 }));
    const miss = (blank: boolean) =>
      largestMiss([{ light: places(light, blank), film: places(film, blank) }], strip, 1.8).missD;
    expect(miss(true)).toBeLessThanOrEqual(0.01);
    expect(miss(false)).toBeGreaterThan(0.05);
  });
  test('the standard error says how far off it is: nine of ten within two of them', () => {
    let [within, all] = [0, 0];
    for (let seed = 1; seed <= 8; seed++) {
      const strip = { ...eight, noise: 0.02, seed };
      const answer = readStrip([samplesOf(strip)]);
      if (!answer.ok) throw new Error(answer.fault);
      answer.patches.forEach(({ densityD, seD, fault }, at) => {
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
  test('clipped bare light, no light, a light too dark', () => {
    expect(readStrip([samplesOf({ ...plainStrip, exposure: 1.4 })])).toEqual({ ok: false, fault: 'light-clipped' });
    expect(readStrip([{ ...samplesOf(plainStrip), light: [] }])).toEqual({ ok: false, fault: 'no-light' });
    expect(readStrip([samplesOf({ ...plainStrip, exposure: 0.001, noise: 0 })])).toEqual({
      ok: false,
      fault: 'light-dark',
    });
  });
  test('a patch in the black has no number, and one outside of the picture neither', () => {
    const strip = { ...plainStrip, stepsD: [0.2, 3.4] };
    const answer = readStrip([samplesOf(strip)]);
    expect(answer.ok && answer.patches.map(({ fault }) => fault)).toEqual([null, null, 'black']);
    const outside = samplesOf(plainStrip, 'green', [{ x: 3, y: 3, along: 0.02, across: 0.02, turn: 0 }]);
    expect(readStrip([outside])).toMatchObject({ ok: true, patches: [{ fault: 'small' }] });
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
    const ends = [found?.row.first, found?.row.last].map((end) =>
      Math.min(
        ...[truth.row.first, truth.row.last].map((one) => Math.hypot((end?.x ?? 9) - one.x, (end?.y ?? 9) - one.y)),
      ),
    );
    const pitch =
      Math.hypot(truth.row.last.x - truth.row.first.x, truth.row.last.y - truth.row.first.y) / (truth.row.count - 1);
    for (const end of ends) expect(end).toBeLessThan(0.25 * pitch);
    expect(found?.light.length).toBeGreaterThanOrEqual(2);
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

import { describe, expect, test } from 'vitest';
import { seededNormal } from '../kit/seededNoise';
import { keptPatch, patchFault, patchOfKept } from './patchDensity';
import type { PixelGrid } from './pixelGrid';
import { samplePatch, type PatchSample } from './samplePatch';

const SIZE = 100;
const LINEAR = { id: 'linear' } as const;
const whole = { x: 0.5, y: 0.5, along: 0.8, across: 0.8, turn: 0 };

/** A picture of one tone, 16 bits, with what a function makes of each pixel. */
function picture(of: (x: number, y: number) => number, channels = 1): PixelGrid {
  const data = new Uint16Array(SIZE * SIZE * channels);
  for (let y = 0; y < SIZE; y++)
    for (let x = 0; x < SIZE; x++)
      for (let channel = 0; channel < channels; channel++)
        data[(y * SIZE + x) * channels + channel] = Math.max(0, Math.min(65_535, Math.round(65_535 * of(x, y))));
  return { leftPx: 0, topPx: 0, widthPx: SIZE, heightPx: SIZE, channels, data, maximum: 65_535 };
}
const sample = (grid: PixelGrid, patch = whole): PatchSample => {
  const found = samplePatch(grid, patch, SIZE, 'green', LINEAR);
  if (found === null) throw new Error('too small');
  return found;
};

describe('a patch', () => {
  test('of one tone is that tone, within its step', () => {
    const { linear, linearSe, clippedShare, leftOutShare } = sample(picture(() => 0.4));
    expect(linear).toBeCloseTo(0.4, 4);
    expect(linearSe).toBeLessThan(1e-4);
    expect([clippedShare, leftOutShare]).toEqual([0, 0]);
  });
  test('dust and a scratch do not move it, and are told as left out', () => {
    const dusty = picture((x, y) => (x === 40 ? 0.95 : Math.hypot(x - 60, y - 60) < 6 ? 0.02 : 0.4));
    const { linear, leftOutShare } = sample(dusty);
    expect(linear).toBeCloseTo(0.4, 3);
    expect(leftOutShare).toBeGreaterThan(0.02);
    expect(leftOutShare).toBeLessThan(0.05);
  });
  test('its standard error is that of its noise: 64 × 64 pixels of 5 % give about 0.05 / 64, from cells', () => {
    const { linearSe, linearSd } = sample(picture((x, y) => 0.4 * (1 + 0.05 * seededNormal(7, y * SIZE + x))));
    expect(linearSd / 0.4).toBeCloseTo(0.05, 2);
    expect(linearSe / 0.4).toBeGreaterThan(0.0003);
    expect(linearSe / 0.4).toBeLessThan(0.0018);
  });
  test('clipped and black shares are counted; a patch of fewer than nine pixels is none', () => {
    expect(sample(picture((x) => (x < 30 ? 1 : 0.9))).clippedShare).toBeCloseTo(0.25, 1);
    expect(sample(picture((x) => (x < 30 ? 0 : 0.4))).blackShare).toBeCloseTo(0.25, 1);
    expect(
      samplePatch(
        picture(() => 0.4),
        { ...whole, x: 4 },
        SIZE,
        'green',
        LINEAR,
      ),
    ).toBeNull();
  });
  test('channels: green alone, or the mix that the eye sees', () => {
    const coloured = picture(() => 0, 3);
    const data = coloured.data as Uint16Array;
    for (let at = 0; at < data.length; at += 3)
      data.set(
        [0.6, 0.3, 0.1].map((one) => Math.round(one * 65_535)),
        at,
      );
    const seen = (channel: 'green' | 'visual' | 'blue') =>
      samplePatch(coloured, whole, SIZE, channel, LINEAR)?.linear ?? 0;
    expect(seen('green')).toBeCloseTo(0.3, 3);
    expect(seen('blue')).toBeCloseTo(0.1, 3);
    expect(seen('visual')).toBeCloseTo(0.2126 * 0.6 + 0.7152 * 0.3 + 0.0722 * 0.1, 3);
  });
  test('a part of a picture reads as the picture does', () => {
    const grid = picture((x) => x / SIZE);
    const part: PixelGrid = {
      ...grid,
      leftPx: 40,
      topPx: 40,
      widthPx: 20,
      heightPx: 20,
      data: Uint16Array.from(
        { length: 400 },
        (_, at) => grid.data[(40 + Math.floor(at / 20)) * SIZE + 40 + (at % 20)] ?? 0,
      ),
    };
    const small = { x: 0.5, y: 0.5, along: 0.16, across: 0.16, turn: 0.3 };
    expect(sample(part, small).linear).toBeCloseTo(sample(grid, small).linear, 9);
  });
});

describe('a patch that has no density', () => {
  const tone = (linear: number): PatchSample => ({ ...sample(picture(() => linear)), linear, linearSe: linear * 0.01 });
  test.each([
    ['small', null],
    ['clipped', { ...tone(0.9), clippedShare: 0.2 }],
    ['black', { ...tone(0.9), linear: 1e-6 }],
    ['black', { ...tone(0.9), blackShare: 0.3 }],
  ] as const)('%s says so, and is kept without a number', (fault, found) => {
    expect(patchFault(found)).toBe(fault);
    const lost = { densityD: Number.NaN, seD: Number.NaN, fault };
    expect(patchOfKept(keptPatch(lost)).fault).toBe(fault);
  });
  test('a sound one has none; what is kept reads back to a ten-thousandth, and at least stays at least', () => {
    expect(patchFault(tone(0.4))).toBeNull();
    const dense = { densityD: 1.234_56, seD: 0.3, fault: null, atLeast: true };
    expect(patchOfKept(keptPatch(dense))).toEqual({ ...dense, densityD: 1.2346 });
  });
});

import { seededEven, seededNormal } from './seededNoise';
import type { PatchRow, Place } from '../densitometry/patch';
import type { PixelGrid } from '../densitometry/pixelGrid';
import { encodedOf, type Transfer } from '../densitometry/transfer';

/** A strip that was never developed, and how it was photographed. */
export interface SyntheticStrip {
  /** Density of each step or frame above base + fog, D. */
  stepsD: readonly number[];
  baseFogD: number;
  /** Density of a colour mask or stain on top, by red, green and blue, D. */
  maskD: readonly [red: number, green: number, blue: number];
  /** Share of a step that is clear film: 0 for a wedge, about 0.1 between frames. */
  gapShare: number;
  widthPx: number;
  heightPx: number;
  /** How far the strip is turned, degrees clockwise. */
  turnDeg: number;
  /** Light lost from the middle to a corner, as a share. */
  falloff: number;
  /** Noise of a pixel at white, as a share; darker tones carry more of it, as counted light does. */
  noise: number;
  /** Specks and lengthwise scratches. */
  specks: number;
  scratches: number;
  /** Level of the bare light in the middle, as a share of white; above 1 it is clipped. */
  exposure: number;
  transfer: Transfer;
  bits: 8 | 16;
  seed: number;
}

/** A plain strip: seven frames a stop apart on a light table, 8 bits, nothing wrong with it. */
export const plainStrip: SyntheticStrip = {
  stepsD: [0.06, 0.16, 0.31, 0.48, 0.66, 0.83, 0.98],
  baseFogD: 0.3,
  maskD: [0, 0, 0],
  gapShare: 0,
  widthPx: 800,
  heightPx: 400,
  turnDeg: 0,
  falloff: 0,
  noise: 0.004,
  specks: 0,
  scratches: 0,
  exposure: 0.92,
  transfer: { id: 'srgb' },
  bits: 8,
  seed: 1,
};

/** Size of the film in its picture, and of its clear rim, as shares of the picture's width. Source: our choice. */
const FILM_LONG = 0.84;
const FILM_WIDE = 0.2;
const RIM = 0.024;
const LEADER = 0.05;

/** Widest speck, as a share of the picture's width. */
const SPECK = 0.006;

/** Where things are in a synthetic picture. */
export interface StripTruth {
  row: PatchRow;
  /** Clear film beside the steps. */
  fog: Place;
  /** Bare light around the film. */
  light: Place[];
}

/**
 * Photographs a strip that does not exist.
 * @param strip the strip and its picture; the same seed gives the same pixels
 * @returns its pixels, and where the steps, the clear film and the bare light are
 * Source: our choice; noise grows as the square root of the light (counted photons).
 */
export function syntheticStrip(strip: SyntheticStrip): { grid: PixelGrid; truth: StripTruth } {
  const { widthPx, heightPx, bits, stepsD, gapShare, seed } = strip;
  const maximum = 2 ** bits - 1;
  const data = bits === 8 ? new Uint8ClampedArray(widthPx * heightPx * 3) : new Uint16Array(widthPx * heightPx * 3);
  const [cos, sin] = [Math.cos((strip.turnDeg * Math.PI) / 180), Math.sin((strip.turnDeg * Math.PI) / 180)];
  const stepsLong = FILM_LONG - 2 * LEADER;
  const pitch = stepsLong / stepsD.length;
  const specks = Array.from({ length: strip.specks }, (_, at) => ({
    u: (seededEven(seed, 7_000_001 + 3 * at) - 0.5) * FILM_LONG,
    v: (seededEven(seed, 7_000_002 + 3 * at) - 0.5) * FILM_WIDE,
    size: SPECK * seededEven(seed, 7_000_003 + 3 * at),
  }));
  const scratches = Array.from(
    { length: strip.scratches },
    (_, at) => (seededEven(seed, 8_000_000 + at) - 0.5) * FILM_WIDE,
  );
  const reach = Math.hypot(widthPx, heightPx) / 2 / widthPx;

  const densityAt = (u: number, v: number): number | null => {
    if (Math.abs(u) > FILM_LONG / 2 || Math.abs(v) > FILM_WIDE / 2) return null;
    if (specks.some((speck) => (u - speck.u) ** 2 + (v - speck.v) ** 2 < speck.size ** 2)) return strip.baseFogD + 2;
    if (scratches.some((at) => Math.abs(v - at) < 1 / widthPx)) return 0;
    const along = (u + stepsLong / 2) / pitch;
    const step = Math.floor(along);
    const within = along - step;
    const inFrame =
      step >= 0 &&
      step < stepsD.length &&
      Math.abs(v) < FILM_WIDE / 2 - RIM &&
      within >= gapShare / 2 &&
      within <= 1 - gapShare / 2;
    return strip.baseFogD + (inFrame ? (stepsD[step] as number) : 0);
  };

  // Neighbouring pixels mostly have one density: what it lets through is worked out once.
  const passed = new Float64Array(3).fill(1);
  let lastD: number | null = null;
  for (let py = 0; py < heightPx; py++) {
    for (let px = 0; px < widthPx; px++) {
      const x = (px + 0.5 - widthPx / 2) / widthPx;
      const y = (py + 0.5 - heightPx / 2) / widthPx;
      const density = densityAt(x * cos + y * sin, y * cos - x * sin);
      const light = strip.exposure * (1 - (strip.falloff * (x * x + y * y)) / reach ** 2);
      if (density !== lastD) {
        for (let channel = 0; channel < 3; channel++)
          passed[channel] = density === null ? 1 : 10 ** -(density + (strip.maskD[channel] as number));
        lastD = density;
      }
      for (let channel = 0; channel < 3; channel++) {
        const at = (py * widthPx + px) * 3 + channel;
        const clean = light * (passed[channel] as number);
        const noisy = clean + strip.noise * Math.sqrt(clean) * seededNormal(seed, at);
        data[at] = Math.round(maximum * encodedOf(Math.min(1, Math.max(0, noisy)), strip.transfer));
      }
    }
  }
  const edge = Math.max(widthPx, heightPx);
  const place = (u: number, v: number): Place => ({
    x: ((u * cos - v * sin) * widthPx + widthPx / 2) / edge,
    y: ((u * sin + v * cos) * widthPx + heightPx / 2) / edge,
  });
  const first = -stepsLong / 2 + pitch / 2;
  return {
    grid: { leftPx: 0, topPx: 0, widthPx, heightPx, channels: 3, data, maximum },
    truth: {
      row: {
        first: place(first, 0),
        last: place(first + pitch * (stepsD.length - 1), 0),
        count: stepsD.length,
        fill: 0.6,
        across: (FILM_WIDE - 2 * RIM) * 0.6 * (widthPx / edge),
      },
      fog: place(-FILM_LONG / 2 + LEADER / 2, 0),
      light: [place(-0.3, -0.16), place(0.3, -0.16), place(-0.3, 0.16), place(0.3, 0.16)],
    },
  };
}

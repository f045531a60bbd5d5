import { patchesOf, type PatchRow, type Place } from '../src/core/densitometry/patch';
import type { PixelGrid } from '../src/core/densitometry/pixelGrid';
import { chance, type Chance } from '../src/core/testing/chance';

/**
 * Photographs of strips by cameras that the program does not know: curves of other shapes than its own family, glare, light that
 * falls off about a peak of its own, tilt, noise and the squares of JPEG. Nothing here is shared with the reading.
 */

/** How a camera turns light into a code, 0 to 1 of both. */
export type CameraKind =
  'power' | 'tanh' | 'smoothstep' | 'filmic' | 'local' | 'lifted' | 'saturating' | 'steep roll-off' | 'wavy';
/** Cameras as most are. */
export const cameraKinds: readonly CameraKind[] = ['power', 'tanh', 'smoothstep', 'filmic', 'local'];
/** Odder ones: lifted blacks, lights that roll off steeply, curves with waves. */
export const oddCameraKinds: readonly CameraKind[] = ['lifted', 'saturating', 'steep roll-off', 'wavy'];

const srgb = (light: number): number => (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);

/** Curve of a camera of a kind. Our invention, about what cameras do. */
function curveOf(kind: CameraKind, luck: Chance): (light: number) => number {
  switch (kind) {
    case 'power': {
      const power = luck.uniform(0.39, 0.51);
      return (light) => light ** power;
    }
    case 'tanh': {
      const [strength, middle] = [luck.uniform(0.2, 2.2), luck.uniform(0.38, 0.55)];
      const at = (x: number): number => Math.tanh(strength * (x - middle));
      const [foot, head] = [at(0), at(1)];
      return (light) => (at(srgb(light)) - foot) / (head - foot);
    }
    case 'smoothstep': {
      const share = luck.uniform(0, 0.75);
      return (light) => {
        const x = srgb(light);
        return (1 - share) * x + share * x * x * (3 - 2 * x);
      };
    }
    case 'filmic': {
      const [shoulder, toe] = [luck.uniform(0, 0.8), luck.uniform(0, 0.008)];
      const at = (x: number): number => (x * (1 + shoulder)) / (x * shoulder + 1);
      return (light) => srgb(Math.max(0, (at(light) - toe * (1 - light)) / 1));
    }
    case 'local': {
      const strength = luck.uniform(0.2, 1.6);
      const at = (x: number): number => Math.tanh(strength * (x - 0.45));
      const [foot, head] = [at(0), at(1)];
      return (light) => (at(srgb(light)) - foot) / (head - foot);
    }
    case 'lifted': {
      const [lift, power] = [luck.uniform(0, 0.03), luck.uniform(0.9, 1.12)];
      return (light) => lift + (1 - lift) * srgb(light) ** power;
    }
    case 'saturating': {
      const strength = luck.uniform(0.2, 1.6);
      return (light) => srgb((1 - Math.exp(-strength * light)) / (1 - Math.exp(-strength)));
    }
    case 'steep roll-off': {
      const [power, half] = [luck.uniform(0.75, 1.15), luck.uniform(0.25, 0.9)];
      const at = (light: number): number => (light <= 0 ? 0 : 1 / (1 + (half / light) ** power));
      return (light) => (at(light) / at(1)) ** 0.62;
    }
    case 'wavy': {
      const [bow, wave, ripple] = [0.07 * luck.normal(), 0.025 * luck.normal(), 0.012 * luck.normal()];
      const contrast = luck.uniform(0, 0.04);
      return (light) => {
        const x = srgb(light);
        const [once, more] = [Math.sin(2 * Math.PI * x), Math.sin(3 * Math.PI * x)];
        return x + bow * x * (1 - x) + (wave * x - contrast) * once + ripple * x * more;
      };
    }
  }
}

/** A curve looked up, finer in the dark. */
function tabled(curve: (light: number) => number): (light: number) => number {
  const table = Float64Array.from({ length: 4097 }, (_, at) => curve((at / 4096) ** 2));
  return (light) => {
    const at = 4096 * Math.sqrt(light);
    const from = Math.min(4095, Math.floor(at));
    return (table[from] as number) * (1 - at + from) + (table[from + 1] as number) * (at - from);
  };
}

/** A strip and its truth. */
export interface StripSubject {
  baseFogD: number;
  /** Densities of the patches, base and fog included, thin to dense. */
  densitiesD: number[];
  /** log10 of each exposure against the metered one. */
  logH: number[];
}

/** How a picture of it is taken. */
export interface Shot {
  camera: CameraOfWorld;
  /** Light against that which brings the bare light near white. */
  stops?: number;
  /** Whether an opaque coin lies beside the strip. */
  coin?: boolean;
  jpeg?: boolean;
}

/** A camera on its light: what stays the same between pictures. */
export interface CameraOfWorld {
  kind: CameraKind;
  curve: (light: number) => number;
  glare: number;
  falloff: number;
  peak: Place;
  tiltDeg: number;
  turnDeg: number;
  noise: number;
  quality: number;
  /** Level of the bare light at its peak, as a share of white. */
  level: number;
  /** Strength of local tone mapping, as a power. */
  local: number;
  luck: Chance;
}

export function cameraOfWorld(kind: CameraKind, seed: number): CameraOfWorld {
  const luck = chance(Math.imul(seed, 0x9e3779b1));
  return {
    kind,
    curve: tabled(curveOf(kind, luck)),
    glare: luck.uniform(0, 0.02),
    falloff: luck.uniform(0, 0.35),
    peak: { x: luck.uniform(0.35, 0.65), y: luck.uniform(0.22, 0.45) },
    tiltDeg: luck.uniform(-15, 15),
    turnDeg: luck.uniform(-8, 8),
    noise: luck.uniform(0.002, 0.012),
    quality: Math.round(luck.uniform(75, 95)),
    level: luck.uniform(0.72, 0.92),
    local: kind === 'local' ? luck.uniform(0.01, 0.06) : luck.uniform(0, 0.02),
    luck,
  };
}

export function stripSubject(seed: number): StripSubject {
  const luck = chance(Math.imul(seed, 0x9e3779b1));
  const baseFogD = luck.uniform(0.12, 0.7);
  const gradient = luck.uniform(0.4, 0.9);
  const toe = luck.uniform(0.25, 0.45);
  const speed = luck.uniform(-0.7, -0.1);
  const logH = Array.from({ length: 9 }, (_, at) => (at - 4) * 0.30103);
  const densitiesD = logH.map((one) => baseFogD + gradient * toe * Math.log(1 + Math.exp((one - speed - 0.2) / toe)));
  return { baseFogD, densitiesD, logH };
}

/** Width and height of the pictures, px, and the film in them as shares of the width. */
const WIDTH = 512;
const HEIGHT = 336;
const FILM = { long: 0.8, wide: 0.17, rim: 0.02, leader: 0.05, gap: 0.08 } as const;
const COIN = { u: -0.3, v: 0.2, radius: 0.035 } as const;

/** Distance of the camera in widths of its picture: the tilt's lever. A phone's lens sees some 65 degrees. */
const DISTANCE = 0.785;

export interface TakenPicture {
  grid: PixelGrid;
  row: PatchRow;
  clear: Place;
  coin: Place;
}

/** Takes a picture. The film lies in a plane that is tilted about its own upright axis; the light shines through it. */
export function takePicture(subject: StripSubject | null, shot: Shot): TakenPicture {
  const { camera } = shot;
  const { luck } = camera;
  const tilt = (camera.tiltDeg * Math.PI) / 180;
  const turn = (camera.turnDeg * Math.PI) / 180;
  const steps = subject?.densitiesD ?? [];
  const inner = FILM.long - 2 * FILM.leader;
  const pitch = inner / Math.max(1, steps.length);
  const [cosTurn, sinTurn, cosTilt, sinTilt] = [Math.cos(turn), Math.sin(turn), Math.cos(tilt), Math.sin(tilt)];
  const pictureOf = (u: number, v: number): Place => {
    const depth = DISTANCE / (DISTANCE + u * Math.sin(tilt));
    const [a, b] = [u * Math.cos(tilt) * depth, v * depth];
    const [x, y] = [a * Math.cos(turn) - b * Math.sin(turn), a * Math.sin(turn) + b * Math.cos(turn)];
    return { x: x + 0.5, y: y + HEIGHT / WIDTH / 2 };
  };
  const stepLight = steps.map((densityD) => 10 ** -densityD);
  const baseLight = 10 ** -(subject?.baseFogD ?? 0);
  const filmLight = (u: number, v: number): number => {
    if (shot.coin === true && (u - COIN.u) ** 2 + (v - COIN.v) ** 2 < COIN.radius ** 2) return 0;
    if (subject === null || Math.abs(u) > FILM.long / 2 || Math.abs(v) > FILM.wide / 2) return 1;
    const along = (u + inner / 2) / pitch;
    const step = Math.floor(along);
    const within = along - step;
    const frame =
      step >= 0 &&
      step < steps.length &&
      Math.abs(v) < FILM.wide / 2 - FILM.rim &&
      within > FILM.gap / 2 &&
      within < 1 - FILM.gap / 2;
    return frame ? (stepLight[step] as number) : baseLight;
  };
  const light = new Float64Array(WIDTH * HEIGHT);
  const exposure = camera.level * 2 ** (shot.stops ?? 0);
  const reach = Math.hypot(0.5, HEIGHT / WIDTH / 2);
  let mean = 0;
  for (let py = 0; py < HEIGHT; py++)
    for (let px = 0; px < WIDTH; px++) {
      const x = (px + 0.5) / WIDTH - 0.5;
      const y = (py + 0.5) / WIDTH - HEIGHT / WIDTH / 2;
      // From the picture back into the plane of the film.
      const a = x * cosTurn + y * sinTurn;
      const depth = DISTANCE / (DISTANCE * cosTilt - a * sinTilt);
      const u = a * depth;
      const v = (y * cosTurn - x * sinTurn) * depth * cosTilt;
      const fromX = x + 0.5 - camera.peak.x;
      const fromY = y + HEIGHT / WIDTH / 2 - camera.peak.y;
      const far = Math.min(1.4, Math.sqrt(fromX * fromX + fromY * fromY) / reach);
      const value = exposure * (1 - camera.falloff * far * far) * filmLight(u, v);
      light[py * WIDTH + px] = value;
      mean += value;
    }
  const veil = (camera.glare * mean) / light.length;
  const mapped = camera.local === 0 ? null : localLevels(light, exposure);
  const codes = new Float64Array(light.length);
  for (let at = 0; at < light.length; at++) {
    let value = (light[at] as number) + veil;
    if (mapped !== null) value *= (mapped[at] as number) ** -camera.local;
    value += camera.noise * Math.sqrt(Math.max(0, value)) * 0.5 * luck.normal();
    codes[at] = 255 * camera.curve(Math.min(1, Math.max(0, value)));
  }
  const data = shot.jpeg === false ? rounded(codes) : squares(codes, camera.quality);
  const at = (share: number): Place => pictureOf(share, 0);
  const [first, last] = [at(-inner / 2 + pitch / 2), at(inner / 2 - pitch / 2)];
  // Along the row, places follow a projective law with one parameter.
  const depthAt = (u: number): number => 1 + (u * Math.sin(tilt)) / DISTANCE;
  const perspective = depthAt(inner / 2 - pitch / 2) / depthAt(-inner / 2 + pitch / 2) - 1;
  return {
    grid: { leftPx: 0, topPx: 0, widthPx: WIDTH, heightPx: HEIGHT, channels: 1, data, maximum: 255 },
    row: { first, last, count: steps.length, fill: 0.55, across: (FILM.wide - 2 * FILM.rim) * 0.55, perspective },
    clear: at(-FILM.long / 2 + FILM.leader / 2),
    coin: pictureOf(COIN.u, COIN.v),
  };
}

/** Levels of the neighbourhood against the whole, for cameras that brighten their shadows. */
function localLevels(light: Float64Array, level: number): Float64Array {
  const size = 40;
  const [columns, rows] = [Math.ceil(WIDTH / size), Math.ceil(HEIGHT / size)];
  const coarse = new Float64Array(columns * rows);
  const counts = new Float64Array(columns * rows);
  for (let y = 0, at = 0; y < HEIGHT; y++)
    for (let x = 0; x < WIDTH; x++, at++) {
      const cell = Math.floor(y / size) * columns + Math.floor(x / size);
      coarse[cell] = (coarse[cell] as number) + (light[at] as number);
      counts[cell] = (counts[cell] as number) + 1;
    }
  for (let cell = 0; cell < coarse.length; cell++)
    coarse[cell] = (coarse[cell] as number) / Math.max(1, counts[cell] as number) / level;
  const within = (at: number, most: number): number => Math.min(most - 1, Math.max(0, at));
  const levels = new Float64Array(light.length);
  for (let py = 0, at = 0; py < HEIGHT; py++) {
    const y = py / size - 0.5;
    const j = Math.floor(y);
    const b = y - j;
    const [upper, lower] = [within(j, rows) * columns, within(j + 1, rows) * columns];
    for (let px = 0; px < WIDTH; px++, at++) {
      const x = px / size - 0.5;
      const i = Math.floor(x);
      const a = x - i;
      const [left, right] = [within(i, columns), within(i + 1, columns)];
      const mixed =
        (coarse[upper + left] as number) * (1 - a) * (1 - b) +
        (coarse[upper + right] as number) * a * (1 - b) +
        (coarse[lower + left] as number) * (1 - a) * b +
        (coarse[lower + right] as number) * a * b;
      levels[at] = Math.max(0.02, mixed);
    }
  }
  return levels;
}

/** Quantisation of luminance. Source: ISO/IEC 10918-1 (JPEG), annex K, table K.1. */
const QUANTA = [
  16, 11, 10, 16, 24, 40, 51, 61, 12, 12, 14, 19, 26, 58, 60, 55, 14, 13, 16, 24, 40, 57, 69, 56, 14, 17, 22, 29, 51,
  87, 80, 62, 18, 22, 37, 56, 68, 109, 103, 77, 24, 35, 55, 64, 81, 104, 113, 92, 49, 64, 78, 87, 103, 121, 120, 101,
  72, 92, 95, 98, 112, 100, 103, 99,
];
const COSINES = Array.from({ length: 64 }, (_, at) => {
  const [k, n] = [Math.floor(at / 8), at % 8];
  return (k === 0 ? Math.sqrt(1 / 8) : 0.5) * Math.cos(((2 * n + 1) * k * Math.PI) / 16);
});

/** Cosines as rows of frequencies, and as rows of places. */
const FORWARD = Float64Array.from(COSINES);
const BACK = Float64Array.from({ length: 64 }, (_, at) => COSINES[(at & 7) * 8 + (at >> 3)] as number);

/** What packing as JPEG leaves of a picture in greys. Source: ISO/IEC 10918-1. */
function squares(codes: Float64Array, quality: number): Float64Array {
  const scale = quality < 50 ? 5000 / quality : 200 - 2 * quality;
  const quanta = Float64Array.from(QUANTA, (one) => Math.max(1, Math.floor((one * scale + 50) / 100)));
  const out = rounded(codes);
  const [block, half] = [new Float64Array(64), new Float64Array(64)];
  for (let top = 0; top + 8 <= HEIGHT; top += 8)
    for (let left = 0; left + 8 <= WIDTH; left += 8) {
      const from = top * WIDTH + left;
      for (let at = 0; at < 64; at++) block[at] = (codes[from + (at >> 3) * WIDTH + (at & 7)] as number) - 128;
      transform(block, half, FORWARD);
      for (let at = 0; at < 64; at++) {
        const step = quanta[at] as number;
        block[at] = Math.round((block[at] as number) / step) * step;
      }
      transform(block, half, BACK);
      for (let at = 0; at < 64; at++)
        out[from + (at >> 3) * WIDTH + (at & 7)] = Math.min(255, Math.max(0, Math.round((block[at] as number) + 128)));
    }
  return out;
}

/** Whole codes. */
function rounded(codes: Float64Array): Float64Array {
  const whole = new Float64Array(codes.length);
  for (let at = 0; at < codes.length; at++) whole[at] = Math.round(codes[at] as number);
  return whole;
}

/** Rows, then columns, by a basis; what is nought takes no part. */
function transform(block: Float64Array, half: Float64Array, basis: Float64Array): void {
  half.fill(0);
  for (let row = 0; row < 64; row += 8)
    for (let n = 0; n < 8; n++) {
      const value = block[row + n] as number;
      if (value === 0) continue;
      for (let k = 0; k < 8; k++) half[row + k] = (half[row + k] as number) + (basis[k * 8 + n] as number) * value;
    }
  block.fill(0);
  for (let n = 0; n < 8; n++)
    for (let column = 0; column < 8; column++) {
      const value = half[n * 8 + column] as number;
      if (value === 0) continue;
      for (let k = 0; k < 8; k++)
        block[k * 8 + column] = (block[k * 8 + column] as number) + (basis[k * 8 + n] as number) * value;
    }
}

/** Patches of a picture's true row. */
export const truePatches = ({ row }: TakenPicture) => patchesOf(row);

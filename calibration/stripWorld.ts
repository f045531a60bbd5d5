import { patchesOf, type PatchRow, type Place } from '../src/core/densitometry/patch';
import type { PixelGrid } from '../src/core/densitometry/pixelGrid';
import { chance, type Chance } from '../src/core/testing/chance';

/**
 * Photographs of strips by cameras that the program does not know: curves of other shapes than its own family, glare, light that
 * falls off about a peak of its own, tilt, noise and the squares of JPEG. Nothing here is shared with the reading.
 */

/** How a camera turns light into a code, 0 to 1 of both. */
export type CameraKind = 'power' | 'tanh' | 'smoothstep' | 'filmic' | 'local';
export const cameraKinds: readonly CameraKind[] = ['power', 'tanh', 'smoothstep', 'filmic', 'local'];

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
  }
}

/** A curve looked up, finer in the dark. */
function tabled(curve: (light: number) => number): (light: number) => number {
  const table = Float64Array.from({ length: 4097 }, (_, at) => curve((at / 4096) ** 2));
  return (light) => {
    const at = 4096 * Math.sqrt(light);
    const from = Math.min(4095, Math.floor(at));
    return (table[from] ?? 0) * (1 - at + from) + (table[from + 1] ?? 0) * (at - from);
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
  // From the picture back into the plane of the film.
  const planeOf = (x: number, y: number): { u: number; v: number } => {
    const [a, b] = [x * Math.cos(turn) + y * Math.sin(turn), y * Math.cos(turn) - x * Math.sin(turn)];
    const depth = DISTANCE / (DISTANCE * Math.cos(tilt) - a * Math.sin(tilt));
    return { u: a * depth, v: b * depth * Math.cos(tilt) };
  };
  const pictureOf = (u: number, v: number): Place => {
    const depth = DISTANCE / (DISTANCE + u * Math.sin(tilt));
    const [a, b] = [u * Math.cos(tilt) * depth, v * depth];
    const [x, y] = [a * Math.cos(turn) - b * Math.sin(turn), a * Math.sin(turn) + b * Math.cos(turn)];
    return { x: x + 0.5, y: y + HEIGHT / WIDTH / 2 };
  };
  const filmLight = (u: number, v: number): number => {
    if (shot.coin === true && Math.hypot(u - COIN.u, v - COIN.v) < COIN.radius) return 0;
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
    return 10 ** -(frame ? (steps[step] ?? 0) : subject.baseFogD);
  };
  const light = new Float64Array(WIDTH * HEIGHT);
  const exposure = camera.level * 2 ** (shot.stops ?? 0);
  const reach = Math.hypot(0.5, HEIGHT / WIDTH / 2);
  let mean = 0;
  for (let py = 0; py < HEIGHT; py++)
    for (let px = 0; px < WIDTH; px++) {
      const [x, y] = [(px + 0.5) / WIDTH - 0.5, (py + 0.5) / WIDTH - HEIGHT / WIDTH / 2];
      const { u, v } = planeOf(x, y);
      const far = Math.hypot(x + 0.5 - camera.peak.x, y + HEIGHT / WIDTH / 2 - camera.peak.y) / reach;
      const value = exposure * (1 - camera.falloff * Math.min(1.4, far) ** 2) * filmLight(u, v);
      light[py * WIDTH + px] = value;
      mean += value / light.length;
    }
  const veil = camera.glare * mean;
  const mapped = camera.local === 0 ? null : localLevels(light, exposure);
  const codes = new Float64Array(light.length);
  for (let at = 0; at < light.length; at++) {
    let value = (light[at] ?? 0) + veil;
    if (mapped !== null) value *= (mapped[at] ?? 1) ** -camera.local;
    value += camera.noise * Math.sqrt(Math.max(0, value)) * 0.5 * luck.normal();
    codes[at] = 255 * camera.curve(Math.min(1, Math.max(0, value)));
  }
  const data = shot.jpeg === false ? Float64Array.from(codes, Math.round) : squares(codes, camera.quality);
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
  light.forEach((value, at) => {
    const cell = Math.floor(Math.floor(at / WIDTH) / size) * columns + Math.floor((at % WIDTH) / size);
    coarse[cell] = (coarse[cell] ?? 0) + value;
    counts[cell] = (counts[cell] ?? 0) + 1;
  });
  const of = (i: number, j: number): number => {
    const cell = Math.min(rows - 1, Math.max(0, j)) * columns + Math.min(columns - 1, Math.max(0, i));
    return (coarse[cell] ?? 0) / Math.max(1, counts[cell] ?? 1) / level;
  };
  return Float64Array.from(light, (_, at) => {
    const [x, y] = [(at % WIDTH) / size - 0.5, Math.floor(at / WIDTH) / size - 0.5];
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const [a, b] = [x - i, y - j];
    const mixed =
      of(i, j) * (1 - a) * (1 - b) + of(i + 1, j) * a * (1 - b) + of(i, j + 1) * (1 - a) * b + of(i + 1, j + 1) * a * b;
    return Math.max(0.02, mixed);
  });
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

/** What packing as JPEG leaves of a picture in greys. Source: ISO/IEC 10918-1. */
function squares(codes: Float64Array, quality: number): Float64Array {
  const scale = quality < 50 ? 5000 / quality : 200 - 2 * quality;
  const quanta = QUANTA.map((one) => Math.max(1, Math.floor((one * scale + 50) / 100)));
  const out = Float64Array.from(codes, Math.round);
  const [block, half] = [new Float64Array(64), new Float64Array(64)];
  for (let top = 0; top + 8 <= HEIGHT; top += 8)
    for (let left = 0; left + 8 <= WIDTH; left += 8) {
      for (let at = 0; at < 64; at++) block[at] = (codes[(top + (at >> 3)) * WIDTH + left + (at & 7)] ?? 0) - 128;
      transform(block, half, false);
      for (let at = 0; at < 64; at++) {
        const step = quanta[at] ?? 1;
        block[at] = Math.round((block[at] ?? 0) / step) * step;
      }
      transform(block, half, true);
      for (let at = 0; at < 64; at++)
        out[(top + (at >> 3)) * WIDTH + left + (at & 7)] = Math.min(
          255,
          Math.max(0, Math.round((block[at] ?? 0) + 128)),
        );
    }
  return out;
}

function transform(block: Float64Array, half: Float64Array, back: boolean): void {
  const basis = (k: number, n: number): number => COSINES[back ? n * 8 + k : k * 8 + n] ?? 0;
  for (let row = 0; row < 8; row++)
    for (let k = 0; k < 8; k++) {
      let sum = 0;
      for (let n = 0; n < 8; n++) sum += basis(k, n) * (block[row * 8 + n] ?? 0);
      half[row * 8 + k] = sum;
    }
  for (let column = 0; column < 8; column++)
    for (let k = 0; k < 8; k++) {
      let sum = 0;
      for (let n = 0; n < 8; n++) sum += basis(k, n) * (half[n * 8 + column] ?? 0);
      block[k * 8 + column] = sum;
    }
}

/** Patches of a picture's true row. */
export const truePatches = ({ row }: TakenPicture) => patchesOf(row);

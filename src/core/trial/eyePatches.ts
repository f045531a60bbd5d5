import { seededNormal } from '../kit/seededNoise';

/** What is told by eye in steps from 0, and has a patch drawn for each. */
export const eyeScales = {
  grain: ['No grain seen', 'Fine', 'Easily seen', 'Coarse', 'Very coarse'],
  unevenness: ['Even', 'Hardly uneven', 'Uneven in plain tones', 'Streaks', 'Spoilt'],
} as const;
export type EyeScaleId = keyof typeof eyeScales;

/** Width and height of a patch, pixels. */
export const PATCH = { width: 60, height: 40 } as const;

/** How large grains are, pixels, and how far they lie from the tone around them, greys; by step. Source: our drawing. */
const GRAIN = [
  { size: 1, greys: 2 },
  { size: 1, greys: 9 },
  { size: 1, greys: 20 },
  { size: 2, greys: 26 },
  { size: 3, greys: 40 },
] as const;

/** How far streaks lie from the tone around them, greys; by step. Source: our drawing. */
const STREAKS = [0, 5, 14, 30, 60] as const;

const MIDDLE = 128;

/**
 * A patch of plain grey as it looks at a step of a scale.
 * @param scale which scale
 * @param step 0 to 4
 * @returns greys 0 to 255, row by row; the same each time
 */
export function eyePatch(scale: EyeScaleId, step: number): number[] {
  const greyAt = scale === 'grain' ? grainAt(step) : streakAt(step);
  return Array.from({ length: PATCH.width * PATCH.height }, (_, at) =>
    Math.round(Math.min(255, Math.max(0, greyAt(at % PATCH.width, Math.floor(at / PATCH.width))))),
  );
}

function grainAt(step: number): (x: number, y: number) => number {
  const { size, greys } = GRAIN[step] ?? GRAIN[0];
  const across = Math.ceil(PATCH.width / size);
  return (x, y) => MIDDLE + greys * seededNormal(step + 1, Math.floor(y / size) * across + Math.floor(x / size));
}

/** Streaks run from the perforation down, and the edge of the film is denser. */
function streakAt(step: number): (x: number, y: number) => number {
  const greys = STREAKS[step] ?? 0;
  return (x, y) =>
    MIDDLE + greys * (0.6 * Math.sin(x / 4.5) * Math.exp(-y / 26) + 0.5 * Math.exp(-y / 7) - 0.15 * Math.sin(x / 17));
}

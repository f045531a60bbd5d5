/** Share of an amount up to which a step is fine enough. Source: our choice; a tenth of the amount moves a coffee brew by about 8 %. */
export const FINE_ENOUGH_SHARE = 0.1;

/**
 * Rounds to what an instrument shows.
 * @param value value, in the step's unit
 * @param step smallest step; above 0
 * @returns the nearest multiple of the step, free of binary dust
 * @example toStep(13.37, 0.5) // 13.5
 */
export function toStep(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toPrecision(12));
}

/**
 * Digits after the point that a step needs.
 * @param step smallest step; above 0
 * @example decimalsOf(0.05) // 2
 */
export function decimalsOf(step: number): number {
  for (let decimals = 0; decimals < 4; decimals++)
    if (Number.isInteger(Number((step * 10 ** decimals).toPrecision(9)))) return decimals;
  return 4;
}

/**
 * Whether a step is too coarse for an amount.
 * @param value amount; above 0
 * @param step smallest step of the instrument
 * @returns true when one step is more than a tenth of the amount
 */
export function tooCoarse(value: number, step: number): boolean {
  return value > 0 && step > FINE_ENOUGH_SHARE * value * (1 + 1e-9);
}

/**
 * An amount as an instrument can show it. One that is too small for its steps stays as it is, with digits enough for a finer
 * instrument: rounding it would make another recipe.
 * @param value amount; 0 or more
 * @param step smallest step of the instrument
 * @returns the amount to show, and its digits after the point
 * @example asShown(16.2, 1) // { shown: 16, decimals: 0 }
 * @example asShown(7.84, 5) // { shown: 7.84, decimals: 1 }
 */
export function asShown(value: number, step: number): { shown: number; decimals: number } {
  if (tooCoarse(value, step)) return { shown: value, decimals: Math.max(decimalsOf(step), value >= 1 ? 1 : 2) };
  return { shown: toStep(value, step), decimals: decimalsOf(step) };
}

/**
 * Spread that reading a scale or a cylinder leaves: half a step either way, evenly, and as much again for the instrument.
 * @param value amount; above 0
 * @param step smallest step
 * @returns sd of ln(amount). Source: evenly spread rounding, step/√12 (GUM, JCGM 100:2008, 4.3.7); the doubling is our estimate.
 */
export function readingLnSd(value: number, step: number): number {
  return Math.min(1, (step * Math.SQRT2) / Math.sqrt(12) / value);
}

/** What is wrong with a thermometer for a temperature: out of its range, or between its marks. */
export type ThermometerTrouble = { kind: 'out-of-range' } | { kind: 'between-marks'; nearestC: number };

/** Steps finer than this are taken as finer than anybody reads, °C. Source: our choice. */
const NOTICED_C = 0.2;

/**
 * Whether a thermometer can show a temperature.
 * @param targetC temperature wanted, °C
 * @param thermometer its step and range, °C
 * @returns null when it can; otherwise what stands in the way
 * @example thermometerTrouble(20.5, { stepC: 1, lowC: 0, highC: 100 }) // { kind: 'between-marks', nearestC: 21 }
 */
export function thermometerTrouble(
  targetC: number,
  { stepC, lowC, highC }: { stepC: number; lowC: number; highC: number },
): ThermometerTrouble | null {
  if (targetC < lowC || targetC > highC) return { kind: 'out-of-range' };
  const nearestC = toStep(targetC, stepC);
  return Math.abs(nearestC - targetC) > NOTICED_C ? { kind: 'between-marks', nearestC } : null;
}

/** A ruler in minutes: its ends and where its marks stand. */
export interface RulerScale {
  fromMin: number;
  toMin: number;
  marks: number[];
}

const STEPS_MIN = [0.5, 1, 2, 5, 10, 20, 30, 60];
const MOST_MARKS = 9;

/**
 * A ruler that holds a band with some air on both sides, with round marks.
 * @param lowMin lower end of the band, min; 0 or more
 * @param highMin upper end of the band, min; above the lower
 * @example rulerScale(11.8, 19.8) // 10 to 22, a mark every 2
 */
export function rulerScale(lowMin: number, highMin: number): RulerScale {
  const air = Math.max(0.5, (highMin - lowMin) * 0.15);
  const from = Math.max(0, lowMin - air);
  const to = highMin + air;
  const step = STEPS_MIN.find((candidate) => (to - from) / candidate <= MOST_MARKS) ?? 120;
  const fromMin = Math.floor(from / step) * step;
  const toMin = Math.ceil(to / step) * step;
  const count = Math.round((toMin - fromMin) / step);
  return { fromMin, toMin, marks: Array.from({ length: count + 1 }, (_, index) => fromMin + index * step) };
}

/** Where a time stands on the ruler, in per cent of its length; held within the ruler. */
export function rulerPercent(scale: RulerScale, timeMin: number): number {
  return percentBetween(scale.fromMin, scale.toMin, timeMin);
}

/**
 * Where a value stands between two ends, in per cent; held within them.
 * @example percentBetween(10, 20, 12.5) // 25
 */
export function percentBetween(from: number, to: number, value: number): number {
  return Math.min(100, Math.max(0, ((value - from) / (to - from)) * 100));
}

/**
 * Where a ratio stands on a ruler of ratios with 1 in its middle, in per cent.
 * @param most ratio at the right end; its inverse stands at the left
 * @example ratioPercent(1, 3) // 50
 */
export function ratioPercent(ratio: number, most: number): number {
  return percentBetween(-Math.log(most), Math.log(most), Math.log(ratio));
}

/** A meter's scale: its ends, and whether equal ratios are equally long. */
export interface MeterScale {
  from: number;
  to: number;
  logarithmic: boolean;
}

/**
 * Where a value stands on a meter, in per cent of its length; held within the meter.
 * @example meterPercent({ from: 0.1, to: 10, logarithmic: true }, 1) // 50
 */
export function meterPercent({ from, to, logarithmic }: MeterScale, value: number): number {
  const along = logarithmic
    ? Math.log(Math.max(value, from / 10) / from) / Math.log(to / from)
    : (value - from) / (to - from);
  return Math.min(100, Math.max(0, along * 100));
}

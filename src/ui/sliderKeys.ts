/** A slider as it stands. */
export interface SliderAt {
  value: number;
  min: number;
  max: number;
  /** Above 0; values lie a whole number of steps above the least. */
  step: number;
}

/** Steps that a page key takes, as a share of the range. Source: common practice of browsers. */
const PAGE_SHARE = 0.1;

/**
 * Where a key takes a slider.
 * @param key the key, as the browser names it
 * @param at the slider as it stands
 * @returns the value, within the range and on a step; null for a key that does not move a slider
 * @example keyedValue('ArrowUp', { value: 20, min: 14, max: 30, step: 0.5 }) // 20.5
 * source: the keys that the WAI-ARIA practices give a slider (published)
 */
export function keyedValue(key: string, { value, min, max, step }: SliderAt): number | null {
  const page = Math.max(step, (max - min) * PAGE_SHARE);
  const wanted = new Map([
    ['ArrowRight', value + step],
    ['ArrowUp', value + step],
    ['ArrowLeft', value - step],
    ['ArrowDown', value - step],
    ['PageUp', value + page],
    ['PageDown', value - page],
    ['Home', min],
    ['End', max],
  ]).get(key);
  if (wanted === undefined) return null;
  const last = Math.floor((max - min) / step + 1e-9);
  const steps = Math.min(last, Math.max(0, Math.round((wanted - min) / step)));
  return Number((min + steps * step).toFixed(10));
}

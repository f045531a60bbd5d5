/** A slider as it stands. */
export interface SliderAt {
  value: number;
  min: number;
  max: number;
  /** Above 0; values lie a whole number of steps above the least. */
  step: number;
  /** What a page key takes; a tenth of the range where it is left out. */
  page?: number;
}

/** What a page key takes, as a share of the range. Source: common practice of browsers. */
const PAGE_SHARE = 0.1;

/**
 * Where a key takes a slider.
 * @param key the key, as the browser names it
 * @param at the slider as it stands
 * @returns the value, within the range and on a step; null for a key that does not move a slider
 * @example keyedValue('ArrowUp', { value: 20, min: 14, max: 30, step: 0.5 }) // 20.5
 * source: the keys that the WAI-ARIA practices give a slider (published)
 */
export function keyedValue(key: string, at: SliderAt): number | null {
  const { value, min, max, step, page = Math.max(step, (max - min) * PAGE_SHARE) } = at;
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
  return wanted === undefined ? null : onStep(wanted, at);
}

/**
 * The value under a finger.
 * @param xPx distance from the left end of the slider, px
 * @param track its width and the width of its thumb, px; the middle of the thumb goes from half a thumb to half a thumb
 * @param at the slider as it stands
 * @returns the value, within the range and on a step
 * @example pointedValue(56, { widthPx: 112, thumbPx: 12 }, { value: 0, min: 0, max: 10, step: 1 }) // 5
 */
export function pointedValue(xPx: number, track: { widthPx: number; thumbPx: number }, at: SliderAt): number {
  const share = (xPx - track.thumbPx / 2) / Math.max(1, track.widthPx - track.thumbPx);
  return onStep(at.min + share * (at.max - at.min), at);
}

/** The nearest step within the range, without the rounding that steps gather. */
function onStep(wanted: number, { min, max, step }: SliderAt): number {
  const last = Math.floor((max - min) / step + 1e-9);
  const steps = Math.min(last, Math.max(0, Math.round((wanted - min) / step)));
  return Number((min + steps * step).toFixed(10));
}

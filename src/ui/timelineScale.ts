/** A line of calendar years. */
export interface TimelineScale {
  from: number;
  to: number;
  decades: number[];
}

/**
 * A timeline that holds some years, from decade to decade.
 * @param firstYear earliest year to show
 * @param nowYear last year to show
 * @example timelineScale(1948, 2026) // 1940 to 2026
 */
export function timelineScale(firstYear: number, nowYear: number): TimelineScale {
  const from = Math.min(Math.floor(firstYear / 10) * 10, nowYear - 10);
  const step = nowYear - from > 90 ? 20 : 10;
  const first = Math.ceil(from / step) * step;
  const decades = Array.from({ length: Math.floor((nowYear - first) / step) + 1 }, (_, index) => first + index * step);
  return { from, to: nowYear, decades };
}

/** Where a year stands, in per cent of the line; held within it. */
export function timelinePercent(scale: TimelineScale, year: number): number {
  return Math.min(100, Math.max(0, ((year - scale.from) / (scale.to - scale.from)) * 100));
}

/** The year at a share of the line, whole. */
export function timelineYear(scale: TimelineScale, share: number): number {
  return Math.round(scale.from + Math.min(1, Math.max(0, share)) * (scale.to - scale.from));
}

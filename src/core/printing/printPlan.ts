/** An area of a print that gets another exposure than the rest. */
export interface PrintArea {
  where: string;
  /** More, in stops; below 0 for what is held back. */
  stops: number;
}

/** One thing that the hands do. */
export interface PrintStep {
  kind: 'base' | 'dodge' | 'burn';
  where: string;
  seconds: number;
}

/**
 * The hands of a print: the base exposure, what is held back during it, and what is burnt in afterwards.
 * @param baseS base exposure, s; above 0
 * @param areas areas with their stops; those of 0 are left out
 * @returns the base first, then what is held back within it, then what comes after it, the longest first
 * Source: definition, a stop is a factor of two
 * @example printPlan(10, [{ where: 'sky', stops: 1 }]) // 10 s, and the sky 10 s more
 */
export function printPlan(baseS: number, areas: readonly PrintArea[]): PrintStep[] {
  const of = (kind: 'dodge' | 'burn'): PrintStep[] =>
    areas
      .filter(({ stops }) => (kind === 'burn' ? stops > 0 : stops < 0))
      .map(({ where, stops }) => ({ kind, where, seconds: baseS * Math.abs(2 ** stops - 1) }))
      .sort((a, b) => b.seconds - a.seconds);
  return [{ kind: 'base', where: '', seconds: baseS }, ...of('dodge'), ...of('burn')];
}

/**
 * Seconds that an area gets besides the base; below 0 for what is held back of it.
 * @param baseS base exposure, s; above 0
 * @example areaSeconds(10, 1) // 10
 */
export function areaSeconds(baseS: number, stops: number): number {
  return baseS * (2 ** stops - 1);
}

/** Held back for longer than there is light: no area has as little. */
const NOTHING_STOPS = -9;

/**
 * The same in stops.
 * @param baseS base exposure, s; above 0
 * @param seconds besides the base; −9 stops where all of it, or more, is held back
 * @example areaStops(10, -5) // -1
 */
export function areaStops(baseS: number, seconds: number): number {
  const share = 1 + seconds / baseS;
  return share <= 0 ? NOTHING_STOPS : Math.max(NOTHING_STOPS, Math.log2(share));
}

/** What an area has had in all, s. */
export function exposureOf(steps: readonly PrintStep[], where: string): number {
  return steps.reduce(
    (sum, step) =>
      step.kind === 'base'
        ? sum + step.seconds
        : step.where === where
          ? sum + (step.kind === 'burn' ? 1 : -1) * step.seconds
          : sum,
    0,
  );
}

/**
 * Factor on the exposure where the size of the print changes, at the same aperture.
 * @param from width of the print, mm; above 0
 * @param to its new width, mm; above 0
 * @param negativeMm width of what is printed, on the negative, mm; above 0
 * @returns ((m' + 1)/(m + 1))², m the magnification. Source: published, the inverse square law at the image distance f(m + 1) of a thin lens
 * @example sizeFactor(24, 24, 24) // 1
 */
export function sizeFactor(from: number, to: number, negativeMm: number): number {
  return ((to / negativeMm + 1) / (from / negativeMm + 1)) ** 2;
}

/**
 * The same by the way from the lens to the paper, measured before and after: the light falls off with its square.
 * @param from lens to paper, any unit; above 0
 * @param to the same, now
 * @returns (to/from)². Source: published, the inverse square law; of a thin lens it is f(m + 1), which `sizeFactor` has
 * @example distanceFactor(300, 600) // 4
 */
export function distanceFactor(from: number, to: number): number {
  return (to / from) ** 2;
}

/**
 * Factor on the exposure where the aperture changes.
 * @example apertureFactor(8, 11) // 1.89: the marks are rounded, a stop is 2
 */
export function apertureFactor(from: number, to: number): number {
  return (to / from) ** 2;
}

/**
 * Exposure with what a paper darkens while it dries taken off.
 * @param seconds exposure that looked right wet, s
 * @param percent how much darker it dries, 0 to 30 % of the exposure. Source: common practice (5 to 12), no source
 */
export function dryDown(seconds: number, percent: number): number {
  return seconds * (1 - percent / 100);
}

/**
 * How long a paper stays in a developer that has printed some area.
 * @param freshMin time in fresh developer, min
 * @param areaM2 area printed in it so far, m²
 * @param litres volume of the tray, l; above 0
 * @returns min. Source: common practice, no source: 4½ grow to 6 min over eight sheets of 8 × 10 inches a litre
 */
export function trayMinutes(freshMin: number, areaM2: number, litres: number): number {
  return freshMin * (6 / 4.5) ** (areaM2 / litres / (8 * SHEET_M2));
}

/**
 * What a tray holds that is poured from a jug. Jugs count films of 80 square inches, and a sheet of 8 × 10 inches is as large.
 * @returns litres, and sheets of 8 × 10 inches through it
 */
export function trayOfJug({ volumeMl, films }: { volumeMl: number; films: number }): {
  litres: number;
  sheets: number;
} {
  return { litres: volumeMl / 1000, sheets: films };
}

/**
 * Factor on every exposure where the bulb, or the box of paper, is another: by one grey that both print.
 * @param beforeS exposure that gave the grey before, s; above 0
 * @param nowS exposure that gives the same grey now, s; above 0
 */
export function matchFactor(beforeS: number, nowS: number): number {
  return nowS / beforeS;
}

/** Area of a sheet of 8 × 10 inches, m². */
export const SHEET_M2 = 8 * 10 * 0.0254 ** 2;

/**
 * How long a paper stays in when it is timed by its first image.
 * @param firstImageS when the first image showed, s
 * @param factor of that developer
 * @example factorialS(12, 8) // 96
 * Source: published, factorial development (Watkins 1893), from memory
 */
export function factorialS(firstImageS: number, factor: number): number {
  return firstImageS * factor;
}

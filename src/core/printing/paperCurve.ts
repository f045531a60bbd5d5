import { patchGrey } from '../densitometry/patchGrey';
import { sceneTones, toneIds, type SceneGreys } from '../densitometry/scene';
import { GOOD, filmLike } from '../outcome/likeness';
import { LOG_EXPOSURE_PER_STOP } from '../units/stops';

/** Reflection density of bare paper, and of its deepest black above it, D. Source: from memory; glossy papers reach 2.0 to 2.2. */
const BARE_D = 0.05;
const BLACK_D = 2.0;

/** Ends of the ISO range: the lightest tone that is told from bare paper, D above it, and the share of the black. Source: ISO 6846, from memory. */
const LIGHTEST_D = 0.04;
const DARKEST_SHARE = 0.9;

const logit = (share: number): number => Math.log(share / (1 - share));

const [FOOT, HEAD] = [logit(LIGHTEST_D / BLACK_D), logit(DARKEST_SHARE)];

/** Reflection density of a grey card of 18 %, D. Source: definition, −log10 0.18. */
const GREY_CARD_D = -Math.log10(0.18);
/** How much of the S lies below a grey card. */
const GREY_CARD_SHARE = (logit((GREY_CARD_D - BARE_D) / BLACK_D) - FOOT) / (HEAD - FOOT);

/** Where the grey card lies within the range of a plain S, as a share of it. */
export const PLAIN_MIDDLE = GREY_CARD_SHARE;

/** The most that an S is bent: beyond it, it would not rise everywhere. */
const MOST_BEND = 0.9;

/**
 * Density of a paper by its exposure.
 * @param logH log10 of the exposure against the one that gives the lightest tone with detail
 * @param range ISO range of the paper on its grade, hundredths of log exposure; above 0
 * @param middle where within the range the paper is as grey as a card of 18 %, as a share of it; that of a plain S when left out
 * @returns reflection density, D: rises from the bare paper to its black
 * Source: both ends of the range by ISO 6846, from memory; an S between them (logistic), bent so that it goes through the middle, is our estimate.
 * @example paperDensity(0, 105) // 0.09: the lightest tone
 */
export function paperDensity(logH: number, range: number, middle: number = PLAIN_MIDDLE): number {
  const share = logH / (range / 100);
  const held = Math.min(0.95, Math.max(0.05, middle));
  const bend = (GREY_CARD_SHARE - held) / (held * (1 - held));
  const limited = Math.min(MOST_BEND, Math.max(-MOST_BEND, bend));
  // Beyond its ends the S goes on as it was there.
  const within = Math.min(1, Math.max(0, share));
  const bent = share + limited * within * (1 - within);
  return BARE_D + BLACK_D / (1 + Math.exp(-(FOOT + (HEAD - FOOT) * bent)));
}

/** Tones of the scene that are the lightest and the darkest with detail. Source: our choice. */
const LIGHTEST = 'cloud';
const DARKEST = 'roof';

/** A good negative of the scene. */
const goodNegative = filmLike(GOOD).densityAt;

/**
 * The scene at the hut as it would look on paper.
 * @param spanned log exposure that the negative spans between its darkest and its lightest tone with detail, hundredths; above 0
 * @param range ISO range of the grade, hundredths
 * @param stops exposure against the one at which the light tones are right
 * @param densityAt density of the person's own negative by log10 of the exposure against the speed point, D; a good one else. Its shape
 *   counts alone: what it spans was told by the strip
 * @param middle where the paper's grey card lies within its range: see `paperDensity`
 * @returns a grey for each tone
 */
export function predictedPrint(
  spanned: number,
  range: number,
  stops = 0,
  densityAt: (logH: number) => number = goodNegative,
  middle: number = PLAIN_MIDDLE,
): SceneGreys {
  const of = (tone: keyof typeof sceneTones): number => densityAt(sceneTones[tone] * LOG_EXPOSURE_PER_STOP);
  const [light, dark] = [of(LIGHTEST), of(DARKEST)];
  const scale = light - dark > 1e-6 ? spanned / 100 / (light - dark) : 0;
  return Object.fromEntries(
    toneIds.map((tone) => {
      const logH = (light - of(tone)) * scale + stops * LOG_EXPOSURE_PER_STOP;
      return [tone, patchGrey(paperDensity(logH, range, middle))];
    }),
  ) as SceneGreys;
}

/** A grade as the print would look on it. */
export interface GradeSeen {
  grade: string;
  greys: SceneGreys;
}

/**
 * The print on some grades, softest first, with the light tones right on each.
 * @param spanned log exposure that the negative spans, hundredths
 * @param grades the grades with their ISO ranges
 */
export function printsByGrade(
  spanned: number,
  grades: readonly { grade: string; range: number }[],
  densityAt?: (logH: number) => number,
  middle?: number,
): GradeSeen[] {
  return [...grades]
    .sort((a, b) => b.range - a.range)
    .map(({ grade, range }) => ({ grade, greys: predictedPrint(spanned, range, 0, densityAt, middle) }));
}

/** Ends of a drawn curve, log exposure from the first grey, and its highest density. */
export const [CURVE_FROM, CURVE_TO, CURVE_D] = [-0.6, 2.4, 2.2];

/**
 * The curve of a paper as points, ready to be drawn.
 * @param range its ISO range, hundredths
 * @param middle where its grey card lies within it; of a plain S when left out
 * @returns log exposure and density, from left to right
 */
export function paperCurve(range: number, middle?: number): [number, number][] {
  const STEPS = 60;
  return Array.from({ length: STEPS + 1 }, (_, at) => {
    const logH = CURVE_FROM + ((CURVE_TO - CURVE_FROM) * at) / STEPS;
    return [logH, paperDensity(logH, range, middle)];
  });
}

import { LN_GRADIENT_PER_GRADE } from './grades';

/** How much one eye’s judgements of one film scatter before any repeat was made, ln of gradient. Source: our estimate. */
export const GRADE_LN_SD = 0.15;

/** The same in grades of contrast: a little under one. */
export const USUAL_EYE_SD_GRADES = GRADE_LN_SD / LN_GRADIENT_PER_GRADE;

/** Repeats that the usual scatter weighs as much as. Source: our choice. */
const USUAL_WEIGHS = 6;

/** Less than half of the usual is not believed: light, scanner and mood change more than a few repeats show. Source: our choice. */
const STEADIEST_GRADES = USUAL_EYE_SD_GRADES / 2;

/** Beyond this grade the scale is at its end: an answer there comes out the same whatever the eye saw. */
const END_OF_SCALE = 1.5;

/** How steady an eye is. */
export interface EyeScatter {
  /** Standard deviation of one judgement, grades. */
  sdGrades: number;
  /** Repeats that it rests on; 0 for the usual scatter. */
  repeats: number;
}

/**
 * The scatter of an eye from films that it judged more than once.
 * @param films for each film its grades of contrast, −2 to +2, first judgement and repeats
 * @returns the usual scatter where nothing was repeated; else drawn to what the repeats show
 * @example eyeScatter([[0, 0], [1, 0]]).repeats // 2
 * Source: pooled variance within films, with a scaled inverse chi-squared prior (Gelman et al., Bayesian Data Analysis, textbook).
 */
export function eyeScatter(films: readonly (readonly number[])[]): EyeScatter {
  let [squares, repeats] = [0, 0];
  for (const grades of films) {
    if (grades.length < 2) continue;
    const mean = grades.reduce((sum, grade) => sum + grade, 0) / grades.length;
    if (Math.abs(mean) >= END_OF_SCALE) continue;
    for (const grade of grades) squares += (grade - mean) ** 2;
    repeats += grades.length - 1;
  }
  const variance = (USUAL_WEIGHS * USUAL_EYE_SD_GRADES ** 2 + squares) / (USUAL_WEIGHS + repeats);
  return { sdGrades: Math.max(STEADIEST_GRADES, Math.sqrt(variance)), repeats };
}

/** A film that was judged, and how often. */
export interface JudgedFilm {
  runId: string;
  judgedMs: number;
  repeats: number;
  contrast: number;
}

/** Days after which somebody no longer answers from memory, ms. Source: our choice. */
const FORGOTTEN_MS = 20 * 3_600_000;

/**
 * The film to judge once more: the one that was repeated least, and lay longest.
 * @param films judged films, with when they were last judged
 * @param nowMs this instant, ms since the epoch
 * @returns null where each was judged too lately, or lies at the end of the scale
 */
export function filmToRepeat(films: readonly JudgedFilm[], nowMs: number): JudgedFilm | null {
  const ready = films.filter(
    ({ judgedMs, contrast }) => nowMs - judgedMs >= FORGOTTEN_MS && Math.abs(contrast) < END_OF_SCALE,
  );
  return ready.sort((a, b) => a.repeats - b.repeats || a.judgedMs - b.judgedMs)[0] ?? null;
}
